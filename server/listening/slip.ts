import { showTag } from '~/core/kits/tag';
import { readSlip, slipSentence } from '~/core/listening/slip';
import type { SchoolHandle } from '~/data/db';
import { findCopy } from '~/data/queries/copies';
import { lastLoanOf } from '~/data/queries/lending';
import { addAnswer } from '~/data/queries/listening';

const MOST_WORDS = 1500;

/** What became of a slip: kept, or why not, each in a sentence. */
export interface SlipKept {
  status: 200 | 400 | 409;
  kept?: string;
  problem?: string;
}

/** Stores what a paper slip says, as an answer of the family that had the bag last. */
export async function keepSlip(at: SchoolHandle, slip: string, words: string): Promise<SlipKept> {
  const reading = readSlip(slip);
  if (!reading.ok) return { status: 400, problem: reading.problem };
  if (words.length > MOST_WORDS)
    return { status: 400, problem: `There is room for ${MOST_WORDS} characters.` };
  const tag = showTag(reading.tag);
  const copy = await findCopy(at, { tag: reading.tag });
  const last = copy && (await lastLoanOf(at, copy.id));
  if (!last)
    return {
      status: 409,
      problem: `${tag} was never lent, so nobody can have filled in its slip. Look at the number again.`,
    };
  const { id: loanId, familyName, language } = last;
  const kept = await addAnswer(at, {
    ...reading.answer,
    childDid: words,
    anythingElse: '',
    // One bag brings one slip home from a loan: typed twice, it counts once.
    sendKey: `slip ${loanId}`,
    loanId,
    language,
  });
  return kept
    ? { status: 200, kept: `${tag}, ${familyName}: ${slipSentence(reading.answer)}` }
    : {
        status: 409,
        problem: `The slip of ${familyName} for ${tag} was typed in before; it was not kept twice.`,
      };
}
