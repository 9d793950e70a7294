import { offPlan, plainNumber, type OffPlan, type Settings, type ShotLine } from '@olvet/core';
import { Button, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import styles from './Question.module.css';

const CALLED: Record<OffPlan['figure'], string> = { doseGrams: 'Dose', yieldGrams: 'Yield' };

/** A plan that follows the cup, a plan that stands, or no answer: the shot is not saved yet. */
type Answer = 'on-purpose' | 'missed' | 'back';

interface Asked {
  figures: OffPlan[];
  answer: (answer: Answer) => void;
}

/**
 * Asks once whether a dose or yield far off its plan was on purpose: then the plan follows.
 * @returns `question` to be shown, and `aimOf`: what was aimed at after all, null where the shot is to be corrected first
 */
export function useOffPlan(): {
  question: ReactNode;
  aimOf: (line: ShotLine, aim: Settings) => Promise<Settings | null>;
} {
  const [asked, setAsked] = useState<Asked | null>(null);
  const aimOf = async (line: ShotLine, aim: Settings): Promise<Settings | null> => {
    const figures = offPlan(line, aim);
    if (figures.length === 0) return aim;
    const answer = await new Promise<Answer>((answered) => setAsked({ figures, answer: answered }));
    setAsked(null);
    if (answer === 'back') return null;
    if (answer === 'missed') return aim;
    return { ...aim, ...Object.fromEntries(figures.map(({ figure, said }) => [figure, said])) };
  };
  return { question: asked && <OffPlanQuestion {...asked} />, aimOf };
}

function OffPlanQuestion({ figures, answer }: Asked) {
  const said = figures.map(
    ({ figure, said: value, planned }) =>
      `${CALLED[figure]} ${plainNumber(value)} g, planned ${plainNumber(planned)} g.`,
  );
  return (
    <Modal open footer={null} title={`${said.join(' ')} On purpose?`} onCancel={() => answer('back')}>
      <div className={styles.answers}>
        <Button size="large" onClick={() => answer('on-purpose')}>
          On purpose: plan it so
        </Button>
        <Button size="large" onClick={() => answer('missed')}>
          Missed: keep the plan
        </Button>
      </div>
    </Modal>
  );
}
