import { showTag } from '~/core/kits/tag';
import { readSlip, readSlipNumber, slipSentence } from '~/core/listening/slip';
import { gameNames } from '~/core/pack/names';
import { ENGLISH } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { findCopy } from '~/data/queries/copies';
import { lastLoanOf } from '~/data/queries/lending';
import { addAnswer, answerSentAs } from '~/data/queries/listening';

const MOST_WORDS = 1500;

/** What became of a slip: kept, or why not, each in a sentence. */
export type SlipKept =
  { status: 200; kept: string; id: string; tag: string } | { status: 400 | 409; problem: string };

/** One bag brings one slip home from a loan: typed twice, it counts once. */
const keyOf = (loanId: string): string => `slip ${loanId}`;

/** Of which bag and family a slip is, by its number, or why it is of none. */
export interface SlipBag {
  tag: string;
  family: string;
  games: string[];
  /** It was typed in already. */
  typed: boolean;
}
async function bagOf(at: SchoolHandle, tag: string) {
  const copy = await findCopy(at, { tag });
  const last = copy && (await lastLoanOf(at, copy.id));
  if (!copy || !last) return undefined;
  return { copy, last, games: gameNames(copy.plan.variants, ENGLISH) };
}
const neverLent = (tag: string): string =>
  `${showTag(tag)} was never lent, so nobody can have filled in its slip. Look at the number again.`;

/** What a slip is about, while it is typed. */
export async function slipBag(at: SchoolHandle, text: string): Promise<SlipBag | { problem: string }> {
  const number = readSlipNumber(text);
  if (!number.ok) return { problem: number.problem };
  const bag = await bagOf(at, number.tag);
  if (!bag) return { problem: neverLent(number.tag) };
  return {
    tag: number.tag,
    family: bag.last.familyName,
    games: bag.games,
    typed: (await answerSentAs(at, keyOf(bag.last.id))) !== undefined,
  };
}

/** Stores what a paper slip says, as an answer of the family that had the bag last. */
export async function keepSlip(
  at: SchoolHandle,
  slip: string,
  words: string,
  personId: string,
): Promise<SlipKept> {
  const number = readSlipNumber(slip);
  if (!number.ok) return { status: 400, problem: number.problem };
  if (words.length > MOST_WORDS)
    return { status: 400, problem: `There is room for ${MOST_WORDS} characters.` };
  const bag = await bagOf(at, number.tag);
  if (!bag) return { status: 409, problem: neverLent(number.tag) };
  const reading = readSlip(slip, bag.games.length);
  if (!reading.ok) return { status: 400, problem: reading.problem };
  const { last, games } = bag;
  const tag = showTag(reading.tag);
  const id = await addAnswer(at, {
    answer: { ...reading.answer, childDid: words, anythingElse: '' },
    games: reading.games,
    sendKey: keyOf(last.id),
    loanId: last.id,
    language: last.language,
    via: 'slip',
    personId,
  });
  return id
    ? {
        status: 200,
        id,
        tag: reading.tag,
        kept: `${tag}, ${last.familyName}: ${slipSentence(reading, games)}`,
      }
    : {
        status: 409,
        problem: `The slip of ${last.familyName} for ${tag} was typed in before; it was not kept twice.`,
      };
}
