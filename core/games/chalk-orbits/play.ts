import { signed } from '~/core/cards/facts';
import { pick, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { OrbitParams } from '.';
import { circleNumbers, winsOf } from './odds';
import type { words } from './words';

const MOST_ROUNDS = 500;

/** One turn is a team throwing all its bags. Ends when a team has won the greater half. */
export function* play(params: OrbitParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { bags, op, miss, hit, bestOf } = params;
  const circles = circleNumbers(params);
  const wins = [0, 0];
  let first: number | undefined;
  for (
    let round = 0;
    Math.max(...wins) < winsOf(bestOf) && wins[0]! + wins[1]! < bestOf && round < MOST_ROUNDS;
    round++
  ) {
    const scores: number[] = [];
    for (const team of [0, 1]) {
      const thrown = Array.from({ length: bags }, () =>
        miss === 'again' || random.chance(hit) ? pick(circles, random) : 0,
      );
      const answer = thrown.reduce((a, b) => (op === 'add' ? a + b : a * b));
      scores.push(answer);
      first ??= answer;
      yield turn(
        team + 1,
        op === 'add' ? 'play.adds' : 'play.multiplies',
        {
          thrown: thrown.map(signed).join(op === 'add' ? ' + ' : ' × '),
          answer: answer < 0 ? `−${-answer}` : answer,
        },
        team ? 'play.more' : 'play.easy',
      );
    }
    if (scores[0] !== scores[1]) wins[scores[0]! > scores[1]! ? 0 : 1]!++;
  }
  return { score: first! };
}
