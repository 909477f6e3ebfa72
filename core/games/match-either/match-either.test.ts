import { describe, expect, it } from 'vitest';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, plays } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, refusals } from '~/core/games/kit/testing';
import { needed, piecesOn } from '~/core/paper/testing';
import { matchEither, type MatchParams } from '.';
import { canFollow } from './reckon';
import { deck } from './rules';

holdsTheShelfLaws(matchEither, { gives: [['cards canFollow.chance neverStuckHand']] });

describe('Match Either', () => {
  it('can follow as often as laying every hand shows', () => {
    const params: MatchParams = {
      colours: 3,
      numbers: { from: 0, to: 2 },
      copies: 1,
      hand: 3,
      players: 1,
      hands: 'open',
    };
    const cards = deck(params);
    let follows = 0;
    let all = 0;
    cards.forEach((top, t) => {
      for (let mask = 0; mask < 2 ** cards.length; mask++) {
        const hand = cards.filter((_, i) => mask & (1 << i));
        if (hand.length !== 3 || mask & (1 << t)) continue;
        all++;
        if (hand.some((card) => card.colour === top.colour || card.number === top.number)) follows++;
      }
    });
    expect(canFollow(params, 3)).toBeCloseTo(follows / all, 12);
  });
  it('names the smallest hand that is seldom stuck', () => {
    const { neverStuckHand } = figuresOf('match-either', {
      colours: 4,
      numbers: { from: 0, to: 9 },
      copies: 1,
    });
    const params: MatchParams = {
      colours: 4,
      numbers: { from: 0, to: 9 },
      copies: 1,
      hand: 5,
      players: 2,
      hands: 'open',
    };
    expect(canFollow(params, neverStuckHand!)).toBeGreaterThanOrEqual(0.95);
    expect(canFollow(params, neverStuckHand! - 1)).toBeLessThan(0.95);
  });
  it('refuses hands that the deck cannot fill', () => {
    expect(
      refusals('match-either', { colours: 2, numbers: { from: 0, to: 3 }, copies: 1, hand: 9, players: 1 })
        .hand,
    ).toMatch(/there are 8/);
    expect(refusals('match-either', { numbers: { from: 5, to: 2 } })).toEqual({
      numbers: 'The largest number must be at least 5.',
    });
  });
});

describe('the sheets of Match Either', () => {
  it('every card of the colour deck once for each copy', () => {
    const names = needed(
      piecesOn(printed('match-either', { colours: 3, numbers: { from: 2, to: 4 }, copies: 2 })),
    ).map(({ name }) => name);
    expect(names).toHaveLength(18);
    for (const suit of ['leaf', 'sun', 'wave'])
      for (const n of [2, 3, 4]) expect(names.filter((name) => name === `${suit} ${n}`)).toHaveLength(2);
  });
});

const CHANGES = [
  {},
  { players: 4, hand: 3 },
  { colours: 2, numbers: { from: 1, to: 5 }, copies: 2, hand: 4 },
  { players: 1 },
];

describe('a play of Match Either', () => {
  it.each(CHANGES)('lets only a card of the same colour change the number, with %j', (change) => {
    const numbers = 'numbers' in change ? change.numbers : { from: 0, to: 5 };
    for (const { turns } of plays(matchEither, change, 40))
      turns.forEach((turn, i) => {
        const [top] = numbersIn(turn, 'number') as [number];
        expect(top).toBeGreaterThanOrEqual(numbers.from);
        expect(top).toBeLessThanOrEqual(Math.max(numbers.to, 9));
        // What lies on top after the turn: only a card of the same colour brings another number.
        const before = turns[i - 1];
        if (before && turn.id !== 'play.colour') expect(top).toBe(before.args.number);
      });
  });

  it('goes round, and ends with an empty hand or with everybody stuck', () => {
    for (const change of CHANGES)
      for (const { turns, outcome } of plays(matchEither, change, 60)) {
        const players = 'players' in change ? change.players : 2;
        turns.forEach(({ player }, i) => expect(player).toBe((i % players) + 1));
        const last = turns.at(-1)!;
        if (outcome.finished === 1) {
          expect(last.id).not.toBe('play.draws');
          // Whoever ends it laid all of the hand and all that was drawn: more than was drawn without following.
          const own = turns.filter(({ player }) => player === last.player);
          const laid = own.filter(({ id }) => id !== 'play.draws').length;
          expect(laid).toBeGreaterThanOrEqual('hand' in change ? change.hand : 5);
        } else expect(turns.slice(-players).every(({ id }) => id === 'play.draws')).toBe(true);
      }
  });

  it('finishes nearly always with the usual deck', () => {
    const all = plays(matchEither, { colours: 4, numbers: { from: 0, to: 9 }, copies: 1 }, 300);
    expect(all.filter(({ outcome }) => outcome.finished === 1).length).toBeGreaterThan(285);
  });
});
