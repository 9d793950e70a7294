import { Alert } from 'antd';
import { useEffect, useRef } from 'react';
import { fieldInWords, problemOf, type FieldProblem } from '../app/problem';

/** A failed request in words, with its fields; renders nothing without one. */
export function ProblemAlert({ error }: { error: unknown }) {
  const place = useRef<HTMLDivElement>(null);
  // The button that failed may be far below it, in a drawer of its own.
  useEffect(() => {
    place.current?.scrollIntoView({ block: 'nearest' });
  }, [error]);
  if (error === undefined || error === null) return null;
  const { detail, errors } = problemOf(error);
  return (
    <div ref={place}>
      <Alert
        type="error"
        showIcon
        role="alert"
        title={detail}
        description={
          errors.length > 0 ? errors.map((found) => <div key={found.path}>{inWords(found)}</div>) : undefined
        }
      />
    </div>
  );
}

/** Revisions are the house's own affair: people read what to do. */
function inWords({ path, message }: FieldProblem): string {
  if (path === 'revision') return 'Load it again, then repeat your change.';
  return path === '' ? message : `${fieldInWords(path)}: ${message}`;
}
