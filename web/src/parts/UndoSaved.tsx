import { Button } from 'antd';
import { useState } from 'react';
import { api, usePutSeveralShotsMutation } from '../app/api';
import { forgotten, UNDO_MS, type JustSaved } from '../app/justSavedSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { storedShotDto } from '../dialin/shotDto';
import { ProblemAlert } from './ProblemAlert';
import styles from './UndoSaved.module.css';
import { useNow } from './useNow';

const TICK_MS = 500;

/** For ten seconds after a shot was saved here: what was saved, and the way back. */
export function UndoSaved({ place }: { place: string }) {
  const justSaved = useAppSelector((state) => state.justSaved);
  return justSaved?.place === place ? <Undo key={justSaved.at} {...justSaved} /> : null;
}

/** Several shots go as they came: all of them or none. */
function Undo({ shotIds, what, at }: JustSaved) {
  const dispatch = useAppDispatch();
  const now = useNow(TICK_MS);
  const [putShots, { isLoading, error: refused }] = usePutSeveralShotsMutation();
  const [missing, setMissing] = useState<unknown>();
  const undo = async (): Promise<void> => {
    try {
      const removedAt = new Date().toISOString();
      const read = { subscribe: false, forceRefetch: true } as const;
      const rows = await Promise.all(
        shotIds.map((id) => dispatch(api.endpoints.getShot.initiate({ id }, read)).unwrap()),
      );
      const shots = rows.map((row) => ({ id: row.id, ...storedShotDto(row, { removedAt }) }));
      if (!('error' in (await putShots({ severalShotsDto: { shots } })))) dispatch(forgotten());
    } catch (failed) {
      setMissing(failed);
    }
  };
  const error = refused ?? missing;
  if (now - at >= UNDO_MS && !isLoading && !error) return null;
  return (
    <div className={styles.undo} role="status">
      <span>{what} saved.</span>
      <Button onClick={() => void undo()} loading={isLoading}>
        Undo
      </Button>
      <ProblemAlert error={error} />
    </div>
  );
}
