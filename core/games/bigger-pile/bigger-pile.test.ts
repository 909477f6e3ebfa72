import { describe, expect, it } from 'vitest';
import { DECK, deckWithout } from '~/core/cards/deck';
import { seeded } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { paramsOf, plays, tally } from '~/core/games/kit/plays.testing';
import { figuresOf, noticesOf, refusals, setting } from '~/core/games/kit/testing';
import type { Params, Turn } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { biggerPile, type PileParams } from '.';
import { roundsOfPlay } from './play';
import { answer, numbers } from './rules';

holdsTheShelfLaws(biggerPile, {
  gives: [['kept rounds tie.chance answer.min answer.max distinctFacts'], ['counters', { op: 'add' }]],
});

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
    expect(settle(game, params).audit(deckWithout(['2S', 'KH']))).toEqual({
      verdict: 'playsWithNote',
      note: '1 round fewer: 19. One card stays in the box.',
    });
    expect(settle(game, params).audit(DECK).verdict).toBe('plays');
    expect(settle(game, params).audit(['2S']).verdict).toBe('doesNotPlay');
    expect(refusals('bigger-pile', { missing: DECK.slice(1) }).missing).toMatch(
      /1 number cards are left|number cards/,
    );
  });
});

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
      const { figures } = settle(biggerPile, params).reckon({
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

  it.each([
    { until: 'all', players: 2 },
    { until: 'all', players: 3, op: 'add', ties: 'keepOwn' },
    { until: 'all', players: 4, op: 'multiply', faces: '11-12-13', missing: ['2H', '9C'] },
  ] as Params[])('goes on until somebody has all cards with %j, and loses none', (change) => {
    const params = paramsOf(biggerPile, change) as unknown as PileParams;
    const deck = numbers(params);
    const each = params.op === 'compare' ? 1 : 2;
    const random = seeded(8);
    let ended = 0;
    for (let i = 0; i < 40; i++) {
      const played = roundsOfPlay(params, random);
      // The first cards of every player are the ones dealt to them: then a ledger of who has how many.
      const cards = Array.from(
        { length: params.players },
        (_, k) => Math.floor(deck.length / params.players) + Number(k < deck.length % params.players),
      );
      let middle = 0;
      for (let next = played.next(); ; next = played.next()) {
        const playing = cards.flatMap((count, k) => (count >= each ? [k] : []));
        if (next.done) {
          if (next.value) ended++;
          expect(next.value).toBe(playing.length < 2);
          break;
        }
        const { turned, player, tie } = next.value;
        expect(turned.map((one) => one.length)).toEqual(playing.map(() => each));
        cards.forEach((count, k) => {
          if (count < each) [middle, cards[k]] = [middle + count, 0];
        });
        for (const k of playing) cards[k]! -= each;
        if (tie && params.ties === 'keepOwn') for (const k of playing) cards[k]! += each;
        else if (tie) middle += each * playing.length;
        else [middle, cards[player]] = [0, cards[player]! + middle + each * playing.length];
        expect(middle + cards.reduce((a, b) => a + b, 0)).toBe(deck.length);
      }
    }
    expect(ended).toBeGreaterThan(10);
  });

  it('asks whose pile is bigger again and again, and says when that is long', () => {
    const effort = { plays: 500, seed: 2, deep: false };
    const of = (change: Params) =>
      setting(biggerPile, { until: 'all', ...change }).reckon({ ageBand: 'g1', secondsPerTurn: 25 }, effort);
    const { figures, practice, notices } = of({ faces: '11-12-13' });
    const met = practice.reduce((total, one) => total + one.meetings, 0);
    expect(met).toBeCloseTo(figures['rounds.mean'] as number, 6);
    expect(notices.find(({ code }) => code === 'goes-on')?.mend?.params.until).toBe('deck');
    // Half of these games have no end in sight: nobody says by when most are over.
    expect(figures['ends.chance']).toBeLessThan(0.9);
    expect(figures).not.toHaveProperty('rounds.p90');
    const few = of({ missing: DECK.slice(8) }).figures;
    expect(few['ends.chance']).toBeGreaterThan(0.9);
    expect(few['rounds.p90']).toBeGreaterThan(few['rounds.mean'] as number);
    // One player turns two piles and is through when they are.
    expect(figuresOf('bigger-pile', { until: 'all', players: 1 })).toMatchObject({ rounds: 20 });
  });

  it('ties in its first round as often as it reckons', () => {
    for (const change of [{}, { op: 'add' }, { op: 'multiply' }] as Params[]) {
      const count = 3000;
      const first = plays(biggerPile, change, count).filter(
        ({ turns }) => turns[0]!.id === 'play.tie',
      ).length;
      const chance = setting(biggerPile, change).reckon({ ageBand: 'g1', secondsPerTurn: 25 }).figures[
        'tie.chance'
      ] as number;
      expect(Math.abs(first / count - chance)).toBeLessThan(4 * Math.sqrt((chance * (1 - chance)) / count));
    }
  });
});
