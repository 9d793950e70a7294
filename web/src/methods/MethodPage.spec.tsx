import { METHODS } from '@olvet/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { fakeHouse, heartInPlace, OVERTAKEN, pageOf, renderPage, type Written } from '../../testing/house';
import { sheetView, shotView } from '../../testing/sheet.fixture';
import { MethodPage } from './MethodPage';

jest.mock('../worker/heart', () => ({ heart: () => heartInPlace, historianHeart: () => heartInPlace }));

const shots = [shotView('a', { timeSeconds: 22 })];
const sheet = sheetView(shots);
const own = {
  id: '01890000-0000-7000-8000-000000000001',
  revision: 2,
  name: 'Quay rule',
  basedOn: 'one-lever',
  method: { ...METHODS[0]!, id: '01890000-0000-7000-8000-000000000001', name: 'Quay rule' },
};

function open(id: string, more: Record<string, object> = {}): Written[] {
  const { written } = fakeHouse({
    '/api/methods': pageOf([own]),
    '/api/stations': pageOf([sheet.station]),
    '/api/coffees': pageOf([sheet.coffee]),
    '/api/machines': pageOf([sheet.machine]),
    '/api/runs': pageOf([{ ...sheet.run, status: 'kept', coffeeName: 'Saltmarsh', methodName: 'Balance walk' }]),
    '/api/runs/run/sheet': sheet,
    ...more,
  });
  renderPage(<MethodPage />, { path: '/methods/:methodId', at: `/methods/${id}` });
  return written;
}

describe('a method', () => {
  it('is readable: what it holds, its order, where methods disagree, where it suits', async () => {
    open('balance-walk');
    expect(await screen.findByRole('heading', { name: 'Balance walk' })).toBeInTheDocument();
    expect(screen.getByText('Where does the window lie?')).toBeInTheDocument();
    expect(screen.getByText('by as many shots as the odds ask for')).toBeInTheDocument();
    expect(await screen.findByText('Saltmarsh at Left bar')).toBeInTheDocument();
  });

  it('shows what it would have advised on a past dial-in', async () => {
    open('one-lever');
    const table = await screen.findByRole('table');
    expect(within(table).getByRole('columnheader', { name: 'Balance walk, as it was' })).toBeInTheDocument();
    expect(within(table).getByRole('row', { name: /^shot 1/ })).toHaveTextContent(/Finer, 14 →/);
  });

  it('is cloned, refused with the field that is wrong, then kept', async () => {
    const written = open('one-lever');
    fireEvent.click(await screen.findByRole('button', { name: 'Make our own of it' }));
    const drawer = await screen.findByRole('dialog');
    expect(within(drawer).getByLabelText('Name')).toHaveValue('Our One lever');
    fireEvent.change(within(drawer).getByLabelText('to, s'), { target: { value: '20' } });
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    expect(await within(drawer).findByText('must end later than it begins')).toBeInTheDocument();
    expect(written).toEqual([]);
    fireEvent.change(within(drawer).getByLabelText('to, s'), { target: { value: '29' } });
    expect(within(drawer).getByLabelText('at least one')).toBeChecked();
    fireEvent.click(within(drawer).getByLabelText('two'));
    fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({
      basedOn: 'one-lever',
      method: { name: 'Our One lever', windowSeconds: { min: 25, max: 29 }, confirmShots: 2 },
    });
  });

  it('of the shop’s own is retired without losing it', async () => {
    const written = open(own.id);
    fireEvent.click(await screen.findByRole('button', { name: 'Retire it' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({ basedOn: 'one-lever', revision: 2 });
    expect(written[0]!.body.retiredAt).toMatch(/^20/);
  });

  it('of the shop’s own that another tablet changed is loaded by the refusal: the next tap retires it as it stands', async () => {
    let stored = own;
    const more = { '/api/methods': () => pageOf([stored]), [`PUT /api/methods/${own.id}`]: OVERTAKEN };
    const written = open(own.id, more);
    const retire = await screen.findByRole('button', { name: 'Retire it' });
    stored = { ...own, revision: 3, name: 'Pier rule', method: { ...own.method, name: 'Pier rule' } };
    fireEvent.click(retire);
    expect(await screen.findByText(/What stands now has been loaded/)).toBeInTheDocument();
    expect(await screen.findByRole('heading', { name: 'Pier rule' })).toBeInTheDocument();
    fireEvent.click(retire);
    await waitFor(() => expect(written).toHaveLength(2));
    expect(written[1]!.body).toMatchObject({ name: 'Pier rule', revision: 3 });
  });

  it('of the shop’s own keeps what another tablet changed beside what was typed, figure by figure', async () => {
    let stored = own;
    const more = { '/api/methods': () => pageOf([stored]), [`PUT /api/methods/${own.id}`]: OVERTAKEN };
    const written = open(own.id, more);
    fireEvent.click(await screen.findByRole('button', { name: 'Edit' }));
    const drawer = await screen.findByRole('dialog');
    fireEvent.change(within(drawer).getByLabelText('Start dose, g'), { target: { value: '17' } });
    const { method } = own;
    const start = { ...method.start, ratio: 2.2 };
    stored = { ...own, revision: 3, method: { ...method, start, locks: ['dose', 'yield'] } } as typeof own;
    for (const tries of [1, 2]) {
      fireEvent.click(within(drawer).getByRole('button', { name: 'Save' }));
      await waitFor(() => expect(written).toHaveLength(tries));
      await waitFor(() => expect(within(drawer).getByLabelText('Start ratio, 1 to')).toHaveValue('2.2'));
    }
    expect(written[1]!.body).toMatchObject({
      revision: 3,
      method: { start: { doseGrams: 17, ratio: 2.2 }, locks: ['dose', 'yield'] },
    });
  });

  it('says so where there is none', async () => {
    open('nothing');
    expect(await screen.findByText('There is no such method here.')).toBeInTheDocument();
  });
});
