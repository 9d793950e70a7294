import { LIMITS, plainNumber, SIGN_LABELS, SIGNS, type Settings, type ShotLine, type Sign } from '@olvet/core';
import { Button, Checkbox, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { SheetView } from '../app/api';
import { temperatureNumber, TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { Stepper } from '../parts/Stepper';
import { useShortcuts } from '../parts/useShortcuts';
import styles from './PullPanel.module.css';
import { ToggleChip } from '../parts/ToggleChip';
import {
  askedFigures,
  isAnythingSaid,
  leftToPlan,
  lineOf,
  NOTHING_SAID,
  withAsPlanned,
  withValue,
  type Figure,
  type PulledFigures,
} from './pulledFigures';
import { useTimer } from './useTimer';

export interface PullPanelProps {
  sheet: SheetView;
  aim: Settings;
  grindChanged: boolean;
  saving: boolean;
  onShot: (line: ShotLine) => Promise<boolean>;
  onBack: () => void;
}

/** The signs that a glance catches; the others open with one tap. */
const FIRST_SIGNS = SIGNS.slice(0, 4);

/**
 * While pulling: what to set, the timer, and the numbers with large steps. Nothing counts as measured that nobody entered: the plan
 * is a hint, and one tap takes a figure as planned.
 */
export function PullPanel({ sheet, aim, grindChanged, saving, onShot, onBack }: PullPanelProps) {
  const { target } = sheet.run;
  const unit = useTemperatureUnit();
  const [figures, setFigures] = useState<PulledFigures>(NOTHING_SAID);
  const [seen, setSeen] = useState<Sign[]>([]);
  const [allSigns, showAllSigns] = useState(false);
  const [purged, setPurged] = useState(true);
  const [hour, setHour] = useState<string | null>(null);
  const asked = askedFigures(sheet, aim);
  const left = leftToPlan(figures, asked);
  const say = (figure: Figure | 'timeSeconds') => (value: number | null) =>
    setFigures((now) => withValue(now, figure, value));
  const timer = useTimer(say('timeSeconds'));
  /** The aim alone is no shot: something must have been said of this one. */
  const isTold = isAnythingSaid(figures) || seen.length > 0 || !purged;
  const ready = !timer.running && isTold;
  const save = (): void => {
    if (!ready) return;
    const said = lineOf(figures, asked);
    void onShot({ ...said, ...(hour ? { hour } : {}), seen: seen.map((sign) => ({ sign })), purged });
  };
  useShortcuts({ ' ': timer.toggle, Enter: save, Escape: onBack });
  const panel = useRef<HTMLDivElement>(null);
  // On a phone the shot may be taken while the sheet is read, with this panel still below it.
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const heat = aim.temperatureC === null ? '' : ` · ${temperatureNumber(aim.temperatureC, unit)} °${unit}`;
  return (
    <div ref={panel} className={styles.panel}>
      <div className={styles.clock}>
        <p className="quiet">seconds {TIMER_WORDS[target.timer]}</p>
        <p className={`numeral ${styles.seconds}`} role="timer" aria-live="off">
          {timer.seconds.toFixed(1)}
        </p>
        <Button type="primary" size="large" block onClick={timer.toggle}>
          {timer.running ? 'Stop' : 'Start'} <kbd>Space</kbd>
        </Button>
        <Stepper
          id="pull-time"
          label="time"
          unit="s"
          value={figures.timeSeconds}
          step={0.5}
          {...LIMITS.timeSeconds}
          from={Math.round((target.timeSeconds.min + target.timeSeconds.max) / 2)}
          onChange={say('timeSeconds')}
        />
        <p className={styles.caution}>Cup and hands clear of the spout. Never unlock under pressure.</p>
      </div>
      <div className={styles.entry}>
        <p className={styles.aim}>
          Grind <strong className="numeral">{plainNumber(aim.grind)}</strong> · {plainNumber(aim.doseGrams)} →{' '}
          {plainNumber(aim.yieldGrams)} g{heat}
          {sheet.hasScale ? '' : ' · struck level'} · {target.timeSeconds.min}–{target.timeSeconds.max}&nbsp;s
        </p>
        {grindChanged && (
          <Checkbox checked={purged} onChange={(event) => setPurged(event.target.checked)}>
            Purged ({plainNumber(sheet.grinder.purgeGrams)} g)
          </Checkbox>
        )}
        <div className={styles.steppers}>
          {asked.map(({ figure, planned, ...rest }) => (
            <div key={figure} className={styles.figure}>
              <Stepper {...rest} id={`pull-${figure}`} value={figures[figure]} hint={planned} onChange={say(figure)} />
              {planned !== null && (
                <ToggleChip
                  chosen={figures.asPlanned.includes(figure)}
                  disabled={figures[figure] !== null}
                  onToggle={(on) =>
                    setFigures(on ? withAsPlanned(figures, [figure]) : withValue(figures, figure, null))
                  }
                >
                  <span className="visually-hidden">{rest.label} </span>as planned
                </ToggleChip>
              )}
            </div>
          ))}
        </div>
        <fieldset className={styles.seen}>
          <legend className="visually-hidden">Seen</legend>
          {(allSigns ? SIGNS : FIRST_SIGNS).map((sign) => (
            <ToggleChip
              key={sign}
              chosen={seen.includes(sign)}
              onToggle={(on) => setSeen(on ? [...seen, sign] : seen.filter((other) => other !== sign))}
            >
              {SIGN_LABELS[sign]}
            </ToggleChip>
          ))}
          {!allSigns && (
            <Button type="text" onClick={() => showAllSigns(true)}>
              More seen
            </Button>
          )}
        </fieldset>
        <div className={styles.actions}>
          <Button type="primary" size="large" disabled={!ready} loading={saving} onClick={save}>
            Save shot <kbd>Enter</kbd>
          </Button>
          <Button size="large" disabled={left.length === 0} onClick={() => setFigures(withAsPlanned(figures, left))}>
            The rest as planned
          </Button>
          <Button size="large" onClick={onBack}>
            Back
          </Button>
          {hour === null ? (
            <Button type="text" aria-label="Poured earlier" onClick={() => setHour('')}>
              Earlier
            </Button>
          ) : (
            <label className={styles.hour}>
              poured at
              <Input type="time" value={hour} onChange={(event) => setHour(event.target.value)} />
            </label>
          )}
        </div>
      </div>
    </div>
  );
}
