import { signed } from '~/core/cards/facts';
import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { OrbitParams } from '.';
import { circleChances, fieldsOf, winsOf } from './odds';
import type { words } from './words';

const MOST_ROUNDS = 500;

const shown = (n: number): number | string => (n < 0 ? `−${-n}` : n);

/**
 * One turn is a team (or a color) throwing all its bags. Ends when a team has won the greater half; one child alone plays
 * so many rounds.
 */
export function* play(params: OrbitParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { bags, op, miss, hit, bestOf } = params;
  const alone = params.sides === 'alone';
  const fields = Array.from({ length: fieldsOf(params) }, (_, i) => circleChances(params, i));
  const thrownAt = (of: number): number => {
    let left = 1;
    for (const { number, chance } of fields[of]!) {
      if (random.chance(Math.min(1, chance / left))) return number;
      left -= chance;
    }
    return fields[of]!.at(-1)!.number;
  };
  const wins = [0, 0];
  let first: number | undefined;
  for (
    let round = 0;
    alone
      ? round < bestOf
      : Math.max(...wins) < winsOf(bestOf) && wins[0]! + wins[1]! < bestOf && round < MOST_ROUNDS;
    round++
  ) {
    const scores: number[] = [];
    for (const team of [0, 1]) {
      const thrown = Array.from({ length: bags }, (_, i) =>
        miss === 'again' || random.chance(hit) ? thrownAt(i % fields.length) : 0,
      );
      const answer = thrown.reduce((a, b) => (op === 'add' ? a + b : a * b));
      scores.push(answer);
      first ??= answer;
      const args = {
        thrown: thrown.map(signed).join(op === 'add' ? ' + ' : ' × '),
        answer: shown(answer),
      };
      const [a, b] = [scores[0]!, answer];
      if (!alone)
        yield turn(
          team + 1,
          op === 'add' ? 'play.adds' : 'play.multiplies',
          args,
          team ? 'play.more' : 'play.easy',
        );
      else if (team === 0) yield turn(1, 'play.color', args, 'play.easy');
      else
        yield turn(
          1,
          'play.sign',
          { ...args, a: shown(a), b: shown(b), sign: a < b ? '<' : a > b ? '>' : '=' },
          'play.more',
        );
    }
    if (scores[0] !== scores[1]) wins[scores[0]! > scores[1]! ? 0 : 1]!++;
  }
  return { score: first! };
}
