import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { fakeHouse, heartInPlace, OVERTAKEN, pageOf, Refusal, renderPage, type Written } from '../../testing/house';
import { sheetView, shotView } from '../../testing/sheet.fixture';
import type { SheetShotView, SheetView } from '../app/api';
import { ONCE_MORE } from '../parts/useFollowing';
import { RunPage } from './RunPage';

jest.mock('../worker/heart', () => ({ heart: () => heartInPlace, historianHeart: () => heartInPlace }));

const steady = (count: number, change: Partial<SheetShotView> = {}) =>
  Array.from({ length: count }, (_, i) => shotView(`s${i}`, { timeSeconds: 30, ...change }));

function open(sheet: SheetView, more: Record<string, object> = {}): Written[] {
  const { written } = fakeHouse({
    '/api/runs/run/sheet': sheet,
    '/api/cards': pageOf([]),
    '/api/start': { grind: null, sd: null, from: [] },
    ...Object.fromEntries(sheet.shots.map(({ id }) => [`/api/shots/${id}/history`, pageOf([])])),
    ...more,
  });
  renderPage(<RunPage />, { path: '/dial-in/:runId', at: '/dial-in/run' });
  return written;
}
const lastOf = async (written: Written[]): Promise<Written> => {
  await waitFor(() => expect(written.length).toBeGreaterThan(0));
  return written.at(-1)!;
};

