import { fireEvent, screen } from '@testing-library/react';
import type { Advice } from '@olvet/core';
import { fakeHouse, renderPage } from '../../testing/house';
import { MovePanel, type MovePanelProps } from './MovePanel';

const between = (mean: number, p10: number, p90: number) => ({ mean, p10, p90 });
const expectation = {
  timeSeconds: between(29, 25, 33),
  balance: between(0, -1, 1),
  body: between(0, -1, 1),
  inWindow: 0.6,
  asWanted: 0.4,
};
const advice: Advice = {
  schema: 'olvet.advice/1',
  id: 'run',
  action: 'change',
  settings: { grind: 12.5, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
  changed: [{ variable: 'grind', from: 14, to: 12.5 }],
  purgeGrams: 12,
  grindSeconds: null,
  expect: expectation,
  why: [
    { code: 'too-fast', text: '21 s for 36 g is 6 s short of the window.' },
    { code: 'sour', text: 'It tasted sour: it needs more extraction.' },
  ],
  alternatives: [
    {
      settings: { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 94 },
      changed: [{ variable: 'temperatureC', from: 93, to: 94 }],
      expect: expectation,
      text: 'Hotter, 93 → 94 °C: about 21 s, balanced, round, no purge; 2 in 5.',
    },
  ],
  cautions: [
    { code: 'burrs-turning', text: 'Go finer only with the burrs turning or empty.' },
    { code: 'caffeine', text: '5 shots tasted. Caffeine adds up.' },
  ],
  learned: { logTimePerUnit: { mean: 0.08, sd: 0.02, shots: 3 } },
};

function show(change: Partial<MovePanelProps> = {}, temperatureUnit = 'C') {
  const props = { onAlternative: jest.fn(), onBackToAdvice: jest.fn(), onWhy: jest.fn() };
  fakeHouse({ '/api/shop': { id: 'shop', name: 'Kelp Street', currency: 'EUR', temperatureUnit, revision: 1 } });
  const { container } = renderPage(
    <MovePanel advice={advice} problem={null} finer="lower" edited={false} actions={null} {...props} {...change} />,
  );
  return { ...props, container };
}

describe('the move panel', () => {
  it('says what to turn, why, and what to mind', () => {
    show();
    expect(screen.getByText('Finer, 14 → 12.5.')).toBeInTheDocument();
    expect(screen.getByText(/21 s for 36 g is 6 s short of the window\. It tasted sour/)).toBeInTheDocument();
    expect(screen.getByText(/Go finer only with the burrs turning/)).toHaveTextContent(/^Mind:/);
  });

  it('keeps the caution out of the part that scrolls, and leaves caffeine to the taste pad', () => {
    show();
    const caution = screen.getByText(/Go finer only/);
    expect(caution.previousElementSibling).toContainElement(screen.getByText(/It tasted sour/));
    expect(screen.queryByText(/Caffeine/)).not.toBeInTheDocument();
  });

  it('breaks neither a range over two lines nor a number from its unit', () => {
    show();
    const line = screen.getByText(/Expect 29 s/).textContent;
    expect(line).toContain('25\u2060–\u206033');
    expect(line).toContain('Purge 12\u00a0g. Expect 29\u00a0s');
  });

  it('sets a long line smaller, so that it stays one line', () => {
    const large = show().container.querySelector('[aria-live]')!.className;
    const long = show({ advice: { ...advice, grindSeconds: 4.8 } }).container.querySelector('[aria-live]')!.className;
    expect(long).not.toBe(large);
  });

  it('offers what else could be done, without its odds twice, and hands its settings over', () => {
    const { onAlternative } = show();
    const other = screen.getByRole('button', { name: /^Hotter/ });
    expect(other).toHaveTextContent('Hotter, 93 → 94 °C: about 21 s, balanced, round, no purge');
    expect(other).toHaveTextContent(/as wanted 2 in 5, 25–33 s$/);
    fireEvent.click(other);
    expect(onAlternative).toHaveBeenCalledWith(advice.alternatives[0]!.settings);
  });

  it('speaks °F where the shop does', async () => {
    const heat = [{ variable: 'temperatureC' as const, from: 93, to: 94.5 }];
    show({ advice: { ...advice, changed: heat, purgeGrams: 0 } }, 'F');
    expect(await screen.findByText('Hotter, 199 → 202 °F.')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: /^Hotter, 199 → 201 °F: about 21 s/ })).toBeInTheDocument();
  });

  it('shows an own next shot beside what was advised, and the way back', () => {
    const { onBackToAdvice } = show({ edited: true });
    expect(screen.getByText('Advised was: Finer, 14 → 12.5.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Back to the advice' }));
    expect(onBackToAdvice).toHaveBeenCalled();
  });

  it('opens the numbers', () => {
    const { onWhy } = show();
    fireEvent.click(screen.getByRole('button', { name: 'Why, in numbers' }));
    expect(onWhy).toHaveBeenCalled();
  });

  it('names the shot that keeps it from answering', () => {
    show({ advice: null, problem: 'shot 3, dose (g) must be above 0' });
    expect(screen.getByRole('alert')).toHaveTextContent(/shot 3, dose \(g\) must be above 0\. Correct the shot/);
  });
});
