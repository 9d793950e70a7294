import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { v7 } from 'uuid';
import { Loading } from '../parts/Loading';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import styles from './EquipmentTab.module.css';

interface Row {
  id: string;
  name: string;
  retiredAt?: string | null;
}

export interface EquipmentTabProps<V extends Row, F extends object> {
  /** "grinder" */
  what: string;
  intro: string;
  items: V[] | undefined;
  error: unknown;
  fresh: Partial<F>;
  /** From a stored row to the form's fields. */
  fieldsOf: (row: V) => Partial<F>;
  /** Writes fields over the stored rest; resolves with an error or undefined. */
  write: (id: string, fields: F, stored: Partial<V>) => Promise<unknown>;
  describe: (row: V) => ReactNode;
  children: () => ReactNode;
}

/** One kind of equipment: a list, a drawer to enter it, retiring without losing history. */
export function EquipmentTab<V extends Row, F extends object>(props: EquipmentTabProps<V, F>) {
  const { what, intro, items, error, fresh, fieldsOf, write, describe, children } = props;
  const [editing, setEditing] = useState<{ id: string; isNew: boolean } | null>(null);
  const [showsRetired, setShowsRetired] = useState(false);
  if (!items) return <Loading error={error} />;
  const retired = items.filter(({ retiredAt }) => retiredAt);
  const listOf = (rows: V[]) => (
    <ul className={styles.list}>
      {rows.map((row) => (
        <li key={row.id}>
          <strong>{row.name}</strong>
          <span>{describe(row)}</span>
          <Button onClick={() => setEditing({ id: row.id, isNew: false })} aria-label={`Edit ${row.name}`}>
            Edit
          </Button>
        </li>
      ))}
    </ul>
  );
  // As it is stored now: another tablet may change it while it is open.
  const edited = (editing && !editing.isNew && items.find(({ id }) => id === editing.id)) || null;
  const stored = (row: V | null): Partial<V> => (row ? (withoutRow(row) as Partial<V>) : {});
  const retire = (row: V): Promise<unknown> => {
    const retiredAt = row.retiredAt ? null : new Date().toISOString();
    return write(row.id, withoutRow(fieldsOf(row)) as F, { ...stored(row), retiredAt });
  };
  return (
    <>
      <div className={styles.head}>
        <p className="quiet">{intro}</p>
        <Button type="primary" onClick={() => setEditing({ id: v7(), isNew: true })}>
          Add a {what}
        </Button>
      </div>
      {listOf(items.filter(({ retiredAt }) => !retiredAt))}
      {retired.length > 0 && (
        <>
          <Button type="text" aria-expanded={showsRetired} onClick={() => setShowsRetired(!showsRetired)}>
            {showsRetired ? 'Hide' : 'Show'} {retired.length} retired
          </Button>
          {showsRetired && listOf(retired)}
        </>
      )}
      <ResourceEditor<F>
        title={edited ? edited.name : `A new ${what}`}
        initial={editing && (edited ? fieldsOf(edited) : fresh)}
        onClose={() => setEditing(null)}
        onSave={(fields) => write(editing!.id, fields, stored(edited))}
        extra={(attempt) =>
          edited && (
            <Button onClick={() => void attempt(() => retire(edited))}>
              {edited.retiredAt ? 'Use it again' : 'Retire it'}
            </Button>
          )
        }
      >
        {children}
      </ResourceEditor>
    </>
  );
}
