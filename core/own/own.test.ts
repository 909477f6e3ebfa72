import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Ajv } from 'ajv';
import { mean } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { assume, type PartNeed } from '~/core/games/kit/types';
import { gameFor, open } from '~/core/own/open';
import { check } from '~/core/games/kit/check';
import { settle, startOf } from '~/core/games/kit/game';
import { sample, apart } from '~/core/games/kit/testing';
import { recipeOf } from '~/core/kits/recipe';
import { SHIPPED_LANGUAGES } from '~/core/words/languages';
import { nameOf, say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { checkOwnGame } from './check';
import { newOwnGame, ownGameSchema, type OwnGame } from './definition';
import { ownFaults } from './faults';
import { closedRules, isClosed } from './closed';
import { MOST_STEPS, tooMuch } from './cost';
import { ownGame } from './game';
import { ownGameId, storedId } from './ids';
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
    expect(check(game, preset!.params)).toMatchObject({ ok: true, value: { params: preset!.params } });
    const reckoning = settle(game, preset!.params).reckon(assume('K'));
    expect(Object.values(reckoning.figures).every((value) => Number.isFinite(value))).toBe(true);
    expect(reckoning.skills.length).toBeGreaterThan(0);
    const random = seeded(4);
    const played = sample(1500, () => [...settle(game, preset!.params).play(random)].length);
    expect(apart(mean(reckoning.length.turns), played)).toBeLessThan(4);
    for (const part of reckoning.parts) expect(part.enough).toBeLessThanOrEqual(part.worst);
  });

  it('tells its steps and its plays in both languages', () => {
    for (const language of SHIPPED_LANGUAGES) {
      for (const step of settle(game, preset!.params).steps())
        expect(say(readingOf(language), game.words, step.id, step.args)).not.toMatch(/[{}]/);
      const [first] = [...settle(game, preset!.params).play(seeded(1))];
      expect(say(readingOf(language), game.words, first!.id, first!.args)).toBeTruthy();
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

describe('parts that follow the results of a play', () => {
  const reached = { when: 'reached', number: 20 } as const;
  const GAMES: [string, Partial<OwnGame>][] = [
    ['collected until a number is reached', { make: 'collect', end: reached }],
    ['collected in a number of turns', { make: 'collect', end: { when: 'turns', number: 4 } }],
    ['laid for each turn of a path', { make: 'path', end: reached }],
    ['laid for each of a number of turns', { make: 'sum', end: { when: 'turns', number: 6 } }],
    [
      'laid until every cell is covered',
      { make: 'cover', cells: [2, 3, 5, 7], end: { when: 'covered', number: 1 } },
    ],
  ];
  it.each(GAMES)('%s: enough in as many plays as it says', (_, change) => {
    const own = fitted({
      ...change,
      turn: turn({ kind: 'roll', count: 2, from: 1, to: 4 }),
      parts: [
        { material: 'chip', times: 1, each: 'result' },
        { material: 'pencil', times: 1, each: 'turn' },
      ],
    });
    const variant = settle(ownGame(own, 'own-test'), { ...ownGame(own, 'own-test').presets[0]!.params });
    const random = seeded(12);
    const plays = Array.from({ length: 4000 }, () => {
      const answers = [...variant.play(random)].map(({ args }) => (args as { answer: number }).answer);
      const pieces =
        own.make === 'collect' ? answers.reduce((all, one) => all + one, 0) : Math.max(...answers);
      return { turns: answers.length, pieces };
    });
    const share = (fits: (play: (typeof plays)[number]) => boolean): number =>
      plays.filter(fits).length / plays.length;
    const [chips, pencils] = ['chip', 'pencil'].map((material) =>
      variant.needs('K').parts.find((part) => part.material === material)!,
    ) as [PartNeed, PartNeed];
    expect(
      Math.abs(mean(chips.pmf) - plays.reduce((all, { pieces }) => all + pieces, 0) / plays.length),
    ).toBeLessThan(0.02 * chips.worst + 0.1);
    expect(share(({ pieces }) => pieces <= chips.enough)).toBeGreaterThan(0.93);
    expect(Math.max(...plays.map(({ pieces }) => pieces))).toBeLessThanOrEqual(chips.worst);
    // Long plays ask for more: the chance of both is not the product of the two.
    for (const [there, left] of [
      [chips.enough, pencils.enough],
      [Math.round(mean(chips.pmf)), Math.round(mean(pencils.pmf))],
    ] as const)
      expect(
        Math.abs(
          variant.suffices('K', (material) => (material === 'chip' ? there : left)) -
            share(({ turns, pieces }) => pieces <= there && turns <= left),
        ),
      ).toBeLessThan(0.04);
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
  it.each(['Race to {goal}', '<b>Bold</b>', "{'}", '}{ #', '{goal, plural, one {x}}', 'Tom’s "7" & more'])(
    'may be called %j, and is shown so everywhere',
    (en) => {
      const own = named({ name: { en, es: `${en} en casa` } });
      expect(checkOwnGame(own)).toEqual({ ok: true, value: own });
      const game = gameFor({ gameId: 'own-test', own });
      expect([nameOf(game), nameOf(game, readingOf('es'))]).toEqual([en, `${en} en casa`]);
      expect(settle(game, startOf(game)).reckon(assume('K')).explained.length).toBeGreaterThan(0);
    },
  );
  it('with a sentence that cannot be said for every number is refused', () => {
    for (const [en, es] of [
      ['Take {count, plural, one {# chip}}.', 'Tomen {count, plural, one {# ficha} other {# fichas}}.'],
      ['Take {count, number, ::currency/XX}.', 'Tomen {count}.'],
    ])
      expect(Object.keys(ownFaults(named(step(en!, es!))))).toContain('steps.3.en');
    expect(ownFaults(named(step('Take <b>{count}</b>.', 'Tomen <b>{count}</b>.')))).toEqual({});
  });
  it('drops characters that nobody sees, and refuses what has no end', () => {
    const checked = checkOwnGame(named({ name: { en: 'Ferry\u200b Load\u202e', es: 'Carga' } }));
    expect(checked.ok && checked.value.name.en).toBe('Ferry Load');
    expect(checkOwnGame({ ...named(), cells: [Infinity] }).ok).toBe(false);
  });
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

describe('what it costs to reckon a game', () => {
  const size = fc.record({
    kind: fc.constantFrom('roll' as const, 'draw' as const, 'spin' as const),
    count: fc.integer({ min: 1, max: 3 }),
    from: fc.integer({ min: 0, max: 3 }),
    to: fc.constantFrom(4, 6, 10, 20),
    copies: fc.constantFrom(1, 4, 8),
    make: fc.constantFrom('cover' as const, 'collect' as const, 'path' as const),
    cells: fc.array(fc.nat(60), { minLength: 1, maxLength: 24 }),
    number: fc.constantFrom(1, 20, 200),
    turns: fc.boolean(),
    most: fc.integer({ min: 1, max: 8 }),
  });
  it('is known beforehand: whatever is accepted is reckoned in a moment, and the rest says why not', () => {
    let refused = 0;
    fc.assert(
      fc.property(size, ({ kind, count, from, to, copies, make, cells, number, turns, most }) => {
        const end = make === 'cover' ? 'covered' : turns ? 'turns' : 'reached';
        const draft = named({
          turn: { kind, count, from, to, copies },
          make,
          players: { fewest: 1, most },
          end: { when: end, number },
        });
        const possible = [...results(draft, count).keys()].filter((one) => one <= 60);
        const own =
          make === 'cover'
            ? { ...draft, cells: cells.map((cell) => possible[cell % possible.length]!) }
            : draft;
        const heavy = tooMuch(own, { players: most, count, number, cells: own.cells });
        for (const sentence of Object.values(heavy)) expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
        if (Object.keys(heavy).length) {
          refused++;
          expect(checkOwnGame(own).ok).toBe(false);
          return;
        }
        const game = ownGame(own, 'x');
        settle(game, { ...startOf(game), players: most }).reckon(assume('K'));
      }),
      { numRuns: 250, seed: 9 },
    );
    expect(refused).toBeGreaterThan(5);
    expect(MOST_STEPS).toBeLessThan(1e7);
  }, 300_000);
  it('is known for a turn of the bench as for the game itself', () => {
    const own = named({ turn: turn({ count: 2 }), make: 'collect', end: { when: 'turns', number: 5 } });
    const game = ownGame(own, 'x');
    expect(check(game, { ...game.presets[0]!.params, number: 5 }).ok).toBe(true);
    const wide = ownGame(
      { ...own, turn: turn({ count: 3, from: 0, to: 20 }), players: { fewest: 1, most: 8 } },
      'x',
    );
    expect(check(wide, { players: 8, count: 3, number: 200 })).toMatchObject({
      ok: false,
      errors: { number: expect.stringContaining('fewer turns') as string },
    });
  });
});

describe('a game that cannot be opened', () => {
  it('says so in every language, though there is wording for the game whose place it takes', () => {
    const { game } = open({ gameId: 'two-tone-spill', params: { counters: 'many' } });
    expect(isClosed(game)).toBe(true);
    expect(say(readingOf('en'), game.words, 'goal')).toMatch(/^This game cannot be opened/);
    expect(say(readingOf('es'), game.words, 'goal')).toMatch(/no se puede abrir/);
  });

  const shut = (own: unknown) => gameFor({ gameId: 'own-x', own: own as OwnGame });
  it('is stood in for by one that says so, and takes nothing down', () => {
    for (const own of [
      {},
      { name: { en: 'Old', es: 'Viejo' } },
      { ...named(), parts: [{ material: 'nothing' }] },
      { ...named(), players: null },
      closedRules('Old', 'it is old.'),
    ]) {
      const game = shut(own);
      expect(isClosed(game)).toBe(true);
      expect(nameOf(game).length).toBeGreaterThan(0);
      const plan = { ageBand: 'K' as const, players: 2, assurance: 'usual' as const };
      const recipe = recipeOf({
        ...plan,
        variants: [{ gameId: 'own-x', own: own as OwnGame, name: 'Ours', params: { x: 1 } }],
      });
      expect(recipe.notices.map(({ code, severity }) => [code, severity])).toContainEqual(['closed', 'stop']);
      expect([...settle(game, {}).play(seeded(1))]).toEqual([]);
    }
    expect(isClosed(gameFor({ gameId: 'no-such-game' }))).toBe(true);
    expect(isClosed(shut(named()))).toBe(false);
  });
});
