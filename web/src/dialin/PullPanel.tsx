import { LIMITS, plainNumber, SIGN_LABELS, SIGNS, type Settings, type ShotLine, type Sign } from '@olvet/core';
import { Button, Checkbox } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { SheetView } from '../app/api';
import { temperatureNumber, TIMER_WORDS } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { Stepper } from '../parts/Stepper';
import { useShortcuts } from '../parts/useShortcuts';
import styles from './PullPanel.module.css';
import { ToggleChip } from '../parts/ToggleChip';
import { timedSeconds } from './timedSeconds';
import { useTimer } from './useTimer';

export interface PullPanelProps {
  sheet: SheetView;
  aim: Settings;
  grindChanged: boolean;
  saving: boolean;
  onShot: (line: ShotLine) => Promise<boolean>;
  onBack: () => void;
}

/** While pulling: what to set, the timer, and the numbers with large steps. */
export function PullPanel({ sheet, aim, grindChanged, saving, onShot, onBack }: PullPanelProps) {
  const { target } = sheet.run;
  const unit = useTemperatureUnit();
  const [doseGrams, setDose] = useState<number | null>(aim.doseGrams);
  const [yieldGrams, setYield] = useState<number | null>(aim.yieldGrams);
  const [grindSeconds, setGrindSeconds] = useState<number | null>(timedSeconds(sheet, aim));
  /** What only stands there as a proposal must not teach the grinder's dose law. */
  const [weighed, setWeighed] = useState(false);
  const tell = (set: (value: number | null) => void) => (value: number | null) => {
    setWeighed(true);
    set(value);
  };
  const [timeSeconds, setTime] = useState<number | null>(null);
  const [seen, setSeen] = useState<Sign[]>([]);
  const [purged, setPurged] = useState(true);
  const timer = useTimer(setTime);
  /** The aim alone is no shot: something must have been said of this one. */
  const isTold = weighed || timeSeconds !== null || yieldGrams !== aim.yieldGrams || seen.length > 0 || !purged;
  const ready = !timer.running && isTold && (timeSeconds !== null || yieldGrams !== null);
  const save = (): void => {
    if (!ready) return;
    const line: ShotLine = {
      ...(grindSeconds === null || !weighed ? {} : { grindSeconds }),
      ...(doseGrams === null ? {} : { doseGrams }),
      ...(yieldGrams === null ? {} : { yieldGrams }),
      ...(timeSeconds === null ? {} : { timeSeconds }),
      seen: seen.map((sign) => ({ sign })),
      purged,
    };
    void onShot(line);
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
        <p className={styles.caution}>Cup and hands clear of the spout. Never unlock under pressure.</p>
      </div>
      <div className={styles.entry}>
        <p className={styles.aim}>
          Grind <strong className="numeral">{plainNumber(aim.grind)}</strong> · {plainNumber(aim.doseGrams)} g in ·{' '}
          {plainNumber(aim.yieldGrams)} g out{heat}
          {sheet.hasScale ? '' : ' · struck level'} · {target.timeSeconds.min}–{target.timeSeconds.max}&nbsp;s
        </p>
        {grindChanged && (
          <Checkbox checked={purged} onChange={(event) => setPurged(event.target.checked)}>
            Purged ({plainNumber(sheet.grinder.purgeGrams)} g)
          </Checkbox>
        )}
        <div className={styles.steppers}>
          <Stepper
            id="pull-dose"
            label="dose"
            unit="g"
            value={doseGrams}
            step={0.1}
            {...LIMITS.doseGrams}
            from={aim.doseGrams}
            onChange={tell(setDose)}
          />
          <Stepper
            id="pull-yield"
            label="yield"
            unit="g"
            value={yieldGrams}
            step={0.5}
            {...LIMITS.yieldGrams}
            from={aim.yieldGrams}
            onChange={setYield}
          />
          <Stepper
            id="pull-time"
            label="time"
            unit="s"
            value={timeSeconds}
            step={0.5}
            {...LIMITS.timeSeconds}
            from={Math.round((target.timeSeconds.min + target.timeSeconds.max) / 2)}
            onChange={setTime}
          />
          {sheet.grinder.dosing === 'timed' && (
            <Stepper
              id="pull-ground"
              label="ground"
              unit="s"
              value={grindSeconds}
              step={0.1}
              {...LIMITS.grindSeconds}
              from={4}
              onChange={tell(setGrindSeconds)}
            />
          )}
        </div>
        <fieldset className={styles.seen}>
          <legend>Seen</legend>
          {SIGNS.map((sign) => (
            <ToggleChip
              key={sign}
              chosen={seen.includes(sign)}
              onToggle={(on) => setSeen(on ? [...seen, sign] : seen.filter((other) => other !== sign))}
            >
              {SIGN_LABELS[sign]}
            </ToggleChip>
          ))}
        </fieldset>
        <div className={styles.actions}>
          <Button type="primary" size="large" disabled={!ready} loading={saving} onClick={save}>
            Save shot <kbd>Enter</kbd>
          </Button>
          <Button size="large" onClick={onBack}>
            Back
          </Button>
        </div>
      </div>
    </div>
  );
}
