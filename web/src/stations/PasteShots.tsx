import { Button, Input, Select } from 'antd';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { usePutSeveralShotsMutation, type BoardStationView } from '../app/api';
import { saved } from '../app/justSavedSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { serviceAim } from '../bar/service';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { shotFromLine } from '../parts/shotFromLine';
import { useShopHours } from '../parts/useShopHours';
import { MOST_LINES, pastedInWords, readPasted } from './pasted';
import styles from './StationPage.module.css';

/** Several shots at once, one a line: read back before anything is stored. */
export function PasteShots({ standing, onDone }: { standing: BoardStationView; onDone: () => void }) {
  const { station, cards } = standing;
  const [text, setText] = useState('');
  const [cardId, chooseCard] = useState(cards[0]?.cardId);
  const [put, { isLoading, error }] = usePutSeveralShotsMutation();
  const dispatch = useAppDispatch();
  const person = useAppSelector((state) => state.settings.person);
  const hours = useShopHours();
  // By the place of a line, so that sending again after a failure makes none twice.
  const ids = useRef(new Map<string, string>());
  const lines = readPasted(text);
  const wrong = lines.filter(({ problem }) => problem !== null);
  const isReady = lines.length > 0 && wrong.length === 0 && lines.length <= MOST_LINES;

  const store = async (): Promise<void> => {
    const card = cards.find((each) => each.cardId === cardId);
    const { settings: aim, timer } = serviceAim(station, card);
    const now = new Date();
    const shots = lines.map(({ number, text: said, line, hour }) => {
      const key = `${number}/${said}`;
      const id = ids.current.get(key) ?? v7();
      ids.current.set(key, id);
      const place = { stationId: station.id, cardVersionId: card?.versionId ?? null, kind: 'service' as const };
      return { id, ...shotFromLine(line, { ...place, aim, timer, person, now, hours }), hourKnown: hour !== null };
    });
    const done = await put({ severalShotsDto: { shots } });
    if ('error' in done) return;
    const shotIds = shots.map(({ id }) => id);
    dispatch(saved({ place: station.id, shotIds, what: plural(shots.length, 'shot'), at: now.getTime() }));
    onDone();
  };
  return (
    <section className={styles.paste} aria-label="Paste shots">
      <label htmlFor="paste">One shot a line, its hour in front if it is known</label>
      <Input.TextArea
        id="paste"
        rows={6}
        value={text}
        placeholder={'08:12 18 > 36 in 28\n18.1 > 17+17.5 in 29 sour'}
        onChange={(event) => setText(event.target.value)}
      />
      {cards.length > 0 && (
        <label className={styles.by}>
          Pulled by
          <Select
            value={cardId}
            onChange={chooseCard}
            options={cards.map((card) => ({ value: card.cardId, label: `${card.name}, version ${card.version}` }))}
          />
        </label>
      )}
      {lines.length > 0 && (
        <ol className={styles.preview} aria-label="How they are read">
          {lines.map((line) => (
            <li key={line.number} value={line.number} className={line.problem ? styles.wrong : undefined}>
              {line.problem ? `${line.text}: ${line.problem}.` : pastedInWords(line)}
            </li>
          ))}
        </ol>
      )}
      {wrong.length > 0 && <p role="alert">{plural(wrong.length, 'line')} to correct; nothing is stored before.</p>}
      {lines.length > MOST_LINES && <p role="alert">At most {MOST_LINES} lines at a time.</p>}
      <ProblemAlert error={error} />
      <div className={styles.actions}>
        <Button type="primary" disabled={!isReady} loading={isLoading} onClick={() => void store()}>
          Store {plural(lines.length, 'shot')}
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </section>
  );
}
