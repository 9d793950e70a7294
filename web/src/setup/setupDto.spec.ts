import dayjs from 'dayjs';
import { NEW, setupDto, type SetupFields } from './setupDto';

const ids = {
  station: 'station',
  run: 'run',
  grinder: 'new-grinder',
  machine: 'new-machine',
  basket: 'new-basket',
  coffee: 'new-coffee',
  bag: 'bag',
  startedAt: '2026-03-01T06:41:00.000Z',
};
const fields: SetupFields = {
  coffeeId: NEW,
  grinderId: NEW,
  machineId: NEW,
  basketId: NEW,
  coffee: { name: 'Kelp Street', roast: 'medium' },
  grinder: { name: 'Little', min: 0, max: 40, step: 1, finer: 'lower', dosing: 'weighed', purgeGrams: 10 },
  grind: 15,
  machine: { name: 'Machine', canSet: false, min: 88, max: 97, step: 1, preBrew: 'none' },
  basket: { nominalGrams: 18, isMarked: true },
  people: 1,
  stationName: 'Bar',
  methodId: 'balance-walk',
  doseGrams: 18,
  yieldGrams: 36,
  window: { min: 27, max: 33 },
};
const aim = { timer: 'pump-on', temperatureC: null, position: 0, known: 0, purgeGrams: 10 } as const;

describe('a set-up', () => {
  it('makes all parts and a dial-in that starts where the grinder stands', () => {
    const dto = setupDto(fields, ids, aim);
    expect(dto.station).toMatchObject({ grinderId: 'new-grinder', coffeeId: 'new-coffee', grind: 15 });
    expect(dto.run).toMatchObject({ stationId: 'station', startGrind: 15, status: 'open' });
    expect(dto.basket).toMatchObject({ name: '18 g basket', minGrams: 16, maxGrams: 19.5 });
    expect(dto.machine?.temperatureC).toBeNull();
    expect(dto.bag).toBeNull();
  });

  it('allows every dose in a basket without a figure, until its dose is found', () => {
    const { basket } = setupDto({ ...fields, basket: { nominalGrams: 18, isMarked: false } }, ids, aim);
    expect(basket).toMatchObject({ minGrams: 6, maxGrams: 24 });
  });

  it('says beforehand what it may take, less where grinder and coffee have taught something', () => {
    const [strange, known] = [setupDto(fields, ids, aim).run, setupDto(fields, ids, { ...aim, known: 2 }).run];
    expect(strange.budgetShots).toBe(6);
    expect(known.budgetShots!).toBeLessThan(strange.budgetShots!);
    expect(known.budgetGrams!).toBeLessThan(strange.budgetGrams!);
  });

  it('leaves out what is there already', () => {
    const dto = setupDto({ ...fields, grinderId: 'old', coffeeId: 'known' }, ids, aim);
    expect(dto.grinder).toBeNull();
    expect(dto.coffee).toBeNull();
    expect(dto.station).toMatchObject({ grinderId: 'old', coffeeId: 'known' });
  });

  it('opens a bag for the right coffee when a roast day is given', () => {
    const dto = setupDto({ ...fields, roastedOn: dayjs('2026-02-18') }, ids, aim);
    expect(dto.bag).toMatchObject({ coffeeId: 'new-coffee', roastedOn: '2026-02-18' });
  });

  it('turns a flavour and a body wanted into the taste target, and keeps them with the coffee', () => {
    const dto = setupDto({ ...fields, flavourGoal: 'bright', bodyGoal: 'heavy' }, ids, aim);
    expect(dto.run.target.balance).toBeLessThan(0);
    expect(dto.run.target.body).toBeGreaterThan(0);
    expect(dto.coffee).toMatchObject({ flavourGoal: 'bright', bodyGoal: 'heavy' });
    expect(setupDto(fields, ids, aim).run.target).toMatchObject({ balance: 0, body: 0 });
  });
});
