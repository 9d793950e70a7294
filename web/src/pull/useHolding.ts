import { useState } from 'react';
import { useGivePullMutation, useListOpenPullsQuery } from '../app/api';
import { tabletId } from '../app/tabletId';
import type { LivePull } from './livePull';

export interface Holding {
  /** First name of whoever asks for this shot from another tablet, '' where nobody said; null while nobody asks. */
  askedBy: string | null;
  /** Another tablet holds it now. */
  isLost: boolean;
  give: () => void;
  keep: () => void;
}

/** Whether this tablet still holds the shot it pulls, and who asks for it. */
export function useHolding({ id, startedAt }: LivePull): Holding {
  const { data: open } = useListOpenPullsQuery(undefined, { skip: startedAt === null });
  const view = open?.find((each) => each.id === id);
  const [givePull] = useGivePullMutation();
  const me = tabletId();
  const answer = (toId: string): void => void givePull({ id, givePullDto: { tabletId: me, toId } });
  const isMine = view === undefined || view.ownerId === me;
  // A list read before it came here still names the tablet it came from.
  const [wasMine, setWasMine] = useState(false);
  if (view?.ownerId === me && !wasMine) setWasMine(true);
  return {
    askedBy: isMine && view?.askedById ? view.askedByName : null,
    isLost: wasMine && !isMine,
    give: () => view?.askedById && answer(view.askedById),
    keep: () => answer(me),
  };
}
