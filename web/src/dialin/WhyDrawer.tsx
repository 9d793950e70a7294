import { oddsInWords, plainNumber, type Review } from '@olvet/core';
import { Drawer } from 'antd';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  LineChart,
  ReferenceArea,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { SheetView } from '../app/api';
import { Loading } from '../parts/Loading';
import { densities, forecasts, percentTicks } from './whyFigures';
import styles from './WhyDrawer.module.css';

/** For the expert: what was believed before, what the shots said, what is believed now. */
export default function WhyDrawer({
  sheet,
  review,
  onClose,
}: {
  sheet: SheetView;
  review: Review | null;
  onClose: () => void;
}) {
  return (
    <Drawer open onClose={onClose} title="Why, in numbers" size={560}>
      {review ? <Figures sheet={sheet} review={review} /> : <Loading />}
    </Drawer>
  );
}

function Figures({ sheet, review }: { sheet: SheetView; review: Review }) {
  const { min, max } = sheet.run.target.timeSeconds;
  const { before, now } = review.slope;
  const slopes = densities(before, now);
  return (
    <div className={styles.figures}>
      <section aria-labelledby="why-slope">
        <h2 id="why-slope">How {sheet.grinder.name} answers</h2>
        <p>
          One unit finer adds {percent(before.mean)} ±{percent(before.sd)} % before the first shot, {percent(now.mean)}{' '}
          ±{percent(now.sd)} % now.
        </p>
        <div className={styles.chart} aria-hidden>
          <ResponsiveContainer>
            <LineChart data={slopes} margin={{ left: 0, right: 12, top: 8, bottom: 18 }}>
              <CartesianGrid stroke="var(--hairline)" vertical={false} />
              <XAxis
                dataKey="percent"
                type="number"
                domain={['dataMin', 'dataMax']}
                ticks={percentTicks(slopes)}
                label={{ value: '% of the time for one unit finer', position: 'insideBottom', offset: -12 }}
              />
              <YAxis hide />
              <Line
                dataKey="before"
                stroke="var(--quiet)"
                strokeDasharray="5 4"
                dot={false}
                isAnimationActive={false}
              />
              <Line dataKey="now" stroke="var(--ember)" strokeWidth={3} dot={false} isAnimationActive={false} />
            </LineChart>
          </ResponsiveContainer>
        </div>
        <p className="quiet small">Dashed: believed before. Solid: now.</p>
      </section>
      {review.shots.length > 0 && (
        <section aria-labelledby="why-times">
          <h2 id="why-times">Predicted and measured</h2>
          <div className={styles.chart} aria-hidden>
            <ResponsiveContainer>
              <ComposedChart data={forecasts(review, sheet.shots)} margin={{ left: 0, right: 12, top: 8, bottom: 18 }}>
                <CartesianGrid stroke="var(--hairline)" vertical={false} />
                <ReferenceArea y1={min} y2={max} fill="var(--fern)" fillOpacity={0.14} />
                <XAxis
                  dataKey="number"
                  allowDecimals={false}
                  label={{ value: 'shot', position: 'insideBottom', offset: -12 }}
                />
                <YAxis width={44} unit=" s" domain={['auto', 'auto']} />
                <Area
                  dataKey="range"
                  stroke="var(--indigo)"
                  fill="var(--indigo)"
                  fillOpacity={0.18}
                  isAnimationActive={false}
                />
                <Scatter dataKey="seconds" fill="var(--ember)" isAnimationActive={false} />
              </ComposedChart>
            </ResponsiveContainer>
          </div>
          <p className="quiet small">
            Band: where four in five were expected, from the shots before. Dots: what was measured.
          </p>
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">shot</th>
                <th scope="col">predicted, s</th>
                <th scope="col">measured, s</th>
                <th scope="col">off by</th>
              </tr>
            </thead>
            <tbody>
              {forecasts(review, sheet.shots).map(({ number, range, seconds, sigmas, surprising }) => (
                <tr key={number}>
                  <th scope="row">{number}</th>
                  <td>
                    {plainNumber(range[0], 0)}–{plainNumber(range[1], 0)}
                  </td>
                  <td>{seconds === null ? '–' : plainNumber(seconds, 1)}</td>
                  <td>
                    {sigmas === null ? '–' : `${plainNumber(sigmas, 1)} sd`}
                    {surprising && ', unforeseen'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <p>
        That the run started from a recipe that was right already: {oddsInWords(review.kept.before)} before,{' '}
        {oddsInWords(review.kept.now)} now.
      </p>
    </div>
  );
}

function percent(share: number): string {
  return plainNumber(100 * share, 1);
}
