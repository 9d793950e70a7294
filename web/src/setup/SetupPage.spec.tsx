import { BODY_GOALS, FLAVOUR_GOALS, tasteTarget } from '@olvet/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, Refusal, renderPage, type Written } from '../../testing/house';
import { sheetView } from '../../testing/sheet.fixture';
import { SetupPage } from './SetupPage';

const { grinder, machine, basket, station, coffee } = sheetView();
type Put = Record<string, Record<string, unknown>>;

function open(known: boolean, more: Record<string, object> = {}): Written[] {
  const list = (row: object) => pageOf(known ? [row] : []);
  const { written } = fakeHouse({
    '/api/grinders': list(grinder),
    '/api/machines': list(machine),
    '/api/baskets': list(basket),
    '/api/stations': list(station),
    '/api/coffees': list({ ...coffee, roast: 'light' }),
    ...more,
  });
  renderPage(<SetupPage />, { path: '/setup' });
  return written;
}
const wordsOf = (goals: readonly { id: string; text: string }[], id: string) =>
  goals.find((goal) => goal.id === id)!.text;
const go = () => fireEvent.click(screen.getByRole('button', { name: 'First advice' }));
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('setting up', () => {
  it('asks a newcomer for names only; the rest is filled in', async () => {
    const written = open(false);
    await screen.findByRole('button', { name: 'First advice' });
    go();
    expect(await screen.findByText('What is the coffee called?')).toBeInTheDocument();
    expect(screen.getByText('Give the grinder a name')).toBeInTheDocument();
    type('Its name', 'Kelp Street');
    type('What you call it', 'Little grinder');
    type('Where it stands now', '15');
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    const body = written[0]!.body as Put;
    expect(body).toMatchObject({
      coffee: { name: 'Kelp Street', roast: 'medium' },
      grinder: { name: 'Little grinder', min: 0, max: 40 },
      basket: { nominalGrams: 18 },
      run: { status: 'open', startGrind: 15, methodId: 'balance-walk' },
    });
    expect(await screen.findByText(`gone to /dial-in/${String(written[0]!.body.runId)}`)).toBeInTheDocument();
  });

  it('lets dose and yield follow the basket', async () => {
    const written = open(false);
    await screen.findByRole('button', { name: 'First advice' });
    type('Its name', 'Kelp Street');
    type('What you call it', 'Little grinder');
    type('Basket, grams on its rim', '20');
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    expect((written[0]!.body as Put).run).toMatchObject({ target: { doseGrams: 20, yieldGrams: 40 } });
  });

  it('sends a basket without a figure through the dose finder', async () => {
    const written = open(false);
    await screen.findByRole('button', { name: 'First advice' });
    type('Its name', 'Kelp Street');
    type('What you call it', 'Little grinder');
    fireEvent.click(screen.getByText('no: find the dose first'));
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    expect((written[0]!.body as Put).basket).toMatchObject({ minGrams: 6, maxGrams: 24 });
    expect(await screen.findByText('gone to /measure/dose')).toBeInTheDocument();
  });

  it('takes the method that many hands, or a lever, call for', async () => {
    const written = open(false);
    await screen.findByRole('button', { name: 'First advice' });
    type('Its name', 'Kelp Street');
    type('What you call it', 'Little grinder');
    type('How many people pull here?', '4');
    expect(await screen.findByText(/4 people pull here/)).toBeInTheDocument();
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'What presses' }));
    fireEvent.click(await screen.findByText('a hand on the lever'));
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    const { run, machine: made } = written[0]!.body as Put;
    expect([run!.methodId, made!.preBrew]).toEqual(['hand-lever', 'lever']);
  });

  it('uses what the shop has, and the method that suits its coffee', async () => {
    const written = open(true);
    await screen.findByRole('button', { name: 'First advice' });
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    const { run, grinder: sent } = written[0]!.body as Put;
    expect(run).toMatchObject({ grinderId: 'grinder', coffeeId: 'coffee', methodId: 'open-light' });
    expect(sent ?? null).toBeNull();
  });

  it('aims at what the house wants of a coffee it knows, and of the next one chosen', async () => {
    const bright = {
      ...coffee,
      id: 'bright',
      name: 'Sand Spit',
      flavourGoal: 'bright',
      bodyGoal: 'light',
      drunkAs: 'milk',
    };
    const cocoa = { ...coffee, flavourGoal: 'cocoa' };
    const written = open(true, { '/api/coffees': pageOf([cocoa, bright]) });
    await screen.findByRole('button', { name: 'First advice' });
    expect(screen.getByText(wordsOf(FLAVOUR_GOALS, 'cocoa'))).toBeInTheDocument();
    fireEvent.mouseDown(screen.getByLabelText('Coffee', { selector: 'input' }));
    fireEvent.click(await screen.findByTitle('Sand Spit'));
    expect(await screen.findByText(wordsOf(BODY_GOALS, 'light'))).toBeInTheDocument();
    go();
    await waitFor(() => expect(written).toHaveLength(1));
    const { balance, body } = tasteTarget({ flavour: 'bright', body: 'light', drunkAs: 'milk' });
    expect(Math.abs(balance) + Math.abs(body)).toBeGreaterThan(0);
    const goal = 'bright, with clear acidity; light and clear';
    expect((written[0]!.body as Put).run).toMatchObject({ coffeeId: 'bright', goal, target: { balance, body } });
  });

  it('puts the server’s refusal at its field', async () => {
    const errors = [{ path: 'grinder.max', message: 'must be above the lower end of the scale' }];
    open(false);
    await screen.findByRole('button', { name: 'First advice' });
    const house = globalThis.fetch;
    globalThis.fetch = (input, init) =>
      (input as Request).method === 'GET'
        ? house(input, init)
        : Promise.resolve(
            new Response(JSON.stringify(new Refusal(400, { detail: 'Please correct.', errors }).body), {
              status: 400,
              headers: { 'content-type': 'application/json' },
            }),
          );
    type('Its name', 'Kelp Street');
    type('What you call it', 'Wrong way round');
    go();
    expect((await screen.findAllByText(/must be above the lower end/)).length).toBeGreaterThan(0);
    expect(screen.getByLabelText('What you call it')).toHaveValue('Wrong way round');
  });
});
