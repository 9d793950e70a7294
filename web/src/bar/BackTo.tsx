import { plainNumber } from '@olvet/core';
import { App, Button } from 'antd';
import type { BoardStationView } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useCoffeeChange } from './useCoffeeChange';

/** The coffee of before comes back with one tap, its setting corrected for the days since. */
export function BackTo({ standing }: { standing: BoardStationView }) {
  const { station, beforeCoffeeId, beforeCoffeeName } = standing;
  const { backTo, isBusy, error } = useCoffeeChange(station);
  const { message } = App.useApp();
  if (!beforeCoffeeId) return null;
  const back = async (): Promise<void> => {
    const proposal = await backTo(beforeCoffeeId);
    if (!proposal) return;
    const at = proposal.grind === null ? '' : ` at grind ${plainNumber(proposal.grind)}`;
    void message.success(`${proposal.coffeeName} is back${at}. ${proposal.reasons.at(-1) ?? ''}`);
  };
  return (
    <>
      <Button
        loading={isBusy}
        onClick={() => void back()}
        aria-label={`Back to ${beforeCoffeeName} at ${station.name}`}
      >
        Back to {beforeCoffeeName}
      </Button>
      <ProblemAlert error={error} />
    </>
  );
}
