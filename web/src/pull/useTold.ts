import { startTransition, useEffect, useState } from 'react';
import type { Recorder, Snapshot } from './recorder';

/**
 * A recorder as it was last told. What a hand did shows at once; what devices say is built in slices between frames, so that no task
 * of the page grows long.
 */
export function useTold(recorder: Recorder): Snapshot {
  const [told, setTold] = useState(recorder.snapshot);
  useEffect(() => {
    let before = recorder.snapshot();
    const show = (): void => {
      const now = recorder.snapshot();
      const isByHand = stateOf(before) !== stateOf(now) || before.pull.marks !== now.pull.marks;
      before = now;
      if (isByHand) setTold(now);
      else startTransition(() => setTold(now));
    };
    show();
    return recorder.subscribe(show);
  }, [recorder]);
  return told;
}

function stateOf({ pull: { startedAt, stoppedSeconds } }: Snapshot): string {
  return `${startedAt} ${stoppedSeconds}`;
}
