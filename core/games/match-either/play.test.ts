import { describe, expect, it } from 'vitest';
import { numbersIn, plays } from '~/core/games/kit/plays.testing';
import { matchEither } from '.';

const CHANGES = [
  {},
  { players: 4, hand: 3 },
  { colours: 2, numbers: { from: 1, to: 5 }, copies: 2, hand: 4 },
  { players: 1 },
];

describe('a play of Match Either', () => {
  it.each(CHANGES)('lets only a card of the same colour change the number, with %j', (change) => {
    const numbers = 'numbers' in change ? change.numbers : { from: 0, to: 5 };
    for (const { turns } of plays(matchEither, change as never, 40))
      turns.forEach((turn, i) => {
        const [top] = numbersIn(turn, 'number') as [number];
        expect(top).toBeGreaterThanOrEqual(numbers!.from);
        expect(top).toBeLessThanOrEqual(Math.max(numbers!.to, 9));
        // What lies on top after the turn: only a card of the same colour brings another number.
        const before = turns[i - 1];
        if (before && turn.id !== 'play.colour') expect(top).toBe(before.args.number);
      });
  });

  it('goes round, and ends with an empty hand or with everybody stuck', () => {
    for (const change of CHANGES)
      for (const { turns, outcome } of plays(matchEither, change as never, 60)) {
        const players = 'players' in change ? change.players! : 2;
        turns.forEach(({ player }, i) => expect(player).toBe((i % players) + 1));
        const last = turns.at(-1)!;
        if (outcome.finished === 1) {
          expect(last.id).not.toBe('play.draws');
          // Whoever ends it laid all of the hand and all that was drawn: more than was drawn without following.
          const own = turns.filter(({ player }) => player === last.player);
          const laid = own.filter(({ id }) => id !== 'play.draws').length;
          expect(laid).toBeGreaterThanOrEqual('hand' in change ? change.hand! : 5);
        } else expect(turns.slice(-players).every(({ id }) => id === 'play.draws')).toBe(true);
      }
  });

  it('finishes nearly always with the usual deck', () => {
    const all = plays(matchEither, { colours: 4, numbers: { from: 0, to: 9 }, copies: 1 }, 300);
    expect(all.filter(({ outcome }) => outcome.finished === 1).length).toBeGreaterThan(285);
  });
});
