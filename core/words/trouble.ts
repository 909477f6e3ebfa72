/** What the server says when it cannot show a page at all: plain sentences, in every language that families read. */
import { SHIPPED_LANGUAGES, type Language } from './languages';
import { readingOf } from './readings';
import { say, source } from './reading';

export const TROUBLES = [
  'away',
  'busy',
  'twice',
  'empty',
  'tooLarge',
  'unreadable',
  'method',
  'foreign',
  'failed',
] as const;
export type Trouble = (typeof TROUBLES)[number];

export const TROUBLE_WORDS = source('trouble', {
  'away.title': 'One moment, please',
  'away.text':
    'The school’s records cannot be reached right now. What was saved before is safe. If you just sent something, look whether it arrived before you send it again. Try again in a minute.',
  'busy.title': 'Many people are here right now',
  'busy.text':
    'This page could not be made in time, so it was not begun. What was saved before is safe. Wait a few seconds, then try again.',
  'twice.title': 'Sent once already',
  'twice.text':
    'This was sent before, and it is not known yet whether it was done. It was not done a second time. Open the page anew and look before you send it again.',
  'empty.title': 'Not set up yet',
  'empty.text':
    'The records of this school were not prepared for this version. Whoever looks after the server does it with one command: npm run migrate.',
  'tooLarge.title': 'That was too much at once',
  'tooLarge.text':
    'What was sent is larger than anything that belongs here, so nothing of it was read or changed. Send less at once.',
  'unreadable.title': 'This could not be read',
  'unreadable.text':
    'What was sent is damaged or not in a form that this page knows, so nothing was changed. Go back, load the page anew and try again.',
  'method.title': 'Nothing was changed',
  'method.text': 'This page does not take what was sent to it.',
  'foreign.title': 'Nothing was changed',
  'foreign.text':
    'This request did not come from a page of this school, so nothing was changed. Open the page anew and try again.',
  'failed.title': 'Something went wrong here',
  'failed.text':
    'What was saved before is safe. Go back and try again; if it happens again, note the time and tell the person who looks after this server.',
  again: 'Try again',
});

/** What is said about a trouble in a language. */
export function troubleWords(
  trouble: Trouble,
  language: Language,
): { title: string; text: string; again: string } {
  const reading = readingOf(language);
  return {
    title: say(reading, TROUBLE_WORDS, `${trouble}.title`),
    text: say(reading, TROUBLE_WORDS, `${trouble}.text`),
    again: say(reading, TROUBLE_WORDS, 'again'),
  };
}

/** The first of these languages that a browser asks for ("pt-BR,pt;q=0.9"); English where it wants none of them. */
export function languageFor(
  accept: string | null | undefined,
  offered: readonly Language[] = SHIPPED_LANGUAGES,
): Language {
  const wanted = (accept ?? '')
    .slice(0, 500)
    .split(',')
    .map((part) => {
      const [tag = '', ...rest] = part.trim().split(';');
      const quality = rest.map((one) => /^\s*q=([\d.]+)\s*$/.exec(one)?.[1]).find(Boolean);
      return { tag: tag.trim(), quality: quality === undefined ? 1 : Number(quality) };
    })
    .filter(({ quality }) => quality > 0)
    .sort((a, b) => b.quality - a.quality);
  for (const { tag } of wanted) {
    const found = offered.find((one) => sameLanguage(one, tag));
    if (found) return found;
  }
  return 'en';
}

/** Whether what a browser asks for is this language: "zh-CN" is written in simplified Chinese. */
function sameLanguage(offered: Language, asked: string): boolean {
  if (!/^[a-z]{2,3}(-[a-z0-9]{2,8}){0,3}$/i.test(asked)) return false;
  const [mine, theirs] = [offered, asked].map((tag) => new Intl.Locale(tag).maximize());
  return mine!.language === theirs!.language && mine!.script === theirs!.script;
}
