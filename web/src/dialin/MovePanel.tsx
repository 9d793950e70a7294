import { moveLine, oddsInWords, plainNumber, type Advice, type Settings } from '@olvet/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Loading } from '../parts/Loading';
import { inUnit, useTemperatureUnit } from '../parts/temperature';
import styles from './MovePanel.module.css';

export interface MovePanelProps {
  advice: Advice | null;
  problem: string | null;
  finer: 'lower' | 'higher';
  /** The barista's own next shot, when it differs from the advised one. */
  edited: boolean;
  actions: ReactNode;
  onAlternative: (settings: Settings) => void;
  onBackToAdvice: () => void;
  /** Opens the expert's view: what was believed, what the shots changed. */
  onWhy: () => void;
}

/** Word joiners around every dash and hard spaces before units: no line ends between "27–33" or "5.8 s". */
const onOneLine = (text: string): string =>
  text.replaceAll('–', '\u2060–\u2060').replace(/(?<=\d) (?=(?:g|s|%|°[CF])(?!\w))/g, '\u00a0');

/** More letters than this would break at the large size on a bar's tablet; the sheet needs that line. */
const LONG_LINE = 58;

/** The move line, to be read from a metre away; below it why, beside it what else could be done. */
export function MovePanel(props: MovePanelProps) {
  const { advice, problem, finer, edited, actions, onAlternative, onBackToAdvice, onWhy } = props;
  const unit = useTemperatureUnit();
  if (problem) return <p role="alert">No advice for these figures: {problem}. Correct the shot it names.</p>;
  if (!advice) return <Loading rows={3} />;
  const { lead, rest } = moveLine(advice, finer);
  const line = { lead: inUnit(lead, unit), rest: inUnit(rest, unit) };
  const isLong = line.lead.length + line.rest.length > LONG_LINE;
  // What was drunk today, and what that means, stands beside the taste pad.
  const cautions = advice.cautions.filter(({ code }) => code !== 'caffeine');
  return (
    <div className={styles.panel}>
      <div className={styles.answer}>
        <div className={isLong ? `${styles.move} ${styles.long}` : styles.move} aria-live="polite">
          {edited ? (
            <p className="numeral">
              Your own next shot. <span className={styles.quieter}>Advised was: {line.lead}</span>
            </p>
          ) : (
            <p className="numeral">
              <span className={advice.action === 'repeat' || advice.action === 'dialled' ? styles.calm : styles.lead}>
                {onOneLine(line.lead)}
              </span>{' '}
              {onOneLine(line.rest)}
            </p>
          )}
        </div>
        <div className={styles.actions}>
          {actions}
          {edited && (
            <Button size="large" onClick={onBackToAdvice}>
              Back to the advice
            </Button>
          )}
        </div>
      </div>
      <div className={advice.alternatives.length > 0 ? styles.reasons : `${styles.reasons} ${styles.alone}`}>
        <div>
          <p className={styles.why}>
            {onOneLine(inUnit(advice.why.map(({ text }) => text).join(' '), unit))}{' '}
            <button type="button" className={styles.numbers} onClick={onWhy}>
              Why, in numbers
            </button>
          </p>
        </div>
        {advice.alternatives.length > 0 && (
          <div className={styles.others}>
            <h2>Or instead</h2>
            <ul>
              {advice.alternatives.map(({ text, settings, expect }) => (
                <li key={text}>
                  <button type="button" onClick={() => onAlternative(settings)}>
                    {inUnit(text.replace(/; [^;]*$/, ''), unit)}
                    <span className={styles.odds}>
                      as wanted {oddsInWords(expect.asWanted)}, {plainNumber(expect.timeSeconds.p10, 0)}–
                      {plainNumber(expect.timeSeconds.p90, 0)} s
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
      {/* Outside the part that scrolls: a caution must be seen where the step is. */}
      {cautions.length > 0 && (
        <p className={styles.caution}>
          <strong>Mind:</strong> {cautions.map(({ text }) => text).join(' ')}
        </p>
      )}
    </div>
  );
}
