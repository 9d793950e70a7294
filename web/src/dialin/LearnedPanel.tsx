import { capital, plainNumber } from '@olvet/core';
import { Link } from 'react-router';
import type { LearnedTasteView, PalateView, SheetView } from '../app/api';
import { learnedTasteInWords, marksInWords, palateInWords, slopeInWords } from '../parts/learned';
import styles from './LearnedPanel.module.css';

/** What a finished dial-in taught: the grinder, the coffee, the people. */
export function LearnedPanel({ sheet }: { sheet: SheetView }) {
  const { run, grinder, coffee, palates } = sheet;
  const { lesson } = run;
  if (!lesson) return null;
  return (
    <section className={styles.panel} aria-labelledby="learned">
      <h2 id="learned">What this dial-in taught</h2>
      <dl>
        <dt>{grinder.name}</dt>
        <dd>
          {grinder.learnedSlope
            ? `${capital(slopeInWords(grinder.learnedSlope))}.`
            : 'The grind has never moved, so how it answers is still a guess.'}{' '}
          {lesson.slope && grinder.learnedSlope && `This dial-in by itself says ${slopeRange(lesson.slope)}. `}
          <Link to="/workshop?tab=grinders">To the grinder</Link>
        </dd>
        <dt>{coffee.name}</dt>
        <dd>
          <CoffeeTaste taste={coffee.learnedTaste} /> <Link to="/shelf">To the shelf</Link>
        </dd>
        {palates.map((palate: PalateView) => (
          <Palate key={palate.person} palate={palate} />
        ))}
      </dl>
      <p className="quiet small">Correct or take out a shot, and all of this follows.</p>
    </section>
  );
}

function CoffeeTaste({ taste }: { taste: LearnedTasteView | null }) {
  return <>{taste ? learnedTasteInWords(taste) : 'Nobody tasted, so nothing new of the coffee.'}</>;
}

function Palate({ palate }: { palate: PalateView }) {
  return (
    <>
      <dt>{palate.person}</dt>
      <dd>
        {palateInWords(palate)} {marksInWords(palate)} <Link to="/workshop?tab=tasters">To the tasters</Link>
      </dd>
    </>
  );
}

/** Four in five of what the run's own shots allow. */
function slopeRange({ mean, precision }: { mean: number; precision: number }): string {
  const spread = 1.28 / Math.sqrt(precision);
  const percent = (log: number): string => plainNumber(100 * Math.exp(log), 1);
  return `${percent(mean - spread)}–${percent(mean + spread)} %`;
}
