/** Lines of text from families: read where they say exactly what they mean, put before a person where not. */
import { mayAnswer } from '~/core/lending/due';
import type { Level } from '~/core/pack/questions';
import { LEVELS } from '~/core/pack/questions';
import { readText, tagBefore, type LevelWords } from '~/core/listening/text';
import { showTag } from '~/core/kits/tag';
import { FAMILY_WORDS } from '~/core/words/family';
import { ENGLISH, say, type Reading } from '~/core/words/reading';
import { type SchoolHandle, transaction } from '~/data/db';
import { plansOf } from '~/data/queries/copies';
import { addAnswer } from '~/data/queries/listening';
import { addText, familiesReachedBy, loansToAnswer, settleText } from '~/data/queries/texts';
import { readingAt } from '~/data/queries/wording';
import { today } from '../today';

/** A line as the service that carries messages hands it over; it may hand the same one over twice. */
export interface Incoming {
  id: string;
  from: string;
  text: string;
}

/** The words for each level that are understood: those of the family's language, and the English ones. */
export const levelWords = (reading: Reading): LevelWords =>
  Object.fromEntries(
    (Object.keys(LEVELS) as Level[]).map((level) => [
      level,
      [reading, ENGLISH].flatMap((one) => [
        say(one, FAMILY_WORDS, `text.${level}`),
        say(one, FAMILY_WORDS, `level.${level}`),
      ]),
    ]),
  ) as unknown as LevelWords;

/** Takes a line in. It becomes an answer, or waits with the reason. The same one again changes nothing. */
export const receive = (
  at: SchoolHandle,
  { id, from, text }: Incoming,
): Promise<'read' | 'waiting' | 'known'> =>
  transaction(at, async (tx) => {
    const row = await addText(tx, { carriedAs: id, reach: from, text });
    if (!row) return 'known';
    const wait = async (why: string, familyId?: string): Promise<'waiting'> => {
      await settleText(tx, row, { why, ...(familyId === undefined ? {} : { familyId }) });
      return 'waiting';
    };
    const families = await familiesReachedBy(tx, from);
    const [family] = families;
    if (!family) return wait('Nobody is known under this number.');
    if (families.length > 1)
      return wait(`Several families share this number: ${families.map(({ name }) => name).join(', ')}.`);
    const now = today(tx);
    const loans = (await loansToAnswer(tx, family.id)).filter(({ returnedOn }) => mayAnswer(returnedOn, now));
    const { tag, rest } = tagBefore(text);
    const atHome = loans.filter(({ open }) => open);
    const [meant, other] = tag ? loans.filter((one) => one.tag === tag) : atHome.length ? atHome : loans;
    if (!meant)
      return wait(
        tag ? `They have not had ${showTag(tag)} lately.` : 'They have not had a bag lately.',
        family.id,
      );
    if (other && !tag && (atHome.length > 1 || atHome.length === 0))
      return wait('They have had more than one bag lately, and it does not say which it means.', family.id);
    const plan = (await plansOf(tx, [meant.runId])).get(meant.runId)!.plan;
    const reading = readText(rest, plan.variants.length, levelWords(await readingAt(tx, family.language)));
    if (!reading.ok) return wait(reading.why, family.id);
    const answerId = await addAnswer(tx, {
      answer: { childDid: '', missing: '', anythingElse: '' },
      games: reading.games,
      sendKey: `text ${row}`,
      loanId: meant.loanId,
      language: family.language,
      via: 'text',
    });
    if (!answerId) return wait('The bag it is about is not known any more.', family.id);
    await settleText(tx, row, { state: 'read', familyId: family.id, answerId });
    return 'read';
  });
