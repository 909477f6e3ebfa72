/** Steps that families found unclear: they stand on their line at the words desk until somebody has seen to them. */
import { onPhone } from '~/core/pack/phone';
import { open } from '~/core/own/open';
import { count } from '~/core/words/numbers';
import { ENGLISH, nameOf } from '~/core/words/reading';
import { type SchoolHandle, transaction } from '~/data/db';
import { plansOf } from '~/data/queries/copies';
import { settleUnclear, unclearSteps } from '~/data/queries/listening';
import { addLineChecks } from '~/data/queries/words';

export interface Unclear {
  gameId: string;
  gameName: string;
  /** A game of the school's own, which is worded in itself. */
  own: boolean;
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
        messageId,
        language,
        text,
        times,
        runIds: [runId],
      });
  }
  return [...lines.values()].sort((a, b) => b.times - a.times);
}

/** Of one game in one language: how many families did not understand each step. */
export async function unclearIn(
  at: SchoolHandle,
  gameId: string,
  language: string,
): Promise<Readonly<Record<string, number>>> {
  const all = await unclearNow(at);
  return Object.fromEntries(
    all
      .filter((one) => one.gameId === gameId && one.language === language)
      .map(({ messageId, times }) => [messageId, times]),
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
