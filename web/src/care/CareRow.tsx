import { careTask } from '@olvet/core';
import { Button } from 'antd';
import { useState } from 'react';
import { v7 } from 'uuid';
import { usePutCareDoneMutation, type CareItemView } from '../app/api';
import { oneTap } from '../parts/oneTap';
import { ProblemAlert } from '../parts/ProblemAlert';
import { day } from '../parts/format';
import styles from './CarePage.module.css';
import { everyInWords, sinceInWords } from './careWords';

const tap = oneTap();

/** One task: how long ago, done with one tap, its cautions and steps on demand. */
export function CareRow({ item, onRule }: { item: CareItemView; onRule: () => void }) {
  const { task, machineId, grinderId, name, isDue, dueOn, every, last } = item;
  const { title, when, steps, cautions } = careTask(task);
  const [put, { isLoading, error }] = usePutCareDoneMutation();
  const [isOpen, open] = useState(false);
  const done = () => void put({ id: v7(), careDoneDto: { task, machineId, grinderId, at: new Date().toISOString() } });
  const whole = name === '' ? title : `${title}, ${name}`;
  return (
    <li className={styles.row}>
      <div>
        <h3 className={isDue ? styles.due : undefined}>{title}</h3>
        <p>
          {name !== '' && <strong>{name} · </strong>}
          {sinceInWords(item)}
          {last?.changedBy && ` by ${last.changedBy}`}
          <span className="quiet">
            {' · '}
            {everyInWords(every) || when}
            {!isDue && dueOn !== null && every.days !== 1 && `, next ${day(dueOn)}`}
          </span>
        </p>
        <ProblemAlert error={error} />
      </div>
      <div className={styles.acts}>
        <Button type="text" aria-expanded={isOpen} aria-label={`How: ${whole}`} onClick={() => open(!isOpen)}>
          How
        </Button>
        <Button
          type={isDue ? 'primary' : 'default'}
          size={isDue ? 'large' : 'middle'}
          loading={isLoading}
          onClick={() => tap(done)}
          aria-label={`Done: ${whole}`}
        >
          Done
        </Button>
      </div>
      {isOpen && (
        <div className={styles.how}>
          <How steps={steps} cautions={cautions} />
          <Button onClick={onRule}>How often</Button>
        </div>
      )}
    </li>
  );
}

/** The cautions before the steps they are about. */
export function How({ steps, cautions }: { steps: readonly string[]; cautions: readonly string[] }) {
  return (
    <>
      {cautions.map((caution) => (
        <p key={caution} className={styles.caution}>
          {caution}
        </p>
      ))}
      <ol>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </>
  );
}
