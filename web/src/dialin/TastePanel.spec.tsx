import { METHODS } from '@olvet/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { fakeHouse, renderPage, type Written } from '../../testing/house';
import { shotView, sheetView } from '../../testing/sheet.fixture';
import type { SheetView } from '../app/api';
import { TastePanel } from './TastePanel';

const row = {
  revision: 1,
  changedBy: '',
  createdAt: '2026-03-01T06:00:00.000Z',
  updatedAt: '2026-03-01T06:00:00.000Z',
};
const note = (person: string, change: object = {}) => ({ ...row, id: `of ${person}`, shotId: 'b', person, ...change });

function open(sheet: SheetView, { closed = false, today = [] as object[] } = {}): Written[] {
  const { written } = fakeHouse({ '/api/tasted-today': today });
  renderPage(<TastePanel sheet={sheet} expect={null} closed={closed} />);
  const more = screen.queryByRole('button', { name: 'More words' });
  if (more) fireEvent.click(more);
  return written;
}
const two = (change: object = {}) => sheetView([shotView('a'), shotView('b', change)]);
const chip = (name: string) => screen.getByRole('button', { name });
const next = async (written: Written[], count: number): Promise<Written> => {
  await waitFor(() => expect(written).toHaveLength(count));
  return written.at(-1)!;
};

beforeEach(() => localStorage.clear());

