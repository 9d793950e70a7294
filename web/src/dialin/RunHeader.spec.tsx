import { METHODS } from '@olvet/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, renderPage, type Written } from '../../testing/house';
import { shotView, sheetView } from '../../testing/sheet.fixture';
import type { SheetView } from '../app/api';
import { RunHeader } from './RunHeader';

function open(sheet: SheetView, methods: object[] = []): Written[] {
  const { written } = fakeHouse({ '/api/methods': pageOf(methods) });
  renderPage(<RunHeader sheet={sheet} />);
  return written;
}
const withRun = (change: object, shots = [shotView('a'), shotView('b')]): SheetView => {
  const sheet = sheetView(shots);
  return { ...sheet, run: { ...sheet.run, ...change } };
};
const choose = async (name: string, option: string) => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name }));
  fireEvent.click(await screen.findByTitle(option));
};

describe('the head of a run sheet', () => {
  it.each([
    [4, 'shots, 2 left'],
    [2, 'shots, none left'],
    [1, 'shots, 1 over'],
    [null, 'shots'],
  ])('counts a budget of %p down', (budgetShots, words) => {
    open(withRun({ budgetShots }));
    expect(screen.getByText(words)).toBeInTheDocument();
  });

  it('says what the coffee used has cost', async () => {
    open(withRun({}));
    expect(await screen.findByText(/coffee, .*1\.04/)).toBeInTheDocument();
  });

  it('counts the coffee where nobody knows its price', () => {
    open({ ...withRun({}), centsPerGram: null });
    expect(screen.getByText('coffee used')).toBeInTheDocument();
  });
});

describe('another method midway', () => {
  it('brings its window and its clock, and leaves dose and yield', async () => {
    const written = open(withRun({}));
    await choose('Method', 'Slow soak');
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({
      methodId: 'slow-soak',
      target: { timer: 'total-contact', timeSeconds: { min: 45, max: 55 }, doseGrams: 18, yieldGrams: 36 },
      revision: 1,
    });
  });

  it('may be one of the shop’s own', async () => {
    const method = { ...METHODS[0]!, id: 'own', name: 'Harbour way' };
    const written = open(withRun({}), [{ id: 'own', method, retiredAt: null }]);
    await screen.findByText('Balance walk');
    await choose('Method', 'Harbour way');
    await waitFor(() => expect(written[0]?.body).toMatchObject({ methodId: 'own' }));
  });

  it('still has its name when it was retired meanwhile', async () => {
    const method = { ...METHODS[0]!, id: 'own', name: 'Old way' };
    open(withRun({ methodId: 'own' }), [{ id: 'own', method, retiredAt: '2026-03-01T06:00:00.000Z' }]);
    expect(await screen.findByText('Old way')).toBeInTheDocument();
  });
});

describe('what it should taste of', () => {
  it('is chosen in words and moves the wanted cup', async () => {
    const written = open(withRun({}));
    fireEvent.click(screen.getByRole('button', { name: 'wanted: balanced, round' }));
    await choose('Flavour wanted', 'bright, with clear acidity');
    await choose('Body wanted', 'light and clear');
    fireEvent.click(screen.getByRole('button', { name: 'Aim at it' }));
    await waitFor(() => expect(written).toHaveLength(1));
    expect(written[0]!.body).toMatchObject({
      goal: 'bright, with clear acidity; light and clear',
      target: { balance: -0.5, body: -0.9, doseGrams: 18 },
    });
  });

  it('reckons with the milk it is drunk in', async () => {
    const sheet = withRun({});
    const written = open({ ...sheet, coffee: { ...sheet.coffee, drunkAs: 'milk', flavourGoal: 'even' } });
    fireEvent.click(screen.getByRole('button', { name: /^wanted/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Aim at it' }));
    await waitFor(() => expect(written[0]?.body).toMatchObject({ target: { balance: 0.2, body: 0.4 } }));
  });

  it('begins from what was wanted of this dial-in, not of the coffee at large', async () => {
    const sheet = withRun({ goal: 'cocoa and a little bitterness; heavy, syrupy' });
    const written = open({ ...sheet, coffee: { ...sheet.coffee, flavourGoal: 'bright', bodyGoal: 'light' } });
    fireEvent.click(screen.getByRole('button', { name: /^wanted/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Aim at it' }));
    await waitFor(() => expect(written[0]?.body).toMatchObject({ target: { balance: 0.4, body: 0.9 } }));
  });

  it('only stands there once the dial-in is closed', () => {
    open(withRun({ status: 'kept', goal: 'plum' }));
    expect(screen.getByText('wanted: plum')).toBeInTheDocument();
    expect(screen.queryByRole('button')).not.toBeInTheDocument();
  });
});
