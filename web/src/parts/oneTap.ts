/** A second tap this soon was meant for what has moved away from under the finger, ms. */
const TAP_MS = 700;

/** For lists whose next row comes up where one was just answered: of two quick taps only the first counts. */
export function oneTap(now: () => number = () => performance.now()): (act: () => void) => void {
  let last = -Infinity;
  return (act) => {
    if (now() - last < TAP_MS) return;
    last = now();
    act();
  };
}
