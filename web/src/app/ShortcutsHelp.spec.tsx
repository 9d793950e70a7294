import { parseShotLine } from '@olvet/core';
import { render, screen } from '@testing-library/react';
import { LINE_WORDS, ShortcutsHelp } from './ShortcutsHelp';

describe('the help', () => {
  it.each(LINE_WORDS)('names only what the line understands: %s', (said) => {
    const { shot, problems } = parseShotLine(said);
    expect(problems).toEqual([]);
    expect(Object.keys(shot).length).toBeGreaterThan(0);
  });

  it('lists the keys and the words of the line', () => {
    render(<ShortcutsHelp open onClose={() => undefined} />);
    expect(screen.getByText('write the shot in one line')).toBeInTheDocument();
    expect(screen.getByText('marks of ten')).toBeInTheDocument();
  });
});
