import { Skeleton } from 'antd';

/**
 * What stands where something is still on its way. The grey lines are for the eye only: the
 * library draws the first of them as a heading without words, which would be read out as an empty one.
 */
export function Loading({ className, rows = 4 }: { className?: string; rows?: number }) {
  return (
    <div className={className} role="status">
      <span className="visually-hidden">Loading</span>
      <div aria-hidden>
        <Skeleton active title={false} paragraph={{ rows }} />
      </div>
    </div>
  );
}
