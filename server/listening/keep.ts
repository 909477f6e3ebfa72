/** An answer in a form, from the page of a family or from who asked it by phone: kept once. */
import { createHash } from 'node:crypto';
import { isEmpty, readAnswer, type Via, type WholeAnswer } from '~/core/listening/answer';
import type { FieldErrors } from '~/core/check/check';
import type { KitPlan } from '~/core/kits/recipe';
import { daysAfter } from '~/core/lending/due';
import { open } from '~/core/own/open';
import type { SchoolHandle } from '~/data/db';
import { addAnswer, firstSentAs } from '~/data/queries/listening';
import { today } from '../today';

/** What was typed on a phone is kept there for so many days: sent again in that time it is the same answer. */
const SAME_DAYS = 14;

/** The key of an answer that comes on a day. */
const sendKeyOf = (loanId: string, day: string, said: WholeAnswer): string =>
  createHash('sha256')
    .update(
      JSON.stringify([
        loanId,
        day,
        Object.entries(said.answer).sort(),
        said.games.map((one) => Object.entries(one).sort()),
      ]),
    )
    .digest('base64url');

export type Kept =
  { ok: true; id: string | undefined; sendKey: string } | { ok: false; errors: FieldErrors; empty: boolean };

/** Reads and keeps an answer about a bag; the same words about the same loan within two weeks are one answer. An `id` that is missing says that it was kept before, or the loan is gone. */
export async function keepAnswer(
  at: SchoolHandle,
  form: FormData,
  about: { plan: KitPlan; loanId: string; language: string; via: Via; personId?: string; alone?: boolean },
): Promise<Kept> {
  const { plan, alone, ...rest } = about;
  const read = readAnswer(form, plan.variants.length);
  if (!read.ok) return { ok: false, errors: read.errors, empty: false };
  const { answer, games } = read.value;
  // Only a step of the game that is meant can be unclear.
  const said = {
    answer,
    games: games.map((one) =>
      one.unclear &&
      !open(plan.variants[one.position]!)
        .steps()
        .some(({ id }) => id === one.unclear)
        ? { ...one, unclear: '' }
        : one,
    ),
  };
  // A picture is an answer too.
  if (isEmpty(said) && !alone) return { ok: false, errors: {}, empty: true };
  const day = today(at);
  const keys = Array.from({ length: SAME_DAYS }, (_, i) => sendKeyOf(about.loanId, daysAfter(day, -i), said));
  const sendKey = (await firstSentAs(at, keys)) ?? keys[0]!;
  return { ok: true, sendKey, id: await addAnswer(at, { ...said, ...rest, sendKey }) };
}
