import { everydayShot, problemOf } from '../advice.fixture';
import type { Choice } from './choice';
import { goalsOf } from './goals';
import { believe } from '../../belief/mixture';
import { movesOf, standStill, type Move } from './moves';
import { drawParticles, lookAt, type Outlook } from '../../belief/particles';
import type { Lever } from '../../method/Method';

/** Where one could end, with the moves of these levers at hand, after a bitter cup that ran short of the window. */
function goalsWith(levers: Lever[], method = 'balance-walk'): Outlook[] {
  const shots = [everydayShot({ timeSeconds: 22, taste: { balance: 1.5, body: 0 } })];
  const problem = problemOf({ method, shots });
  const mixture = believe(problem);
  const particles = drawParticles(mixture, 'goals');
  const look = (move: Move): Choice => ({
    move,
    outlook: lookAt(problem, mixture.main, particles, move.settings),
  });
  const still = look(standStill(problem, problem.pours.at(-1)!.planned));
  const moves = levers.flatMap((lever) => movesOf(problem, mixture.main, still.move.settings, lever)).map(look);
  return goalsOf(problem, mixture.main, particles, still, moves);
}

describe('where one could end', () => {
  const isInRatio = ({ settings }: Outlook): boolean => settings.yieldGrams / settings.doseGrams === 2;

  it('is at another dose with its own yield or heat, where the dose stands in for the grind', () => {
    const dosed = goalsWith(['dose', 'yield']).filter(({ settings }) => settings.doseGrams !== 18);
    expect(dosed.some((goal) => isInRatio(goal))).toBe(true);
    expect(dosed.some((goal) => !isInRatio(goal))).toBe(true);
    expect(dosed.some(({ settings }) => settings.temperatureC !== 93)).toBe(true);
  });

  it('is at the dose there is where no move turns that', () => {
    expect(goalsWith(['grind', 'yield']).every(({ settings }) => settings.doseGrams === 18)).toBe(true);
  });

  it('leaves what a method holds still', () => {
    const dosed = goalsWith(['dose'], 'one-lever').filter(({ settings }) => settings.doseGrams !== 18);
    expect(dosed.filter(isInRatio).length).toBeGreaterThan(0);
    expect(dosed.every(({ settings }) => settings.temperatureC === 93)).toBe(true);
  });
});
