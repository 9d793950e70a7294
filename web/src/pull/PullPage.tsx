import type { ShotLine } from '@olvet/core';
import { Button } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import {
  useGetBasketQuery,
  useGetBoardQuery,
  useGetMachineQuery,
  useListShotsQuery,
  type BoardCardView,
  type BoardStationView,
} from '../app/api';
import { ChangedSince } from '../cards/ChangedSince';
import { serviceAim } from '../bar/service';
import { useServiceShot } from '../bar/useServiceShot';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ToggleChip } from '../parts/ToggleChip';
import { PullPanel, type Watched } from './PullPanel';
import styles from './PullPage.module.css';
import { soakOf, type PullSubject } from './subject';
import { useKeptPull } from './useKeptPull';

/** Shots among which one may stand for a card that has no flight of its own. */
const LOOKED_AT = 30;

/** A shot of service, or one to check the recipe, lived through at its station. */
export function PullPage() {
  const { stationId } = useParams<'stationId'>();
  const { data: board, error } = useGetBoardQuery();
  const standing = board?.stations.find(({ station }) => station.id === stationId);
  if (!board) return <Loading error={error} />;
  if (!standing) {
    return (
      <p className={styles.missing}>
        There is no such station. <Link to="/">To the bar</Link>
      </p>
    );
  }
  return <AtStation standing={standing} />;
}

function AtStation({ standing }: { standing: BoardStationView }) {
  const { station, cards, coffeeName } = standing;
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [isCheck, setCheck] = useState(search.get('kind') === 'check');
  const [cardId, chooseCard] = useState(search.get('card') ?? cards[0]?.cardId);
  const card = cards.find((each) => each.cardId === cardId);
  const [picture, setPicture] = useState<HTMLElement | null>(null);
  const [aside, setAside] = useState<HTMLElement | null>(null);
  const [isBegun, setBegun] = useState(false);
  const begin = useCallback(() => setBegun(true), []);
  const [kept, forgetKept] = useKeptPull(station.id, noop);
  const subject = useSubject(standing, card, isCheck);
  const { save, isSaving, error } = useServiceShot(standing);
  const leave = (): void => {
    forgetKept();
    // Its strip tells what was saved, and takes it back.
    void navigate('/');
  };
  const onShot = async (id: string, line: ShotLine, watched: Watched): Promise<boolean> => {
    const saved = await save(line, serviceAim(station, card), { isCheck, card }, { id, watched });
    if (saved) leave();
    return saved;
  };
  return (
    <div className={styles.page}>
      <header className={styles.head}>
        <h1>{coffeeName}</h1>
        <span className="quiet">{station.name}</span>
        {!isBegun &&
          cards.map((each) => (
            <ToggleChip
              key={each.cardId}
              chosen={each.cardId === cardId}
              onToggle={(on) => chooseCard(on ? each.cardId : undefined)}
            >
              {each.name}, version {each.version}
            </ToggleChip>
          ))}
        <ToggleChip chosen={isCheck} onToggle={setCheck}>
          check shot
        </ToggleChip>
      </header>
      <div className={styles.picture} ref={setPicture} />
      <div className={styles.aside} ref={setAside} />
      <div className={styles.bottom}>
        {!isBegun && card && <ChangedSince cardId={card.cardId} />}
        <ProblemAlert error={error} />
        {subject ? (
          <PullPanel
            key={kept?.id ?? cardId}
            subject={subject}
            kept={kept}
            picture={picture}
            aside={aside}
            saving={isSaving}
            onShot={onShot}
            onBack={leave}
            onLost={(pullId) => void navigate(`/watch/${pullId}`)}
            onBegun={begin}
          />
        ) : (
          <Button loading type="text" aria-label="Loading" />
        )}
      </div>
    </div>
  );
}

function noop(): void {
  // The page is the pull itself: what was found is shown by it.
}

function useSubject(
  { station }: BoardStationView,
  card: BoardCardView | undefined,
  isCheck: boolean,
): PullSubject | null {
  const { data: machine } = useGetMachineQuery({ id: station.machineId });
  const { data: basket } = useGetBasketQuery({ id: station.basketId });
  const { data: shots } = useListShotsQuery({ stationId: station.id, page: 1, pageSize: LOOKED_AT });
  return useMemo(() => {
    if (!machine || !basket || !shots) return null;
    const { settings, timer } = serviceAim(station, card);
    const preBrew = station.methodId === 'hand-lever' ? 'lever' : (machine.preBrew ?? 'none');
    const ofCard = shots.items.filter(({ cardVersionId }) => card !== undefined && cardVersionId === card.versionId);
    // A card kept without a scale has no flight of its own: its last good one stands for it.
    const lastGood = ofCard.find(({ traced, verdict }) => traced && traced.line.length > 0 && verdict !== 'discard');
    return {
      ...{ place: station.id, stationId: station.id, runId: null, kind: isCheck ? 'check' : 'service' },
      plan: { settings, timeSeconds: (card?.recipe ?? station.target).timeSeconds, timer },
      hasScale: station.weighs !== false,
      ground: null,
      purgeGrams: null,
      preBrew,
      ...soakOf(preBrew),
      valveGrams: card?.recipe.valveGrams ?? null,
      basketMm: basket.diameterMm ?? null,
      earlier: [],
      reference: card?.reference ?? lastGood?.traced?.line ?? null,
    };
  }, [machine, basket, shots, station, card, isCheck]);
}
