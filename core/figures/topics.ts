/** What can be asked on the command line beside the games: each topic with the form of its question. */
import type { Static, TSchema } from '@sinclair/typebox';
import { checkJson } from '~/core/check/check';
import { evening, eveningSchema } from '~/core/evening/rotation';
import { check } from '~/core/games/kit/check';
import { findGame } from '~/core/games/shelf';
import { buy, buySchema } from '~/core/kits/buy';
import { mostCopies, mostCopiesSchema } from '~/core/kits/most-copies';
import { runPlan, runPlanSchema } from '~/core/kits/run-plan';
import { cardsIn, verdict, verdictSchema } from '~/core/kits/verdict';
import { weigh, weighSchema } from '~/core/kits/weigh';
import { due, dueSchema } from '~/core/lending/calendar';
import { round, roundSchema } from '~/core/lending/round';
import { level, levelSchema } from '~/core/listening/level';
import { reach, reachSchema } from '~/core/looking/reach';
import { supply, supplySchema } from '~/core/looking/supply';
import { wear, wearSchema } from '~/core/looking/wear';
import { materials, type MaterialId } from '~/core/materials/catalogue';
import { reading, readingSchema } from '~/core/words/ease';

type Answer = Promise<object> | object;
type Topic = (question: unknown) => Answer;

/** A question that does not fit: one sentence for whoever asked. */
export class Refused extends Error {}

/** A topic whose question passes its schema. What it cannot answer it says as a RangeError. */
const topic =
  <S extends TSchema>(schema: S, answer: (question: Static<S>) => Answer): Topic =>
  async (question) => {
    const checked = checkJson(schema, question);
    if (!checked.ok) throw new Refused(Object.entries(checked.errors).map(where).join(' '));
    try {
      return await answer(checked.value);
    } catch (error) {
      if (error instanceof RangeError) throw new Refused(error.message);
      throw error;
    }
  };
const where = ([path, sentence]: [string, string]): string =>
  path.includes('.') ? `${path}: ${sentence}` : sentence;

const KNOWN: ReadonlySet<string> = new Set(materials().map(({ id }) => id));
/** Quantities of materials that the catalogue knows. */
function quantities(named: Readonly<Record<string, number>>): Partial<Record<MaterialId, number>> {
  const unknown = Object.keys(named).find((id) => !KNOWN.has(id));
  if (unknown !== undefined) throw new Refused(`There is no material "${unknown}".`);
  return named;
}

const TOPICS: Readonly<Record<string, Topic>> = {
  buy: topic(buySchema, buy),
  'most-copies': topic(mostCopiesSchema, mostCopies),
  weigh: topic(weighSchema, weigh),
  'run-plan': topic(runPlanSchema, runPlan),
  reading: topic(readingSchema, reading),
  due: topic(dueSchema, due),
  round: topic(roundSchema, (asked) => round(asked)),
  level: topic(levelSchema, level),
  reach: topic(reachSchema, reach),
  wear: topic(wearSchema, wear),
  supply: topic(supplySchema, supply),
  evening: topic(eveningSchema, (asked) => evening(asked)),
  verdict: topic(verdictSchema, ({ variants, players, held, printed, deckLacks }) => {
    const opened = variants.map(({ game: id, params }) => {
      const game = findGame(id);
      if (!game) throw new Refused(`There is no game called "${id}".`);
      const checked = check(game, params);
      if (!checked.ok) throw new Refused(`${id}: ${Object.values(checked.errors).join(' ')}`);
      return { gameId: id, params: checked.value.params };
    });
    const { games, ...whole } = verdict({
      variants: opened,
      players,
      held: quantities(held),
      ...(printed ? { printed: quantities(printed) } : {}),
      deckLacks: cardsIn(deckLacks),
    });
    return { ...whole, games: games.map((one, i) => ({ game: variants[i]!.game, ...one })) };
  }),
};
export const TOPIC_NAMES: readonly string[] = Object.keys(TOPICS);

/** The answer to a question on a topic. Throws Refused, with one sentence, for a topic or a question that does not fit. */
export async function answerTo(name: string, question: unknown): Promise<object> {
  const found = Object.hasOwn(TOPICS, name) ? TOPICS[name] : undefined;
  if (!found) throw new Refused(`There is no topic "${name}". The topics are: ${TOPIC_NAMES.join(', ')}.`);
  return found(question);
}
