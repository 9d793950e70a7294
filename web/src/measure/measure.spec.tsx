import { fireEvent, screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { MeasurePage } from './MeasurePage';

const sheet = sheetView();
const { basket, coffee, grinder, machine, station, run } = sheet;
const model = {
  gramsPerSecond: 4.2,
  lagSeconds: 0.4,
  logRatePerFiner: 0.04,
  atGrind: 14,
  finer: 'lower',
  weighings: 3,
  covariance: [0.0004, 0, 0, 0, 0.002, 0, 0, 0, 0.0001],
};

function open(tool: string, more: Record<string, object> = {}, query = ''): Written[] {
  const { written } = fakeHouse({
    '/api/baskets': pageOf([basket, { ...basket, id: 'small', name: '14 g', nominalGrams: 14 }]),
    '/api/coffees': pageOf([coffee]),
    '/api/grinders': pageOf([grinder]),
    '/api/machines': pageOf([{ ...machine, preBrew: 'valve' }]),
    '/api/stations': pageOf([{ ...station, grind: 14 }]),
    '/api/doses': pageOf([]),
    '/api/runs': pageOf([{ ...run, coffeeName: 'Saltmarsh', stationName: 'Left bar', methodName: 'Balance walk' }]),
    '/api/runs/run/sheet': sheet,
    '/api/weighings/of/grinder': { weighings: [], model: null, creep: null },
    ...more,
  });
  renderPage(<MeasurePage />, { path: '/measure/:tool?', at: `/measure/${tool}${query}` });
  return written;
}

const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const type = async (label: RegExp, value: string) =>
  fireEvent.change(await screen.findByLabelText(label, { selector: 'input' }), { target: { value } });

describe('measuring', () => {
  it('lists its tools, each in one sentence', async () => {
    open('');
    expect(await screen.findByText('How long a timed grinder must run, from a few weighings.')).toBeInTheDocument();
  });

  it('finds a dose by bisection and keeps it', async () => {
    const written = open('dose');
    const grams = async () => Number((await screen.findByText(/^Weigh .* g\.$/)).textContent!.slice(6, -3));
    const right = 16.9;
    for (let i = 0; i < 4 && screen.queryByText(/fills it/) === null; i += 1) {
      const asked = await grams();
      await press(asked - right > 0.3 ? 'Deep print' : right - asked > 0.3 ? 'No print' : 'Faint print');
    }
    expect(await screen.findByText(/fills it/)).toBeInTheDocument();
    await press(/^Keep .* g for Saltmarsh$/);
    await waitFor(() => expect(written).toHaveLength(1));
    const kept = written[0]!.body as { grams: number; how: string };
    expect(Math.abs(kept.grams - right)).toBeLessThanOrEqual(0.3);
    expect(kept.how).toBe('coin');
  });

  it('takes a wrong answer out again, and says when prints contradict each other', async () => {
    open('dose');
    await press('No print');
    await type(/in the basket/, '15');
    await press('Deep print');
    expect(await screen.findByRole('alert')).toHaveTextContent('contradict');
    fireEvent.click(screen.getAllByRole('button', { name: 'Take out' })[1]!);
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  it('lets the puck of a shot have a say, a smaller one', async () => {
    open('dose');
    await press('Faint print');
    const before = (await screen.findByText(/^So far/, { exact: false })).textContent!;
    await press('marked by the screen');
    expect(await screen.findByText(/puck marked by the screen/)).toBeInTheDocument();
    expect(screen.getByText(/^So far/, { exact: false }).textContent).not.toBe(before);
  });

  it('aims the dial-in that waits for it at the dose it found, yield in ratio, and goes there', async () => {
    const written = open('dose', { '/api/runs/run': run }, '?basket=basket&coffee=coffee&run=run');
    fireEvent.click(await screen.findByText('without a scale'));
    await press(/^Keep 17.6 g/);
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]).toMatchObject({
      path: '/api/runs/run',
      body: { target: { doseGrams: 17.6, yieldGrams: 35.2 } },
    });
    expect(await screen.findByText('gone to /dial-in/run')).toBeInTheDocument();
  });

  it('gives a dose without a scale, with its wide tolerance', async () => {
    const written = open('dose');
    fireEvent.click(await screen.findByText('without a scale'));
    expect(await screen.findByText(/About 17.6 g, ±1 g/)).toBeInTheDocument();
    await press(/^Keep 17.6 g/);
    await waitFor(() => expect(written[0]?.body).toMatchObject({ how: 'strike', toleranceGrams: 1 }));
  });

  it('begins a timed dose with one weighing', async () => {
    const written = open('timed');
    expect(await screen.findByText('Weigh one dose to begin.')).toBeInTheDocument();
    await type(/ran for/, '4.5');
    await type(/gave/, '18.2');
    await press('Save weighing');
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ grinderId: 'grinder', seconds: 4.5, grams: 18.2, grind: 14 });
  });

  it('says how long to grind, what finer does to it, and warns of a creeping dose', async () => {
    open('timed', { '/api/weighings/of/grinder': { weighings: [], model, creep: 'up' } });
    expect(await screen.findByText('Grind 4.7 s')).toBeInTheDocument();
    expect(screen.getByText('Finer by 1: about 0.7 g less, set 4.9 s.')).toBeInTheDocument();
    expect(screen.getByRole('alert')).toHaveTextContent('Correct the grind first');
    await type(/wanted dose/, '16');
    expect(await screen.findByText('Grind 4.2 s')).toBeInTheDocument();
  });

  it('tells a dial-in what fingers felt', async () => {
    const written = open('hand');
    await press(/Pours apart/);
    await press('Tell the dial-in of Saltmarsh');
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]).toMatchObject({ path: '/api/runs/run', body: { handCheck: 'too-coarse' } });
    // Names belong to the list, not to the dial-in: the server would refuse them.
    expect(Object.keys(written[0]!.body).filter((key) => key.endsWith('Name'))).toEqual([]);
  });

  it('tells the dial-in that sent one here, whichever is newest', async () => {
    const asked = { ...sheet, run: { ...run, id: 'asked' }, coffee: { ...coffee, name: 'Mole End' } };
    const written = open('hand?run=asked', { '/api/runs/asked/sheet': asked });
    await press(/Pours apart/);
    await press('Tell the dial-in of Mole End');
    await waitFor(() => expect(written.map(({ path }) => path)).toEqual(['/api/runs/asked']));
  });

  it('tells a closed dial-in nothing', async () => {
    const asked = { ...sheet, run: { ...run, id: 'asked', status: 'given-up' } };
    open('hand?run=asked', { '/api/runs/asked/sheet': asked });
    expect(await screen.findByText(/That dial-in is closed/)).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: /^Tell/ })).not.toBeInTheDocument();
  });

  it('turns a valve towards its target and remembers the turns', async () => {
    const valveReadings = [{ turns: 0, grams: 70 }];
    const written = open('valve', { '/api/machines': pageOf([{ ...machine, preBrew: 'valve', valveReadings }]) });
    expect(await screen.findByText(/Close it one turn, clockwise/)).toBeInTheDocument();
    await type(/water in 30 s/, '52');
    await press('Save reading');
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body.valveReadings).toEqual([...valveReadings, { turns: 1, grams: 52 }]);
    expect(written[0]!.body).not.toHaveProperty('firstDrip');
  });

  it('keeps what a machine shows and has', async () => {
    const written = open('machine');
    await type(/the display says/, '93');
    await type(/the thermometer says/, '91');
    await press('Save reading');
    await waitFor(() => expect(written[0]?.body.temperatureReadings).toEqual([{ shownC: 93, measuredC: 91 }]));
    await type(/first drip after/, '7.5');
    await press('Save drip');
    await waitFor(() => expect(written[1]?.body.firstDripReadings).toEqual([7.5]));
  });

  it('reads a machine in °F where the shop does, and keeps °C', async () => {
    const shop = { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'F', revision: 1 };
    const off = { ...machine, temperatureOffset: { mean: -2, sd: 0.5, readings: 3 } };
    const written = open('machine', { '/api/shop': shop, '/api/machines': pageOf([off]) });
    expect(await screen.findByText('3.6 °F cooler than shown, ±0.9.')).toBeInTheDocument();
    await type(/^the display says/, '200');
    await type(/^the thermometer says/, '197');
    await press('Save reading');
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body.temperatureReadings).toEqual([{ shownC: 93.33, measuredC: 91.67 }]);
  });

  it('gives the third of dose, yield and ratio, and carries a recipe to another basket', async () => {
    const cell = { doseGrams: 14, yieldGrams: 28, ratio: 2, timeSeconds: { min: 23, max: 28 }, saved: null };
    const cells = ['short', 'normal', 'long'].map((length) => ({ ...cell, length, grind: 8, unitsFiner: 6 }));
    const baskets = [{ basketId: 'small', name: '14 g', size: 'double', isCard: false, shots: 0, cells }];
    const card = { cardId: 'card', name: 'Saltmarsh', version: 1, grinderName: 'Lefty', grind: 14, timer: 'pump-on' };
    open('ratio', { '/api/basket-table': { card, baskets } });
    expect(await screen.findByText('1:2, normal')).toBeInTheDocument();
    await type(/^ratio, 1 to/, '1.5');
    expect(await screen.findByText(/1:1.5, ristretto/)).toBeInTheDocument();
    expect(screen.getByLabelText(/^yield/, { selector: 'input' })).toHaveValue('27');
    const small = await screen.findByRole('row', { name: /14 g/ });
    expect(small).toHaveTextContent('28 g');
    expect(small).toHaveTextContent('6 finer');
  });

  it('says what glasses and small levers weigh, and how far that strays', async () => {
    open('old');
    expect(await screen.findByText(/40 g \(37.5–42.9\)/)).toBeInTheDocument();
    expect(screen.getByText(/15 g \(14–16\)/)).toBeInTheDocument();
    await type(/^glass/, '30');
    expect(await screen.findByText(/20 g \(18.8–21.4\)/)).toBeInTheDocument();
  });
});
