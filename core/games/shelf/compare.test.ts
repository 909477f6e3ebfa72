import { describe, expect, it } from 'vitest';
import { DECK, deckWithout } from '~/core/cards/deck';
import { gameOf } from '.';
import { canFollow } from '~/core/games/match-either/reckon';
import { deck, type MatchParams } from '~/core/games/match-either/rules';
import { figuresOf, noticesOf, refusals } from '~/core/games/kit/testing';

const tens = DECK.map((card) => (card.startsWith('A') ? 1 : Number.parseInt(card, 10))).filter(
  (value) => value > 0,
);

/** Equal answers in the first round, over every way to turn the cards. */
function tieByTurning(values: readonly number[], answer: (a: number, b: number) => number): number {
  let ties = 0;
  let all = 0;
  for (let a = 0; a < values.length; a++)
    for (let b = a + 1; b < values.length; b++)
      for (let c = 0; c < values.length; c++)
        for (let d = c + 1; d < values.length; d++) {
          if (c === a || c === b || d === a || d === b) continue;
          all++;
          if (answer(values[a]!, values[b]!) === answer(values[c]!, values[d]!)) ties++;
        }
  return ties / all;
}

describe('Bigger Pile', () => {
  it('counts the cards and rounds of all three schools', () => {
    expect(figuresOf('bigger-pile', {})).toMatchObject({ kept: 40, rounds: 20, 'answer.max': 10 });
    expect(figuresOf('bigger-pile', { faces: '11-12-13' })).toMatchObject({
      kept: 52,
      rounds: 26,
      'answer.max': 13,
    });
    expect(figuresOf('bigger-pile', { faces: 'discardWhenMet' })).toMatchObject({ kept: 52, rounds: 20 });
    expect(figuresOf('bigger-pile', { op: 'add' })).toMatchObject({
      rounds: 10,
      counters: 20,
      distinctFacts: 55,
    });
    expect(figuresOf('bigger-pile', { op: 'add', players: 4 })).toMatchObject({ rounds: 5 });
    expect(figuresOf('bigger-pile', { players: 1 })).toMatchObject({ rounds: 20 });
  });

  it('ties as often as turning every card does', () => {
    expect(figuresOf('bigger-pile', {})['tie.chance']).toBeCloseTo(3 / 39, 12);
    const missing = DECK.filter((_, i) => i % 13 < 2 || i % 13 > 6);
    const few = deckWithout(missing).map((card) => Number.parseInt(card, 10));
    expect(few).toHaveLength(20);
    for (const [op, answer] of [
      ['add', (a: number, b: number) => a + b],
      ['subtract', (a: number, b: number) => Math.abs(a - b)],
      ['multiply', (a: number, b: number) => a * b],
    ] as const)
      expect(figuresOf('bigger-pile', { op, missing })['tie.chance']).toBeCloseTo(
        tieByTurning(few, answer),
        12,
      );
    expect(tens).toHaveLength(40);
  });

  it('says what missing cards change', () => {
    expect(noticesOf('bigger-pile', { missing: ['2S', '3S'] })).toContain('cards-missing');
    const game = gameOf('bigger-pile');
    const params = game.presets[0]!.params;
    expect(game.audit!(params, deckWithout(['2S', 'KH']))).toEqual({
      verdict: 'playsWithNote',
      note: '1 round fewer: 19. One card stays in the box.',
    });
    expect(game.audit!(params, DECK).verdict).toBe('plays');
    expect(game.audit!(params, ['2S']).verdict).toBe('doesNotPlay');
    expect(refusals('bigger-pile', { missing: DECK.slice(1) }).missing).toMatch(
      /1 number cards are left|number cards/,
    );
  });
});

describe('Hat Numbers', () => {
  it('has the calls and facts of listing every pair', () => {
    const values = DECK.map((card) => {
      const size = card.startsWith('A') ? 1 : Number.parseInt(card, 10);
      return 'HD'.includes(card.at(-1)!) ? -size : size;
    }).filter((value) => Number.isFinite(value));
    const pairs = new Set<string>();
    let [least, most] = [Infinity, -Infinity];
    for (let i = 0; i < values.length; i++)
      for (let j = i + 1; j < values.length; j++) {
        const [a, b] = [values[i]!, values[j]!].sort((x, y) => x - y) as [number, number];
        pairs.add(`${a} ${b}`);
        [least, most] = [Math.min(least, a + b), Math.max(most, a + b)];
      }
    expect(figuresOf('hat-numbers', { signed: true })).toMatchObject({
      rounds: 20,
      'call.min': least,
      'call.max': most,
      distinctFacts: pairs.size,
      'undetermined.chance': 0,
    });
  });
  it('knows how often a zero hides the other hat', () => {
    // At least one of two cards is one of the four kings among 44.
    expect(figuresOf('hat-numbers', { op: 'multiply', faces: 'zero' })['undetermined.chance']).toBeCloseTo(
      1 - (40 * 39) / (44 * 43),
      12,
    );
    expect(noticesOf('hat-numbers', { op: 'multiply', faces: 'zero' })).toContain('zero-hides');
    expect(figuresOf('hat-numbers', { op: 'add', faces: 'zero' })['undetermined.chance']).toBe(0);
  });
  it('is audited by rounds', () => {
    const game = gameOf('hat-numbers');
    expect(game.audit!(game.presets[0]!.params, deckWithout(['2S', '3S']))).toEqual({
      verdict: 'playsWithNote',
      note: '1 round fewer: 19.',
    });
  });
});

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
