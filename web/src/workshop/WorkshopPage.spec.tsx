import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { SHOP, fakeHouse, OVERTAKEN, pageOf, Refusal, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { ONCE_MORE } from '../parts/useFollowing';
import { WorkshopPage } from './WorkshopPage';

const { grinder, machine, basket, station, coffee } = sheetView();
const INES_MARKS = {
  overall: { best: { mean: 8.42, sd: 0.2 }, loss: { mean: 1.2, sd: 0.2 }, cups: 31 },
  sweetness: null,
};
const taught = { ...grinder, learnedSlope: { mean: 0.088, sd: 0.012, shots: 41 } };

function open(tab: string, more: Record<string, object> = {}): Written[] {
  const { written } = fakeHouse({
    '/api/grinders': pageOf([taught]),
    '/api/machines': pageOf([machine]),
    '/api/baskets': pageOf([basket]),
    '/api/stations': pageOf([station]),
    '/api/coffees': pageOf([coffee]),
    '/api/palates': [
      { person: 'Ines', balance: 0.5, body: 0, balanceSd: 0.2, bodySd: 0.3, tastings: 31, marks: INES_MARKS },
    ],
    ...more,
  });
  renderPage(<WorkshopPage />, { path: '/workshop', at: `/workshop?tab=${tab}` });
  return written;
}

describe('the workshop', () => {
  it('names what cannot be right, and leads to it', async () => {
    const row = {
      kind: 'shots',
      id: 's',
      path: 'firstDripSeconds',
      message: 'is late',
      name: '2026-03-01',
      within: 'r',
    };
    open('stations', { '/api/corrections': [row] });
    expect(await screen.findByRole('link', { name: 'Shot of 2026-03-01' })).toHaveAttribute('href', '/dial-in/r');
  });

  it('shows what was learned of a grinder and edits it without writing what only the server knows', async () => {
    const written = open('grinders');
    expect(
      await screen.findByText(/one unit finer adds 8.8 % to the time \(±1.2, from 41 shots\)/),
    ).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Edit Lefty' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Purge, g'), { target: { value: '15' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.path).toBe('/api/grinders/grinder');
    expect(Object.keys(written[0]!.body).sort()).toEqual(
      ['dosing', 'finer', 'max', 'min', 'name', 'purgeGrams', 'retiredAt', 'revision', 'step'].filter(
        (name) => name in written[0]!.body,
      ),
    );
    expect(written[0]!.body).toMatchObject({ purgeGrams: 15, revision: 1 });
  });

  it.each(['grinders', 'machines', 'baskets', 'stations'])(
    'retires one of the %s with its own fields only',
    async (tab) => {
      const written = open(tab);
      fireEvent.click(await screen.findByRole('button', { name: /^Edit / }));
      fireEvent.click(await screen.findByRole('button', { name: 'Retire it' }));
      await waitFor(() => expect(written).toHaveLength(1));
      for (const serversOwn of ['id', 'createdAt', 'updatedAt', 'learnedSlope']) {
        expect(written[0]!.body).not.toHaveProperty(serversOwn);
      }
      expect(written[0]!.body.retiredAt).toMatch(/^20/);
    },
  );

  it('keeps the editor open with what was typed while the list behind it cannot be read', async () => {
    const { replies } = fakeHouse({
      '/api/baskets': pageOf([basket]),
      'PUT /api/baskets/basket': new Refusal(503, { detail: 'Out of order.', errors: [] }),
    });
    renderPage(<WorkshopPage />, { path: '/workshop', at: '/workshop?tab=baskets' });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit / }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Name'), { target: { value: 'Twin' } });
    // The refused write has the list read again, which fails as well.
    replies['/api/baskets'] = new Refusal(503, { detail: 'Out of order.', errors: [] });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect((await within(drawer).findAllByText('Out of order.')).length).toBeGreaterThan(0);
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(within(screen.getByRole('dialog')).getByLabelText('Name')).toHaveValue('Twin');
  });

  it('puts a refusal at its field and keeps what was typed', async () => {
    open('baskets', {
      'PUT /api/baskets/basket': new Refusal(422, {
        detail: 'There is one already.',
        errors: [{ path: 'name', message: 'is taken: choose another' }],
      }),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit / }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Name'), { target: { value: 'Twin' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect((await within(drawer).findAllByText(/is taken: choose another/)).length).toBeGreaterThan(0);
    expect(within(drawer).getByLabelText('Name')).toHaveValue('Twin');
  });

  it('follows another tablet that was faster, keeps what was typed, and saves over what stands', async () => {
    let stored: object = taught;
    const { written, replies } = fakeHouse({
      '/api/grinders': () => pageOf([stored]),
      'PUT /api/grinders/grinder': OVERTAKEN,
    });
    renderPage(<WorkshopPage />, { path: '/workshop', at: '/workshop?tab=grinders' });
    fireEvent.click(await screen.findByRole('button', { name: 'Edit Lefty' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Purge, g'), { target: { value: '15' } });
    stored = { ...taught, name: 'Lefty the second', purgeGrams: 8, revision: 2 };
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect(await within(drawer).findByText(ONCE_MORE)).toBeInTheDocument();
    await waitFor(() => expect(within(drawer).getByLabelText('Name')).toHaveValue('Lefty the second'));
    expect(within(drawer).getByLabelText('Purge, g')).toHaveValue('15');
    delete replies['PUT /api/grinders/grinder'];
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body).toMatchObject({ name: 'Lefty the second', purgeGrams: 15, revision: 2 });
  });

  it('does so for the house itself', async () => {
    let stored: object = SHOP;
    const { written, replies } = fakeHouse({ '/api/shop': () => stored, 'PUT /api/shop': OVERTAKEN });
    renderPage(<WorkshopPage />, { path: '/workshop', at: '/workshop?tab=shop' });
    fireEvent.change(await screen.findByLabelText('Currency'), { target: { value: 'SEK' } });
    stored = { ...SHOP, name: 'Lantern Quay', revision: 2 };
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getByLabelText('Name of the house')).toHaveValue('Lantern Quay'));
    expect(screen.getByText(ONCE_MORE)).toBeInTheDocument();
    delete replies['PUT /api/shop'];
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body).toMatchObject({ name: 'Lantern Quay', currency: 'SEK', revision: 2 });
  });

  it('follows in a field that was typed in and saved, too', async () => {
    let stored: object = SHOP;
    const { written, replies } = fakeHouse({ '/api/shop': () => stored });
    renderPage(<WorkshopPage />, { path: '/workshop', at: '/workshop?tab=shop' });
    fireEvent.change(await screen.findByLabelText('Currency'), { target: { value: 'sek' } });
    stored = { ...SHOP, currency: 'SEK', revision: 2 };
    const save = screen.getByRole('button', { name: 'Save' });
    fireEvent.click(save);
    expect(await screen.findByText('Saved.')).toBeInTheDocument();
    await waitFor(() => expect(screen.getByLabelText('Currency')).toHaveValue('SEK'));
    replies['PUT /api/shop'] = OVERTAKEN;
    stored = { ...SHOP, currency: 'NOK', revision: 3 };
    fireEvent.click(save);
    await waitFor(() => expect(screen.getByLabelText('Currency')).toHaveValue('NOK'));
    expect(written.map(({ body }) => body.revision)).toEqual([1, 2]);
  });

  it('sets a machine in °F where the shop reads it, and keeps °C', async () => {
    const shop = { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'F', revision: 1 };
    const written = open('machines', { '/api/shop': shop });
    expect(await screen.findByText(/190–207 °F in steps of 0.9/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Edit Twin' }));
    const drawer = await screen.findByRole('dialog');
    const highest = within(drawer).getByLabelText('Highest, °F');
    fireEvent.change(highest, { target: { value: '' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect(await within(drawer).findByText('A number is needed here')).toBeInTheDocument();
    expect(written).toEqual([]);
    fireEvent.change(highest, { target: { value: '212' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ temperatureC: { min: 88, max: 100, step: 0.5 } });
  });

  it.each([
    ['another grinder, whose scale is another', 'Grinder', 'Tern', null],
    ['another coffee on a grinder whose recipes know better', 'Coffee', 'Fogbell', null],
    ['another basket', 'Basket', 'small', 14],
  ])('keeps a station’s setting or not: %s', async (_what, label, other, grind) => {
    const written = open('stations', {
      '/api/stations': pageOf([{ ...station, grind: 14 }]),
      '/api/grinders': pageOf([taught, { ...taught, id: 'tern', name: 'Tern' }]),
      '/api/coffees': pageOf([coffee, { ...coffee, id: 'fogbell', name: 'Fogbell' }]),
      '/api/baskets': pageOf([basket, { ...basket, id: 'small', name: 'small' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit / }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.mouseDown(within(drawer).getByRole('combobox', { name: label }));
    fireEvent.click(await screen.findByTitle(other));
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body.grind).toBe(grind);
  });

  it('takes a setting typed for a station', async () => {
    const written = open('stations', { '/api/stations': pageOf([{ ...station, grind: 14 }]) });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit / }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('It stands at (optional)'), { target: { value: '12,5' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body.grind).toBe(12.5);
  });

  it('makes a new basket under an id of its own', async () => {
    const written = open('baskets');
    fireEvent.click(await screen.findByRole('button', { name: /^Add a basket/ }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Name'), { target: { value: '14 g straight' } });
    for (const [label, value] of [
      ['On its rim, g', '14'],
      ['Least, g', '13'],
      ['Most, g', '15.5'],
    ] as const) {
      fireEvent.change(within(drawer).getByLabelText(label), { target: { value } });
    }
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.path).toMatch(/^\/api\/baskets\/[0-9a-f-]{36}$/);
    expect(written[0]!.body).toMatchObject({ name: '14 g straight', nominalGrams: 14, minGrams: 13, maxGrams: 15.5 });
  });

  it('lets a taster start over', async () => {
    const written = open('tasters');
    const row = await screen.findByText(/Likes it clearly to the bitter side of balanced/);
    expect(row).toHaveTextContent('Marks such a cup about 8.4 of 10, and takes off 1.2 for a point away from it.');
    fireEvent.click(screen.getByRole('button', { name: 'Start over with Ines' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Start over' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.path).toBe('/api/palates/Ines');
    expect(written[0]!.body.forgetBefore).toMatch(/^20/);
  });

  it('says so while nobody has marked enough cups', async () => {
    open('tasters', { '/api/palates': [] });
    expect(await screen.findByText('Nobody has marked five cups yet.')).toBeInTheDocument();
  });
});
