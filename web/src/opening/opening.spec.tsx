import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import dayjs from 'dayjs';
import { fakeHouse, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView, standingView } from '../../testing/sheet.fixture';
import { morningAt } from './morning';
import { OpeningPage } from './OpeningPage';

const { coffee, grinder, machine } = sheetView();
const today = dayjs().format('YYYY-MM-DD');
const yesterday = dayjs().subtract(1, 'day');
const shotsAt = (at: dayjs.Dayjs) =>
  [29, 29.5, 30].map((timeSeconds, i) => ({ id: `s${i}`, pulledAt: at.toISOString(), grind: 14, timeSeconds }));
const standing = standingView({ shots: shotsAt(yesterday) });
const air = (id: string, day: string, humidityPercent: number, more: object = {}) => ({
  id,
  stationId: 'station',
  day,
  switchedOnAt: null,
  done: [],
  roomC: 20,
  humidityPercent,
  revision: 1,
  ...more,
});

function open(openings: object[], change: object = {}): Written[] {
  const { written } = fakeHouse({
    '/api/board': { stations: [{ ...standing, ...change }], gramsToday: 0, shotsToday: 0 },
    '/api/machines': pageOf([{ ...machine, warmUpMinutes: 30 }]),
    '/api/grinders': pageOf([grinder]),
    '/api/coffees': pageOf([coffee]),
    '/api/bags': pageOf([]),
    '/api/stock': { bags: [], pace: [] },
    '/api/openings': pageOf(openings),
    '/api/tasted-today': [{ person: 'Oda', cups: [{ doseGrams: 18, share: 1, arabicaPercent: 100, decaf: false }] }],
    '/api/coffees/coffee': coffee,
    '/api/grinders/grinder': grinder,
    '/api/doses': pageOf([]),
  });
  renderPage(<OpeningPage />);
  return written;
}

describe('opening the bar', () => {
  it('starts the warm-up clock with one tap', async () => {
    const written = open([]);
    fireEvent.click(await screen.findByRole('button', { name: /Twin is on/ }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ stationId: 'station', day: today, done: ['switched-on'] });
    expect(Date.now() - Date.parse(written[0]!.body.switchedOnAt as string)).toBeLessThan(20_000);
  });

  it('reckons when it is hot, and says when it is', async () => {
    const switchedOnAt = dayjs().subtract(10, 'minute').toISOString();
    open([air('o', today, 50, { switchedOnAt })]);
    const clock = dayjs(switchedOnAt).add(30, 'minute').toDate().toLocaleTimeString(undefined, {
      hour: 'numeric',
      minute: '2-digit',
    });
    expect(await screen.findByText(`Hot at ${clock}`)).toBeInTheDocument();
    expect(screen.getByText('in 20 min')).toBeInTheDocument();
    const earlier = screen.getByRole('button', { name: /ten minutes earlier/ });
    expect(earlier).toBeEnabled();
  });

  it('ticks a step off, and shows only what is left when asked', async () => {
    const written = open([air('o', today, 50, { done: ['hopper'] })]);
    const steps = await screen.findByRole('group', { name: 'To do at Left bar' });
    fireEvent.click(within(steps).getByRole('button', { name: 'cups warm' }));
    await waitFor(() => expect(written[0]?.body).toMatchObject({ done: ['hopper', 'cups-warm'], revision: 1 }));
    fireEvent.click(screen.getByRole('switch', { name: 'Only what is left' }));
    await waitFor(() => expect(within(steps).queryByRole('button', { name: /hopper/ })).toBeNull());
    expect(within(steps).getByRole('button', { name: 'group flushed' })).toBeInTheDocument();
  });

  it('takes two quick taps one after the other', async () => {
    const written = open([air('o', today, 50)]);
    const steps = await screen.findByRole('group', { name: 'To do at Left bar' });
    fireEvent.click(within(steps).getByRole('button', { name: 'cups warm' }));
    fireEvent.click(within(steps).getByRole('button', { name: 'group flushed' }));
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body.done).toEqual(['cups-warm', 'flushed']);
  });

  it('ticks the check shot by itself once one was pulled', async () => {
    open([], { checkedAt: dayjs().toISOString() });
    const step = await screen.findByRole('button', { name: 'check shot pulled' });
    expect(step).toHaveAttribute('aria-pressed', 'true');
  });

  it('takes the air and opens a dial-in where the forecast says, with a budget', async () => {
    const written = open([air('o', today, 20), air('y', yesterday.format('YYYY-MM-DD'), 70)]);
    expect(await screen.findByText(/At grind 14 expect 25 s .*so start at 12/)).toBeInTheDocument();
    expect(screen.getByText(/The air is drier: about 13.9 % faster/)).toBeInTheDocument();
    fireEvent.blur(screen.getByLabelText('Humidity'), { target: { value: '35' } });
    await waitFor(() => expect(written[0]?.body).toMatchObject({ humidityPercent: 35 }));
    fireEvent.click(screen.getByRole('button', { name: 'Dial in at 12' }));
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body).toMatchObject({ startGrind: 12, budgetShots: 6, status: 'open' });
    expect(written[1]!.body.startSd).toBeGreaterThan(0.5);
  });

  it('counts what was tasted, with its caffeine and the caution', async () => {
    open([]);
    expect(await screen.findByText(/1 cup, about 120–160 mg caffeine/)).toBeInTheDocument();
    expect(screen.getByText(/follow local health advice/)).toBeInTheDocument();
  });

  it('lets today’s shots speak once there are some', async () => {
    open([], { shots: [...shotsAt(yesterday), ...shotsAt(dayjs())] });
    expect(await screen.findByText('Today it poured 30 s already.')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Dial in at 14' })).toBeInTheDocument();
  });
});

describe('the morning', () => {
  const dayOf = (instant: string): string => dayjs(instant).format('YYYY-MM-DD');
  const unknown = { bag: null, before: undefined, learned: undefined, now: undefined };
  const facts = { standing: standing as never, grinder, coffee, ...unknown, today, dayOf };

  it('carries the closing setting, not one of today', () => {
    expect(morningAt(facts)).toMatchObject({ closingGrind: 14, worthMoving: false, parts: [] });
    expect(morningAt({ ...facts, standing: { ...standing, shots: shotsAt(dayjs()) } as never })).toBeNull();
  });

  it('goes on from the drift of the evening before, where the judgement knows of it', () => {
    const judged = { foundSeconds: 30, toleranceSeconds: 3, shots: [], shiftSeconds: { mean: 5, p10: 4, p90: 6 } };
    const at = (day: object) => morningAt({ ...facts, standing: { ...standing, day } as never })!.timeSeconds.mean;
    expect(at({ ...judged, judgedShots: 9 })).toBeCloseTo(35, 6);
    // After days off it knows of none: the last shots speak.
    expect(at({ ...judged, judgedShots: 0 })).toBeCloseTo(29.5, 6);
  });

  it('reckons with the age of a bag that was open then', () => {
    const bag = { roastedOn: dayjs().subtract(40, 'day').format('YYYY-MM-DD') } as never;
    const old = { ...standing, shots: shotsAt(dayjs().subtract(5, 'day')) } as never;
    expect(morningAt({ ...facts, bag, standing: old })!.parts[0]!.text).toMatch(/^5 days older: about 4.4 % faster/);
    const newer = { roastedOn: today } as never;
    expect(morningAt({ ...facts, bag: newer, standing: old })!.parts).toEqual([]);
  });
});
