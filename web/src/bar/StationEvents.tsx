import { clockTimeOf } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { usePutStationEventMutation, type BoardStationView, type StationEventDto } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ToggleChip } from '../parts/ToggleChip';
import { useShopHours } from '../parts/useShopHours';
import styles from './StationStrip.module.css';

const KINDS: { kind: StationEventDto['kind']; text: string }[] = [
  { kind: 'hopper-filled', text: 'Hopper filled' },
  { kind: 'cleaned', text: 'Grinder cleaned' },
];

/** What was just done at a station that may move its time; said by mistake, it is taken back. */
export function StationEvents({ standing, onDone }: { standing: BoardStationView; onDone: () => void }) {
  const hours = useShopHours();
  const [put, { isLoading, error }] = usePutStationEventMutation();
  const [said, setSaid] = useState<(StationEventDto & { id: string }) | null>(null);
  const [id, setId] = useState(() => v7());
  const { station } = standing;
  const say = async (kind: StationEventDto['kind']): Promise<void> => {
    const event = { stationId: station.id, kind, at: new Date().toISOString() };
    if ('error' in (await put({ id, stationEventDto: event }))) return;
    setSaid({ id, ...event });
    setId(v7());
  };
  const undo = async (): Promise<void> => {
    if (!said) return;
    const { id: saidId, ...event } = said;
    const stationEventDto = { ...event, removedAt: new Date().toISOString(), revision: 1 };
    if (!('error' in (await put({ id: saidId, stationEventDto })))) setSaid(null);
  };
  return (
    <section className={styles.panel} aria-label={`Done at ${station.name}`}>
      <div className={styles.wrapped}>
        {said === null ? (
          KINDS.map(({ kind, text }) => (
            <ToggleChip key={kind} chosen={false} disabled={isLoading} onToggle={() => void say(kind)}>
              {text}
            </ToggleChip>
          ))
        ) : (
          <>
            <p role="status">
              {KINDS.find(({ kind }) => kind === said.kind)!.text} at {clockTimeOf(new Date(said.at), hours)}.
            </p>
            <Button loading={isLoading} onClick={() => void undo()}>
              Undo
            </Button>
          </>
        )}
        <Button type="text" onClick={onDone}>
          {said === null ? 'Cancel' : 'Done'}
        </Button>
      </div>
      {said === null && (
        <p className="quiet small">
          Before a hand goes near the burrs: switch off and pull the plug, and keep to the maker’s manual.
        </p>
      )}
      <ProblemAlert error={error} />
    </section>
  );
}
