/** Steps that families found unclear: they stand on their line at the words desk until somebody has seen to them. */
import { onPhone } from '~/core/pack/phone';
import { open } from '~/core/own/open';
import { count } from '~/core/words/numbers';
import { ENGLISH, isShared, nameOf } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import { type SchoolHandle, transaction } from '~/data/db';
import { plansOf } from '~/data/queries/copies';
import { settleUnclear, unclearSteps } from '~/data/queries/listening';
import { addLineChecks } from '~/data/queries/words';

export interface Unclear {
  gameId: string;
  gameName: string;
  /** A game of the school's own, which is worded in itself. */
  own: boolean;
  /** Said alike by several games, and worded once for all of them. */
  shared: boolean;
  messageId: string;
  language: string;
  /** The step in English, with its numbers. */
  text: string;
  times: number;
  runIds: string[];
}

/** What was unclear and nobody has seen to, line by line. */
export async function unclearNow(at: SchoolHandle): Promise<Unclear[]> {
  const steps = await unclearSteps(at);
  const plans = await plansOf(at, [...new Set(steps.map(({ runId }) => runId))]);
  const lines = new Map<string, Unclear>();
  for (const { runId, position, messageId, language, times } of steps) {
    const ref = plans.get(runId)?.plan.variants[position];
    if (!ref) continue;
    const variant = open(ref);
    const text = onPhone(variant, ENGLISH).steps.find(({ id }) => id === messageId)?.text;
    if (text === undefined) continue;
    const key = `${ref.gameId} ${messageId} ${language}`;
    const known = lines.get(key);
    if (known) {
      known.times += times;
      known.runIds.push(runId);
    } else
      lines.set(key, {
        gameId: ref.gameId,
        gameName: nameOf(variant.game),
        own: ref.own !== undefined,
        shared: isShared(ENGLISH, variant.game.words, messageId),
        messageId,
        language,
        text,
        times,
        runIds: [runId],
      });
  }
  return [...lines.values()].sort((a, b) => b.times - a.times);
}

/** Whether an unclear step stands in a source of wording: in its game, or in what games say alike. */
const standsIn = ({ gameId, shared }: Unclear, sourceId: string): boolean =>
  gameId === sourceId || (shared && sourceId === SHARED.id);

/** Of one source of wording in one language: how many families did not understand each step. */
export async function unclearIn(
  at: SchoolHandle,
  sourceId: string,
  language: string,
): Promise<Readonly<Record<string, number>>> {
  const counts = new Map<string, number>();
  for (const one of await unclearNow(at))
    if (one.language === language && standsIn(one, sourceId))
      counts.set(one.messageId, (counts.get(one.messageId) ?? 0) + one.times);
  return Object.fromEntries(counts);
}

/** What is said alike was worded anew, or left: the step is settled in every game that says it. */
export async function settleIn(
  at: SchoolHandle,
  { gameId: sourceId, messageId, language }: { gameId: string; messageId: string; language: string },
): Promise<void> {
  const meant = (await unclearNow(at)).filter(
    (one) => one.messageId === messageId && one.language === language && standsIn(one, sourceId),
  );
  await settleUnclear(
    at,
    meant.flatMap(({ runIds }) => runIds),
    messageId,
    language,
  );
}

/** Settles an unclear step; with `doubt` its line is no longer checked, for this reason. False when it was settled before. */
export async function seeToUnclear(
  at: SchoolHandle,
  key: { gameId: string; messageId: string; language: string },
  personId: string,
  doubt: boolean,
): Promise<boolean> {
  const found = (await unclearNow(at)).find(
    (one) => one.gameId === key.gameId && one.messageId === key.messageId && one.language === key.language,
  );
  if (!found) return false;
  return transaction(at, async (tx) => {
    const settled = await settleUnclear(tx, found.runIds, found.messageId, found.language);
    if (settled === 0) return false;
    const plans = await plansOf(tx, found.runIds);
    const ref = [...plans.values()]
      .flatMap(({ plan }) => plan.variants)
      .find(({ gameId }) => gameId === found.gameId)!;
    if (doubt)
      await addLineChecks(tx, open(ref).game, [
        {
          messageId: found.messageId,
          language: found.language,
          right: false,
          note: `${count(settled, 'family', 'families')} did not understand this step.`,
          personId,
        },
      ]);
    return true;
  });
}
