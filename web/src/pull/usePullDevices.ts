import { useState } from 'react';
import { useListDevicesQuery, type DeviceView } from '../app/api';
import type { LivePull } from './livePull';

/** What tells of a shot. */
export const TELLING_KINDS = ['scale', 'machine'] as const;
export type TellingKind = (typeof TELLING_KINDS)[number];

export interface PullDevicesHere extends Record<TellingKind, DeviceView | null> {
  /** Where a person has a choice: of that kind, this station's own first, then the shared ones. */
  choices: Record<TellingKind, DeviceView[]>;
  /** null: without one. */
  choose: (kind: TellingKind, id: string | null) => void;
}

/**
 * The devices that tell of a shot at this station: its own, else a shared one, else what a person chose. A shot that has begun
 * keeps those it is told by, also while they are away.
 */
export function usePullDevices(stationId: string, followed: LivePull['followed'], isBegun: boolean): PullDevicesHere {
  const { data } = useListDevicesQuery({ state: 'in-use' });
  const [chosen, setChosen] = useState<Partial<Record<TellingKind, string | null>>>({});
  const known = data?.items.filter(({ letInAt }) => letInAt != null) ?? [];
  const choicesOf = (kind: TellingKind): DeviceView[] => {
    const there = known.filter((each) => each.kind === kind && each.isConnected);
    const [own, shared] = [
      there.filter((each) => each.stationId === stationId),
      there.filter((each) => each.stationId == null),
    ];
    return [...own, ...shared];
  };
  const choices = { scale: choicesOf('scale'), machine: choicesOf('machine') };
  const find = (kind: TellingKind): DeviceView | null => {
    const held = isBegun ? known.find((each) => each.kind === kind && each.id in followed) : undefined;
    if (held) return held;
    const said = chosen[kind];
    if (said === null) return null;
    return choices[kind].find(({ id }) => id === said) ?? choices[kind][0] ?? null;
  };
  return {
    ...{ scale: find('scale'), machine: find('machine'), choices },
    choose: (kind, id) => setChosen((now) => ({ ...now, [kind]: id })),
  };
}
