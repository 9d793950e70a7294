import { Alert } from 'antd';
import { useEffect, useRef } from 'react';
import { fieldInWords, problemOf, type FieldProblem } from '../app/problem';
import styles from './ProblemAlert.module.css';

/** Revisions are the house's own affair: people read what to do. A refused write loads what it was about again. */
const LOADED_AGAIN = 'What stands now has been loaded: have a look, then repeat your change.';

export interface ProblemAlertProps {
  error: unknown;
  /** What to do where somebody else was faster. */
  overtaken?: string;
}

/** A failed request in words, with its fields; renders nothing without one. */
export function ProblemAlert({ error, overtaken = LOADED_AGAIN }: ProblemAlertProps) {
  const place = useRef<HTMLDivElement>(null);
  // The button that failed may be far below it, in a drawer of its own.
  useEffect(() => {
    place.current?.scrollIntoView({ block: 'nearest' });
  }, [error]);
  if (error === undefined || error === null) return null;
  const { detail, errors } = problemOf(error);
  return (
    <div ref={place} className={styles.place}>
      <Alert
        type="error"
        showIcon
        role="alert"
        title={detail}
        description={
          errors.length > 0
            ? errors.map((found) => (
                <div key={found.path}>{found.path === 'revision' ? overtaken : inWords(found)}</div>
              ))
            : undefined
        }
      />
    </div>
  );
}

function inWords({ path, message }: FieldProblem): string {
  return path === '' ? message : `${fieldInWords(path)}: ${message}`;
}
