/** Plain progress, one line each, on standard error: standard output is for results. */
export function say(line: string): void {
  process.stderr.write(`${line}\n`);
}

/** Ends the command with a reason a person can act on. */
export class Stop extends Error {}

/** Runs a command; what a person can act on, an option nobody knows included, is said without a stack. */
export async function orStop(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof Stop) && !isWrongOption(error)) throw error;
    say(error.message);
    process.exitCode = 1;
  }
}

/** What Node's `parseArgs` throws at an option it was not told of, or one without its value. */
function isWrongOption(error: unknown): error is Error {
  return String((error as { code?: unknown } | null)?.code).startsWith('ERR_PARSE_ARGS_');
}
