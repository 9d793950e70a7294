import { plainNumber } from '@olvet/core';
import { App, Button } from 'antd';
import { useState } from 'react';
import type { BoardStationView } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { useCoffeeChange } from './useCoffeeChange';

/** The coffee of before comes back with one tap, its setting corrected for the days since. */
export function BackTo({ standing }: { standing: BoardStationView }) {
  const { station, beforeCoffeeId, beforeCoffeeName } = standing;
  const { propose, change, isSaving, error } = useCoffeeChange(station);
  const [failed, setFailed] = useState<unknown>();
  const { message } = App.useApp();
  if (!beforeCoffeeId) return null;
  const back = async (): Promise<void> => {
    try {
      const proposal = await propose(beforeCoffeeId);
      if (!(await change(proposal, null))) return;
      const at = proposal.grind === null ? '' : ` at grind ${plainNumber(proposal.grind)}`;
      void message.success(`${proposal.coffeeName} is back${at}. ${proposal.reasons.at(-1) ?? ''}`);
    } catch (problem) {
      setFailed(problem);
    }
  };
  return (
    <>
      <Button
        loading={isSaving}
        onClick={() => void back()}
        aria-label={`Back to ${beforeCoffeeName} at ${station.name}`}
      >
        Back to {beforeCoffeeName}
      </Button>
      <ProblemAlert error={error ?? failed} />
    </>
  );
}
