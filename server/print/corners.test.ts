import { settle, type Game } from '~/core/games/kit/game';
import { describe, expect, it } from 'vitest';
import type { TSchema } from '@sinclair/typebox';
import { pick, seeded, type Random } from '~/core/chance/random';
import { SHELF } from '~/core/games/shelf';
import { check } from '~/core/games/kit/check';
import type { Params } from '~/core/games/kit/types';
import { CannotPrint, GREY, MARGIN_MM, PAPERS, type Sheet } from '~/core/paper/sheet';
import { boxOf, contextOf, overlap, PAPER_NAMES, type Box } from '~/core/paper/testing';
import { measure } from './fonts';

/** A value at an edge of its knob, or its usual one. */
function edge(schema: TSchema, random: Random): unknown {
  const values: unknown[] = [schema.default];
  if (schema.enum) values.push(...(schema.enum as unknown[]));
  if (schema.minimum !== undefined) values.push(schema.minimum, schema.maximum);
  if (schema.type === 'boolean') values.push(true, false);
  if (schema.type === 'object')
    values.push(
      Object.fromEntries(
        Object.entries(schema.properties as Record<string, TSchema>).map(([name, one]) => [
          name,
          pick([one.minimum, one.maximum] as number[], random),
        ]),
      ),
    );
  if (schema.type === 'array') {
    const items = schema.items as TSchema;
    const all = (items.enum as unknown[] | undefined) ?? [items.minimum, items.maximum];
    const long = Array.from({ length: (schema.maxItems as number | undefined) ?? all.length }, (_, i) =>
      items.enum
        ? all[i % all.length]
        : (items.minimum as number) + (i % ((items.maximum as number) - (items.minimum as number) + 1)),
    );
    values.push(schema.uniqueItems ? [...new Set(long)] : long, all);
  }
  return pick(values, random);
}

function* corners(game: Game, tries: number): Generator<Params> {
  const random = seeded(7);
  for (let i = 0; i < tries; i++) {
    const params = Object.fromEntries(
      Object.entries(game.schema.properties as Record<string, TSchema>)
        .filter(([name]) => name !== 'missing')
        .map(([name, schema]) => [name, edge(schema, random)]),
    );
    const checked = check(game, { ...game.presets[0]!.params, ...params });
    if (checked.ok) yield checked.value.params;
  }
}

/** Boxes that reach into another one; looked for from above, so that only neighbours are compared. */
function overlapping(boxes: Box[], byMm: number): Box[] {
  const sorted = [...boxes].sort((a, b) => a.top - b.top);
  return sorted.filter((box, i) => {
    for (let k = i + 1; k < sorted.length && sorted[k]!.top < box.bottom; k++)
      if (overlap(box, sorted[k]!) > byMm) return true;
    return false;
  });
}

/** What lies beyond the page, and which lines of text or pieces lie over each other. */
function faultsOf(sheet: Sheet, paper: (typeof PAPER_NAMES)[number]): string[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const beyond = sheet.shapes.filter((shape) => {
    const { left, top, right, bottom } = boxOf(shape, measure);
    const over = 0.02;
    return (
      left < MARGIN_MM - over ||
      top < MARGIN_MM - over ||
      right > widthMm - MARGIN_MM + over ||
      bottom > heightMm - MARGIN_MM + over
    );
  });
  const texts = overlapping(
    sheet.shapes.filter((shape) => shape.kind === 'text').map((shape) => boxOf(shape, measure)),
    0.3,
  );
  // Drawn numerals may not lie over one another either.
  const numerals = overlapping(
    sheet.shapes.filter((shape) => shape.kind === 'path' && shape.says).map((shape) => boxOf(shape, measure)),
    0.05,
  );
  const thin = sheet.shapes.filter(
    (shape) => 'strokeMm' in shape && shape.stroke && shape.stroke !== GREY && (shape.strokeMm ?? 0.2) < 0.1,
  );
  return [
    ...beyond.map((shape) => `beyond: ${JSON.stringify(shape).slice(0, 140)}`),
    ...texts.map((box) => `text over text at ${Math.round(box.left)}, ${Math.round(box.top)}`),
    ...numerals.map((box) => `numeral over numeral at ${Math.round(box.left)}, ${Math.round(box.top)}`),
    ...thin.map((shape) => `too thin: ${JSON.stringify(shape).slice(0, 140)}`),
  ];
}

describe.each(SHELF)('at the edges of its knobs, $id', (game) => {
  it('prints inside the page with nothing over anything, or says what to change', () => {
    let printed = 0;
    for (const params of corners(game, 40))
      for (const paper of PAPER_NAMES) {
        try {
          const sheets = settle(game, params).sheets(contextOf({ paper, measure, fill: true }));
          printed++;
          for (const sheet of sheets)
            expect([JSON.stringify(params), sheet.title, faultsOf(sheet, paper)]).toEqual([
              JSON.stringify(params),
              sheet.title,
              [],
            ]);
        } catch (error) {
          if (!(error instanceof CannotPrint)) throw error;
          expect(error.message).toMatch(/^[A-Z].*\.$/);
        }
      }
    expect(printed).toBeGreaterThan(0);
  }, 300_000);
});
