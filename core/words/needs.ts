/** Which wording is asked for first: what families will read, before what might be read one day. */
import type { Language } from './languages';

/** A kit of which there are copies, in a language that families read. */
export interface Need {
  kitId: string;
  kit: string;
  language: Language;
  /** Families that read this language, and those of them that have the kit at home now. */
  families: number;
  atHome: number;
  /** Lines of its sheets that nobody has found right yet, game by game. */
  games: { gameId: string; name: string; lines: number }[];
}

export const linesIn = ({ games }: Need): number => games.reduce((sum, { lines }) => sum + lines, 0);

/** What is needed, the most urgent first: at home with many, then read by many, then quickly done. */
export const byNeed = (needs: readonly Need[]): Need[] =>
  needs
    .filter((need) => need.families > 0 && linesIn(need) > 0)
    .sort(
      (a, b) =>
        b.atHome - a.atHome ||
        b.families - a.families ||
        linesIn(a) - linesIn(b) ||
        a.kit.localeCompare(b.kit, 'en') ||
        a.language.localeCompare(b.language, 'en'),
    );
