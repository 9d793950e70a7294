import { fireEvent, screen, waitFor } from '@testing-library/react';
import dayjs from 'dayjs';
import { fakeHouse, OVERTAKEN, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { CoffeePage } from './CoffeePage';

const { coffee, station } = sheetView();
const today = dayjs().format('YYYY-MM-DD');
const bag = { id: 'bag', coffeeId: 'coffee', weightGrams: 1000, roastedOn: '2026-03-01', revision: 3, frozen: [] };
const learnedTaste = {
  balance: { mean: 0.6, sd: 0.3 },
  body: { mean: 0, sd: 0.3 },
  ratio: 2,
  middleSeconds: 30,
  temperatureC: 93,
  shots: 9,
};

function open(bags: object[], change: object = {}, more: Record<string, object> = {}): Written[] {
  const { written } = fakeHouse({
    '/api/coffees/coffee': { ...coffee, ...change },
    '/api/bags': pageOf(bags),
    '/api/stock': { bags: [], pace: [] },
    '/api/stations': pageOf([station]),
    '/api/runs': pageOf([{ id: 'run' }]),
    '/api/start': { grind: 11.5, sd: 0.8, from: [] },
    ...more,
  });
  renderPage(<CoffeePage />, { path: '/shelf/:coffeeId', at: '/shelf/coffee' });
  return written;
}

describe('one coffee', () => {
  it('says what is wanted of it, what was learned, and where to start', async () => {
    open([bag], { learnedTaste, flavourGoal: 'fruit', bodyGoal: 'round', drunkAs: 'milk' });
    expect(await screen.findByText('sweet fruit, acidity in front; round; drunk with milk.')).toBeInTheDocument();
    expect(screen.getByText(/At 1:2 in about 30 s it pours a bit bitter and round/)).toBeInTheDocument();
    expect(await screen.findByText('11.5')).toBeInTheDocument();
  });

  it('freezes a bag and thaws it, keeping the spells', async () => {
    const written = open([bag]);
    fireEvent.click(await screen.findByRole('button', { name: 'Freeze' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ frozen: [{ from: today, to: null }], revision: 3 });
  });

  it('ends the last spell when it thaws', async () => {
    const written = open([{ ...bag, frozen: [{ from: '2026-03-05', to: null }] }]);
    fireEvent.click(await screen.findByRole('button', { name: 'Thawed' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ frozen: [{ from: '2026-03-05', to: today }] });
  });

  it('counts on from a weighing', async () => {
    const written = open([bag]);
    fireEvent.click(await screen.findByRole('button', { name: 'Weigh it' }));
    fireEvent.change(await screen.findByLabelText('Grams left'), { target: { value: '412' } });
    fireEvent.click(screen.getByRole('button', { name: 'Count on from here' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ weighedGrams: 412 });
    expect(written[0]!.body.weighedAt).toMatch(/^20/);
  });

  it('takes a coffee off without what only the server knows', async () => {
    const written = open([]);
    fireEvent.click(await screen.findByRole('button', { name: 'Edit' }));
    fireEvent.click(await screen.findByRole('button', { name: 'No longer served' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ name: 'Saltmarsh', revision: 1 });
    expect(written[0]!.body).not.toHaveProperty('learnedTaste');
  });

  it('says so where it could not be taken off', async () => {
    open([], {}, { 'PUT /api/coffees/coffee': OVERTAKEN });
    fireEvent.click(await screen.findByRole('button', { name: 'Edit' }));
    fireEvent.click(await screen.findByRole('button', { name: 'No longer served' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Someone else changed this in the meantime.');
    expect(screen.getByRole('button', { name: 'No longer served' })).toBeInTheDocument();
  });

  it('corrects a bag as it stands now', async () => {
    let stored: object = bag;
    const written = open([], {}, { '/api/bags': () => pageOf([stored]), 'PUT /api/bags/bag': OVERTAKEN });
    fireEvent.click((await screen.findAllByRole('button', { name: 'Edit' }))[1]!);
    fireEvent.change(await screen.findByLabelText('Price, EUR'), { target: { value: '28' } });
    stored = { ...bag, weightGrams: 250, roastedOn: '2026-03-04', revision: 4 };
    for (const tries of [1, 2]) {
      fireEvent.click(screen.getByRole('button', { name: 'Save' }));
      await waitFor(() => expect(written).toHaveLength(tries));
      await waitFor(() => expect(screen.getByLabelText('Weight when full, g')).toHaveValue('250'));
    }
    expect(written[1]!.body).toMatchObject({
      weightGrams: 250,
      roastedOn: '2026-03-04',
      priceCents: 2800,
      revision: 4,
    });
  });
});
