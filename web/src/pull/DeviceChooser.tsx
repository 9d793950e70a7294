import { ToggleChip } from '../parts/ToggleChip';
import styles from './PullPanel.module.css';
import type { PullHandle } from './usePull';
import { TELLING_KINDS } from './usePullDevices';

/** Before the shot, where a shared device can tell of it: which one does, or none. */
export function DeviceChooser({ handle }: { handle: PullHandle }) {
  const { choices, choose } = handle;
  const kinds = TELLING_KINDS.filter((kind) => choices[kind].some(({ stationId }) => stationId == null));
  if (kinds.length === 0) return null;
  return (
    <p className={styles.devices} role="group" aria-label="Devices">
      {kinds.flatMap((kind) =>
        choices[kind].map(({ id, name }) => (
          <ToggleChip key={id} chosen={handle[kind]?.id === id} onToggle={(on) => choose(kind, on ? id : null)}>
            {name}
          </ToggleChip>
        )),
      )}
    </p>
  );
}
