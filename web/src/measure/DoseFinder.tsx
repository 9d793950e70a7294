import {
  findDose,
  plainNumber,
  PUCK_CHECKS,
  strikeLevelDose,
  type Print,
  type PuckCheck,
  type Weighing,
} from '@olvet/core';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import {
  useListBasketsQuery,
  useListCoffeesQuery,
  useListFoundDosesQuery,
  useListStationsQuery,
  usePutFoundDoseMutation,
  type BasketView,
  type CoffeeView,
} from '../app/api';
import { Loading } from '../parts/Loading';
import { day } from '../parts/format';
import { ProblemAlert } from '../parts/ProblemAlert';
import { Stepper } from '../parts/Stepper';
import { Caution } from './Caution';
import { HeadspaceDrawing } from './drawings';
import styles from './MeasurePage.module.css';
import { useAimRun } from './useAimRun';
import { Pick } from './Pick';

const ALL = {};
const PRINT_WORDS: Record<Print, string> = { deep: 'Deep print', faint: 'Faint print', none: 'No print' };

const PUCK_WORDS: Record<PuckCheck, string> = {
  imprint: 'marked by the screen',
  firm: 'firm and dry',
  soupy: 'soupy',
};

/** A guided search for the dose that fills a basket: the fewest weighings, or none at all without a scale. */
export function DoseFinder() {
  const baskets = useListBasketsQuery(ALL).data?.items;
  const coffees = useListCoffeesQuery(ALL).data?.items;
  const [search] = useSearchParams();
  const [basketId, setBasket] = useState(search.get('basket') ?? undefined);
  const [coffeeId, setCoffee] = useState(search.get('coffee') ?? undefined);
  const [way, setWay] = useState<'coin' | 'strike'>('coin');
  const station = useListStationsQuery(ALL).data?.items.find(({ retiredAt }) => !retiredAt);
  if (!baskets || !coffees) return <Loading />;
  const basket =
    baskets.find(({ id }) => id === (basketId ?? station?.basketId)) ?? baskets.find(({ retiredAt }) => !retiredAt);
  const coffee =
    coffees.find(({ id }) => id === (coffeeId ?? station?.coffeeId)) ?? coffees.find(({ retiredAt }) => !retiredAt);
  if (!basket || !coffee) {
    return (
      <p>
        A basket and a coffee are needed first: <Link to="/setup">set up a station</Link>.
      </p>
    );
  }
  const key = `${basket.id}/${coffee.id}/${way}`;
  return (
    <>
      <div className={styles.pick}>
        <Pick label="Basket" items={baskets} value={basket.id} onChange={setBasket} />
        <Pick label="Coffee" items={coffees} value={coffee.id} onChange={setCoffee} />
        <div>
          <Segmented
            aria-label="How"
            value={way}
            onChange={(value) => setWay(value as 'coin' | 'strike')}
            options={[
              { value: 'coin', label: 'with a scale' },
              { value: 'strike', label: 'without a scale' },
            ]}
          />
        </div>
      </div>
      {way === 'coin' ? (
        <ByCoin key={key} basket={basket} coffee={coffee} />
      ) : (
        <ByStriking key={key} basket={basket} coffee={coffee} />
      )}
    </>
  );
}

