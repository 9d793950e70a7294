/** Is this the ISO 4217 code of a currency, in capitals? */
export function isCurrency(code: string): boolean {
  return Intl.supportedValuesOf('currency').includes(code);
}
