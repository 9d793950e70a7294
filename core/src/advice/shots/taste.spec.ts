import { after, everydayShot } from '../advice.fixture';
import { plainMiss } from './taste';

describe('what the cups plainly lack', () => {
  const missOf = (...balances: number[]) => {
    const shots = balances.map((balance) => everydayShot({ taste: { balance, body: 0 } }));
    const { problem } = after(shots);
    return plainMiss(problem, problem.pours, 'balance');
  };

  it('is their mean, once it is beyond tolerance and noise', () => {
    expect([missOf(-1.5), missOf(-1), missOf(2, 1), missOf(1.5, -1.5)]).toEqual([-1.5, 0, 1.5, 0]);
  });

  it('is plainer the more cups say so: noise goes with one over the root of their number', () => {
    // 0.6 tolerated and 0.4 of noise: 1.0 for one cup, 0.88 for two, 0.8 for four.
    expect([missOf(1), missOf(1, 1), missOf(1, 0.5, 1, 0.5), missOf(1, 0.5, 1, 1)]).toEqual([0, 1, 0, 0.875]);
  });
});
