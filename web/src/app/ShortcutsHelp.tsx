import { Modal } from 'antd';
import styles from './ShortcutsHelp.module.css';

const SHORTCUTS: [string, string][] = [
  ['1 – 5', 'go to a place'],
  ['n', 'enter a new shot'],
  ['Space', 'start and stop the timer'],
  ['/', 'write the shot in one line'],
  ['Enter', 'take the next move'],
  ['r', 'pull again, change nothing'],
  ['Esc', 'back out'],
  ['?', 'this list'],
];

/** What the line for a shot understands. */
export const LINE_WORDS: [string, string][] = [
  ['18.1 > 36.8 in 21.5', 'dose, yield and time'],
  ['very sour, bit thin', 'sour, bitter, balanced; thin, heavy, round'],
  ['dry sweet', 'or clean, harsh'],
  ['17+17.5', 'a double in two cups; 2×17 where one stands for both'],
  ['45 ml', 'a yield read in a glass, or 1.5 oz'],
  ['dose planned', 'not measured; yield planned'],
  ['mark 8.5 sweetness 7', 'marks of ten'],
  ['spurts@2 dead@11', 'seen, and where on the basket’s clock'],
  ['gushed pale rush crater', 'seen'],
  ['grind 12.5 temp 93 drip 6 tds 9.4', 'measured besides'],
  ['dose 18 ground 4.6', 'seconds a timed grinder ran'],
  ['unpurged serve better', 'or discard; same, worse'],
  ['channelled', 'what went wrong: misdosed, cold-group, old-grounds'],
  ['at 8:12 from first-drip', 'its hour, and where its time starts'],
  ['check note dry air', 'a check shot; the rest of the line is a note'],
];

export function ShortcutsHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Shortcuts" width={520} destroyOnHidden>
      <Pairs pairs={SHORTCUTS} className={styles.keys!} />
      <h3 className={styles.head}>The shot in one line</h3>
      <Pairs pairs={LINE_WORDS} className={styles.words!} />
    </Modal>
  );
}

function Pairs({ pairs, className }: { pairs: [string, string][]; className: string }) {
  return (
    <dl className={`${styles.list} ${className}`}>
      {pairs.map(([said, what]) => (
        <div key={said}>
          <dt className="numeral">{said}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
