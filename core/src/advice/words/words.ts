/** 12.50 → "12.5", 36 → "36", and a minus that is not a hyphen. */
export function plainNumber(value: number, decimals = 2): string {
  return String(Number(value.toFixed(decimals))).replace('-', '−');
}

/** "4 in 5": a probability as people say it. */
export function oddsInWords(probability: number): string {
  if (probability >= 0.95) return 'almost certain';
  if (probability <= 0.05) return 'very unlikely';
  const fractions = [
    [1, 10],
    [1, 5],
    [1, 4],
    [1, 3],
    [2, 5],
    [1, 2],
    [3, 5],
    [2, 3],
    [3, 4],
    [4, 5],
    [9, 10],
  ] as const;
  const [a, b] = fractions.reduce((best, next) =>
    Math.abs(next[0] / next[1] - probability) < Math.abs(best[0] / best[1] - probability) ? next : best,
  );
  return `${a} in ${b}`;
}

export function balanceWord(balance: number): string {
  const size = Math.abs(balance);
  if (size < 0.3) return 'balanced';
  const side = balance < 0 ? 'sour' : 'bitter';
  return size < 1 ? `a bit ${side}` : size < 2 ? side : `very ${side}`;
}

export function bodyWord(body: number): string {
  const size = Math.abs(body);
  if (size < 0.5) return 'round';
  const side = body < 0 ? 'thin' : 'heavy';
  return size < 1 ? `a bit ${side}` : side;
}

export function secondsInWords(value: number): string {
  return `${plainNumber(value, 1)} s`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
