import { balanceWord, BODY_GOALS, bodyWord, FLAVOUR_GOALS, goalInWords, tasteTarget, type GoalWord } from '@olvet/core';
import { Button, Popover, Select } from 'antd';
import { useState } from 'react';
import { usePutRunMutation, type SheetView } from '../app/api';
import { ProblemAlert } from '../parts/ProblemAlert';
import { withoutRow } from '../parts/withoutRow';
import styles from './GoalChooser.module.css';

/** What the cup is wanted to taste of, in words; they move the target on the taste pad. */
export function GoalChooser({ sheet }: { sheet: SheetView }) {
  const { run, coffee } = sheet;
  const [open, setOpen] = useState(false);
  const [flavour, setFlavour] = useState(() => chosenIn(run.goal, FLAVOUR_GOALS) ?? coffee.flavourGoal ?? null);
  const [body, setBody] = useState(() => chosenIn(run.goal, BODY_GOALS) ?? coffee.bodyGoal ?? null);
  const [putRun, { error, isLoading }] = usePutRunMutation();
  const text = run.goal || wordsOf(run.target);
  if (run.status !== 'open') return <span className={styles.goal}>wanted: {text}</span>;
  const save = async (): Promise<void> => {
    const aim = tasteTarget({ flavour, body, drunkAs: coffee.drunkAs });
    const goal = goalInWords({ flavour, body });
    const done = await putRun({ id: run.id, runDto: { ...withoutRow(run), goal, target: { ...run.target, ...aim } } });
    if (!('error' in done)) setOpen(false);
  };
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      title="What should it taste of?"
      content={
        <div className={styles.choices}>
          <label>
            Flavour
            <Select
              aria-label="Flavour wanted"
              value={flavour}
              allowClear
              onChange={(value: string | null) => setFlavour(value ?? null)}
              options={FLAVOUR_GOALS.map(({ id, text: label }) => ({ value: id, label }))}
            />
          </label>
          <label>
            Body
            <Select
              aria-label="Body wanted"
              value={body}
              allowClear
              onChange={(value: string | null) => setBody(value ?? null)}
              options={BODY_GOALS.map(({ id, text: label }) => ({ value: id, label }))}
            />
          </label>
          <ProblemAlert error={error} />
          <Button type="primary" loading={isLoading} onClick={() => void save()}>
            Aim at it
          </Button>
        </div>
      }
    >
      <Button type="text" size="small" className={styles.goal}>
        wanted: {text}
      </Button>
    </Popover>
  );
}

/** A goal chosen here before stands in the run in its own words. */
function chosenIn(goal: string | null | undefined, words: readonly GoalWord[]): string | null {
  return words.find(({ text }) => goal?.split('; ').includes(text))?.id ?? null;
}

function wordsOf({ balance, body }: { balance: number; body: number }): string {
  return `${balanceWord(balance)}, ${bodyWord(body)}`;
}
