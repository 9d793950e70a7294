import { balanceWord, bodyWord, oddsInWords, type Expectation } from '@olvet/core';
import { OutcomeMark, outcomeClass, sideOf, type Side } from '../parts/Outcome';
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

const NEAR = 0.5;

function sideOfBalance(balance: number, wanted: Wanted): Side {
  return sideOf(balance, wanted.balance - NEAR, wanted.balance + NEAR);
}

/** A cup in a shape and a few words. */
export function TasteCell({ taste, wanted }: { taste: Taste | null; wanted: Wanted }) {
  if (!taste || (taste.balance == null && taste.body == null)) return <td className="quiet">not tasted</td>;
  const balance = taste.balance ?? 0;
  const side = sideOfBalance(balance - (taste.likes?.balance ?? 0), wanted);
  const body = taste.body == null ? null : bodyWord(taste.body);
  const words = [balanceWord(balance), body, (taste.dryness ?? 0) >= 1 ? 'dry' : null].filter(
    (word) => word && word !== 'full',
  );
  return (
    <td>
      <span className={`${styles.taste} ${outcomeClass(side)}`}>
        <OutcomeMark side={side} size={19} />
        {words.join(', ')}
      </span>
    </td>
  );
}

/** What the next cup should be like, with its odds. */
export function GhostTaste({ expect, wanted }: { expect: Expectation | null; wanted: Wanted }) {
  if (!expect) return <td className={sheetStyles.next} />;
  const { mean } = expect.balance;
  return (
    <td className={sheetStyles.next}>
      <span className={styles.ghost}>
        {balanceWord(mean - wanted.balance)}, {bodyWord(expect.body.mean)}
      </span>
      <span className={styles.odds}>as wanted {oddsInWords(expect.asWanted)}</span>
    </td>
  );
}
