/** Families of a simulated school year: what they are like is hidden from the school, which sees only what they do. */
import type { Random } from '~/core/chance/random';
import type { AgeBand } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { chanceOf, type Said } from '~/core/listening/level';
import type { Language } from '~/core/words/languages';

/** Habits of a family; chances are of 1. */
export interface Habits {
  /** In a week without a bag it would like one. */
  eager: number;
  /** It says how a bag was. */
  answers: number;
  /** A bag comes home late. */
  late: number;
  /** Something is lost while a bag is there. */
  loses: number;
}
export interface YearFamily extends Habits {
  id: string;
  language: Language;
  band: AgeBand;
  underThree: boolean;
  /** Where its child truly is when the year begins, in school years. */
  level: number;
}

/** Home languages of the demo's forty-eight families, and how easily families of each come to the desk by themselves. */
export const MIX: readonly { language: Language; families: number; ease: number; answers: number }[] = [
  { language: 'en', families: 21, ease: 1, answers: 0.6 },
  { language: 'es', families: 12, ease: 0.75, answers: 0.55 },
  { language: 'ar', families: 8, ease: 0.6, answers: 0.45 },
  { language: 'pt', families: 7, ease: 0.6, answers: 0.4 },
];
const BANDS: readonly AgeBand[] = ['preK', 'K', 'K', 'g1', 'g1', 'g2'];
/** Children of one grade differ by this much, in school years. */
export const LEVEL_SD = 0.8;
/** Children grow by one school year in so many weeks. */
const YEAR_WEEKS = 40;
const LITTLE_ONES = 0.2;

export const fraction = (random: Random): number => random.whole(0, 999_999) / 1_000_000;
/** Normal with mean 0 and standard deviation 1: twelve uniform numbers added. */
export const normal = (random: Random): number =>
  Array.from({ length: 12 }, () => fraction(random)).reduce((a, b) => a + b, 0) - 6;
const between = (low: number, high: number, random: Random): number => low + (high - low) * fraction(random);

/** Habits of a family that reads a language. */
export function drawHabits(language: Language, random: Random): Habits {
  const { ease, answers } = MIX.find((one) => one.language === language) ?? MIX[0]!;
  return {
    eager: between(0.04, 0.3, random) * ease,
    answers: Math.min(1, Math.max(0, answers + between(-0.3, 0.3, random))),
    late: between(0, 0.5, random),
    loses: between(0, 0.25, random),
  };
}
/** The families of a year. */
export const drawFamilies = (random: Random): YearFamily[] =>
  MIX.flatMap(({ language, families }) =>
    Array.from({ length: families }, (_, i): YearFamily => {
      const band = BANDS[random.whole(0, BANDS.length - 1)]!;
      return {
        id: `${language} ${i + 1}`,
        language,
        band,
        underThree: random.chance(LITTLE_ONES),
        level: LEVEL_OF[band] + LEVEL_SD * normal(random),
        ...drawHabits(language, random),
      };
    }),
  );

/** Where a child is after so many weeks. */
export const grown = (level: number, weeks: number): number => level + weeks / YEAR_WEEKS;

/** What a child at a level finds of a variant. */
export function finds(level: number, demand: number, random: Random): Said {
  const drawn = fraction(random);
  const easy = chanceOf('tooEasy', level, demand);
  if (drawn < easy) return 'tooEasy';
  return drawn < easy + chanceOf('justRight', level, demand) ? 'justRight' : 'tooHard';
}
