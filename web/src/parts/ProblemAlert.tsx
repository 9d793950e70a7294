import { Alert } from 'antd';
import { problemOf } from '../app/problem';

/** A failed request in words, with its fields; renders nothing without one. */
export function ProblemAlert({ error }: { error: unknown }) {
  if (error === undefined || error === null) return null;
  const { detail, errors } = problemOf(error);
  return (
    <Alert
      type="error"
      showIcon
      role="alert"
      title={errors.length === 0 ? detail : undefined}
      description={
        errors.length > 0 ? errors.map(({ path, message }) => <div key={path}>{`${path} ${message}`}</div>) : undefined
      }
    />
  );
}
