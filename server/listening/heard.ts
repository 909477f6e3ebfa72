/** What families said, basket by basket, with what it means for the next one. */
import { open } from '~/core/own/open';
import type { KitPlan } from '~/core/kits/recipe';
import { nextStep, sentenceFor, type Heard } from '~/core/listening/sentence';
import type { SchoolHandle } from '~/data/db';
import { answersOfKit, listAnswers, type AnswerRow } from '~/data/queries/listening';
import { recipeOf } from '../threads';
import { dayAt } from '../today';

/** What a family heard about: "6 counters" for one game, the kit's name for several. */
function subjectOf(plan: KitPlan, kitName: string): string {
  const only = plan.variants.length === 1 ? plan.variants[0] : undefined;
  return only ? open(only).subject() : `“${kitName}”`;
}

/** Answers about the very same basket, in the order in which each basket was first heard of. */
function byBasket(rows: readonly AnswerRow[]): AnswerRow[][] {
  const baskets = new Map<string, AnswerRow[]>();
  for (const row of rows) {
    const key = `${row.kitId} ${JSON.stringify(row.plan)}`;
    const there = baskets.get(key);
    if (there) there.push(row);
    else baskets.set(key, [row]);
  }
  return [...baskets.values()];
}

const shown = (at: SchoolHandle, rows: readonly AnswerRow[]) =>
  rows.map(({ answer, familyName, tag }) => ({
    ...answer,
    sentAt: dayAt(at, answer.sentAt),
    isNew: answer.readAt === null,
    familyName,
    tag,
  }));

async function basketOf(at: SchoolHandle, rows: readonly AnswerRow[], most: number) {
  const { kitId, kitName, plan } = rows[0]!;
  const heard: Heard[] = rows.map(({ familyId, answer }) => ({
    familyId,
    level: answer.level,
    minutes: answer.minutes,
  }));
  const { minutes, variants } = await recipeOf({ plan, school: [] });
  const next = nextStep(heard);
  const only = variants.length === 1 ? variants[0] : undefined;
  const rung = next && only?.reckoning.ladder[next.direction];
  return {
    kitId,
    kitName,
    sentence: sentenceFor(heard, subjectOf(plan, kitName), minutes),
    next: next && { ...next, gameId: only?.variant.gameId, rung: rung?.label },
    older: Math.max(0, rows.length - most),
    rows: shown(at, rows.slice(-most).reverse()),
  };
}

/** The baskets that were answered about lately; of each its newest answers, `most` of them, and what all of them say. */
export const heardLately = async (at: SchoolHandle, most: number) =>
  Promise.all(byBasket(await listAnswers(at)).map((rows) => basketOf(at, rows, most)));

/** All answers of one kit, the newest first: the page that begins after `first` of them. */
export async function heardOfKit(at: SchoolHandle, kitId: string, first: number, most: number) {
  const { answers, found } = await answersOfKit(at, kitId, first, most);
  const [newest] = answers;
  const page = { kitId, sentence: undefined, next: undefined, older: 0, rows: shown(at, answers) };
  return { found, baskets: newest ? [{ ...page, kitName: newest.kitName }] : [] };
}
