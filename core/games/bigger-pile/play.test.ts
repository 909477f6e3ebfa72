import { describe, expect, it } from 'vitest';
import { paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import type { Params, Turn } from '~/core/games/kit/types';
import { answer, numbers, type PileParams } from './rules';
import { biggerPile } from '.';

/** The cards of each player, as they are shown. */
const shown = ({ args }: Turn): number[][] =>
  String(args.shown)
    .split('  |  ')
    .map((cards) => cards.split(' · ').map(Number));

const CASES: Params[] = [
  {},
  { op: 'add', players: 3 },
  { op: 'subtract', faces: '11-12-13', players: 4 },
  { op: 'multiply', missing: ['AH', '2S', '10D'] },
  { op: 'compare', players: 1 },
];

describe('a play of Bigger Pile', () => {
  it.each(CASES)('turns every card at most once with %j, and names the largest answer', (change) => {
    const params = paramsOf(biggerPile, change) as unknown as PileParams;
    const deck = tally(numbers(params));
    for (const { turns, outcome } of plays(biggerPile, change, 10)) {
      const { figures } = biggerPile.reckon(params as unknown as Params, {
        ageBand: 'g1',
        secondsPerTurn: 25,
      });
      expect(turns).toHaveLength(figures.rounds as number);
      for (const [value, times] of tally(turns.flatMap(shown).flat()))
        expect(times).toBeLessThanOrEqual(deck.get(value)!);
      let ties = 0;
      for (const turn of turns) {
        const answers = shown(turn).map(([a, b]) => answer(params.op, a!, b ?? 0));
        const largest = Math.max(...answers);
        expect(turn.args.answer).toBe(largest);
        const best = answers.filter((one) => one === largest).length;
        expect(turn.id).toBe(best > 1 ? 'play.tie' : 'play.most');
        if (best > 1) ties++;
        expect(answers[turn.player - 1]).toBe(largest);
        expect(largest).toBeGreaterThanOrEqual(figures['answer.min'] as number);
        expect(largest).toBeLessThanOrEqual(figures['answer.max'] as number);
      }
      expect(outcome.ties).toBe(ties);
    }
  });

  it('takes the smaller from the larger, whichever comes first', () => {
    expect([answer('subtract', 3, 9), answer('subtract', 9, 3), answer('subtract', 4, 4)]).toEqual([6, 6, 0]);
  });

  it('ties in its first round as often as it reckons', () => {
    for (const change of [{}, { op: 'add' }, { op: 'multiply' }] as Params[]) {
      const count = 3000;
      const first = plays(biggerPile, change, count).filter(
        ({ turns }) => turns[0]!.id === 'play.tie',
      ).length;
      const chance = biggerPile.reckon(paramsOf(biggerPile, change), { ageBand: 'g1', secondsPerTurn: 25 })
        .figures['tie.chance'] as number;
      expect(Math.abs(first / count - chance)).toBeLessThan(4 * Math.sqrt((chance * (1 - chance)) / count));
    }
  });
});
