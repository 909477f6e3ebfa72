/** Rows of measurements, each against what is wanted. */
let missed = 0;

/** Says a time. */
export function row(what: string, ms: number, wantedMs: number): void {
  if (ms > wantedMs) missed++;
  console.log(
    `${what.padEnd(58)} ${ms.toFixed(1).padStart(9)} ms   wanted ${wantedMs} ms ${ms > wantedMs ? '  MISSED' : ''}`,
  );
}

/** Notes something that is not as it is wanted. */
export const miss = (): void => void missed++;

export const sayMissed = (): void => console.log(missed ? `\n${missed} not as wanted.` : '\nAll as wanted.');

/** The value that `share` of the numbers do not exceed. */
export const quantile = (numbers: readonly number[], share: number): number =>
  [...numbers].sort((a, b) => a - b)[Math.min(numbers.length - 1, Math.ceil(share * numbers.length) - 1)] ??
  0;
