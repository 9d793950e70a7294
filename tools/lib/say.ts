/** Plain progress, one line each, on standard error: standard output is for results. */
export function say(line: string): void {
  process.stderr.write(`${line}\n`);
}

/** Ends the command with a reason a person can act on. */
export class Stop extends Error {}

export async function orStop(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    say(error.message);
    process.exitCode = 1;
  }
}
