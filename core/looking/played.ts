/** What plays: minutes said against minutes reckoned, plays in a loan, what a play costs, kits side by side. */
import { wilson, type Share } from '~/core/chance/intervals';
import type { Level } from '~/core/pack/questions';
import { listed } from '~/core/words/numbers';

/** What was said of a kit in a period. */
export interface KitWords {
  kitId: string;
  name: string;
  loans: number;
  /** Of each answered loan: times played and minutes each time, where they were said. */
  times: readonly number[];
  minutes: readonly number[];
  /** Words on its games. */
  said: readonly Level[];
  /** Minutes of one game, in the middle over its games. */
  reckonedMinutes: number;
  /** Cents of one loan; undefined where its pack cannot be laid out. */
  loanCents?: number | undefined;
}
export interface KitPlayed {
  kitId: string;
  name: string;
  loans: number;
  answers: number;
  playsPerLoan?: number;
  minutesSaid?: number;
  reckonedMinutes: number;
  /** Minutes said over minutes reckoned. */
  ratio?: number;
  right?: Share & { n: number; of: number };
  playCents?: number;
}

/** The mean of some numbers. */
export const mean = (numbers: readonly number[]): number | undefined =>
  numbers.length ? numbers.reduce((sum, one) => sum + one, 0) / numbers.length : undefined;
/** The middle of some numbers. */
export function median(numbers: readonly number[]): number | undefined {
  const sorted = [...numbers].sort((a, b) => a - b);
  if (sorted.length === 0) return undefined;
  const half = sorted.length / 2;
  return sorted.length % 2 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

export function playedOf({
  kitId,
  name,
  loans,
  times,
  minutes,
  said,
  reckonedMinutes,
  loanCents,
}: KitWords): KitPlayed {
  const playsPerLoan = mean(times);
  const minutesSaid = median(minutes);
  const right = said.filter((one) => one === 'justRight').length;
  return {
    kitId,
    name,
    loans,
    answers: Math.max(times.length, minutes.length),
    reckonedMinutes,
    ...(playsPerLoan === undefined ? {} : { playsPerLoan }),
    ...(minutesSaid === undefined ? {} : { minutesSaid, ratio: minutesSaid / reckonedMinutes }),
    ...(said.length ? { right: { n: right, of: said.length, ...wilson(right, said.length) } } : {}),
    ...(loanCents !== undefined && playsPerLoan ? { playCents: loanCents / playsPerLoan } : {}),
  };
}

/** From here on a time is said to be other than reckoned. */
const OFF = 0.25;
const FEWEST = 3;

/** What the times of kits show, in a sentence. */
export function playedSentence(kits: readonly KitPlayed[]): string {
  const known = kits.filter(({ answers, ratio }) => answers >= FEWEST && ratio !== undefined);
  if (known.length === 0) return 'Too few families have said how long they played.';
  const longer = known.filter(({ ratio }) => ratio! > 1 + OFF).map(({ name }) => name);
  const shorter = known.filter(({ ratio }) => ratio! < 1 - OFF).map(({ name }) => name);
  const parts = [
    longer.length ? `${listed(longer)} ${longer.length === 1 ? 'takes' : 'take'} longer than reckoned.` : '',
    shorter.length ? `${listed(shorter)} ${shorter.length === 1 ? 'is' : 'are'} shorter than reckoned.` : '',
  ].filter(Boolean);
  return parts.length ? parts.join(' ') : 'The kits take about as long as reckoned.';
}
