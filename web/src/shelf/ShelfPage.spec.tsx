import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import dayjs from 'dayjs';
import { fakeHouse, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { ShelfPage } from './ShelfPage';

const { coffee } = sheetView();

function open(coffees: object[], bags: object[] = []): Written[] {
  const { written } = fakeHouse({ '/api/coffees': pageOf(coffees), '/api/bags': pageOf(bags) });
  renderPage(<ShelfPage />);
  return written;
}

describe('the shelf', () => {
  it('says what stands on it, how old, and what was learned', async () => {
    const learnedTaste = {
      balance: { mean: 0.6, sd: 0.3 },
      body: { mean: 0, sd: 0.3 },
      ratio: 2,
      middleSeconds: 30,
      temperatureC: 93,
      shots: 9,
    };
    const bag = { id: 'bag', coffeeId: 'coffee', weightGrams: 1000, priceCents: 2900, createdAt: '', revision: 1 };
    const roastedOn = dayjs().subtract(12, 'day').format('YYYY-MM-DD');
    open(
      [{ ...coffee, learnedTaste }],
      [
        { ...bag, roastedOn },
        { ...bag, id: 'older' },
      ],
    );
    expect(await screen.findByRole('heading', { name: 'Saltmarsh' })).toBeInTheDocument();
    expect(screen.getByText('12 days')).toBeInTheDocument();
    expect(screen.getByText(/1 bag before/)).toBeInTheDocument();
    expect(screen.getByText(/Learned: At 1:2 in about 30 s it pours a bit bitter and full/)).toBeInTheDocument();
  });

  it('takes a new coffee, and asks for its name first', async () => {
    const written = open([]);
    fireEvent.click(await screen.findByRole('button', { name: 'Add a coffee' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect(await within(drawer).findByText('What is the coffee called?')).toBeInTheDocument();
    expect(written).toEqual([]);
    fireEvent.change(within(drawer).getByLabelText('Name'), { target: { value: 'Amber Roof' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ name: 'Amber Roof', roast: 'medium' });
  });

  it('takes a bag with its price in cents', async () => {
    const written = open([coffee]);
    fireEvent.click(await screen.findByRole('button', { name: 'New bag' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText(/Price/), { target: { value: '31.90' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ coffeeId: 'coffee', weightGrams: 1000, priceCents: 3190 });
  });

  it('takes a coffee off without what only the server knows', async () => {
    const written = open([coffee]);
    fireEvent.click(await screen.findByRole('button', { name: 'Edit Saltmarsh' }));
    fireEvent.click(await screen.findByRole('button', { name: 'No longer served' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ name: 'Saltmarsh', revision: 1 });
    expect(written[0]!.body).not.toHaveProperty('learnedTaste');
  });
});
