import { Alert } from 'antd';
import { fieldInWords, problemOf, type FieldProblem } from '../app/problem';

/** A failed request in words, with its fields; renders nothing without one. */
export function ProblemAlert({ error }: { error: unknown }) {
  if (error === undefined || error === null) return null;
  const { detail, errors } = problemOf(error);
  return (
    <Alert
      type="error"
      showIcon
      role="alert"
      title={detail}
      description={errors.length > 0 ? errors.map((error) => <div key={error.path}>{inWords(error)}</div>) : undefined}
    />
  );
}

/** Revisions are the house's own affair: people read what to do. */
function inWords({ path, message }: FieldProblem): string {
  if (path === 'revision') return 'Load it again, then repeat your change.';
  return path === '' ? message : `${fieldInWords(path)}: ${message}`;
}
