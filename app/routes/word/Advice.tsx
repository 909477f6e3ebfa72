import { easeWord, reading } from '~/core/words/ease';
import { otherWords } from '~/core/words/glossary';
import type { Language } from '~/core/words/languages';
import { format, type Args } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { Faint } from '~/app/ui/Page';

/** A message as it is said with these arguments; undefined while it cannot be read. */
export function read(message: string, language: Language, args: Args): string | undefined {
  try {
    return format(message, language, args);
  } catch {
    return undefined;
  }
}

/** Sentences that are longer than this are hard to follow while a game is laid out. */
const LONG_SENTENCE = 20;

/** How easily a line reads, where it has a word at all. */
export function Reads({ text, language }: { text: string; language: Language }) {
  if (!/\p{L}/u.test(text)) return null;
  const ease = reading({ language, text });
  const word = easeWord(ease);
  const score = language === 'en' ? ease.score?.toFixed(1) : ease.score?.toFixed(0);
  return (
    <Faint>
      {count(ease.words, 'word')}
      {word && `, reads ${word} (${ease.scale} ${score})`}
      {ease.longestSentence > LONG_SENTENCE
        ? `; its longest sentence has ${ease.longestSentence}: shorter ones are easier to follow.`
        : '.'}
    </Faint>
  );
}

/** Words of a line that its language calls otherwise. */
export function OtherWords({ message, language }: { message: string; language: Language }) {
  return otherWords(message, language).map(({ found, say }) => (
    <p key={found}>
      <b>Another word for the same thing:</b> this line says “{found}”, the others say “{say}”.
    </p>
  ));
}
