import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import dayjs from 'dayjs';
import { fakeHouse, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { ShelfPage } from './ShelfPage';

const { coffee } = sheetView();

function open(coffees: object[], bags: object[] = [], stock: object = { bags: [], pace: [] }): Written[] {
  const { written } = fakeHouse({
    '/api/coffees': pageOf(coffees),
    '/api/bags': pageOf(bags),
    '/api/stock': stock,
  });
  renderPage(<ShelfPage />);
  return written;
}

const bag = { id: 'bag', coffeeId: 'coffee', weightGrams: 1000, priceCents: 2900, createdAt: '', revision: 1 };
const ago = (days: number): string => dayjs().subtract(days, 'day').format('YYYY-MM-DD');

describe('the shelf', () => {
  it('says how rested a coffee is, what is left, when it runs out and what a shot costs', async () => {
    open([coffee], [{ ...bag, roastedOn: ago(12), openedOn: ago(2) }], {
      bags: [{ bagId: 'bag', coffeeId: 'coffee', leftGrams: 240 }],
      pace: [{ coffeeId: 'coffee', gramsPerDay: 100, shotsPerDay: 5 }],
    });
    expect(await screen.findByRole('link', { name: 'Saltmarsh' })).toBeInTheDocument();
    expect(await screen.findByText('240')).toBeInTheDocument();
    expect(screen.getByText('at its best')).toBeInTheDocument();
    expect(
      screen.getByRole('img', { name: /12 days of age, at its best; best from day 10 to 28/ }),
    ).toBeInTheDocument();
    const weekday = dayjs().add(2, 'day').format('dddd');
    expect(screen.getByText(`runs out ${weekday} · €0.52 a shot`)).toBeInTheDocument();
    expect(screen.getByText('Runs out this week:').closest('p')).toHaveTextContent('Saltmarsh');
  });

  it('fills in a coffee from the text of its bag, and goes on to the bag itself', async () => {
    const written = open([coffee]);
    fireEvent.click(await screen.findByRole('button', { name: 'Add a coffee' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText(/text of the bag/), {
      target: { value: 'Gull Rock\nLight roast\n1850 masl\n250 g\nRoasted on 2026-11-03\nmade with care' },
    });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Fill in from it' }));
    expect(within(drawer).getByText(/Recognised: /)).toHaveTextContent('Left out: “made with care”.');
    expect(within(drawer).getByLabelText('Name')).toHaveValue('Gull Rock');
    expect(within(drawer).getByLabelText('Altitude, m')).toHaveValue('1850');
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ name: 'Gull Rock', roast: 'light', altitudeM: 1850 });
    const bagDrawer = await screen.findByRole('dialog', { name: /A new bag/ });
    expect(within(bagDrawer).getByLabelText('Weight when full, g')).toHaveValue('250');
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
    fireEvent.click(await screen.findByRole('button', { name: 'New bag of Saltmarsh' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText(/Price/), { target: { value: '31.90' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ coffeeId: 'coffee', weightGrams: 1000, priceCents: 3190 });
  });
});
