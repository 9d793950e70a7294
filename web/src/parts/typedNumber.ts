/** A number as people type it, with a decimal point or comma; null for nothing and for what is none. */
export function typedNumber(text: string): number | null {
  const value = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(value) ? null : value;
}
