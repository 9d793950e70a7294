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

export function ShortcutsHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Shortcuts" width={420} destroyOnHidden>
      <dl className={styles.list}>
        {SHORTCUTS.map(([keys, what]) => (
          <div key={keys}>
            <dt className="numeral">{keys}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