describe('the taste of the newest shot', () => {
  it('is one tap on the pad', async () => {
    const written = open(two());
    const pad = screen.getByRole('application', { name: /Taste of shot 2: not tasted yet/ });
    for (const key of ['ArrowRight', 'ArrowUp', 'ArrowUp', 'Enter']) fireEvent.keyDown(pad, { key });
    const { path, body } = await next(written, 1);
    expect(path).toMatch(/^\/api\/tastings\//);
    expect(body).toMatchObject({ shotId: 'b', person: '', balance: 0.5, body: 1 });
  });

  it('takes words for what the pad does not hold, and takes them back', async () => {
    const written = open(two({ tastings: [note('', { sweetness: 8, balance: -1 })] }));
    expect(chip('sweet')).toHaveAttribute('aria-pressed', 'true');
    fireEvent.click(chip('not sweet'));
    expect((await next(written, 1)).body).toMatchObject({ sweetness: 3, balance: -1, revision: 1 });
    fireEvent.click(chip('sweet'));
    expect((await next(written, 2)).body).toMatchObject({ sweetness: null, balance: -1 });
  });

  it('takes marks of ten in halves, with a comma too, and takes them back', async () => {
    const written = open(two({ tastings: [note('', { balance: -1, sweetness: 6 })] }));
    const mark = (label: string, text: string): void => {
      const field = screen.getByLabelText(label);
      fireEvent.change(field, { target: { value: text } });
      act(() => field.focus());
      fireEvent.keyDown(field, { key: 'Enter' });
    };
    mark('The whole cup', '8,6');
    expect((await next(written, 1)).body).toMatchObject({ overall: 8.5, balance: -1, sweetness: 6, revision: 1 });
    mark('The whole cup', '12');
    expect((await next(written, 2)).body).toMatchObject({ overall: 10 });
    mark('Sweetness', '');
    expect((await next(written, 3)).body).toMatchObject({ sweetness: null });
    mark('The whole cup', 'splendid');
    mark('Sweetness', '6');
    expect(written).toHaveLength(3);
  });

  it.each([
    [{ sweetness: 7.5, overall: 9 }, ['sweet']],
    [{ sweetness: 2, overall: 3, dryness: 1 }, ['not sweet', 'dry']],
    [{ sweetness: 6, overall: 6, dryness: 3 }, ['harsh']],
  ])('says a mark in its word, too: %j', (marks, words) => {
    open(two({ tastings: [note('', marks)] }));
    const pressed = screen.getAllByRole('button', { pressed: true }).map(({ textContent }) => textContent);
    expect(pressed).toEqual(words.map((word) => `✓ ${word}`));
  });

  it('is that of an earlier shot where one is named', async () => {
    const sheet = sheetView([
      shotView('a', { tastings: [note('', { id: 'first', shotId: 'a', balance: 1 })] }),
      shotView('b'),
    ]);
    const { written } = fakeHouse({ '/api/tasted-today': [] });
    renderPage(<TastePanel sheet={sheet} number={1} expect={null} closed={false} />);
    expect(screen.getByRole('heading', { name: 'Taste of shot 1' })).toBeInTheDocument();
    expect(screen.queryByText(/^Against shot/)).not.toBeInTheDocument();
    fireEvent.click(chip('dry'));
    const { path, body } = await next(written, 1);
    expect(path).toBe('/api/tastings/first');
    expect(body).toMatchObject({ shotId: 'a', balance: 1, dryness: 1.5 });
  });

  it('is written once for one person, however often it is sent', async () => {
    const written = open(two());
    fireEvent.click(chip('harsh'));
    await next(written, 1);
    fireEvent.click(chip('sweet'));
    const again = await next(written, 2);
    expect(again.path).toBe(written[0]!.path);
    expect(again.body).toMatchObject({ sweetness: 8 });
  });

  it('belongs to whoever tastes, and all count', async () => {
    const written = open(two({ tastings: [note('Ines', { balance: 1, sweetness: 3 }), note('', { balance: 0 })] }));
    const others = screen.getByRole('group', { name: 'Also tasted by' });
    expect(chip('not sweet')).toHaveAttribute('aria-pressed', 'false');
    fireEvent.click(within(others).getByRole('button', { name: 'Ines' }));
    expect(await within(others).findByRole('button', { name: 'without a name' })).toBeInTheDocument();
    expect(screen.getByRole('combobox')).toHaveValue('Ines');
    expect(chip('not sweet')).toHaveAttribute('aria-pressed', 'true');
    fireEvent.click(chip('sweet'));
    const { path, body } = await next(written, 1);
    expect(path).toBe(`/api/tastings/${encodeURIComponent('of Ines')}`);
    expect(body).toMatchObject({ person: 'Ines', balance: 1, sweetness: 8 });
  });

  it('is served or not in one way', async () => {
    const written = open(two({ verdict: 'discard' }));
    expect(chip('would not')).toHaveAttribute('aria-pressed', 'true');
    fireEvent.click(chip('serve'));
    expect(await next(written, 1)).toMatchObject({ path: '/api/shots/b', body: { verdict: 'serve' } });
    fireEvent.click(chip('would not'));
    expect((await next(written, 2)).body).toMatchObject({ verdict: null });
  });

  it('says where a known person’s notes are counted from', async () => {
    const palates = [{ person: 'Ines', balance: 0.5, body: 0, balanceSd: 0.2, bodySd: 0.3, tastings: 31, marks: null }];
    open({ ...two(), palates });
    expect(screen.queryByText(/counted from there/)).not.toBeInTheDocument();
    fireEvent.change(screen.getByRole('combobox'), { target: { value: 'Ines' } });
    expect(
      await screen.findByText(/to the bitter side of balanced.*Notes are counted from there\./),
    ).toBeInTheDocument();
  });

  it('adds up what was swallowed today, and warns before it is much', async () => {
    const cup = { doseGrams: 18, share: 1, arabicaPercent: null, decaf: false };
    open(two(), { today: [{ person: '', cups: [cup, cup, cup, cup] }] });
    expect(await screen.findByText(/today 4 tasted, about \d+–\d+ mg caffeine: spit from here on/)).toBeInTheDocument();
  });

  it('keeps how much of the cup went down', async () => {
    const written = open(two());
    fireEvent.click(within(screen.getByRole('group', { name: /swallowed/ })).getByRole('button', { name: 'spat out' }));
    expect((await next(written, 1)).body).toMatchObject({ share: 0 });
  });

  it('waits for a shot, and leaves a closed dial-in alone', () => {
    open(sheetView());
    expect(screen.getByText('Pull the first shot, then tap where it sits.')).toBeInTheDocument();
    expect(chip('sweet')).toBeDisabled();
  });

  it('cannot be changed once the dial-in is closed', () => {
    open(two(), { closed: true });
    expect(screen.getByRole('application')).toHaveAttribute('aria-disabled', 'true');
    expect(chip('serve')).toBeDisabled();
  });
});

describe('a note made while the next shot pours', () => {
  const first = shotView('a', { tastings: [note('', { id: 'first', shotId: 'a', balance: 1 })] });
  /** The sheet while the second shot pours, and after it was saved. */
  function Pulling({ before, after }: { before: SheetView; after: SheetView }) {
    const [isPulling, setPulling] = useState(true);
    return (
      <>
        <TastePanel sheet={isPulling ? before : after} expect={null} closed={false} isPulling={isPulling} />
        <button onClick={() => setPulling(false)}>Saved</button>
      </>
    );
  }

  async function noteWhilePulling(): Promise<Written[]> {
    const { written } = fakeHouse({ '/api/tasted-today': [] });
    const noted = {
      ...first,
      tastings: [note('', { id: 'first', shotId: 'a', balance: 1, sweetness: 8, revision: 2 })],
    };
    renderPage(<Pulling before={sheetView([first])} after={sheetView([noted, shotView('b')])} />);
    expect(
      screen.getByText('The next shot pours: what you tap here is of shot 1, the one before.'),
    ).toBeInTheDocument();
    fireEvent.click(chip('sweet'));
    await next(written, 1);
    fireEvent.click(chip('Saved'));
    return written;
  }

  it('stays with the shot before where it is of that', async () => {
    const written = await noteWhilePulling();
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 1' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
    expect(written).toHaveLength(1);
  });

  it('moves to the later shot, and the earlier one says again what it said', async () => {
    const written = await noteWhilePulling();
    fireEvent.click(await screen.findByRole('button', { name: 'Shot 2' }));
    const restored = await next(written, 3);
    expect(written[1]!.body).toMatchObject({ shotId: 'b', balance: 1, sweetness: 8 });
    expect(restored).toMatchObject({ path: '/api/tastings/first', body: { shotId: 'a', balance: 1 } });
    expect(restored.body.sweetness ?? null).toBeNull();
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
  });
});

describe('the wanted cup on the pad', () => {
  const widthOf = (sheet: SheetView): number => {
    open(sheet);
    return Number(document.querySelector('ellipse')!.getAttribute('rx'));
  };

  it('is as wide as the method calls close enough', () => {
    const usual = widthOf(two());
    document.body.innerHTML = '';
    const own = { ...METHODS[0]!, id: 'own', tolerance: { balance: 1.2, body: 0.9 } };
    const wide = widthOf({ ...two(), method: own as unknown as SheetView['method'] });
    expect(wide / usual).toBeCloseTo(1.2 / 0.6, 5);
  });
});
