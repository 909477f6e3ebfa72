import { describe, expect, it } from 'vitest';
import { afterLook, cardOf, FIRST_LOOK, STAGES, TO_GROW, type Look } from './looking';

describe('looking quickly', () => {
  it('grows after two in a row and shrinks after a miss, and stays within what there is', () => {
    let look: Look = FIRST_LOOK;
    for (let i = 0; i < 40; i++) look = afterLook(look, true);
    expect(look.stage).toBe(STAGES - 1);
    for (let i = 0; i < TO_GROW - 1; i++) expect(afterLook(FIRST_LOOK, true).stage).toBe(0);
    expect(afterLook(afterLook(FIRST_LOOK, true), true)).toMatchObject({ stage: 1, inRow: 0 });
    expect(afterLook({ stage: 2, inRow: 1, card: 4 }, false)).toEqual({ stage: 1, inRow: 0, card: 5 });
    expect(afterLook(FIRST_LOOK, false).stage).toBe(0);
  });

  it('has cards with as many dots as they say, more of them on the whole at every other stage', () => {
    const middle = (stage: number): number => {
      const cards = Array.from({ length: 30 }, (_, card) => cardOf({ stage, inRow: 0, card }));
      for (const { shapes, number, seconds } of cards) {
        const dots = shapes.filter((shape) => shape.kind === 'circle');
        expect(dots.length).toBeGreaterThanOrEqual(number);
        expect(seconds).toBeGreaterThanOrEqual(1);
      }
      return cards.reduce((sum, { number }) => sum + number, 0) / cards.length;
    };
    const grown = Array.from({ length: STAGES }, (_, stage) => middle(stage));
    expect(grown[1]).toBeGreaterThan(grown[0]!);
    expect(grown[2]).toBeGreaterThan(grown[1]!);
    expect(grown[STAGES - 1]).toBeGreaterThan(grown[1]!);
  });

  it('shows the same card for the same look', () => {
    expect(cardOf({ stage: 3, inRow: 0, card: 9 })).toEqual(cardOf({ stage: 3, inRow: 1, card: 9 }));
  });
});
