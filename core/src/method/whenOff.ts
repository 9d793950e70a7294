import type { Lever, Method } from './Method';

export interface OffLine {
  sign: string;
  act: string;
}

/** What of a lever extracts more, and what less. */
const MORE: Readonly<Record<Lever, { more: string; less: string }>> = {
  grind: { more: 'one step finer, purge', less: 'one step coarser, purge' },
  yield: { more: '2 g more yield', less: '2 g less yield' },
  dose: { more: '0.3 g less dose', less: '0.3 g more dose' },
  temperature: { more: '1 °C hotter', less: '1 °C cooler' },
};

/**
 * Three lines for whoever stands before a cup that is not as the card says, by the order of the method: fast and sour, slow and bitter,
 * and both at once, which is the puck's fault more often than the recipe's (handbook §6).
 */
export function whenOff({
  balanceOrder,
  timeIs,
}: Pick<Method, 'balanceOrder' | 'timeIs'>): [OffLine, OffLine, OffLine] {
  const next = (way: 'more' | 'less'): string => {
    // Where time is the target it is brought back by the grind, whatever comes first for the taste.
    const first = timeIs === 'target' ? 'grind' : balanceOrder[0]!;
    const then = balanceOrder.find((lever) => lever !== first);
    return then ? `${MORE[first][way]}; if it still is, ${MORE[then][way]}` : MORE[first][way];
  };
  return [
    { sign: 'fast, sour', act: next('more') },
    { sign: 'slow, bitter', act: next('less') },
    { sign: 'sour and bitter at once', act: 'look at the puck, level and tamp again, pull another; change nothing' },
  ];
}
