import { CAFFEINE_NEAR_MG, caffeineOf } from '@olvet/core';
import { useGetTastedTodayQuery } from '../app/api';
import { useAppSelector } from '../app/store';
import { ToggleChip } from '../parts/ToggleChip';
import styles from './TastePanel.module.css';

const SHARES = [
  { share: 0, word: 'spat out' },
  { share: 0.25, word: 'sipped' },
  { share: 1, word: 'drunk' },
];

/** How much of the cup went down, and what that makes today. */
export function Swallowed({
  share,
  disabled,
  onShare,
}: {
  share: number | null;
  disabled: boolean;
  onShare: (share: number | null) => void;
}) {
  const taster = useAppSelector((state) => state.settings.taster);
  const { data } = useGetTastedTodayQuery();
  const cups = data?.find(({ person }) => person === taster)?.cups ?? [];
  const { low, high } = caffeineOf(cups);
  return (
    <div className={styles.titled} role="group" aria-label="How much of it was swallowed">
      {SHARES.map(({ share: each, word }) => (
        <ToggleChip key={word} chosen={share === each} disabled={disabled} onToggle={(on) => onShare(on ? each : null)}>
          {word}
        </ToggleChip>
      ))}
      {cups.length > 0 && (
        <span className="quiet small">
          today {cups.length} tasted, about {low}–{high} mg caffeine
          {high > 0.75 * CAFFEINE_NEAR_MG && ': spit from here on'}
        </span>
      )}
    </div>
  );
}
