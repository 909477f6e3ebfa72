import { describe, expect, it } from 'vitest';
import { answerTo, Refused, TOPIC_NAMES } from './topics';

const refusal = (name: string, question: unknown): Promise<unknown> =>
  answerTo(name, question).then(
    () => 'answered',
    (error: unknown) => (error instanceof Refused ? error.message : error),
  );

describe('what the stations compute, asked from outside', () => {
  it('answers every topic, with the defaults that its definition names', async () => {
    expect(TOPIC_NAMES).toEqual([
      'buy',
      'most-copies',
      'weigh',
      'run-plan',
      'reading',
      'due',
      'round',
      'level',
      'reach',
      'wear',
      'supply',
      'evening',
      'verdict',
    ]);
    expect(
      await answerTo('due', {
        lentOn: '2026-12-10',
        days: 14,
        calendar: { weekdays: [1, 2, 3, 4, 5], closed: [] },
      }),
    ).toEqual({ dueOn: '2026-12-24', schoolDays: 10, why: 'Dec 24: 14 days after Dec 10' });
    expect(await answerTo('round', { copies: [], kits: [], families: [] })).toEqual({
      matches: [],
      served: 0,
      fairness: 0,
      score: 0,
      without: [],
    });
    expect(
      await answerTo('most-copies', { kits: [{ id: 'a', parts: { cube: 3 } }], onHand: { cube: 10 } }),
    ).toEqual({ copies: { a: 3 }, worth: 3, costCents: 0 });
    expect(
      await answerTo('run-plan', {
        stages: [{ id: 'cut', after: [], batches: 2, secondsEach: 10 }],
        helpers: 2,
      }),
    ).toMatchObject({ makespanSeconds: 10, lowerBoundSeconds: 10 });
    expect(
      await answerTo('verdict', {
        variants: [{ game: 'two-tone-spill', params: { counters: 6 } }],
        players: 2,
        held: { 'two-colour-counter': 6, cup: 1, pencil: 2 },
      }),
    ).toEqual({
      copy: 'asItIs',
      restock: {},
      games: [{ game: 'two-tone-spill', verdict: 'plays', enough: 1, note: 'Everything is there.' }],
    });
  });

  it.each([
    ['buy', null],
    ['buy', { need: 1.5, onHand: 0, offers: [] }],
    ['buy', { need: 1, onHand: 0, offers: [{ id: 'a', size: 0, priceCents: 1 }] }],
    ['buy', { need: 1e9, onHand: 0, offers: [] }],
    ['most-copies', { kits: [{ id: 'a', parts: {} }], onHand: {} }],
    ['most-copies', { kits: [], onHand: { cube: -1 } }],
    ['weigh', { unitG: 0, unitSdG: 0, sample: 1, tareG: 0, resolutionG: 1, readingG: 0, most: 1 }],
    ['run-plan', { stages: [{ id: 'a', after: ['a'], batches: 1, secondsEach: 1 }], helpers: 1 }],
    ['run-plan', { stages: [], helpers: 0 }],
    ['reading', { language: 'en', text: '' }],
    ['reading', { language: 'en', text: '…' }],
    ['reading', { language: 'no tag', text: 'Count the dots.' }],
    ['verdict', { variants: [{ game: 'no-such' }], players: 2, held: {} }],
    ['verdict', { variants: [{ game: 'tide-pairs', params: { target: 99 } }], players: 2, held: {} }],
    ['verdict', { variants: [], players: 2, held: { unicorn: 1 } }],
    ['verdict', { variants: [], players: 2, held: {}, deckLacks: ['1Z'] }],
    ['due', { lentOn: '2026-02-30', days: 1, calendar: { weekdays: [1], closed: [] } }],
    ['due', { lentOn: '2026-02-03', days: 1, calendar: { weekdays: [1], closed: [] }, backOn: 2 }],
    ['due', { lentOn: '2026-02-03', days: 1, calendar: { weekdays: [8], closed: [] } }],
    [
      'due',
      {
        lentOn: '2026-02-03',
        days: 1,
        calendar: { weekdays: [1], closed: [{ from: '2026-02-04', to: '2026-02-03' }] },
      },
    ],
    ['round', { copies: [{ id: 'a', kit: 'none' }], kits: [], families: [] }],
    ['round', { copies: [], kits: [], families: [], pins: [{ family: 'a', copy: 'b' }] }],
    ['no-topic', {}],
    ['toString', {}],
  ])('refuses a question on %s that does not fit, in a sentence: %j', async (name, question) => {
    const said = await refusal(name, question);
    expect(said).toMatch(/^[A-Za-z0-9“][^\n]*\.$/);
    expect(said).not.toMatch(/undefined|NaN|\[object/);
  });

  it('takes any name for a thing, also one that every object has', async () => {
    for (const id of ['constructor', '__proto__', 'toString', 'a b', '7'])
      for (const other of ['hasOwnProperty', 'b']) {
        const named = (n: unknown) => JSON.parse(`{${JSON.stringify(id)}: ${JSON.stringify(n)}}`) as object;
        expect(
          await answerTo('buy', { need: 5, onHand: 0, offers: [{ id, size: 3, priceCents: 10 }] }),
        ).toEqual({ short: 5, packs: named(2), costCents: 20, leftover: 1 });
        // What is not named is not there.
        expect(
          await answerTo('most-copies', {
            kits: [{ id, parts: named(2) }],
            onHand: JSON.parse(`{${JSON.stringify(other)}: 9}`) as object,
          }),
        ).toEqual({ copies: named(0), worth: 0, costCents: 0 });
        expect(
          await answerTo('most-copies', {
            kits: [{ id, parts: named(2) }],
            onHand: named(9),
            atMost: named(3),
          }),
        ).toEqual({ copies: named(3), worth: 3, costCents: 0 });
        expect(
          await answerTo('run-plan', {
            stages: [{ id, after: [], batches: 3, secondsEach: 10, machine: id }],
            helpers: 3,
          }),
        ).toMatchObject({ makespanSeconds: 30, lowerBoundSeconds: 30 });
        expect(await answerTo('reach', { groups: [{ id, reached: 1, of: 2 }] })).toMatchObject({
          groups: named({ share: 0.5 }),
        });
        expect(
          await refusal('verdict', {
            variants: [{ game: 'two-tone-spill', params: named(1) }],
            players: 2,
            held: {},
          }),
        ).toBe(`two-tone-spill: There is no setting called “${id}”.`);
      }
  });

  it('refuses two things with one id wherever things have ids', async () => {
    const [id, twice] = ['x', <T>(one: T): T[] => [one, one]];
    for (const [topic, question] of [
      ['buy', { need: 5, onHand: 0, offers: twice({ id, size: 3, priceCents: 10 }) }],
      ['most-copies', { kits: twice({ id, parts: { a: 1 } }), onHand: { a: 4 } }],
      ['run-plan', { stages: twice({ id, after: [], batches: 1, secondsEach: 1 }), helpers: 1 }],
      ['reach', { groups: twice({ id, reached: 1, of: 2 }) }],
      ['round', { copies: twice({ id, kit: 'k' }), kits: [], families: [] }],
      ['evening', { groups: twice({ id, size: 2, languages: [] }), tables: [], rounds: 1, helpers: [] }],
    ] as const)
      expect(await refusal(topic, question), topic).toMatch(/needs an id of its own: x\.$/);
  });
});
