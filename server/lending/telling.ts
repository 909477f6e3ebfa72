/** How the school tells families something: each in its language, by its channel, and only what was found right. */
import type { Channel } from '~/core/lending/families';
import type { MessageKind, MessageState } from '~/core/lending/reminders';
import type { LendingRules } from '~/core/lending/rules';
import { lineKey, type LineChecks } from '~/core/words/checks';
import { messageIn, type Reading } from '~/core/words/reading';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import type { SchoolHandle } from '~/data/db';
import type { NewMessage } from '~/data/queries/outbox';
import { readingsAt } from '~/data/queries/wording';
import { lineChecks } from '~/data/queries/words';
import { messageLink, newLinkKey } from '../links';

const WORDED = { id: REMINDER_WORDS.id, words: REMINDER_WORDS };

/** The wording of messages in each language of families, and which of its lines were found right. */
export interface Tongue {
  reading: Reading;
  checks: LineChecks;
}
export async function tonguesAt(
  at: SchoolHandle,
  languages: readonly string[],
): Promise<Map<string, Tongue>> {
  const wanted = [...new Set(languages)];
  const [readings, checks] = await Promise.all([
    readingsAt(at, wanted),
    Promise.all(wanted.map((language) => lineChecks(at, WORDED, language))),
  ]);
  return new Map(wanted.map((language, i) => [language, { reading: readings[i]!, checks: checks[i]! }]));
}

/** Whether every line of a message was found right; English is the source. */
const isChecked = ({ reading, checks }: Tongue, lines: readonly ReminderMessage[]): boolean =>
  reading.language === 'en' ||
  lines.every(
    (id) =>
      messageIn(reading, REMINDER_WORDS, id) !== undefined && checks[lineKey(id, reading.language)]?.right,
  );

/** How a message goes out: by the channel of the family, on paper where nobody knows how to reach it, or not yet. */
function wayOf(
  family: { channel: Channel; reach: string },
  checked: boolean,
  { unchecked }: LendingRules,
): { state: MessageState; problem: string } {
  if (!checked && unchecked === 'hold')
    return { state: 'held', problem: 'Its wording is not checked by a fluent reader yet.' };
  if (family.channel === 'paper') return { state: 'paper', problem: '' };
  return family.reach.trim()
    ? { state: 'waiting', problem: '' }
    : { state: 'paper', problem: 'Nobody has written down how to reach them, so it goes on paper.' };
}

/** A family as it is told something. */
interface Told {
  id: string;
  language: string;
  channel: Channel;
  reach: string;
}
/** Makes messages of one day; none for a family that would rather not be written to. */
export const messageMaker =
  (tongues: ReadonlyMap<string, Tongue>, rules: LendingRules, today: string) =>
  (
    kind: MessageKind,
    once: string,
    family: Told,
    said: string[],
    render: (marked: boolean, address: string) => { text: string; lines: ReminderMessage[] },
  ): NewMessage | undefined => {
    if (family.channel === 'never') return undefined;
    const tongue = tongues.get(family.language)!;
    const linkKey = newLinkKey();
    const address = messageLink(linkKey);
    const checked = isChecked(tongue, render(false, address).lines);
    return {
      familyId: family.id,
      kind,
      once,
      onDay: today,
      language: family.language,
      unchecked: !checked,
      channel: family.channel,
      reach: family.reach,
      said,
      text: render(!checked, address).text,
      linkKey,
      ...wayOf(family, checked, rules),
    };
  };
