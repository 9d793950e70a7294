import { sheetView } from '../../testing/sheet.fixture';
import type { BoardStationView } from '../app/api';
import { standingOf } from './standing';

const standing = (state: BoardStationView['state'], times: number[] = []): BoardStationView => ({
  station: sheetView().station,
  coffeeName: 'Saltmarsh',
  grinderName: 'Lefty',
  finer: 'lower',
  machineName: 'Twin',
  basketName: '18 g',
  ageDays: 10,
  state,
  start: null,
  openRunId: null,
  cardId: null,
  cards: [],
  check: null,
  day: null,
  keeper: null,
  checkedAt: null,
  beforeCoffeeId: null,
  beforeCoffeeName: null,
  shots: times.map((timeSeconds, i) => ({ id: String(i), pulledAt: '2026-03-01T06:43:00Z', grind: 14, timeSeconds })),
});

describe('how a station stands', () => {
  it('says how far the last three strayed', () => {
    expect(standingOf(standing('drifting-fast', [30, 25, 24, 23]))).toMatchObject({
      title: 'Drifting fast',
      detail: 'The last three ran about 3 s short.',
      side: 'low',
      urgent: true,
    });
    expect(standingOf(standing('drifting-slow', [34, 35, 36])).detail).toBe('The last three ran about 2 s over.');
  });

  it('asks for a hand only where one is needed', () => {
    expect(standingOf(standing('dialled', [30])).urgent).toBe(false);
    expect(standingOf(standing('unknown')).urgent).toBe(false);
    expect(standingOf(standing('dialling-in')).urgent).toBe(true);
  });
});
