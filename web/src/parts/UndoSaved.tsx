import { Button } from 'antd';
import { useState } from 'react';
import { api, usePutShotMutation } from '../app/api';
import { forgotten, UNDO_MS } from '../app/justSavedSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { storedShotDto } from '../dialin/shotDto';
import { ProblemAlert } from './ProblemAlert';
import styles from './UndoSaved.module.css';
import { useNow } from './useNow';

const TICK_MS = 500;

/** For ten seconds after a shot was saved here: what was saved, and the way back. */
export function UndoSaved({ place }: { place: string }) {
  const justSaved = useAppSelector((state) => state.justSaved);
  const now = useNow(TICK_MS);
  if (!justSaved || justSaved.place !== place || now - justSaved.at >= UNDO_MS) return null;
  return <Undo shotIds={justSaved.shotIds} what={justSaved.what} />;
}

function Undo({ shotIds, what }: { shotIds: string[]; what: string }) {
  const dispatch = useAppDispatch();
  const [putShot] = usePutShotMutation();
  const [error, setError] = useState<unknown>();
  const [isBusy, setBusy] = useState(false);
  const undo = async (): Promise<void> => {
    setBusy(true);
    try {
      for (const id of shotIds) {
        const read = { subscribe: false, forceRefetch: true } as const;
        const shot = await dispatch(api.endpoints.getShot.initiate({ id }, read)).unwrap();
        const shotDto = storedShotDto(shot, { removedAt: new Date().toISOString() });
        await putShot({ id, shotDto }).unwrap();
      }
      dispatch(forgotten());
    } catch (failed) {
      setBusy(false);
      setError(failed);
    }
  };
  return (
    <div className={styles.undo} role="status">
      <span>{what} saved.</span>
      <Button onClick={() => void undo()} loading={isBusy}>
        Undo
      </Button>
      <ProblemAlert error={error} />
    </div>
  );
}
