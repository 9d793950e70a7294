import { Link } from 'react-router';
import { EmptyState } from '../parts/EmptyState';

export function NotHere() {
  return (
    <EmptyState
      title="There is nothing at this address"
      text="It may have moved."
      action={<Link to="/">To the bar</Link>}
    />
  );
}
