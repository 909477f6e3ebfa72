import { describe, expect, it } from 'vitest';
import { point } from '~/core/chance/pmf';
import { OneOf, Whole } from '~/core/check/schema';
import { wholeSheet } from '~/core/paper/cards';
import { recordSheets } from '~/core/paper/record';
import { contextOf } from '~/core/paper/testing';
import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';
import { dot, need, turn, type Lines, type ParamsOf, type Pictures } from '.';
import { game, settle, startOf } from './game';
import { partSheet } from './parts';

/** What a misspelt name in a game comes to: it does not compile. Each comment below fails the check of types when the line it stands over is accepted. */
const words = source('test-game', {
  ...shared('say.check'),
  name: 'Test',
  goal: 'Take {counters}.',
  'turn.take': 'Take one.',
  'play.takes': 'One is taken.',
  'sheet.head': 'Taken',
});
const knobs = {
  counters: Whole(1, 9, { title: 'Counters', default: 3 }),
  ending: OneOf({ all: 'All are gone', one: 'One is left' }, { title: 'To finish', default: 'all' }),
};
type TestParams = ParamsOf<typeof knobs>;
const good = {
  words,
  family: 'split',
  traits: { places: ['table'] },
  knobs,
  presets: [{ id: 'three', name: 'three', ageBand: 'K' }],
  drawing: [],
  reckon: ({ counters }: TestParams) => ({
    figures: [],
    parts: [need('chip', counters, 'One for each.')],
    turns: point(counters),
    practice: [],
    players: { fewest: 1, most: 2, alone: true },
    ladder: {},
  }),
  *play() {
    yield turn(1, 'play.takes', {}, 'say.check');
  },
  steps: (): Lines<typeof words.en> => [['turn.take'], ['say.check']],
  subject: ({ counters }: TestParams) => `${counters} counters`,
} as const satisfies Parameters<typeof game<typeof knobs, typeof words.en>>[0];

describe('a game', () => {
  it('takes the type of its parameters from its knobs', () => {
    const made = game(good);
    expect(startOf(made)).toEqual({ counters: 3, ending: 'all' });
    expect(settle(made, { counters: 4, ending: 'one' }).subject()).toBe('4 counters');
    const typed: TestParams = { counters: 4, ending: 'one' };
    expect(typed.counters).toBe(4);
    // @ts-expect-error: no value of the knob
    const wrong: TestParams = { counters: 4, ending: 'none' };
    expect(() => settle(made, wrong)).toThrow(RangeError);
  });

  it('compiles with everything named as it is', () => {
    const part = { material: 'mat', name: 'mat', title: 'Mat', use: 'part' } as const;
    const made = game({
      ...good,
      presets: [{ id: 'a', name: 'a', ageBand: 'g3', params: { counters: 5, ending: 'one' } }],
      when: { counters: { ending: ['all'] } },
      faults: ({ counters }) => (counters > 8 ? { counters: 'Too many.' } : {}),
      steps: () => [['turn.take', { counters: 2 }, 'pieces'], false, ['say.check']],
      pictures: { 'turn.take': (_, { counters }) => Array.from({ length: counters }, (_, i) => dot(i, i)) },
      byHand: ['board'],
      sheets: (_, context) => wholeSheet(part, [], context),
    });
    const variant = settle(made, startOf(made));
    expect(variant.picture(variant.steps()[0]!)).toHaveLength(5);
    expect(variant.sheets(contextOf())).toHaveLength(1);
    expect(() => settle(made, { counters: 9, ending: 'all' })).toThrow('Too many.');
    expect(made.knobs[0]!.when).toEqual({ ending: ['all'] });
  });

  it('does not compile with a misspelt name', () => {
    const never = (): void => {
      // @ts-expect-error: no such knob in a preset
      game({ ...good, presets: [{ id: 'a', name: 'a', ageBand: 'K', params: { counter: 3 } }] });
      // @ts-expect-error: no such value of a knob in a preset
      game({ ...good, presets: [{ id: 'a', name: 'a', ageBand: 'K', params: { ending: 'none' } }] });
      // @ts-expect-error: no such grade band
      game({ ...good, presets: [{ id: 'a', name: 'a', ageBand: 'g9' }] });
      // @ts-expect-error: no such knob that another waits for
      game({ ...good, when: { counters: { endings: ['all'] } } });
      // @ts-expect-error: no such value that a knob waits for
      game({ ...good, when: { counters: { ending: ['none'] } } });
      // @ts-expect-error: a fault of no knob
      game({ ...good, faults: () => ({ counter: 'Too many.' }) });
      // @ts-expect-error: no such step
      game({ ...good, steps: () => [['turn.takes']] });
      // @ts-expect-error: a line that is no step
      game({ ...good, steps: () => [['play.takes']] });
      game({
        ...good,
        // @ts-expect-error: no such line of a play
        *play() {
          yield turn(1, 'play.take', {});
        },
      });
      game({
        ...good,
        // @ts-expect-error: no such line of a coach
        *play() {
          yield turn(1, 'play.takes', {}, 'say.chek');
        },
      });
      // @ts-expect-error: a picture of no step
      game({ ...good, pictures: { 'turn.takes': () => [] } });
      // @ts-expect-error: no such material
      need('chips', 3, 'One for each.');
      // @ts-expect-error: made by hand from no such material
      game({ ...good, byHand: ['chips'] });
      // @ts-expect-error: a sheet of no such material
      partSheet(words, 'mats', 'mat', () => [], contextOf());
      const part = { material: 'mats', name: 'mat', title: 'Mat', use: 'part' } as const;
      // @ts-expect-error: a whole sheet of no such material
      game({ ...good, sheets: (_, context) => wholeSheet(part, [], context) });
      const heads = [{ id: 'sheet.heads', from: 0, to: 1 }] as const;
      // @ts-expect-error: a column under no such line
      recordSheets(words, { rows: 1, row: () => [], heads }, contextOf());
      // @ts-expect-error: no such shared line
      shared('say.chek');
      // @ts-expect-error: a game without a name
      game({ ...good, words: source('test-game', { goal: 'Take.' }) });
      // @ts-expect-error: no such family of games
      game({ ...good, family: 'splits' });
      // @ts-expect-error: a picture of a knob that there is not
      const pictures: Pictures<TestParams, typeof words.en> = { 'turn.take': (_, { counter }) => counter };
      expect(pictures).toBeDefined();
    };
    expect(never).toBeTypeOf('function');
  });
});
