import { balanceWord, bodyWord, DRY, oddsInWords, type Expectation } from '@olvet/core';
import { OutcomeMark, outcomeClass, sideOf, type Outcome } from '../parts/Outcome';
import sheetStyles from './RunSheet.module.css';
import styles from './TasteCell.module.css';

interface Wanted {
  balance: number;
  body: number;
}

interface Taste {
  balance?: number | null;
  body?: number | null;
  dryness?: number | null;
  /** Where those who tasted like a cup best: a mark is set against that, the words stay as they were said. */
  likes?: Wanted | null;
}

/** Against the cup that is wanted, counted from where its tasters like one best. */
function outcomeOf({ balance, body, dryness, likes }: Taste, wanted: Wanted, tolerance: Wanted): Outcome {
  const off = (balance ?? wanted.balance) - wanted.balance - (likes?.balance ?? 0);
  const side = sideOf(off, -tolerance.balance, tolerance.balance);
  if (side !== 'on') return side;
  const isBodyOff = body != null && Math.abs(body - wanted.body - (likes?.body ?? 0)) > tolerance.body;
  return isBodyOff || (dryness ?? 0) >= DRY ? 'off' : 'on';
}

/** A cup in a shape and a few words; it is on target within the method's tolerance. */
export function TasteCell({ taste, wanted, tolerance }: { taste: Taste | null; wanted: Wanted; tolerance: Wanted }) {
  if (!taste || (taste.balance == null && taste.body == null)) return <td className="quiet">not tasted</td>;
  const outcome = outcomeOf(taste, wanted, tolerance);
  const balance = taste.balance == null ? null : balanceWord(taste.balance);
  const body = taste.body == null ? null : bodyWord(taste.body);
  const isBodyNamed = body !== 'round' || balance === null;
  const words = [balance, isBodyNamed ? body : null, (taste.dryness ?? 0) >= 1 ? 'dry' : null].filter(Boolean);
  return (
    <td>
      <span className={`${styles.taste} ${outcomeClass(outcome)}`}>
        <OutcomeMark side={outcome} size={19} />
        {words.join(', ')}
      </span>
    </td>
  );
}

/** What the next cup should be like, with its odds. */
export function GhostTaste({ expect }: { expect: Expectation | null }) {
  if (!expect) return <td className={sheetStyles.next} />;
  return (
    <td className={sheetStyles.next}>
      <span className={styles.ghost}>
        {balanceWord(expect.balance.mean)}, {bodyWord(expect.body.mean)}
      </span>
      <span className={styles.odds}>as wanted {oddsInWords(expect.asWanted)}</span>
    </td>
  );
}
