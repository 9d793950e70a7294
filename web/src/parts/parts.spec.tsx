import { fireEvent, render, screen } from '@testing-library/react';
import { fieldInWords, formErrors, problemOf } from '../app/problem';
import { elapsed, money, orDash, temperatureNumber } from './format';
import { Loading } from './Loading';
import { NumberInput } from './NumberInput';
import { sideOf } from './Outcome';
import { ProblemAlert } from './ProblemAlert';
import { Stepper } from './Stepper';
import { useShortcuts, type Shortcuts } from './useShortcuts';
import { withoutRow } from './withoutRow';

describe('figures on screen', () => {
  it('are shown in the shop’s unit', () => {
    expect(temperatureNumber(93, 'C')).toBe('93');
    expect(temperatureNumber(93.5, 'C')).toBe('93.5');
    expect(temperatureNumber(93, 'F')).toBe('199');
  });

  it('are a dash where nothing was measured, never a zero', () => {
    expect([orDash(null), orDash(undefined), orDash(0), orDash(18.04)]).toEqual(['–', '–', '0', '18']);
  });

  it('count time as a clock, then hours, then days', () => {
    const start = '2026-03-01T06:00:00Z';
    const after = (minutes: number) => elapsed(start, Date.parse(start) + minutes * 60_000);
    expect([after(4.25), after(75), after(60 * 60)]).toEqual(['4:15', '1 h 15 min', '2 days']);
    expect(after(-5)).toBe('0:00');
  });

  it('write money in the shop’s currency', () => {
    expect(money(139, 'EUR')).toMatch(/1[.,]39/);
  });

  it('know the three sides of a window', () => {
    expect([24, 27, 33, 33.1].map((t) => sideOf(t, 27, 33))).toEqual(['low', 'on', 'on', 'high']);
  });
});

describe('a typed number', () => {
  it.each([
    [['12', '12,', '12,5'], 12.5],
    [['12.5'], 12.5],
    [['-1,5'], -1.5],
    [[' 7 '], 7],
  ])('%j is %p', (steps, value) => {
    const told: (number | null)[] = [];
    render(<NumberInput aria-label="dose" onChange={(next) => told.push(next)} />);
    for (const text of steps) fireEvent.change(screen.getByLabelText('dose'), { target: { value: text } });
    expect(told.at(-1)).toBe(value);
  });

  it('is none for what is no number', () => {
    const told: (number | null)[] = [];
    render(<NumberInput aria-label="dose" onChange={(next) => told.push(next)} />);
    for (const text of ['splendid', '1,2,3']) {
      fireEvent.change(screen.getByLabelText('dose'), { target: { value: text } });
    }
    expect(told.filter((value) => value !== null)).toEqual([]);
  });
});

describe('problems of the server', () => {
  const refused = {
    status: 400,
    data: {
      detail: 'This cannot be taken as it is.',
      errors: [{ path: 'target.timeSeconds.max', message: 'must be above the window’s beginning' }],
    },
  };

  it('land on their fields', () => {
    expect(formErrors(problemOf(refused))).toEqual([
      { name: ['target', 'timeSeconds', 'max'], errors: ['must be above the window’s beginning'] },
    ]);
    expect(formErrors(problemOf(refused), 'target.')).toEqual([
      { name: ['timeSeconds', 'max'], errors: ['must be above the window’s beginning'] },
    ]);
  });

  it('are said in words, also when the server is out of reach or silent', () => {
    expect(problemOf({ status: 'FETCH_ERROR' }).detail).toMatch(/out of reach/);
    expect(problemOf(new Error('x')).detail).toMatch(/nothing was saved/);
    render(<ProblemAlert error={refused} />);
    expect(screen.getByText('This cannot be taken as it is.')).toBeInTheDocument();
    expect(screen.getByText('target, time (s), max: must be above the window’s beginning')).toBeInTheDocument();
  });

  it('tell a person who was overtaken what to do, not which revision it was', () => {
    const errors = [{ path: 'revision', message: 'is 3, but this was changed since (now 4)' }];
    render(<ProblemAlert error={{ status: 409, data: { detail: 'Someone else changed this shot.', errors } }} />);
    expect(screen.getByText('Someone else changed this shot.')).toBeInTheDocument();
    expect(
      screen.getByText('What stands now has been loaded: have a look, then repeat your change.'),
    ).toBeInTheDocument();
  });

  it.each([
    ['shots[2].doseGrams', 'shot 3, dose (g)'],
    ['recipe.temperatureC', 'recipe, temperature (°C)'],
    ['machine.warmUpMinutes', 'machine, warm up minutes'],
    ['frozen[0].from', 'frozen 1, from'],
  ])('name a field as one would say it: %s', (path, words) => {
    expect(fieldInWords(path)).toBe(words);
  });

  it('show nothing where there is none', () => {
    const { container } = render(<ProblemAlert error={undefined} />);
    expect(container).toBeEmptyDOMElement();
  });
});

