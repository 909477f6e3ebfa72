/** What families said, as it is shown: of each answer its games by name, and who it is from. */
import { AGAIN, HOW, VIA } from '~/core/listening/answer';
import { LEVELS } from '~/core/pack/questions';
import { gameNames } from '~/core/pack/names';
import { count } from '~/core/words/numbers';
import { ENGLISH } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { pageOfAnswers, type AnswerRow, type AnswersAsked } from '~/data/queries/listening';
import { showTime } from '../changes';

function shown(at: SchoolHandle, { answer, games, plan, ...row }: AnswerRow) {
  const names = gameNames(plan.variants, ENGLISH);
  return {
    ...row,
    id: answer.id,
    language: answer.language,
    via: VIA[answer.via],
    at: showTime(at, answer.sentAt),
    isNew: answer.readAt === null,
    facts: [
      answer.times !== null && `played ${count(answer.times, 'time')}`,
      answer.minutes !== null && `about ${count(answer.minutes, 'minute')}`,
      answer.children !== null && count(answer.children, 'child', 'children'),
      answer.grownUps !== null && count(answer.grownUps, 'grown-up'),
      answer.again !== null && `next: ${AGAIN[answer.again]}`,
    ].filter((fact): fact is string => Boolean(fact)),
    childDid: answer.childDid,
    missing: answer.missing,
    anythingElse: answer.anythingElse,
    games: games.map((game) => ({
      position: game.position,
      name: names[game.position] ?? `game ${game.position + 1}`,
      said: game.said && { level: game.said, word: LEVELS[game.said] },
      child: game.child,
      facts: [
        game.times !== null && `${count(game.times, 'time')}`,
        game.minutes !== null && `${count(game.minutes, 'minute')}`,
        ...game.how.map((how) => HOW[how]),
      ].filter((fact): fact is string => Boolean(fact)),
      childSaid: game.childSaid,
      changed: game.changed,
      unclear: game.unclear !== '',
    })),
  };
}
export type Voiced = ReturnType<typeof shown>;

/** A page of what families said, the newest first. */
export async function heard(
  at: SchoolHandle,
  asked: AnswersAsked & { first: number; most: number },
): Promise<{ voices: Voiced[]; found: number }> {
  const { answers, found } = await pageOfAnswers(at, asked);
  return { voices: answers.map((row) => shown(at, row)), found };
}
