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
  if (chance > 0.995) return 'more than 99 in 100';
  return chance >= 0.1 ? `${whole.format(chance * 100)} in 100` : `1 in ${whole.format(1 / chance)}`;
}

/** "no game", "31 in 100 games", "every game". */
export const shareOf = (chance: number, one: string, many = `${one}s`): string =>
  chance <= 0 ? `no ${one}` : chance >= 1 ? `every ${one}` : `${share(chance)} ${many}`;

/** "Only 1 in 64 games", or "No game". */
export const onlyShare = (chance: number, one: string, many = `${one}s`): string =>
  chance <= 0 ? `No ${one}` : `Only ${share(chance)} ${many}`;

/** How often something happens, to open a sentence: "In every game", "In 31 in 100 games". */
export function inGames(chance: number): string {
  if (chance >= 1) return 'In every game';
  if (chance <= 0) return 'In no game';
  return `In ${share(chance)} games`;
}

/** "1 game", "3 games". */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${whole.format(n)} ${n === 1 ? one : many}`;

/** A unit for a number: "sheets" is "sheet" for exactly one. Units that are no plural stay as they are. */
export const unitFor = (value: number, unit: string): string =>
  value === 1 && /^[a-z]+s$/.test(unit)
    ? unit.replace(
        /(?:(ch|sh|x|ss)es|(i)es|s)$/,
        (_, sibilant?: string, y?: string) => sibilant ?? (y ? 'y' : ''),
      )
    : unit;

/** A chance in hundredths: whole, or with the decimals it takes to tell it from 0 and from 100. */
export function hundredths(chance: number): string {
  const near = Math.min(chance, 1 - chance);
  const decimals = near > 0 && near < 0.01 ? Math.min(6, Math.ceil(-Math.log10(near)) - 1) : 0;
  return (chance * 100).toFixed(decimals);
}

const dollars = new Intl.NumberFormat('en-US', { style: 'currency', currency: 'USD' });
/** "$1.20", from cents. */
export const money = (cents: number): string => dollars.format(cents / 100);

/** Cents of an amount as it is typed: "7", "7.5", "$7.50", "7,50". Undefined for anything else. */
export function centsIn(typed: string): number | undefined {
  const [, whole, part = ''] = /^\$? ?(\d{1,6})(?:[.,](\d{1,2}))?$/.exec(typed.trim()) ?? [];
  return whole === undefined ? undefined : Number(whole) * 100 + Number(part.padEnd(2, '0'));
}

/** "one, two and three". */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;

const oneDigit = { minimumFractionDigits: 1, maximumFractionDigits: 1 } as const;
const plainTenths = new Intl.NumberFormat('en-US', { ...oneDigit, signDisplay: 'negative' });
const signedTenths = new Intl.NumberFormat('en-US', { ...oneDigit, signDisplay: 'exceptZero' });
/** A number to a tenth, and the same as a change; what rounds to nothing has no sign. */
export const tenths = (n: number): string => plainTenths.format(n).replace('-', '−');
export const change = (n: number): string => signedTenths.format(n).replace('-', '−');

/** Whole numbers, neighbours drawn together: "1–4, 7". */
export function ranges(numbers: readonly number[]): string {
  const sorted = [...new Set(numbers)].sort((a, b) => a - b);
  const runs: [number, number][] = [];
  for (const number of sorted) {
    const run = runs.at(-1);
    if (run && run[1] === number - 1) run[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** With a capital letter, to open a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
