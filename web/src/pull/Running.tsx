import { plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useAppSelector } from '../app/store';
import { outcomeClass, OutcomeMark, type Side } from '../parts/Outcome';
import { courseOf } from './course';
import { RescueLine } from './LeverLane';
import { markAt } from './livePull';
import { MarkRow } from './MarkRow';
import styles from './PullPanel.module.css';
import type { PullSubject } from './subject';
import type { PullHandle } from './usePull';

const SIDES: Record<'fast' | 'slow' | 'on-target', Side> = { fast: 'low', slow: 'high', 'on-target': 'on' };

/** While it runs: where it goes, what to do, and one tap for each thing that happens. */
export function Running({ handle, subject }: { handle: PullHandle; subject: PullSubject }) {
  const { trace } = handle;
  const course = courseOf(trace, subject.plan);
  const cue = useCueShown(handle);
  return (
    <div className={styles.running}>
      <p className={`numeral ${styles.course}`} aria-live="polite">
        {cue ?? (
          <>
            {course?.side && <OutcomeMark side={SIDES[course.side]} size={22} />}{' '}
            <span className={course?.side ? outcomeClass(SIDES[course.side]) : ''}>{course?.title}</span>{' '}
            {course?.detail}
          </>
        )}
      </p>
      {subject.preBrew !== 'none' && <EndSoak handle={handle} />}
      {subject.isLever && <RescueLine handle={handle} />}
      <MarkRow handle={handle} />
    </div>
  );
}

/** The words of the cue, large; the tone is the clock's. */
function useCueShown(handle: PullHandle): string | null {
  const { trace, sinceStart, pull } = handle;
  if (markAt(pull, 'cue') !== null) return 'Stop now.';
  const left = trace?.stop ? trace.stop.atSeconds - sinceStart : null;
  if (left === null || left > 3) return null;
  return left <= 0 ? 'Stop now.' : `Stop in ${Math.ceil(left)} s.`;
}

/** With a soak that the machine can control: when to end it, and why then. */
function EndSoak({ handle }: { handle: PullHandle }) {
  const { machine, pull, trace, sinceStart, ask } = handle;
  const soakByCover = useAppSelector((state) => state.settings.soakByCover);
  if (!machine?.capabilities.includes('end-soak') || markAt(pull, 'soak-ended') !== null) return null;
  if (trace?.phase !== 'soaking') return null;
  const covered = markAt(pull, 'covered');
  if (covered === null) return null;
  const left = soakByCover * covered - sinceStart;
  return (
    <p className={styles.soak}>
      <Button size="large" type={left <= 0 ? 'primary' : 'default'} onClick={() => ask('end-soak')}>
        {left > 0 ? `End the soak in ${Math.ceil(left)} s` : 'End the soak about now'}
      </Button>
      <span className="quiet">
        Covered at {plainNumber(covered, 1)} s: {plainNumber(soakByCover, 1)} times that evens the puck, more brings
        little.
      </span>
    </p>
  );
}
