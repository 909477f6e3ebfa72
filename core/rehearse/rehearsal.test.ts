import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { SHELF } from '~/core/games/shelf';
import { open } from '~/core/own/open';
import { ENGLISH, say } from '~/core/words/reading';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { rehearsal, TURNS, type Line, type Scene } from './rehearsal';
import { MISTAKES } from './mistakes';

const BANDS = Object.keys(AGE_BANDS) as AgeBand[];
const said = ({ id, args }: Line): string => say(ENGLISH, REHEARSE_WORDS, id, args);
const variants = SHELF.flatMap((game) =>
  game.presets.map(({ params, ageBand }) => ({
    id: game.id,
    variant: open({ gameId: game.id, params }),
    ageBand,
  })),
);
const mistakesOf = (scenes: readonly Scene[]) => scenes.filter(({ mistaken }) => mistaken);

describe('a rehearsal', () => {
  it('can be had of every game at every setting, and half of its turns or more go wrong', () => {
    for (const { id, variant, ageBand } of variants) {
      const scenes = rehearsal(variant, ageBand, 7);
      expect([id, scenes.length]).toEqual([id, TURNS]);
      expect([id, mistakesOf(scenes).length >= 3]).toEqual([id, true]);
    }
  });

  it('has in every turn a word that helps and words that do not, each with what it does and why', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...variants),
        fc.constantFrom(...BANDS),
        fc.integer({ min: 0, max: 10_000 }),
        ({ variant }, band, seed) => {
          for (const scene of rehearsal(variant, band, seed)) {
            const texts = scene.choices.map((one) => said(one.say));
            expect(new Set(texts).size).toBe(texts.length);
            expect(scene.choices.some(({ helps }) => helps)).toBe(true);
            expect(scene.choices.filter(({ helps }) => !helps).length).toBeGreaterThanOrEqual(2);
            for (const line of [
              scene.task,
              scene.child,
              ...scene.choices.flatMap((one) => [one.then, one.why]),
            ])
              expect(said(line)).not.toMatch(/[{}]|undefined|NaN/);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('never lets a mistake say the right number, and lets no wrong word tell a number below nothing', () => {
    for (const { variant, ageBand } of variants)
      for (const seed of [1, 2, 3])
        for (const { child, mistaken, fact } of rehearsal(variant, ageBand, seed)) {
          if (!mistaken || child.args.wrong === undefined) continue;
          expect(child.args.wrong).not.toBe(fact.answer);
          expect(child.args.wrong).toBeGreaterThanOrEqual(0);
        }
  });

  it('is the same for the same seed, and another for another', () => {
    const { variant, ageBand } = variants[0]!;
    expect(rehearsal(variant, ageBand, 5)).toEqual(rehearsal(variant, ageBand, 5));
    expect(rehearsal(variant, ageBand, 5)).not.toEqual(rehearsal(variant, ageBand, 6));
  });

  it('has a child that is mistaken more often the harder the game is for it', () => {
    const share = (band: AgeBand): number => {
      const all = variants
        .filter(({ id }) => id === 'two-tone-spill')
        .flatMap(({ variant }) =>
          Array.from({ length: 40 }, (_, seed) => rehearsal(variant, band, seed)).flat(),
        );
      return mistakesOf(all).length / all.length;
    };
    expect(share('preK')).toBeGreaterThan(share('g2') + 0.1);
  });

  it('shows the mistakes that belong to the game', () => {
    const seen = (id: string): Set<string> =>
      new Set(
        variants
          .filter((one) => one.id === id)
          .flatMap(({ variant, ageBand }) =>
            Array.from({ length: 20 }, (_, seed) => mistakesOf(rehearsal(variant, ageBand, seed))).flat(),
          )
          .map(({ child }) => child.id),
      );
    expect(seen('two-tone-spill')).toEqual(new Set(['child.one', 'child.fromOne', 'child.guess']));
    expect(seen('tide-pairs')).toContain('child.forgets');
    expect(seen('bigger-pile')).toContain('child.longer');
    expect(seen('bigger-pile')).not.toContain('child.forgets');
    expect(seen('listen-and-move')).toContain('child.goesOn');
  });

  it('never says a task that belies its numbers', () => {
    for (const { variant, ageBand } of variants)
      for (const { task, fact, turn } of rehearsal(variant, ageBand, 3)) {
        if (fact.op === 'listen' || fact.op === 'letter') continue;
        expect(task.args.a).toBe(fact.a);
        expect(turn.id).toMatch(/^play\./);
      }
  });

  it('is about the numbers of its turn, in games that speak of all of them', () => {
    for (const id of [
      'two-tone-spill',
      'tile-sums',
      'number-nests',
      'pin-notes',
      'answer-hop',
      'puzzle-halves',
    ])
      for (const { variant, ageBand } of variants.filter((one) => one.id === id))
        for (const { fact, turn } of rehearsal(variant, ageBand, 11)) {
          const said = Object.values(turn.args);
          expect([id, turn.args, said]).toEqual([
            id,
            turn.args,
            expect.arrayContaining([fact.a, fact.b, fact.answer]) as unknown[],
          ]);
        }
  });

  it('looks for a card that fits only where cards are matched', () => {
    const tasks = (id: string): Set<string> =>
      new Set(
        variants
          .filter((one) => one.id === id)
          .slice(0, 1)
          .flatMap(({ variant, ageBand }) =>
            Array.from({ length: 12 }, (_, seed) => rehearsal(variant, ageBand, seed)).flat(),
          )
          .map(({ task }) => task.id),
      );
    expect(tasks('bigger-pile')).toEqual(new Set(['turn.compare']));
    expect(tasks('tide-pairs')).toEqual(new Set(['turn.card']));
  });

  it('knows a usual mistake for every operation', () => {
    for (const [op, mistakes] of Object.entries(MISTAKES))
      expect([op, mistakes.length > 0]).toEqual([op, true]);
  });
});
