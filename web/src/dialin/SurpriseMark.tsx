import { CAUSE_WORDS, plainNumber, type Cause, type ShotReview } from '@olvet/core';
import { Button, Popover } from 'antd';
import { useState } from 'react';
import styles from './SurpriseMark.module.css';

/** A shot outside its own prediction: the suspects, likeliest first, and one tap for “that was it”. */
export function SurpriseMark({
  number,
  cause,
  review,
  onCause,
}: {
  number: number;
  cause: Cause | null;
  review: ShotReview;
  onCause: (cause: Cause | null) => void;
}) {
  const [open, setOpen] = useState(false);
  if (!cause && !review.surprising) return null;
  const { p10, p90 } = review.predicted.timeSeconds;
  const say = (what: Cause | null): void => {
    setOpen(false);
    onCause(what);
  };
  const suspects = (
    <div className={styles.suspects}>
      <p>
        {plainNumber(p10, 0)}–{plainNumber(p90, 0)} s was predicted from the shots before it.{' '}
        {cause ? 'You said what it was:' : 'Was it one of these?'}
      </p>
      {cause ? (
        <Button onClick={() => say(null)}>It was not that after all</Button>
      ) : (
        review.suspects.map((suspect) => (
          <Button key={suspect} onClick={() => say(suspect)}>
            {CAUSE_WORDS[suspect]}: that was it
          </Button>
        ))
      )}
      <p className="quiet small">A shot with a known fault counts for little, and the advice follows at once.</p>
    </div>
  );
  return (
    <Popover open={open} onOpenChange={setOpen} trigger="click" content={suspects} title={`Shot ${number}`}>
      <button type="button" className={styles.mark} aria-expanded={open}>
        {cause ? CAUSE_WORDS[cause] : 'unforeseen?'}
        <span className="visually-hidden"> What went wrong with shot {number}</span>
      </button>
    </Popover>
  );
}
