/** Numbers as a person reads them in English; words in other languages come from messages. */
const whole = new Intl.NumberFormat('en-US', { maximumFractionDigits: 0 });
const fine = new Intl.NumberFormat('en-US', { maximumFractionDigits: 1 });
const finer = new Intl.NumberFormat('en-US', { maximumSignificantDigits: 2 });

/** Whole from 20 up, one decimal below, two leading digits below 1. */
export const plain = (value: number): string =>
  (Math.abs(value) >= 20 || value === 0 ? whole : Math.abs(value) >= 1 ? fine : finer).format(value);

/** A chance as a person says it: "31 in 100", "1 in 64". */
export function share(chance: number): string {
  if (chance <= 0) return 'never';
  if (chance >= 1) return 'always';
  return chance >= 0.1 ? `${whole.format(chance * 100)} in 100` : `1 in ${whole.format(1 / chance)}`;
}

/** "1 game", "3 games". */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${whole.format(n)} ${n === 1 ? one : many}`;
