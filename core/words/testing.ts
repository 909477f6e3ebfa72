/** What the tests of the words share. */
import { SHELF } from '~/core/games/shelf';
import { AROUND } from '~/core/pack/sources';
import type { Language } from './languages';
import { messageIn, type Source } from './reading';
import { readingOf } from './readings';

/** Every line that ships in a language, with the source it belongs to; what is owed there (`owed.ts`) is left out. */
export const everyLine = (language: Language): { of: string; words: Source; id: string; message: string }[] =>
  [...SHELF, ...AROUND].flatMap(({ id: of, words }) =>
    Object.keys(words.en).flatMap((id) => {
      const message = messageIn(readingOf(language), words, id);
      return message === undefined ? [] : [{ of, words, id, message }];
    }),
  );
