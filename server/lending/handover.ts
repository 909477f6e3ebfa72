/** Handing over the bags of a hand-out: what was scanned, and whether it is right. */
import { readCard } from '~/core/lending/card';
import { showDay } from '~/core/lending/due';
import type { Heard } from '~/core/lending/hall';
import { readTag, showTag } from '~/core/kits/tag';
import type { SchoolHandle } from '~/data/db';
import { findCopy } from '~/data/queries/copies';
import { familyByCard, findFamily } from '~/data/queries/families';
import { lend } from '~/data/queries/lending';
import { promisesOf } from '~/data/queries/rounds';
import { today } from '../today';
import { proposedDue } from './due';
import { whyNotLent } from './refused';

/**
 * A bag of a hand-out is scanned: it goes to the family that it is promised to. Where the card of a family was scanned
 * before it, the bag has to be theirs.
 */
export async function handOver(
  at: SchoolHandle,
  input: { roundId: string; text: string; familyId?: string; personId: string },
): Promise<Heard> {
  const card = readCard(input.text);
  if (card) {
    const family = await familyByCard(at, card);
    if (!family)
      return { kind: 'wrong', word: 'No such card', text: 'No family of this school has this card.' };
    const mine = (await promisesOf(at, input.roundId)).find(({ familyId }) => familyId === family.id);
    if (!mine)
      return {
        kind: 'wrong',
        word: 'No bag',
        text: `Nothing is promised to ${family.name} in this hand-out.`,
      };
    if (mine.loanId)
      return { kind: 'wrong', word: 'Has it', text: `${family.name} has ${showTag(mine.tag)} already.` };
    return {
      kind: 'next',
      word: showTag(mine.tag),
      text: `Now scan the bag of ${family.name}: ${mine.kitName}.`,
      familyId: family.id,
    };
  }
  const tag = readTag(input.text);
  if (tag.kind !== 'tag')
    return {
      kind: 'wrong',
      word: 'Not read',
      text: tag.kind === 'misread' ? tag.reason : 'This is neither a tag nor the card of a family.',
    };
  const copy = await findCopy(at, { tag: tag.tag });
  if (!copy) return { kind: 'wrong', word: 'Not ours', text: `No copy has the tag ${showTag(tag.tag)}.` };
  const promises = await promisesOf(at, input.roundId);
  const one = promises.find(({ copyId }) => copyId === copy.id);
  if (!one)
    return {
      kind: 'wrong',
      word: 'Another bag',
      text: `${showTag(copy.tag)}, ${copy.kitName}, is not in this hand-out. Put it back.`,
    };
  if (one.loanId)
    return { kind: 'wrong', word: 'Gone', text: `${showTag(copy.tag)} is with ${one.familyName} already.` };
  if (one.endedAt)
    return { kind: 'wrong', word: 'Not promised', text: `${showTag(copy.tag)} is not promised any more.` };
  if (input.familyId && input.familyId !== one.familyId) {
    const asked = await findFamily(at, input.familyId);
    const theirs = promises.find(({ familyId }) => familyId === input.familyId);
    return {
      kind: 'wrong',
      word: 'Wrong bag',
      text: `${showTag(copy.tag)} is for ${one.familyName}. ${asked ? `${asked.name} gets ${theirs ? showTag(theirs.tag) : 'none'}.` : ''}`,
      familyId: input.familyId,
    };
  }
  const day = today(at);
  const { dueOn } = await proposedDue(at, day, one.daysOut, one.group);
  const lent = await lend(at, {
    copyId: copy.id,
    familyId: one.familyId,
    lentOn: day,
    dueOn,
    personId: input.personId,
  });
  if (!lent.ok)
    return lent.reason === 'unsafe'
      ? {
          kind: 'wrong',
          word: 'Not this one',
          text: `${showTag(copy.tag)} is not for ${one.familyName} before somebody has decided it. ${lent.why} Lend it at the desk, where the reason stands.`,
        }
      : { kind: 'wrong', word: 'Not lent', text: whyNotLent(lent) };
  return {
    kind: 'right',
    word: one.familyName,
    text: `${showTag(copy.tag)}, ${one.kitName}, until ${showDay(dueOn)}.`,
    loanId: lent.loanId,
    dueOn,
  };
}
