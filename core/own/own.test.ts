import { describe, expect, it } from 'vitest';
import { Ajv } from 'ajv';
import { mean } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { assume } from '~/core/games/types';
import { gameFor } from '~/core/games';
import { checkParams } from '~/core/games/params';
import { sample, apart } from '~/core/games/testing';
import { recipeOf } from '~/core/kits/recipe';
import { say, WORDED } from '~/core/words/message';
import { checkOwnGame } from './check';
import { newOwnGame, ownFaults, ownGameSchema, type OwnGame } from './definition';
import { ownGame, ownGameId, storedId } from './game';
import { outcomes, results } from './reckon';

const named = (change: Partial<OwnGame> = {}): OwnGame => ({
  ...newOwnGame(),
  name: { en: 'Ferry Load', es: 'La carga del ferri' },
  goal: { en: 'Load {goal} cars onto the ferry.', es: 'Suban {goal} autos al ferri.' },
  ...change,
});
const turn = (change: Partial<OwnGame['turn']>): OwnGame['turn'] => ({ ...newOwnGame().turn, ...change });

const KINDS: [string, Partial<OwnGame>][] = [
  ['two dice collected to 20', { turn: turn({ count: 2 }) }],
  ['a path to 12', { make: 'path', end: { when: 'reached', number: 12 } }],
  ['sums for some turns', { turn: turn({ count: 2 }), make: 'sum', end: { when: 'turns', number: 5 } }],
  [
    'differences of drawn cards',
    {
      turn: turn({ kind: 'draw', count: 2, from: 1, to: 8, copies: 2 }),
      make: 'difference',
      end: { when: 'turns', number: 6 },
    },
  ],
  [
    'products of spins',
    {
      turn: turn({ kind: 'spin', count: 2, from: 1, to: 5 }),
      make: 'product',
      end: { when: 'turns', number: 4 },
    },
  ],
  [
    'tossed counters',
    { turn: turn({ kind: 'toss', count: 6 }), make: 'sum', end: { when: 'turns', number: 8 } },
  ],
  [
    'cells to cover',
    { turn: turn({ count: 2 }), make: 'cover', cells: [5, 6, 7, 7, 8], end: { when: 'covered', number: 1 } },
  ],
  [
    'shown cards compared by hand',
    {
      turn: turn({ kind: 'show', count: 1, from: 1, to: 9 }),
      make: 'sum',
      end: { when: 'turns', number: 10 },
    },
  ],
];
/** The last step speaks of {goal}; games by turns say {turns}. */
const fitted = (change: Partial<OwnGame>): OwnGame => named(change);

describe.each(KINDS)('an own game: %s', (_, change) => {
  const own = fitted(change);
  const game = ownGame(own, 'own-test');
  const [preset] = game.presets;

  it('is accepted, reckons, and plays as long as it reckons', () => {
    expect(checkOwnGame(own)).toEqual({ ok: true, value: own });
    expect(checkParams(game, preset!.params)).toEqual({ ok: true, value: preset!.params });
    const reckoning = game.reckon(preset!.params, assume('K'));
    expect(Object.values(reckoning.figures).every((value) => Number.isFinite(value))).toBe(true);
    expect(reckoning.skills.length).toBeGreaterThan(0);
    const random = seeded(4);
    const played = sample(1500, () => [...game.play(preset!.params, random)].length);
    expect(apart(mean(reckoning.length.turns), played)).toBeLessThan(4);
    for (const part of reckoning.parts) expect(part.enough).toBeLessThanOrEqual(part.worst);
  });

  it('tells its steps and its plays in both languages', () => {
    for (const language of WORDED) {
      for (const step of game.steps(preset!.params))
        expect(say(game.words, language, step.id, step.args)).not.toMatch(/[{}]/);
      const [first] = [...game.play(preset!.params, seeded(1))];
      expect(say(game.words, language, first!.id, first!.args)).toBeTruthy();
    }
  });

  it('goes into a kit like any other', () => {
    const recipe = recipeOf({
      ageBand: 'K',
      players: 2,
      assurance: 'usual',
      variants: [{ gameId: 'own-test', name: 'Ours', params: preset!.params, own }],
    });
    expect(recipe.parts.map((part) => part.material)).toEqual(
      expect.arrayContaining(['die', 'instruction-sheet', 'bag']),
    );
    expect(gameFor({ gameId: 'own-test', own }).words.en.name).toBe('Ferry Load');
  });
});

