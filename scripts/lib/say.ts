/** A failure a person can act on: what went wrong and what to do about it. */
export class Trouble extends Error {
  constructor(
    message: string,
    readonly todo: string,
  ) {
    super(message);
  }
}

/** Runs one named step. A failure is told as which step, why, and what to do, and is thrown on. */
export async function step<T>(name: string, work: () => Promise<T> | T): Promise<T> {
  const started = Date.now();
  try {
    const result = await work();
    const seconds = (Date.now() - started) / 1000;
    console.log(`  ✓ ${name}${seconds >= 1 ? ` (${seconds.toFixed(1)} s)` : ''}`);
    return result;
  } catch (error) {
    console.error(`  ✗ Step "${name}" failed: ${error instanceof Error ? error.message : String(error)}`);
    console.error(
      `    What to do: ${error instanceof Trouble ? error.todo : 'read the message above and run the command again.'}`,
    );
    throw error;
  }
}
