import { Skeleton } from 'antd';
import type { ReactNode } from 'react';
import { isUnanswered } from '../app/problem';
import { ProblemAlert } from './ProblemAlert';

export interface LoadingProps {
  /** Of a whole page; a part of one goes without. */
  className?: string;
  rows?: number;
  /** Why it may not come; what the server merely left unanswered is on its way still. */
  error?: unknown;
  /** Where to go if it does not come. */
  children?: ReactNode;
}

/**
 * What stands where something is still on its way. The grey lines are for the eye only: the
 * library draws the first of them as a heading without words, which would be read out as an empty one.
 */
export function Loading({ className, rows = 4, error, children }: LoadingProps) {
  if (error && !isUnanswered(error)) {
    return (
      <div className={className}>
        <ProblemAlert error={error} />
        {children}
      </div>
    );
  }
  // A page has a heading, even before it has anything else; a part stands below one already.
  const Word = className ? 'h1' : 'span';
  return (
    <div className={className} role="status">
      <Word className="visually-hidden">Loading</Word>
      <div aria-hidden>
        <Skeleton active title={false} paragraph={{ rows }} />
      </div>
    </div>
  );
}
