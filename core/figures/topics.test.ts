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
});
