import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { figuresOf } from '~/core/games/kit/testing';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { listenAndMove } from '.';
import { MOVES } from './reckon';

holdsTheShelfLaws(listenAndMove, { gives: [] });

describe('a play of Listen and Move', () => {
  it('calls moves with counts, and counts only what was asked for with the words', () => {
    for (const { turns, outcome } of plays(listenAndMove, { calls: 20, most: 9, moves: 3, players: 4 }, 30)) {
      expect(turns).toHaveLength(20);
      expect(inTurn(turns, 4)).toBe(true);
      let made = 0;
      for (const turn of turns) {
        const [count] = numbersIn(turn, 'count') as [number];
        expect(count >= 1 && count <= 9).toBe(true);
        expect(MOVES.slice(0, 3)).toContain(turn.args.move);
        expect(turn.coach!.id).toBe(turn.id === 'play.silent' ? 'play.stood' : 'play.aloud');
        if (turn.id === 'play.call') made += count;
      }
      expect(outcome.moves).toBe(made);
    }
  });

  it('leaves the words out as often as it is told', () => {
    const ids = plays(listenAndMove, { without: 30, calls: 30 }, 100).flatMap(({ turns }) =>
      turns.map(({ id }) => id),
    );
    const silent = ids.filter((id) => id === 'play.silent').length / ids.length;
    expect(Math.abs(silent - 0.3)).toBeLessThan(5 * Math.sqrt(0.21 / ids.length));
    expect(
      plays(listenAndMove, { without: 0 }, 20).flatMap(({ turns }) => turns.map(({ id }) => id)),
    ).not.toContain('play.silent');
  });

  it('counts to each number as often as it reckons', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) =>
      turn.id === 'play.call' ? [fact('count', numbersIn(turn, 'count')[0]!)] : [];
    expect(strangeMeetings(listenAndMove, { most: 5, without: 20, calls: 10 }, ['count'], met, 2000)).toEqual(
      [],
    );
  });
});

it('counts calls, stops and moves', () => {
  expect(figuresOf(listenAndMove, { calls: 20, most: 9, without: 25 })).toEqual({
    calls: 20,
    'stops.mean': 5,
    'moves.mean': 75,
  });
});
