import { careTask } from '@olvet/core';
import { Link } from 'react-router';
import { useGetCareQuery } from '../app/api';

const REFRESH_MS = 300_000;

/** On the bar: the care that is most overdue, and how much more waits. */
export function DueCare() {
  const items = useGetCareQuery(undefined, { pollingInterval: REFRESH_MS }).data?.items ?? [];
  const [first, ...more] = items.filter(({ isDue }) => isDue);
  if (!first) return <Link to="/care">Care</Link>;
  const { title } = careTask(first.task);
  return (
    <Link to="/care">
      <strong>
        Due: {title.toLowerCase()}
        {more.length > 0 && ` and ${more.length} more`}
      </strong>
    </Link>
  );
}
