import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import { inTurn, numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import type { Params, Turn } from '~/core/games/kit/types';
import { peekAndSay } from '.';

const TWO: Params = { groups: 2, max: 6, patterns: ['dice', 'line'], players: 3 };
const met = (turn: Turn) => {
  if (turn.id === 'play.one') return [fact('glance', numbersIn(turn, 'number')[0]!)];
  const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
  return [fact('glance', a), fact('glance', b), fact('add', a, b)];
};

describe('a play of Peek and Say', () => {
  it('shows every card once, with no more dots than allowed', () => {
    for (const change of [{ max: 5 }, TWO] as Params[]) {
      const { figures } = peekAndSay.reckon(paramsOf(peekAndSay, change), {
        ageBand: 'K',
        secondsPerTurn: 30,
      });
      for (const { turns } of plays(peekAndSay, change, 10)) {
        expect(turns).toHaveLength(figures.cards as number);
        expect(inTurn(turns, Number(change.players ?? 2))).toBe(true);
        for (const turn of turns) {
          if (turn.id === 'play.one') expect(numbersIn(turn, 'number')[0]!).toBeLessThanOrEqual(5);
          else {
            const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
            expect([a + b, answer <= 6]).toEqual([answer, true]);
            // The grown-up names the part that was seen.
            expect(turn.coach).toEqual({ id: 'play.part', args: { a } });
          }
        }
      }
    }
  });

  it('meets what it shows as often as it reckons', () => {
    for (const change of [{ max: 5, patterns: ['dice', 'five', 'line'] }, TWO] as Params[])
      expect(strangeMeetings(peekAndSay, change, ['glance', 'add'], met, 2)).toEqual([]);
  });

  it('shows on screen what is then said, for the seconds that are set', () => {
    const random = seeded(3);
    for (const change of [
      { max: 7, seconds: 3 },
      { ...TWO, seconds: 5 },
    ] as Params[])
      for (let i = 0; i < 60; i++) {
        const { shapes, seconds, says } = peekAndSay.peek!(paramsOf(peekAndSay, change), random);
        expect(seconds).toBe(change.seconds);
        const dots = shapes.filter(({ kind }) => kind === 'circle').length;
        const said =
          'number' in says.args ? Number(says.args.number) : Number(says.args.a) + Number(says.args.b);
        expect([says.id, dots]).toEqual([says.id, said]);
      }
  });
});
