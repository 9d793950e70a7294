/** To so many decimals. */
export function round(value: number, decimals: number): number {
  return Number(value.toFixed(decimals));
}
