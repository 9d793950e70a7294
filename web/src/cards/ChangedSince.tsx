import { useGetCardQuery, useGetLastPulledQuery } from '../app/api';
import { useAppSelector } from '../app/store';
import { day } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import { versionChanges } from './versionChanges';

/** What changed on a card since whoever stands at the tablet pulled by it last; nothing where nothing did, or nobody said who. */
export function ChangedSince({ cardId }: { cardId: string }) {
  const person = useAppSelector((state) => state.settings.person);
  const unit = useTemperatureUnit();
  const skip = person === '';
  const { currentData: last } = useGetLastPulledQuery({ id: cardId, person }, { skip });
  const isBehind = last?.version != null;
  const { currentData: card } = useGetCardQuery({ id: cardId }, { skip: skip || !isBehind });
  const before = card?.versions.find(({ version }) => version === last?.version);
  if (!card || !before || before.version >= card.latest.version) return null;
  const { latest } = card;
  return (
    <p role="note">
      <strong>New since your last shot on {day(last!.pulledAt!)}:</strong>{' '}
      {versionChanges(latest, before, unit).join(', ')}
      <span className="quiet">
        {latest.setBy && ` · ${latest.setBy}`}
        {latest.note && ` · ${latest.note}`}
      </span>
    </p>
  );
}
