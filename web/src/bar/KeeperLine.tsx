import { clockTimeOf, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useGoOnKeepingMutation, useHoldKeeperMutation, type JudgedDayView, type KeeperView } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useShopHours } from '../parts/useShopHours';
import { HOLD_WORDS } from './keeperWords';
import styles from './StationStrip.module.css';

/** The closed loop of a station: that it keeps, and how to stop it; that it holds, and why. */
export function KeeperLine({
  keeper,
  day,
  name,
}: {
  keeper: KeeperView;
  day: JudgedDayView | null | undefined;
  name: string;
}) {
  const hours = useShopHours();
  const [hold, holding] = useHoldKeeperMutation();
  const [goOn, going] = useGoOnKeepingMutation();
  const { id, heldAt, heldWhy } = keeper;
  const error = holding.error ?? going.error;
  if (!keeper.isOn) return null;
  return (
    <div className={styles.keeper}>
      {heldAt === null ? (
        <>
          <Button
            danger
            size="large"
            loading={holding.isLoading}
            aria-label={`Hold the grinder of ${name}`}
            onClick={() => void hold({ id })}
          >
            Hold
          </Button>
          <p className="small">
            Olvet turns this grinder{day ? `: ${turnsInWords(day)}` : ''}. Fingers off the collar.
          </p>
        </>
      ) : (
        <>
          <p className="small">
            <strong>Held at {clockTimeOf(new Date(heldAt), hours)}.</strong> {heldWhy && HOLD_WORDS[heldWhy]}
          </p>
          <Button loading={going.isLoading} aria-label={`Let Olvet go on at ${name}`} onClick={() => void goOn({ id })}>
            Looked, go on
          </Button>
        </>
      )}
      <ProblemAlert error={error} />
    </div>
  );
}

function turnsInWords({ unitsToday, unitsPerDay }: JudgedDayView): string {
  return `${plainNumber(unitsToday, 2)} of ${plainNumber(unitsPerDay, 2)} used today`;
}
