/**
 * What families' answers say of how hard a variant is: by how much its demand moves. A normal prior around what was
 * reckoned; each family, counted once, says with the likelihood of `level` where the variant lies from where it is.
 * The levels come from what the family said of other variants, so that no figure rests on itself.
 */
import { chanceOf, posterior, type LevelAsked, type Said } from './level';

/** One family's word on a variant, with what is known of its level without it. */
export interface Word {
  said: Said;
  weeksAgo?: number;
  of: Pick<LevelAsked, 'band' | 'answers'>;
}
export interface Correction {
  /** School years that are added to what was reckoned. */
  shift: number;
  sd: number;
  /** So many answers it rests on. */
  answers: number;
  /** How often each was said, and how often that was to be expected of these families before anybody said anything. */
  said: Readonly<Record<Said, number>>;
  expected: Readonly<Record<Said, number>>;
}
const SAID: readonly Said[] = ['tooEasy', 'justRight', 'tooHard'];
const none = (): Record<Said, number> => ({ tooEasy: 0, justRight: 0, tooHard: 0 });

const PRIOR_SD = 0.5;
const [FROM, TO, STEP] = [-2, 2, 0.1];
const HALF_LIFE_WEEKS = 26;
/** Points of a level's posterior that are looked at: enough for two digits of a shift. */
const LEVEL_STEP = 0.1;

/** Nobody has said anything. */
export const STILL: Correction = { shift: 0, sd: 0, answers: 0, said: none(), expected: none() };

/** By how much the demand of a variant moves. Without answers it stays. */
export function correction(demand: number, words: readonly Word[]): Correction {
  const shifts = Array.from({ length: Math.round((TO - FROM) / STEP) + 1 }, (_, i) => FROM + i * STEP);
  const logs = shifts.map((shift) => -(shift ** 2) / (2 * PRIOR_SD ** 2));
  const heard = none();
  const expected = none();
  for (const { said, weeksAgo = 0, of } of words) {
    const levels = posterior(of, LEVEL_STEP).filter(({ weight }) => weight > 1e-4);
    heard[said]++;
    for (const one of SAID)
      expected[one] += levels.reduce(
        (sum, { level, weight }) => sum + weight * chanceOf(one, level, demand),
        0,
      );
    const counts = 0.5 ** (weeksAgo / HALF_LIFE_WEEKS);
    shifts.forEach((shift, i) => {
      const chance = levels.reduce(
        (sum, { level, weight }) => sum + weight * chanceOf(said, level, demand + shift),
        0,
      );
      logs[i]! += counts * Math.log(Math.max(chance, 1e-300));
    });
  }
  const best = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - best));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const shift = shifts.reduce((sum, one, i) => sum + (one * weights[i]!) / all, 0);
  const variance = shifts.reduce((sum, one, i) => sum + ((one - shift) ** 2 * weights[i]!) / all, 0);
  return {
    shift: words.length ? shift : 0,
    sd: Math.sqrt(variance),
    answers: words.length,
    said: heard,
    expected,
  };
}

const SAYS: Readonly<Record<Said, string>> = {
  tooEasy: 'say “too easy”',
  justRight: 'say “just right”',
  tooHard: 'say “too hard”',
};

/** What a correction means, in a sentence. */
export function correctionSentence({ shift, sd, answers, said, expected }: Correction): string {
  const from = `${answers} ${answers === 1 ? 'answer' : 'answers'}`;
  if (answers === 0) return 'No answers yet: it stands as it was reckoned.';
  if (Math.abs(shift) < sd) {
    // What was said most often, beside what these children would say of a game that is as hard as reckoned.
    const most = [...SAID].sort((a, b) => said[b] - said[a])[0]!;
    return `${said[most]} of ${from} ${SAYS[most]}; of these children about ${Math.round(expected[most])} would be expected to say so if it is as hard as reckoned. That does not say that it is other.`;
  }
  return `Families find it ${shift > 0 ? 'harder' : 'easier'} than reckoned, by ${Math.abs(shift).toFixed(1)} of a school year (give or take ${sd.toFixed(1)}; ${from}).`;
}
