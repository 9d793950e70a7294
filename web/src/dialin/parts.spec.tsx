import { fireEvent, render, screen, within } from '@testing-library/react';
import { METHODS, type Expectation } from '@olvet/core';
import { shotView, sheetView } from '../../testing/sheet.fixture';
import { EntryLine } from './EntryLine';
import { GhostCell } from './GhostCell';
import { SeenCell } from './SeenCell';
import { GhostTaste, TasteCell } from './TasteCell';
import { TastePad } from './TastePad';
import { GhostTime, TimeCell, timeScale } from './TimeCell';
import { ValueCell } from './ValueCell';

const expectation: Expectation = {
  timeSeconds: { mean: 28.1, p10: 25.2, p90: 31.4 },
  balance: { mean: -0.2, p10: -0.9, p90: 0.5 },
  body: { mean: 0, p10: -0.6, p90: 0.6 },
  inWindow: 0.81,
  asWanted: 0.64,
};
const inRow = (cell: React.ReactNode) =>
  render(
    <table>
      <tbody>
        <tr>{cell}</tr>
      </tbody>
    </table>,
  );

describe('EntryLine', () => {
  const type = (text: string) =>
    fireEvent.change(screen.getByLabelText(/Shot in one line/), { target: { value: text } });

  it('says back what it understood and hands it over on Enter', async () => {
    const onShot = jest.fn(() => Promise.resolve(true));
    const { container } = render(<EntryLine inputRef={null} saving={false} onShot={onShot} />);
    type('18,1 in 36,8 out 21s bit sour');
    expect(screen.getByText('18.1 g → 36.8 g · 21 s · bit sour')).toBeInTheDocument();
    fireEvent.submit(container.querySelector('form')!);
    expect(onShot).toHaveBeenCalledWith({
      doseGrams: 18.1,
      yieldGrams: 36.8,
      timeSeconds: 21,
      taste: { balance: -0.5 },
    });
    await screen.findByDisplayValue('');
  });

  it('points at what it did not understand, saves nothing and keeps the text', () => {
    const onShot = jest.fn(() => Promise.resolve(true));
    const { container } = render(<EntryLine inputRef={null} saving={false} onShot={onShot} />);
    type('18 > 36 in 29 splendid');
    expect(screen.getByText(/“splendid”: .*not a word I know/)).toBeInTheDocument();
    fireEvent.submit(container.querySelector('form')!);
    expect(onShot).not.toHaveBeenCalled();
    expect(screen.getByDisplayValue('18 > 36 in 29 splendid')).toBeInTheDocument();
  });

  it('keeps the text when the server refuses', async () => {
    const onShot = jest.fn(() => Promise.resolve(false));
    const { container } = render(<EntryLine inputRef={null} saving={false} onShot={onShot} />);
    type('18 > 36 in 29');
    fireEvent.submit(container.querySelector('form')!);
    await Promise.resolve();
    expect(screen.getByDisplayValue('18 > 36 in 29')).toBeInTheDocument();
  });
});

describe('TastePad', () => {
  const pad = (change: Partial<React.ComponentProps<typeof TastePad>> = {}) => {
    const onTaste = jest.fn();
    render(
      <TastePad
        label="shot 2"
        value={null}
        earlier={[{ number: 1, cup: { balance: -1.5, body: -1 } }]}
        wanted={{ balance: 0, body: 0 }}
        tolerance={{ balance: 0.6, body: 0.9 }}
        expect={null}
        disabled={false}
        onTaste={onTaste}
        {...change}
      />,
    );
    return { onTaste, element: screen.getByRole('application') };
  };

  it('says what it holds', () => {
    expect(pad().element).toHaveAccessibleName(/Taste of shot 2: not tasted yet/);
    expect(within(document.body).getByText('1')).toBeInTheDocument();
  });

  it('numbers the shot it is about like those before, once it was tasted', () => {
    pad({ number: 2, value: { balance: 0.5, body: 0 } });
    expect(within(document.body).getByText('2')).toBeInTheDocument();
  });

  it('is moved by arrows in halves and set by Enter, never past its edge', () => {
    const { element, onTaste } = pad({ value: { balance: 2.5, body: 0 } });
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowUp']) fireEvent.keyDown(element, { key });
    expect(element).toHaveAccessibleName(/very bitter, a bit heavy/);
    expect(onTaste).not.toHaveBeenCalled();
    fireEvent.keyDown(element, { key: 'Enter' });
    expect(onTaste).toHaveBeenCalledWith({ balance: 3, body: 0.5 });
  });

  it('takes one tap in halves of its scales', () => {
    const { element, onTaste } = pad();
    element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 300, height: 300 }) as DOMRect;
    fireEvent(element, Object.assign(new Event('pointerup', { bubbles: true }), { clientX: 82, clientY: 150 }));
    expect(onTaste).toHaveBeenCalledWith({ balance: -1.5, body: 0 });
  });

  it('does nothing before the first shot', () => {
    const { element, onTaste } = pad({ disabled: true });
    fireEvent.keyDown(element, { key: 'Enter' });
    expect(onTaste).not.toHaveBeenCalled();
  });
});

