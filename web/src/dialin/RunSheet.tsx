import { combineTastings, plainNumber, type Cause, type Expectation, type Review, type Settings } from '@olvet/core';
import { useEffect, useRef } from 'react';
import type { SheetShotView, SheetView } from '../app/api';
import { orDash, temperatureNumber } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { SeenCell } from './SeenCell';
import { SurpriseMark } from './SurpriseMark';
import { changeDirection, isMissed, nudge, plannedOf, toleranceOf, type Variable } from './settings';
import styles from './RunSheet.module.css';
import { GhostTaste, TasteCell } from './TasteCell';
import { GhostTime, TimeCell, timeScale } from './TimeCell';
import { TraceCell, traceScale } from './TraceCell';
import { ValueCell } from './ValueCell';
import { GhostCell } from './GhostCell';

export interface RunSheetProps {
  sheet: SheetView;
  /** The next shot as it stands: advised or edited; null when the run is closed. */
  ghost: Settings | null;
  edited: boolean;
  expect: Expectation | null;
  /** null while the next shot is being pulled. */
  onGhost: ((settings: Settings) => void) | null;
  onShot: (shot: SheetShotView) => void;
  onTrace: (shot: SheetShotView) => void;
  /** The run looked back on; null until the worker has done so. */
  review: Review | null;
  /** Says what was wrong with a shot; null once the run is closed. */
  onCause: ((shot: SheetShotView, cause: Cause | null) => void) | null;
}

const VERSUS_WORDS = { better: 'better', same: 'same as before', worse: 'worse' };

interface Row {
  variable: Variable;
  name: string;
  measured: (shot: SheetShotView) => number | null | undefined;
  show: (value: number | null | undefined) => string;
}

/** The score of a dial-in: one row per variable, one column per shot, what changed stands out. */
export function RunSheet(props: RunSheetProps) {
  const { sheet, ghost, edited, expect, onGhost, onShot, onTrace, review, onCause } = props;
  const unit = useTemperatureUnit();
  const { shots, run } = sheet;
  const rows: Row[] = [
    { variable: 'grind', name: 'grind', measured: (shot) => shot.grind, show: (v) => orDash(v, 2) },
    { variable: 'doseGrams', name: 'dose g', measured: (shot) => shot.doseGrams, show: (v) => orDash(v) },
    { variable: 'yieldGrams', name: 'yield g', measured: (shot) => shot.yieldGrams, show: (v) => orDash(v) },
  ];
  if (sheet.machine.temperatureC) {
    rows.push({
      variable: 'temperatureC',
      name: `temp °${unit}`,
      measured: (shot) => shot.temperatureC,
      show: (v) => (v == null ? '–' : temperatureNumber(v, unit)),
    });
  }
  const last = shots.at(-1);
  const scale = timeScale(sheet, expect);
  const flights = traceScale(shots);
  const hasGhost = ghost !== null;
  const scroller = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // The newest shot and the next one are what matters; older ones are a swipe away.
    scroller.current?.scrollTo({ left: scroller.current.scrollWidth });
  }, [shots.length, hasGhost]);

  return (
    <div className={styles.scroller} ref={scroller} role="region" aria-label="Run sheet" tabIndex={0}>
      <table className={styles.sheet}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">variable</span>
            </th>
            {shots.map((shot, i) => (
              <th scope="col" key={shot.id}>
                <button type="button" className={styles.number} onClick={() => onShot(shot)}>
                  <span className="visually-hidden">Shot </span>
                  {i + 1}
                  {(shot.revision ?? 1) > 1 && <span className={styles.corrected}>corrected</span>}
                </button>
                {onCause && review?.shots[i] && (
                  <SurpriseMark
                    number={i + 1}
                    cause={shot.cause ?? null}
                    review={review.shots[i]}
                    onCause={(cause) => onCause(shot, cause)}
                  />
                )}
              </th>
            ))}
            {ghost && (
              <th scope="col" className={styles.next}>
                {edited ? 'next, yours' : 'next'}
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ variable, name, measured, show }) => (
            <tr key={variable}>
              <th scope="row">{name}</th>
              {shots.map((shot, i) => {
                const before = shots[i - 1];
                const now = plannedOf(shot)[variable];
                const then = before ? plannedOf(before)[variable] : now;
                const direction = now === null || then === null ? 0 : changeDirection(sheet, variable, then, now);
                return (
                  <ValueCell
                    key={shot.id}
                    text={show(measured(shot))}
                    aimedAt={isMissed(shot, variable) ? show(now) : null}
                    direction={direction}
                    lever={variable}
                    assumed={shot.assumed?.includes(variable) ?? false}
                  />
                );
              })}
              {ghost && (
                <GhostCell
                  name={name}
                  lever={variable}
                  text={show(ghost[variable])}
                  direction={
                    last && ghost[variable] !== null && plannedOf(last)[variable] !== null
                      ? changeDirection(sheet, variable, plannedOf(last)[variable]!, ghost[variable])
                      : 0
                  }
                  onNudge={onGhost && ((by) => onGhost(nudge(sheet, ghost, variable, by)))}
                />
              )}
            </tr>
          ))}
          <tr className={styles.timeRow}>
            <th scope="row">
              time s
              <span className={styles.clock}>
                {run.target.timer === 'first-drip'
                  ? 'from first drip'
                  : run.target.timer === 'total-contact'
                    ? 'contact'
                    : ''}
              </span>
            </th>
            {shots.map((shot) => (
              <TimeCell key={shot.id} shot={shot} scale={scale} />
            ))}
            {ghost && <GhostTime expect={expect} scale={scale} />}
          </tr>
          {shots.some(({ traced }) => traced && traced.line.length > 1) && (
            <tr>
              <th scope="row">trace</th>
              {shots.map((shot, i) => (
                <TraceCell key={shot.id} shot={shot} number={i + 1} scale={flights} onOpen={() => onTrace(shot)} />
              ))}
              {ghost && <td className={styles.next} />}
            </tr>
          )}
          <tr>
            <th scope="row">taste</th>
            {shots.map((shot) => (
              <TasteCell
                key={shot.id}
                taste={combineTastings(shot.tastings, sheet.palates) ?? null}
                wanted={run.target}
                tolerance={toleranceOf(sheet)}
              />
            ))}
            {ghost && <GhostTaste expect={expect} />}
          </tr>
          <tr>
            <th scope="row">seen</th>
            {shots.map((shot) => (
              <SeenCell key={shot.id} shot={shot} />
            ))}
            {ghost && <td className={styles.next} />}
          </tr>
          <tr>
            <th scope="row">verdict</th>
            {shots.map((shot) => (
              <td key={shot.id} className="quiet">
                {verdictInWords(shot)}
              </td>
            ))}
            {ghost && <td className={`${styles.next} ${styles.foot}`} />}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** What was done with the cup, what it was marked and how it stood against the one before. */
function verdictInWords({ verdict, versusLast, tastings }: SheetShotView): string {
  const mark = combineTastings(tastings)?.overall;
  const words = [verdict, mark != null && `${plainNumber(mark, 1)}/10`, versusLast && VERSUS_WORDS[versusLast]];
  return words.filter(Boolean).join(', ') || '–';
}
