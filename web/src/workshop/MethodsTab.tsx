import { METHODS, plainNumber, type Method } from '@olvet/core';
import { TIMER_WORDS } from '../parts/format';
import styles from './MethodsTab.module.css';

/** The schools side by side: what each holds still, turns first, and aims at. */
export function MethodsTab() {
  return (
    <>
      <p className="quiet">
        Schools disagree: where the window lies, whether time is a target or an outcome, whether light roasts want finer
        or longer. Choose one for a station; Olvet follows its order.
      </p>
      <ul className={styles.methods}>
        {METHODS.map((method) => (
          <li key={method.id}>
            <h2>{method.name}</h2>
            <p>{method.idea}</p>
            <p className="quiet small">{method.suits}</p>
            <dl>
              {facts(method).map(([name, value]) => (
                <div key={name}>
                  <dt>{name}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </ul>
    </>
  );
}

function facts(method: Method): [string, string][] {
  const { start, windowSeconds, timer, timeIs, temperatureC, locks, balanceOrder, bodyOrder } = method;
  const low = Math.min(...Object.values(temperatureC));
  const high = Math.max(...Object.values(temperatureC));
  return [
    ['start', `${plainNumber(start.doseGrams)} → ${plainNumber(start.doseGrams * start.ratio, 0)} g`],
    [
      'time',
      `${windowSeconds.min}–${windowSeconds.max} s ${TIMER_WORDS[timer]}${timeIs === 'outcome' ? ', an outcome' : ''}`,
    ],
    ['temperature', low === high ? `${low} °C` : `${low}–${high} °C by roast`],
    ['holds still', locks.join(', ') || 'nothing'],
    ['for balance', balanceOrder.join(', then ')],
    ['for body', bodyOrder.join(', then ')],
  ];
}
