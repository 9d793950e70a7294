import { clockTimeOf, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  usePutDayMoveMutation,
  type BoardStationView,
  type DayMoveView,
  type JudgedDayView,
  type StationView,
} from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ToggleChip } from '../parts/ToggleChip';
import { useShopHours } from '../parts/useShopHours';
import { withoutRow } from '../parts/withoutRow';
import styles from './StationStrip.module.css';

const REASONS = ['It tastes right', 'This bag is nearly empty', 'It will pass'];

/** The move in words: which way, how far, and for how long to grind then. */
export function moveInWords(
  { grind, grindSeconds }: NonNullable<JudgedDayView['move']>,
  finer: 'lower' | 'higher',
): string {
  const isFiner = grind.to < grind.from === (finer === 'lower');
  const turn = `${isFiner ? 'Finer' : 'Coarser'} ${plainNumber(Math.abs(grind.to - grind.from))}, to ${plainNumber(grind.to)}`;
  return grindSeconds == null ? turn : `${turn}, grind ${plainNumber(grindSeconds, 1)} s`;
}

/** A drift answered with one tap: the small move, or to let it be and why. */
export function AnswerDrift({ standing, day }: { standing: BoardStationView; day: JudgedDayView }) {
  const { station, finer } = standing;
  const [isLeaving, setLeaving] = useState(false);
  const [putMove, { isLoading, error }] = usePutDayMoveMutation();
  // Kept over retries, so that sending twice turns once.
  const [id, setId] = useState(() => v7());
  const { move } = day;
  if (!move) return null;
  const answer = async (answered: 'turned' | 'left', why: string): Promise<void> => {
    const turn = answered === 'turned' ? { toGrind: move.grind.to, grindSeconds: move.grindSeconds ?? null } : {};
    const dayMoveDto = { stationId: station.id, at: new Date().toISOString(), answer: answered, why, ...turn };
    if ('error' in (await putMove({ id, dayMoveDto }))) return;
    setId(v7());
    setLeaving(false);
  };
  return (
    <div className={styles.answer}>
      <ProblemAlert error={error} />
      {isLeaving ? (
        <div className={styles.actions} role="group" aria-label="Why it is let be">
          {REASONS.map((why) => (
            <ToggleChip key={why} chosen={false} disabled={isLoading} onToggle={() => void answer('left', why)}>
              {why}
            </ToggleChip>
          ))}
        </div>
      ) : (
        <div className={styles.actions}>
          <Button type="primary" loading={isLoading} onClick={() => void answer('turned', day.why.join(' '))}>
            {moveInWords(move, finer)}
          </Button>
          <Button type="text" className={styles.leave} onClick={() => setLeaving(true)}>
            Leave it
          </Button>
        </div>
      )}
      {(move.purgeGrams ?? 0) > 0 && (
        <p className="quiet small">
          Purge {plainNumber(move.purgeGrams!)} g; finer only while the burrs turn. Expect{' '}
          {plainNumber(move.expectSeconds.mean, 0)} s.
        </p>
      )}
    </div>
  );
}

/** What was answered last, and the way back: of a hand's turn as long as no shot was pulled since, of the loop's as long as it stands there. */
export function LastAnswer({ station, day }: { station: StationView; day: JudgedDayView }) {
  const hours = useShopHours();
  const [putMove, { isLoading, error }] = usePutDayMoveMutation();
  const { lastMove: move, shotsSince } = day;
  if (!move) return null;
  const { answer, toGrind, isKeeper, why } = move;
  const canUndo = answer === 'turned' && (isKeeper ? station.grind === toGrind : shotsSince === 0);
  const undo = (): void => {
    const { fromGrind: _from, fromGrindSeconds: _seconds, isKeeper: _keeper, ...dto } = withoutRow(move);
    void putMove({ id: move.id, dayMoveDto: { ...dto, undoneAt: new Date().toISOString() } });
  };
  return (
    <>
      <p className="quiet small">
        {answerInWords(move, clockTimeOf(new Date(move.at), hours))}
        {isKeeper && ` ${why}`}{' '}
        {canUndo && (
          <Button size="small" loading={isLoading} onClick={undo}>
            {isKeeper ? 'Take back' : 'Turn back'}
          </Button>
        )}
      </p>
      <ProblemAlert error={error} />
    </>
  );
}

/** One line of it: also of a day that is over. */
export function answerInWords(
  { answer, toGrind, isKeeper, why }: Pick<DayMoveView, 'answer' | 'toGrind' | 'isKeeper' | 'why'>,
  hour: string,
): string {
  if (answer === 'left') return `Let be at ${hour}: ${why}.`;
  return `${isKeeper ? 'Olvet turned' : 'Turned'} to ${plainNumber(toGrind!)} at ${hour}.`;
}