describe('cells of the run sheet', () => {
  const sheet = sheetView([shotView('a', { timeSeconds: 21.5 }), shotView('b', { timeSeconds: 90 })]);
  const scale = timeScale(sheet, expectation);

  it('draw all times on one scale that a stray shot cannot flatten', () => {
    expect(scale.low).toBeLessThanOrEqual(19.5);
    expect(scale.high).toBe(58);
  });

  it('show what was poured, and what it was poured for where that is another', () => {
    const { container } = inRow(<ValueCell text="36" aimedAt="38" direction={1} lever="yieldGrams" assumed={false} />);
    expect(container).toHaveTextContent('more, 36 for 38');
    expect(
      inRow(<ValueCell text="36.2" aimedAt={null} direction={0} lever="yieldGrams" assumed={false} />).container,
    ).toHaveTextContent(/^36\.2$/);
    const assumed = inRow(<ValueCell text="18" aimedAt={null} direction={0} lever="doseGrams" assumed />).container;
    expect(assumed).toHaveTextContent('18 as planned, not measured');
  });

  it('show a time with its mark, and say when nobody timed', () => {
    inRow(<TimeCell shot={shotView('a', { timeSeconds: 21.5 })} scale={scale} />);
    expect(screen.getByText('21.5')).toBeInTheDocument();
    inRow(<TimeCell shot={shotView('b', { timeSeconds: null })} scale={scale} />);
    expect(screen.getByText('not timed')).toBeInTheDocument();
  });

  it('show the next time as a range and odds', () => {
    inRow(<GhostTime expect={expectation} scale={scale} />);
    expect(screen.getByText('25–31 s')).toBeInTheDocument();
    expect(screen.getByText('in window 4 in 5')).toBeInTheDocument();
  });

  it.each([
    [28, 'below'],
    [21, 'above'],
    [40, 'below'],
  ])('keep the odds out of the way of a figure at %d s: %s', (mean, place) => {
    const predicted = { ...expectation, timeSeconds: { mean, p10: mean - 3, p90: mean + 3 } };
    inRow(<GhostTime expect={predicted} scale={{ low: 16, high: 38, min: 25, max: 32 }} />);
    expect(screen.getByText('in window 4 in 5')).toHaveClass(place);
  });

  it('put a taste into words, and never call an untasted cup even', () => {
    const wanted = { balance: 0, body: 0 };
    const { tolerance } = METHODS[0]!;
    inRow(<TasteCell taste={{ balance: -1.5, body: -1, dryness: 1.5 }} wanted={wanted} tolerance={tolerance} />);
    expect(screen.getByText('sour, thin, dry')).toBeInTheDocument();
    inRow(<TasteCell taste={{ body: 0 }} wanted={wanted} tolerance={tolerance} />);
    expect(screen.getByText('round')).toBeInTheDocument();
    inRow(<TasteCell taste={null} wanted={wanted} tolerance={tolerance} />);
    expect(screen.getByText('not tasted')).toBeInTheDocument();
    inRow(<GhostTaste expect={expectation} />);
    expect(screen.getByText('as wanted 2 in 3')).toBeInTheDocument();
  });

  it('mark a taste from where its taster likes a cup best, and leave the words as they were said', () => {
    const markOf = (likes: { balance: number; body: number } | null) => {
      const { container, unmount } = inRow(
        <TasteCell
          taste={{ balance: 0.5, likes }}
          wanted={{ balance: 0, body: 0 }}
          tolerance={METHODS[0]!.tolerance}
        />,
      );
      expect(screen.getByText('a bit bitter')).toBeInTheDocument();
      const isRound = container.querySelector('circle') !== null;
      unmount();
      return isRound;
    };
    expect(markOf(null)).toBe(true);
    expect(markOf({ balance: 0.6, body: 0 })).toBe(true);
    expect(markOf({ balance: -0.4, body: 0 })).toBe(false);
  });

  it('mark a cup that is even but thin, heavy or harsh as neither on target nor sour nor bitter', () => {
    const outcomeOf = (taste: { balance: number; body?: number; dryness?: number }, balance = 0.6) => {
      const { container, unmount } = inRow(
        <TasteCell taste={taste} wanted={{ balance: 0, body: 0 }} tolerance={{ balance, body: 0.9 }} />,
      );
      const mark = container.querySelector('svg')!.classList.value;
      unmount();
      return mark;
    };
    const even = outcomeOf({ balance: 0, body: 0.5 });
    const thin = outcomeOf({ balance: 0, body: -1 });
    expect(thin).not.toBe(even);
    expect([outcomeOf({ balance: 0.5, body: 1.5 }), outcomeOf({ balance: 0, dryness: 2 })]).toEqual([thin, thin]);
    expect(outcomeOf({ balance: -1.5, body: -1 })).not.toBe(thin);
    expect(outcomeOf({ balance: 0, body: -0.5, dryness: 1 })).toBe(even);
    // As far as the method calls close enough.
    expect(outcomeOf({ balance: 1 })).not.toBe(even);
    expect(outcomeOf({ balance: 1 }, 1.2)).toBe(even);
  });

  it('say what was seen and where', () => {
    const shot = shotView('a', { seen: [{ sign: 'spurts', clock: 2 }], purged: false });
    inRow(<SeenCell shot={shot} />);
    expect(screen.getByText('spurts at 2, not purged')).toBeInTheDocument();
  });

  it('let the next shot be changed by arrows and by taps', () => {
    const onNudge = jest.fn();
    inRow(<GhostCell name="grind" lever="grind" text="12.5" direction={-1} onNudge={onNudge} />);
    const value = screen.getByRole('spinbutton', { name: 'Next grind' });
    expect(value).toHaveAttribute('aria-valuenow', '12.5');
    fireEvent.keyDown(value, { key: 'ArrowUp' });
    fireEvent.click(screen.getByRole('button', { name: /one step down/ }));
    expect(onNudge.mock.calls).toEqual([[1], [-1]]);
    expect(value).toHaveTextContent('finer, 12.5');
  });
});
