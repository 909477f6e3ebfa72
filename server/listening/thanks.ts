/** A line to a family about what it said: it goes through the outbox like everything the school says. */
import { createHash } from 'node:crypto';
import type { SchoolHandle } from '~/data/db';
import { findFamily } from '~/data/queries/families';
import { pageOfAnswers } from '~/data/queries/listening';
import { addMessages } from '~/data/queries/outbox';
import { newLinkKey } from '../links';
import { enqueueMessages } from '../lending/jobs';
import { today } from '../today';

export const MOST_LINE = 600;

export type LineSent = { ok: true; how: 'sent' | 'paper' } | { ok: false; problem: string };

/** Says a line to the family that gave an answer; the same line twice is said once. */
export async function sayTo(at: SchoolHandle, answerId: string, text: string): Promise<LineSent> {
  if (text === '') return { ok: false, problem: 'Write what you would like to say first.' };
  if (text.length > MOST_LINE) return { ok: false, problem: `There is room for ${MOST_LINE} characters.` };
  const [row] = (await pageOfAnswers(at, { id: answerId, first: 0, most: 1 })).answers;
  const family = row && (await findFamily(at, row.familyId));
  if (!family) return { ok: false, problem: 'This family is not known any more. Nothing was sent.' };
  if (family.channel === 'never')
    return {
      ok: false,
      problem: `${family.name} would rather not be written to: tell them when you see them. Nothing was sent.`,
    };
  const paper = family.channel === 'paper' || family.reach.trim() === '';
  const ids = await addMessages(at, [
    {
      familyId: family.id,
      kind: 'line',
      once: `line ${createHash('sha256').update(`${answerId} ${text}`).digest('base64url')}`,
      onDay: today(at),
      language: family.language,
      unchecked: false,
      channel: family.channel,
      reach: family.reach,
      text,
      linkKey: newLinkKey(),
      state: paper ? 'paper' : 'waiting',
    },
  ]);
  await enqueueMessages(at, ids);
  return { ok: true, how: paper ? 'paper' : 'sent' };
}