describe('Stepper', () => {
  const stepper = (value: number | null) => {
    const onChange = jest.fn();
    render(
      <Stepper id="t" label="time" unit="s" value={value} step={0.5} min={1} max={300} from={30} onChange={onChange} />,
    );
    return onChange;
  };

  it('starts at a sensible figure, then moves by its step inside its limits', () => {
    const first = stepper(null);
    fireEvent.click(screen.getByRole('button', { name: 'More time' }));
    expect(first).toHaveBeenLastCalledWith(30);
  });

  it('does not go below its least', () => {
    const onChange = stepper(1);
    fireEvent.click(screen.getByRole('button', { name: 'Less time' }));
    expect(onChange).toHaveBeenLastCalledWith(1);
  });

  it('takes a decimal comma', () => {
    const onChange = stepper(20);
    fireEvent.change(screen.getByLabelText(/^time/), { target: { value: '21,5' } });
    expect(onChange).toHaveBeenLastCalledWith(21.5);
  });
});

describe('shortcuts', () => {
  function Page({ shortcuts }: { shortcuts: Shortcuts }) {
    useShortcuts(shortcuts);
    return (
      <>
        <input aria-label="field" />
        <button type="button">press</button>
      </>
    );
  }

  it('work on the page, keep quiet in fields, and leave Enter to a focused button', () => {
    const take = jest.fn();
    const again = jest.fn();
    render(<Page shortcuts={{ Enter: take, r: again }} />);
    fireEvent.keyDown(document.body, { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('button'), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('button'), { key: 'r' });
    fireEvent.keyDown(screen.getByLabelText('field'), { key: 'r' });
    fireEvent.keyDown(document.body, { key: 'r', ctrlKey: true });
    expect(take).toHaveBeenCalledTimes(1);
    expect(again).toHaveBeenCalledTimes(1);
  });
});

describe('withoutRow', () => {
  it('takes off what the server adds and keeps the revision', () => {
    const row = { id: 'a', shopId: 's', createdAt: 'x', updatedAt: 'y', revision: 3, name: 'Lefty' };
    expect(withoutRow(row)).toEqual({ revision: 3, name: 'Lefty' });
  });
});

describe('what is on its way', () => {
  it('says so in words and leaves no heading without them', () => {
    render(<Loading rows={2} />);
    expect(screen.getByRole('status')).toHaveTextContent(/^Loading$/);
    expect(screen.queryAllByRole('heading', { hidden: true })).toEqual([]);
    expect(screen.queryByRole('list', { hidden: false })).toBeNull();
  });

  it('says what the server refused, and keeps waiting for what it left unanswered', () => {
    const refused = { status: 404, data: { detail: 'There is no card here.', errors: [] } };
    const { rerender } = render(<Loading error={refused}>to all cards</Loading>);
    expect(screen.getByRole('alert')).toHaveTextContent('There is no card here.');
    expect(screen.getByText('to all cards')).toBeInTheDocument();
    for (const status of ['FETCH_ERROR', 'TIMEOUT_ERROR', 502]) {
      rerender(<Loading error={{ status }}>to all cards</Loading>);
      expect(screen.getByRole('status')).toHaveTextContent(/^Loading$/);
      expect(screen.queryByText('to all cards')).not.toBeInTheDocument();
    }
  });
});
