import { Link } from 'react-router';
import { useListOpenPullsQuery } from '../app/api';
import { tabletId } from '../app/tabletId';

/** A shot that another tablet pulls at this station now, to be watched from here. */
export function OpenPull({ stationId }: { stationId: string }) {
  const { data } = useListOpenPullsQuery();
  const pull = data?.find((each) => each.stationId === stationId && each.ownerId !== tabletId() && each.startedAt);
  if (!pull) return null;
  return (
    <p role="status">
      {pull.ownerName || 'Another tablet'} pulls a shot here. <Link to={`/watch/${pull.id}`}>Watch it</Link>
    </p>
  );
}