describe('the run page', () => {
  it('asks for the first shot, takes it by shorthand, and stores plan and measurement apart', async () => {
    const written = open(sheetView());
    expect(await screen.findByText('Start at 14.')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText(/Shot in one line/), { target: { value: '18.2 > 37 in 22 sour' } });
    fireEvent.submit(screen.getByLabelText(/Shot in one line/).closest('form')!);
    const { path, body } = await lastOf(written);
    expect(path).toMatch(/^\/api\/shots\//);
    expect(body).toMatchObject({
      runId: 'run',
      doseGrams: 18.2,
      yieldGrams: 37,
      timeSeconds: 22,
      planned: { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
      tasting: { balance: -1.5 },
    });
  });

  it('asks once after a figure that was hardly meant, and believes the answer', async () => {
    const written = open(sheetView());
    const line = await screen.findByLabelText(/Shot in one line/);
    const save = (): void => void fireEvent.submit(line.closest('form')!);
    fireEvent.change(line, { target: { value: '18.2 > 370 in 22' } });
    save();
    expect(await screen.findByText('Did you mean yield 37 g?')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Correct it' }));
    await waitFor(() => expect(screen.queryByText('Did you mean yield 37 g?')).not.toBeInTheDocument());
    expect(line).toHaveValue('18.2 > 370 in 22');
    save();
    fireEvent.click(await screen.findByRole('button', { name: 'It was so' }));
    expect((await lastOf(written)).body).toMatchObject({ yieldGrams: 370 });
    expect(written).toHaveLength(1);
  });

  it.each([
    ['On purpose: plan it so', 47],
    ['Missed: keep the plan', 36],
  ])('asks once whether a yield far off its plan was on purpose: %s', async (answer, plannedYield) => {
    const written = open(sheetView());
    const line = await screen.findByLabelText(/Shot in one line/);
    fireEvent.change(line, { target: { value: '18 > 47 in 30' } });
    fireEvent.submit(line.closest('form')!);
    expect(await screen.findByText('Yield 47 g, planned 36 g. On purpose?')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: answer }));
    expect((await lastOf(written)).body).toMatchObject({ yieldGrams: 47, planned: { yieldGrams: plannedYield } });
    expect(written).toHaveLength(1);
  });

  it('starts where the grinder stood for coffees like this one, at one tap', async () => {
    open(sheetView(), {
      '/api/start': { grind: 12.5, sd: 0.8, from: [{ coffeeName: 'Fogbell', grind: 12, daysAgo: 9 }] },
    });
    expect(await screen.findByText(/Lefty has kept Fogbell at 12/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Start at 12.5' }));
    await waitFor(() => expect(screen.getByRole('spinbutton', { name: 'Next grind' })).toHaveTextContent('12.5'));
    expect(screen.queryByText(/has kept/)).not.toBeInTheDocument();
  });

  it('reminds of the old grounds where the start is not where the grinder stood', async () => {
    const sheet = sheetView();
    sheet.station = { ...sheet.station, grind: 14 };
    sheet.run = { ...sheet.run, startGrind: 12, startSd: 0.6 };
    const from = [{ coffeeName: 'Saltmarsh', grind: 14, daysAgo: 9 }];
    open(sheet, { '/api/start': { grind: 14, sd: 0.8, from } });
    expect(await screen.findByText(/The grinder stood at 14: turn it, and purge 12 g first\./)).toBeInTheDocument();
    expect(screen.getByText(/12 is where this coffee’s last shots point \(±0\.6\)/)).toBeInTheDocument();
    // An older recipe is no news beside them.
    expect(screen.queryByText(/has kept/)).not.toBeInTheDocument();
  });

  it('starts there by itself where nobody named a setting, and says from what', async () => {
    const from = [{ coffeeName: 'Fogbell', grind: 12, daysAgo: 9 }];
    const sheet = sheetView();
    sheet.run = { ...sheet.run, startGrind: null, suggestedStart: { grind: 12.5, sd: 0.8, from } };
    open(sheet, { '/api/start': { grind: 12.5, sd: 0.8, from } });
    expect(await screen.findByText('Start at 12.5.')).toBeInTheDocument();
    expect(screen.getByText(/12.5 is what the recipes kept on this grinder come to for this shot/)).toBeInTheDocument();
    expect(await screen.findByText('Lefty has kept Fogbell at 12.')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: /^Start at/ })).not.toBeInTheDocument();
  });

  it('teaches the dose law only what was told, never its own proposal', async () => {
    const law = { gramsPerSecond: 4, lagSeconds: 0.5, logRatePerFiner: 0.04, atGrind: 14, finer: 'lower' as const };
    const timedDose = { ...law, weighings: 3, covariance: [1e-4, 0, 0, 0, 1e-3, 0, 0, 0, 1e-4] };
    const written = open(sheetView([], { timedDose }));
    expect(await screen.findByText(/Grind 5 s\./)).toBeInTheDocument();
    const pull = async (dose: string | null): Promise<Record<string, unknown>> => {
      const before = written.length;
      fireEvent.click(await screen.findByRole('button', { name: /Pull it/ }));
      expect(screen.getByLabelText(/^ground/, { selector: 'input' })).toHaveAttribute('placeholder', '5');
      if (dose) fireEvent.click(screen.getByRole('button', { name: 'ground as planned' }));
      if (dose) fireEvent.change(screen.getByLabelText(/^dose/, { selector: 'input' }), { target: { value: dose } });
      fireEvent.change(screen.getByLabelText(/^time/, { selector: 'input' }), { target: { value: '29' } });
      fireEvent.click(screen.getByRole('button', { name: /Save shot/ }));
      await waitFor(() => expect(written.length).toBeGreaterThan(before));
      return written.at(-1)!.body;
    };
    expect(await pull(null)).toMatchObject({ doseGrams: null, grindSeconds: null });
    expect(await pull('18.4')).toMatchObject({ doseGrams: 18.4, grindSeconds: 5 });
  });

  it('says why, offers what else could be done, and lets an alternative become the next shot', async () => {
    open(sheetView([shotView('a', { timeSeconds: 29, tastings: [tasting({ balance: -2, body: 0.5, overall: 4 })] })]));
    expect(await screen.findByText(/It tasted very sour/)).toBeInTheDocument();
    const others = screen.getByRole('heading', { name: 'Or instead' }).parentElement!;
    fireEvent.click(within(others).getAllByRole('button')[0]!);
    expect(await screen.findByText(/Your own next shot/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Back to the advice' }));
    expect(screen.queryByText(/Your own next shot/)).not.toBeInTheDocument();
  });

  it('foresees at once what an edited next shot would bring', async () => {
    open(sheetView(steady(2)));
    const grind = await screen.findByRole('spinbutton', { name: 'Next grind' });
    const before = (await screen.findByText(/in window/)).textContent;
    for (let i = 0; i < 8; i += 1) fireEvent.keyDown(grind, { key: 'ArrowUp' });
    await waitFor(() => expect(screen.getByText(/in window/).textContent).not.toBe(before));
    expect(screen.getByText('next, yours')).toBeInTheDocument();
  });

  it('marks the shot nobody foresaw, and re-weighs it at one tap', async () => {
    const shots = [...steady(4), shotView('odd', { timeSeconds: 19 })];
    const written = open(sheetView(shots));
    fireEvent.click(await screen.findByRole('button', { name: /unforeseen\? What went wrong with shot 5/ }));
    expect(screen.getByText(/was predicted from the shots before it/)).toBeInTheDocument();
    // Nothing was changed, so nobody can have forgotten to purge.
    expect(screen.queryByRole('button', { name: /not purged/ })).not.toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'cold group: that was it' }));
    const { path, body } = await lastOf(written);
    expect(path).toBe('/api/shots/odd');
    expect(body).toMatchObject({ cause: 'cold-group', timeSeconds: 19, revision: 1 });
    expect(body).not.toHaveProperty('tastings');
  });

  it('shows a named cause, which can be taken back', async () => {
    const written = open(sheetView([...steady(4), shotView('odd', { timeSeconds: 19, cause: 'channelled' })]));
    fireEvent.click(await screen.findByRole('button', { name: /channelled What went wrong with shot 5/ }));
    fireEvent.click(screen.getByRole('button', { name: 'It was not that after all' }));
    expect((await lastOf(written)).body).toMatchObject({ cause: null });
  });

  it('takes better or worse than the last one', async () => {
    const written = open(sheetView(steady(2)));
    fireEvent.click(await screen.findByRole('button', { name: 'More words' }));
    const versus = await screen.findByRole('group', { name: 'Against shot 1' });
    fireEvent.click(within(versus).getByRole('button', { name: 'better' }));
    const { path, body } = await lastOf(written);
    expect([path, body.versusLast]).toEqual(['/api/shots/s1', 'better']);
  });

  it('opens the numbers behind the advice', async () => {
    open(sheetView(steady(3)));
    fireEvent.click(await screen.findByRole('button', { name: 'Why, in numbers' }));
    const drawer = await screen.findByRole('dialog');
    expect(await within(drawer).findByText(/before the first shot/)).toBeInTheDocument();
    expect(within(drawer).getAllByRole('row')).toHaveLength(4);
  });

  it('shows in the next column the shot that is pulled, not the one advised, and lets nothing turn it meanwhile', async () => {
    open(sheetView(steady(2, { timeSeconds: 20 })));
    const column = (): (string | null)[] =>
      screen.getAllByRole('row').map((row) => within(row).queryAllByRole('cell').at(-1)?.textContent ?? null);
    await screen.findByText(/^Finer, 14 → [\d.]+\.$/);
    const advised = column();
    fireEvent.click(screen.getByRole('button', { name: /Pull again/ }));
    expect(column()).not.toEqual(advised);
    expect(column()[1]).toBe('14');
    expect(screen.queryByRole('spinbutton', { name: 'Next grind' })).not.toBeInTheDocument();
    expect(screen.getByText('next, yours')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Back' }));
    expect(await screen.findByRole('spinbutton', { name: 'Next grind' })).toBeInTheDocument();
    expect(column()).toEqual(advised);
  });

  it('offers the same again once where that is the advice, and beside the advice where it is not', async () => {
    open(sheetView(steady(1)));
    await screen.findByText('Taste it first.');
    expect(screen.getByRole('button', { name: 'Pull again Enter' })).toBeInTheDocument();
    expect(screen.getAllByRole('button', { name: /Pull again|Take it/ })).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Next grind: one step up' }));
    expect(await screen.findByRole('button', { name: 'Take it Enter' })).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Pull again r' })).toBeInTheDocument();
  });

  it('pulls with the timer and the steppers, and keeps what was typed when the server refuses', async () => {
    const written = open(sheetView(steady(1)));
    fireEvent.click(await screen.findByRole('button', { name: /Pull again/ }));
    const time = screen.getByLabelText(/^time/);
    fireEvent.change(time, { target: { value: '27.5' } });
    fireEvent.blur(time);
    fireEvent.click(screen.getByRole('button', { name: 'spurts' }));
    fireEvent.click(screen.getByRole('button', { name: /Save shot/ }));
    const { body } = await lastOf(written);
    expect(body).toMatchObject({
      timeSeconds: 27.5,
      doseGrams: null,
      yieldGrams: null,
      planned: { doseGrams: 18 },
      seen: [{ sign: 'spurts' }],
    });
  });

  it('corrects a shot in plain sight and says which field the server refused', async () => {
    const written = open(sheetView(steady(1)), {
      'PUT /api/shots/s0': new Refusal(400, {
        detail: 'Please correct the fields named below.',
        errors: [{ path: 'timeSeconds', message: 'must be between 1 and 300' }],
      }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 1' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Time, s'), { target: { value: '900' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save correction' }));
    expect((await lastOf(written)).body).toMatchObject({ timeSeconds: 900, revision: 1 });
    expect((await within(drawer).findAllByText(/must be between 1 and 300/)).length).toBeGreaterThan(0);
    expect(within(drawer).getByLabelText('Time, s')).toHaveValue('900');
  });

  it.each([
    ['what stands now', {}, { timeSeconds: 27, versusLast: 'better', revision: 3 }],
    ['no figure that was changed meanwhile, by the revision it was seen at', { note: 'cold cup' }, { revision: 1 }],
  ])('corrects %s where another tablet changed the shot while its correction was open', async (_, change, sent) => {
    let sheet = sheetView(steady(2));
    const written = open(sheet, { '/api/runs/run/sheet': () => sheet });
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 2' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Note'), { target: { value: 'stirred' } });
    // Another tablet has put the time right; the tap below fetches the sheet again.
    const now = shotView('s1', { timeSeconds: 27, versusLast: 'better', revision: 3, ...change });
    sheet = { ...sheet, shots: [sheet.shots[0]!, now] };
    fireEvent.click(within(drawer).getByRole('button', { name: 'better' }));
    await waitFor(() => expect(within(drawer).getByLabelText('Time, s')).toHaveValue('27'));
    expect(within(drawer).getByLabelText('Note')).toHaveValue('stirred');
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body).toMatchObject({ note: 'stirred', ...sent });
  });

  it('goes on where another tablet took out the shot that was being corrected', async () => {
    let sheet = sheetView(steady(2));
    open(sheet, { '/api/runs/run/sheet': () => sheet });
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 2' }));
    const drawer = await screen.findByRole('dialog');
    sheet = { ...sheet, shots: sheet.shots.slice(0, 1) };
    fireEvent.click(within(drawer).getByRole('button', { name: 'same' }));
    await waitFor(() => expect(screen.queryByLabelText('Time, s')).not.toBeInTheDocument());
    fireEvent.keyDown(document.body, { key: 'r' });
    expect(await screen.findByRole('timer')).toBeInTheDocument();
  });

  it('says what to do with a correction that another tablet overtook, and keeps it', async () => {
    open(sheetView(steady(1)), { 'PUT /api/shots/s0': OVERTAKEN });
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 1' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Note'), { target: { value: 'stirred' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save correction' }));
    expect(await within(drawer).findByText(ONCE_MORE)).toBeInTheDocument();
    expect(within(drawer).getByLabelText('Note')).toHaveValue('stirred');
  });

  it('corrects a temperature in the shop’s unit, and leaves an untouched one exactly as it was', async () => {
    const shop = { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'F', revision: 1 };
    const written = open(sheetView(steady(1)), { '/api/shop': shop });
    const correct = async (change: () => void): Promise<Record<string, unknown>> => {
      const before = written.length;
      change();
      fireEvent.click(screen.getByRole('button', { name: 'Save correction' }));
      await waitFor(() => expect(written.length).toBeGreaterThan(before));
      return written.at(-1)!.body;
    };
    const field = async (label: string) => within(await screen.findByRole('dialog')).getByLabelText(label);
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 1' }));
    const time = await field('Time, s');
    expect(await field('Temperature, °F')).toHaveValue('199.4');
    const body = await correct(() => fireEvent.change(time, { target: { value: '31' } }));
    expect(body).toMatchObject({ timeSeconds: 31, temperatureC: 93 });
  });

  it('removes a shot only after asking, and keeps its record', async () => {
    const written = open(sheetView(steady(2)));
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 2' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Remove' }));
    expect(written).toEqual([]);
    await screen.findAllByText('Remove this shot?');
    const sure = screen.getByRole('button', { name: 'Remove it' });
    await act(async () => fireEvent.click(sure));
    const { path, body } = await lastOf(written);
    expect(path).toBe('/api/shots/s1');
    expect(body).toMatchObject({ timeSeconds: 30, revision: 1, removedAt: expect.stringMatching(/^20/) });
  });

  it('shows what a shot said before it was corrected', async () => {
    const before = shotView('s0', { timeSeconds: 12, seen: [{ sign: 'spurts', clock: 4 }], grind: 13 });
    const history = [{ revision: 1, editedAt: '2026-03-01T06:50:00.000Z', before }];
    open(sheetView(steady(1, { revision: 2 })), { '/api/shots/s0/history': pageOf(history) });
    fireEvent.click(await screen.findByRole('button', { name: /Shot 1.*corrected/ }));
    expect(await screen.findByText(/18 g → 36 g · 12 s · grind 13 · spurts at 4/)).toBeInTheDocument();
  });

  it('keeps any of its shots as the card', async () => {
    const shots = [
      shotView('good', { grind: 13, planned: { grind: 13 } }),
      shotView('late', { grind: 14, planned: { grind: 14 } }),
    ];
    const written = open(sheetView(shots), { '/api/cards': pageOf([]) });
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 1' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Keep this one as card' }));
    await screen.findByLabelText('Name');
    fireEvent.click(await screen.findByRole('button', { name: 'Keep the card' }));
    expect((await lastOf(written)).body).toMatchObject({ recipe: { grind: 13 } });
  });

  it('keeps the recipe as the next version of the coffee’s card', async () => {
    const card = {
      id: 'card',
      name: 'Saltmarsh',
      purpose: 'milk',
      stationId: 'station',
      latest: { version: 3, tastesLike: 'plum', recipe: {} },
    };
    const written = open(sheetView(steady(3, { tastings: [tasting({ balance: 0, body: 0, overall: 8 })] })), {
      '/api/cards': pageOf([card]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /Keep as card/ }));
    const modal = await screen.findByRole('dialog');
    expect(await within(modal).findByText('Saltmarsh: version 4')).toBeInTheDocument();
    expect(within(modal).getByLabelText('Tastes like')).toHaveValue('plum');
    fireEvent.click(within(modal).getByRole('button', { name: 'Keep the card' }));
    const { path, body } = await lastOf(written);
    expect(path).toBe('/api/runs/run/card');
    expect(body).toMatchObject({ cardId: 'card', purpose: 'milk', recipe: { grind: 14, grinderName: 'Lefty' } });
    expect(await screen.findByText('gone to /cards/card')).toBeInTheDocument();
  });

  it('gives up only after asking', async () => {
    const written = open(sheetView(steady(1)));
    fireEvent.click(await screen.findByRole('button', { name: 'Give up' }));
    const sure = await screen.findByRole('dialog');
    await act(async () => fireEvent.click(within(sure).getByRole('button', { name: 'Give up' })));
    expect((await lastOf(written)).body).toMatchObject({ status: 'given-up', revision: 1 });
    expect(written[0]!.body).not.toHaveProperty('lesson');
  });

  it('tells what a finished dial-in taught', async () => {
    const sheet = sheetView(steady(3));
    const slope = { mean: Math.log(0.09), precision: 100 };
    const lesson = { slope, balance: null, body: null, ratio: 2, middleSeconds: 30, temperatureC: 93 };
    sheet.run = { ...sheet.run, status: 'kept', lesson: { ...lesson, timedShots: 3, tastedShots: 0 } };
    sheet.grinder = { ...sheet.grinder, learnedSlope: { mean: 0.088, sd: 0.009, shots: 41 } };
    sheet.palates = [{ person: 'Ines', balance: 0.5, body: 0, balanceSd: 0.2, bodySd: 0.3, tastings: 31, marks: null }];
    open(sheet);
    const panel = await screen.findByRole('region', { name: 'What this dial-in taught' });
    expect(panel).toHaveTextContent('This dial-in by itself says 7.9–10.2 %');
    expect(panel).toHaveTextContent('8.8 % to the time (±0.9, from 41 shots)');
    expect(panel).toHaveTextContent('Nobody tasted');
    expect(panel).toHaveTextContent('Likes it clearly to the bitter side of balanced (+0.5 ±0.2, from 31 cups)');
  });

  it('says so when there is no such dial-in', async () => {
    fakeHouse({ '/api/runs/run/sheet': new Refusal(404, { detail: 'There is no such dial-in.', errors: [] }) });
    renderPage(<RunPage />, { path: '/dial-in/:runId', at: '/dial-in/run' });
    expect(await screen.findByText('There is no such dial-in.')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'To all dial-ins' })).toBeInTheDocument();
  });
});

function tasting(change: object) {
  const row = {
    revision: 1,
    changedBy: '',
    createdAt: '2026-03-01T06:00:00.000Z',
    updatedAt: '2026-03-01T06:00:00.000Z',
  };
  return { ...row, id: 't', shotId: 'a', person: '', ...change };
}
