import { LIMITS, plainNumber } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { useGetProposalQuery, useListCoffeesQuery, type BoardStationView, type ProposalView } from '../app/api';
import { temperatureNumber } from '../parts/format';
import { Loading } from '../parts/Loading';
import { ProblemAlert } from '../parts/ProblemAlert';
import { Stepper } from '../parts/Stepper';
import { useTemperatureUnit } from '../parts/temperature';
import { ToggleChip } from '../parts/ToggleChip';
import { useMethods } from '../parts/useMethods';
import styles from './AnotherCoffee.module.css';
import stripStyles from './StationStrip.module.css';
import { useCoffeeChange } from './useCoffeeChange';
import { useOpenRun } from './useOpenRun';

/** What a small hopper and the chute under it hold. */
const USUAL_THROWN_GRAMS = 30;

/** Another coffee in one step: which, what is discarded, and how it begins, with the reasons. */
export function AnotherCoffee({ standing, onDone }: { standing: BoardStationView; onDone: () => void }) {
  const { station } = standing;
  const { data, error } = useListCoffeesQuery({ state: 'in-use' });
  const [coffeeId, choose] = useState<string | null>(null);
  const others = (data?.items ?? []).filter(({ id }) => id !== station.coffeeId);
  if (!data) return <Loading error={error} />;
  return (
    <section className={stripStyles.panel} aria-label={`Another coffee at ${station.name}`}>
      <div className={stripStyles.wrapped}>
        {others.map(({ id, name }) => (
          <ToggleChip key={id} chosen={id === coffeeId} onToggle={(on) => choose(on ? id : null)}>
            {name}
          </ToggleChip>
        ))}
        {others.length === 0 && <p>No other coffee is on the shelf.</p>}
        <Button type="text" onClick={onDone}>
          Cancel
        </Button>
      </div>
      {coffeeId && <Proposed key={coffeeId} standing={standing} coffeeId={coffeeId} onDone={onDone} />}
    </section>
  );
}

function Proposed({
  standing,
  coffeeId,
  onDone,
}: {
  standing: BoardStationView;
  coffeeId: string;
  onDone: () => void;
}) {
  const { station, coffeeName } = standing;
  const { currentData: proposal, error } = useGetProposalQuery({ id: station.id, coffeeId });
  const [thrownGrams, setThrown] = useState<number | null>(null);
  const { change, isBusy, error: refused } = useCoffeeChange(station);
  const { open, opening, error: notOpened } = useOpenRun();
  if (!proposal) return <Loading error={error} />;
  const { grind, grindSd } = proposal;
  const put = async (dialIn: boolean): Promise<void> => {
    const after = await change(proposal, thrownGrams);
    if (!after) return;
    if (dialIn) await open({ station: after }, grind === null ? null : { grind, sd: grindSd ?? 0 });
    else onDone();
  };
  const isBack = proposal.cardId !== null;
  return (
    <div className={styles.proposal}>
      <ProposalInWords proposal={proposal} />
      <div className={stripStyles.wrapped}>
        <Stepper
          id={`thrown-${station.id}`}
          label={`${coffeeName} discarded`}
          unit="g"
          value={thrownGrams}
          step={5}
          {...LIMITS.thrownGrams}
          from={USUAL_THROWN_GRAMS}
          onChange={setThrown}
        />
        <Button
          size="large"
          type={isBack ? 'primary' : 'default'}
          loading={isBusy || opening}
          onClick={() => void put(false)}
        >
          Put it in
        </Button>
        <Button
          size="large"
          type={isBack ? 'default' : 'primary'}
          loading={isBusy || opening}
          onClick={() => void put(true)}
        >
          Put it in and dial in
        </Button>
      </div>
      <ProblemAlert error={refused ?? notOpened} />
    </div>
  );
}

function ProposalInWords({ proposal }: { proposal: ProposalView }) {
  const { target, methodId, grind, grindSd, reasons } = proposal;
  const unit = useTemperatureUnit();
  const methods = useMethods();
  const heat = target.temperatureC == null ? '' : ` · ${temperatureNumber(target.temperatureC, unit)} °${unit}`;
  return (
    <div>
      <p className={`numeral ${styles.aim}`}>
        {grind === null ? 'Grind by hand check' : `Grind ${plainNumber(grind)}`} · {plainNumber(target.doseGrams)} →{' '}
        {plainNumber(target.yieldGrams)} g{heat} · {target.timeSeconds.min}–{target.timeSeconds.max} s
      </p>
      <p className="quiet small">
        {methods.find(methodId)?.name}
        {grind !== null && grindSd !== null && ` · the setting give or take ${plainNumber(grindSd, 1)}`}
      </p>
      <ul className={styles.reasons}>
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
    </div>
  );
}
