/** What is worded beside the games: pages, sheets, parts, and the lines that games share. */
import { MATERIAL_WORDS } from '~/core/materials/words';
import { FAMILY_WORDS } from '~/core/words/family';
import { argumentsIn } from '~/core/words/inspect';
import type { Args } from '~/core/words/message';
import { PRINT_WORDS } from '~/core/words/print';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { REMINDER_WORDS } from '~/core/words/reminders';
import type { Source } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';

/** Something with lines: a game, or what stands around the games. */
export interface Worded {
  id: string;
  words: Source;
}

export const AROUND: readonly (Worded & { title: string })[] = [
  { id: 'family', words: FAMILY_WORDS, title: 'Family pages and slips' },
  { id: 'reminders', words: REMINDER_WORDS, title: 'Reminders and wishes' },
  { id: 'rehearse', words: REHEARSE_WORDS, title: 'Rehearsing with helpers' },
  { id: 'print', words: PRINT_WORDS, title: 'Sheets and labels' },
  { id: 'materials', words: MATERIAL_WORDS, title: 'Parts' },
  { id: 'shared', words: SHARED, title: 'Lines that games share' },
];

/** Arguments that stand for words, not for a number. */
const WORDS = new Set([
  'part',
  'usual',
  'standIn',
  'contact',
  'school',
  'band',
  'family',
  'kit',
  'day',
  'address',
  'easy',
  'ok',
  'hard',
  'games',
  'evening',
  'time',
  'game',
  'helper',
  'line',
]);
const NUMBER = 4;
/** Arguments with which the lines of a source can be read. */
export const plainArgs = ({ words }: Worded): Record<string, Args> =>
  Object.fromEntries(
    Object.entries(words.en).map(([id, message]) => [
      id,
      Object.fromEntries(
        argumentsIn(message).map(({ name, kind, options }) => [
          name,
          kind === 'select' ? options[0]! : WORDS.has(name) ? '…' : NUMBER,
        ]),
      ),
    ]),
  );