describe('the building blocks', () => {
  it('draw without putting back within a turn', () => {
    const list = outcomes({ turn: turn({ kind: 'draw', count: 2, from: 1, to: 3, copies: 1 }) }, 2);
    expect(list).toHaveLength(6);
    expect(
      list.every(({ values, chance }) => values[0] !== values[1] && Math.abs(chance - 1 / 6) < 1e-12),
    ).toBe(true);
  });
  it('give results whose chances add up to 1', () => {
    for (const [, change] of KINDS) {
      const own = fitted(change);
      expect([...results(own, own.turn.count).values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 10);
    }
  });
  it('keep the id of a stored game', () => {
    expect(storedId(ownGameId('abc'))).toBe('abc');
    expect(storedId('tide-pairs')).toBeUndefined();
  });
});

describe('a definition', () => {
  it('comes back the same through JSON, and meets its published schema', () => {
    const own = named();
    expect(checkOwnGame(JSON.parse(JSON.stringify(own)))).toEqual({ ok: true, value: own });
    const ajv = new Ajv({ strict: false });
    expect(ajv.compile(JSON.parse(JSON.stringify(ownGameSchema)))(own)).toBe(true);
  });
  const step = (en: string, es: string): Partial<OwnGame> => ({
    steps: [...newOwnGame().steps, { part: 'turn', show: 'none', en, es }],
  });
  it.each([
    ['no name', { name: { en: ' ', es: 'x' } }, 'name.en', /must not be empty/],
    ['players backwards', { players: { fewest: 4, most: 2 } }, 'players.most', /at least 4/],
    ['numbers backwards', { turn: turn({ from: 6, to: 2 }) }, 'turn.to', /at least 6/],
    ['too many dice', { turn: turn({ count: 5 }) }, 'turn.count', /At most 3/],
    [
      'one number to compare',
      { make: 'compare', end: { when: 'turns', number: 3 } },
      'turn.count',
      /at least 2/,
    ],
    [
      'three numbers subtracted',
      { make: 'difference', turn: turn({ count: 3 }), end: { when: 'turns', number: 3 } },
      'turn.count',
      /between 2/,
    ],
    ['an end that cannot come', { make: 'sum' }, 'end.when', /path or a collection/],
    ['no cells', { make: 'cover', end: { when: 'covered', number: 1 } }, 'cells', /Name the cells/],
    [
      'a cell that never comes',
      { make: 'cover', cells: [5, 40], end: { when: 'covered', number: 1 } },
      'cells',
      /No turn gives 40/,
    ],
    [
      'nothing to reach with',
      { turn: turn({ from: 0, to: 1, count: 1 }), make: 'path', end: { when: 'reached', number: 3 } },
      '',
      /^$/,
    ],
    [
      'a digit in a sentence',
      step('Take 3 chips.', 'Tomen fichas.'),
      'steps.3.en',
      /write “3” as one of the numbers/,
    ],
    [
      'an unknown number',
      step('Take {chips}.', 'Tomen {chips}.'),
      'steps.3.en',
      /no number called \{chips\}/,
    ],
    [
      'different numbers',
      step('Take {count}.', 'Tomen fichas.'),
      'steps.3.es',
      /both languages must name the same numbers/,
    ],
    ['an open brace', step('Take {count.', 'Tomen.'), 'steps.3.en', /a brace is open/],
    [
      'no ending',
      {
        steps: newOwnGame()
          .steps.filter((one) => one.part !== 'end')
          .concat(newOwnGame().steps[0]!),
      },
      'steps',
      /“To finish” is missing/,
    ],
  ] as [string, Partial<OwnGame>, string, RegExp][])(
    'is refused with a place and a reason: %s',
    (_, change, place, reason) => {
      const faults = ownFaults(named(change));
      if (place === '') return expect(faults).toEqual({});
      expect(faults[place]).toMatch(reason);
    },
  );
  it('of another shape is refused by its place', () => {
    const broken = {
      ...named(),
      turn: { ...newOwnGame().turn, count: 'two' },
      steps: [{ part: 'sing', show: 'none', en: 'a', es: 'b' }],
      extra: 1,
    };
    const checked = checkOwnGame(broken);
    expect(checked.ok ? [] : Object.keys(checked.errors).sort()).toEqual([
      'extra',
      'steps',
      'steps.0.part',
      'turn.count',
    ]);
    expect(checkOwnGame([]).ok).toBe(false);
    expect(checkOwnGame({ ...named(), format: 'something else' }).ok).toBe(false);
  });
});
