import { Select } from 'antd';
import styles from './MeasurePage.module.css';

interface Named {
  id: string;
  name: string;
  retiredAt?: string | null;
}

/** A labelled choice among the things of the house that are in use. */
export function Pick({
  label,
  items,
  value,
  onChange,
}: {
  label: string;
  items: Named[];
  value: string | undefined;
  onChange: (id: string) => void;
}) {
  const id = `pick-${label.toLowerCase()}`;
  return (
    <label htmlFor={id} className={styles.choice}>
      {label}
      <Select
        id={id}
        value={value}
        onChange={onChange}
        options={items.filter(({ retiredAt }) => !retiredAt).map((item) => ({ value: item.id, label: item.name }))}
      />
    </label>
  );
}
