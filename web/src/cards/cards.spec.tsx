import { fireEvent, screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, Refusal, renderPage } from '../../testing/house';
import { recipeDto } from '../../testing/sheet.fixture';
import { CardPage } from './CardPage';
import { CardsPage } from './CardsPage';

const recipe = recipeDto({ grind: 11.5, yieldGrams: 37 });
const version = (n: number, change: object = {}) => ({
  id: `v${n}`,
  version: n,
  runId: `run${n}`,
  recipe: { ...recipe, ...change },
  tastesLike: 'plum and cocoa',
  setBy: 'Ines',
  note: n > 1 ? 'new bag' : '',
  createdAt: '2026-03-01T06:41:00.000Z',
});
const card = {
  id: 'card',
  name: 'Saltmarsh',
  purpose: 'black',
  coffeeName: 'Saltmarsh',
  stationName: 'Left bar',
  latest: version(2),
  proposals: [],
  reference: null,
};

describe('the cards', () => {
  it('are listed with their recipe, and lead to each', async () => {
    fakeHouse({ '/api/cards': pageOf([card]) });
    renderPage(<CardsPage />, { path: '/cards' });
    const row = await screen.findByRole('link', { name: /Saltmarsh/ });
    expect(row).toHaveTextContent('18 → 37 g 1:2.1');
    expect(row).toHaveTextContent('27–33 s');
    expect(row).toHaveTextContent('version 2');
    fireEvent.click(row);
    expect(await screen.findByText('gone to /cards/card')).toBeInTheDocument();
  });

  it('say what time the recipe was found at, and let a person move it', async () => {
    const found = { seconds: 29.6, sd: 1.25, shots: 14 };
    const latest = { ...version(2), found };
    const { written } = fakeHouse({ '/api/cards/card': { ...card, latest, versions: [latest, version(1)] } });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    expect(await screen.findByText(/Found at 29.6 s, single shots ±1.3 s \(14 shots\)/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Move it' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Make it a new version' }));
    expect(await screen.findByText('Say why, for the next shift')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Time, s'), { target: { value: '28' } });
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'sweeter' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make it a new version' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]).toMatchObject({ path: '/api/cards/card/found-time', body: { seconds: 28, note: 'sweeter' } });
  });

  it('tell a newcomer what a card is', async () => {
    fakeHouse({ '/api/cards': pageOf([]) });
    renderPage(<CardsPage />);
    expect(await screen.findByText('No card yet')).toBeInTheDocument();
  });

  it('show one recipe whole, in the shop’s unit, with what changed between versions', async () => {
    const shop = { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'F', revision: 1 };
    fakeHouse({
      '/api/shop': shop,
      '/api/cards/card': { ...card, versions: [version(2), version(1, { grind: 12.5, yieldGrams: 36 })] },
    });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    expect(await screen.findByText('Tastes like plum and cocoa')).toBeInTheDocument();
    expect(await screen.findByText('199')).toBeInTheDocument();
    expect(screen.getByText(/12.5 → 11.5/)).toBeInTheDocument();
    expect(screen.getAllByRole('link', { name: 'its dial-in' })).toHaveLength(2);
  });

  it('say so when a card is not there', async () => {
    fakeHouse({ '/api/cards/card': new Refusal(404, { detail: 'There is no such card.', errors: [] }) });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    expect(await screen.findByText('There is no such card.')).toBeInTheDocument();
  });
});

describe('a proposal on a card', () => {
  const latest = version(2);
  const proposal = {
    ...{ id: 'p1', cardId: 'card', recipe: { ...latest.recipe, yieldGrams: 39 }, tastesLike: 'plum and cocoa' },
    ...{ note: 'sweeter', proposedBy: 'Tomas', createdAt: '2026-03-02T06:41:00.000Z', answer: null },
  };
  const detail = { ...card, latest, versions: [latest, version(1)], proposals: [proposal] };

  it('says what it would change, and is made current with one tap', async () => {
    const { written } = fakeHouse({ '/api/cards/card': detail });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    const row = (await screen.findByText('yield g 37 → 39')).closest('li')!;
    expect(row).toHaveTextContent('Tomas');
    fireEvent.click(screen.getByRole('button', { name: 'Make it current' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]).toMatchObject({ path: '/api/card-proposals/p1/answer', body: { answer: 'taken' } });
  });

  it('is made from the card as it stands, with a reason', async () => {
    const { written } = fakeHouse({ '/api/cards/card': { ...detail, proposals: [] } });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    fireEvent.click(await screen.findByRole('button', { name: 'Propose a change' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Say why, for whoever decides')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'longer' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Nothing is changed yet/)).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Yield, g'), { target: { value: '40' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ note: 'longer', recipe: { yieldGrams: 40, grind: 11.5 } });
  });
});

describe('the shot a card was kept from', () => {
  it('is drawn with its stream, and said in words', async () => {
    const reference = [...Array<number>(7).fill(0), ...Array.from({ length: 20 }, (_, i) => 1.9 * (i + 1))];
    const latest = version(1);
    fakeHouse({ '/api/cards/card': { ...card, latest, versions: [latest], reference } });
    renderPage(<CardPage />, { path: '/cards/:cardId', at: '/cards/card' });
    expect(
      await screen.findByRole('img', { name: /First drop at 7 s, ten grams at 12 s, 38 g at 26 s/ }),
    ).toBeInTheDocument();
  });
});