function ByCoin({ basket, coffee }: { basket: BasketView; coffee: CoffeeView }) {
  const [weighings, setWeighings] = useState<Weighing[]>([]);
  const limits = { minGrams: Math.min(basket.minGrams, basket.nominalGrams - 4), maxGrams: basket.maxGrams + 2 };
  const finding = findDose({ nominalGrams: basket.nominalGrams, roast: coffee.roast, ...limits, weighings });
  const [own, setOwn] = useState<number | null>(null);
  const grams = own ?? finding.nextGrams ?? finding.grams;
  const answer = (print: Print): void => {
    setWeighings([...weighings, { grams, print }]);
    setOwn(null);
  };
  return (
    <div className={styles.two}>
      <div className={styles.stack}>
        {finding.done ? (
          <p className={styles.answer} aria-live="polite">
            <span className={styles.calm}>{plainNumber(finding.grams, 1)} g</span> fills it, ±
            {plainNumber(finding.toleranceGrams, 1)} g.
          </p>
        ) : (
          <>
            <p className={styles.answer} aria-live="polite">
              <span className={styles.lead}>Weigh {plainNumber(finding.nextGrams ?? grams, 1)} g.</span>{' '}
              {weighings.length === 0
                ? 'Three or four weighings find it.'
                : `So far ${plainNumber(finding.grams, 1)} ±${plainNumber(finding.toleranceGrams, 1)} g.`}
            </p>
            <ol className={styles.steps}>
              <li>Level it without tapping, tamp level.</li>
              <li>Lay a thin coin (about 1.7 mm) off centre.</li>
              <li>Lock in, take out at once, look at the coin’s print.</li>
            </ol>
            <Stepper
              id="dose-grams"
              label="in the basket"
              unit="g"
              value={grams}
              step={0.1}
              min={4}
              max={40}
              from={grams}
              onChange={setOwn}
            />
            <div className={styles.buttons}>
              {(['deep', 'faint', 'none'] as const).map((print) => (
                <Button key={print} size="large" onClick={() => answer(print)}>
                  {PRINT_WORDS[print]}
                </Button>
              ))}
            </div>
          </>
        )}
        {weighings.length > 0 && (
          <div className={styles.buttons} role="group" aria-label="What the puck of a shot says">
            <p className="quiet">A shot pulled at {plainNumber(grams, 1)} g since? Its puck was</p>
            {PUCK_CHECKS.map((puck) => (
              <Button key={puck} onClick={() => setWeighings([...weighings, { grams, puck }])}>
                {PUCK_WORDS[puck]}
              </Button>
            ))}
          </div>
        )}
        {finding.contradictory && (
          <p role="alert">These prints contradict each other. Take the odd one out, or tamp and lay the coin again.</p>
        )}
        {weighings.length > 0 && (
          <ul className={styles.log} aria-label="Weighings">
            {weighings.map((weighing, i) => (
              <li key={`${i}-${weighing.grams}`}>
                {plainNumber(weighing.grams, 1)} g:{' '}
                {weighing.print ? PRINT_WORDS[weighing.print].toLowerCase() : `puck ${PUCK_WORDS[weighing.puck!]}`}
                <Button type="text" onClick={() => setWeighings(weighings.filter((_, n) => n !== i))}>
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        )}
        <KeepDose
          basket={basket}
          coffee={coffee}
          how="coin"
          grams={finding.grams}
          toleranceGrams={finding.toleranceGrams}
          ready={weighings.length > 0}
          primary={finding.done}
        />
        <Caution>
          Take the coin out before you brew. The group is hot: hands clear.
          {basket.shape === 'tapered' && ' In a tapered basket a wrong dose can jam an automatic tamper.'}
        </Caution>
      </div>
      <HeadspaceDrawing />
    </div>
  );
}

function ByStriking({ basket, coffee }: { basket: BasketView; coffee: CoffeeView }) {
  const dose = strikeLevelDose(basket.nominalGrams, coffee.roast);
  return (
    <div className={styles.stack}>
      <p className={styles.answer}>
        About {plainNumber(dose.grams, 1)} g, ±{plainNumber(dose.toleranceGrams, 1)} g.
      </p>
      <ol className={styles.steps}>
        <li>Overfill the basket, tap nothing.</li>
        <li>Strike it level with a straight edge, in one stroke, always the same way.</li>
        <li>Tamp. Read the yield in a marked glass; crema makes it look more.</li>
      </ol>
      <p className="quiet">
        Repeatable to a few tenths. Say at the station that nothing is weighed, and the advice counts with it: wider
        forecasts, smaller claims. <Link to="/workshop?tab=stations">To the stations</Link>
      </p>
      <KeepDose basket={basket} coffee={coffee} how="strike" {...dose} ready primary />
    </div>
  );
}

function KeepDose({
  basket,
  coffee,
  how,
  grams,
  toleranceGrams,
  ready,
  primary,
}: {
  basket: BasketView;
  coffee: CoffeeView;
  how: 'coin' | 'strike';
  grams: number;
  toleranceGrams: number;
  ready: boolean;
  primary: boolean;
}) {
  const [putDose, { error, isLoading }] = usePutFoundDoseMutation();
  const { data: known } = useListFoundDosesQuery({ basketId: basket.id, coffeeId: coffee.id, pageSize: 1 });
  const last = known?.items[0];
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const aimRun = useAimRun();
  const runId = search.get('run');
  const keep = async (): Promise<void> => {
    const foundAt = new Date().toISOString();
    const foundDoseDto = { basketId: basket.id, coffeeId: coffee.id, grams, toleranceGrams, how, foundAt };
    const done = await putDose({ id: v7(), foundDoseDto });
    // A dial-in that waits for this dose begins with it.
    if (runId && !('error' in done) && (await aimRun.at(runId, grams))) await navigate(`/dial-in/${runId}`);
  };
  return (
    <>
      <ProblemAlert error={error ?? aimRun.error} />
      <Button
        type={primary ? 'primary' : 'default'}
        size="large"
        disabled={!ready}
        loading={isLoading}
        onClick={() => void keep()}
      >
        Keep {plainNumber(grams, 1)} g for {coffee.name}
      </Button>
      {last && (
        <p className="quiet small">
          Kept: {plainNumber(last.grams, 1)} g ±{plainNumber(last.toleranceGrams, 1)} g,{' '}
          {last.how === 'coin' ? 'by the coin' : 'struck level'}, {day(last.foundAt)}. Advice stays near it.
        </p>
      )}
    </>
  );
}
