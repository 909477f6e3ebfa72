/** What a game prints. */
import { describe, expect, it } from 'vitest';
import { materialOf } from '~/core/materials/catalogue';
import { GREY, MARGIN_MM, PAPERS, type Piece, type Sheet } from '~/core/paper/sheet';
import { boxOf, contextOf, evenly, needed, overlap, PAPER_NAMES, piecesOn } from '~/core/paper/testing';
import { assume } from '../types';
import type { Tried } from './tried.testing';

const box = ({ x, y, w, h }: Piece) => ({ left: x, top: y, right: x + w, bottom: y + h });
const isWhole = (piece: Piece, sheet: Sheet) => piece.w >= sheet.widthMm && piece.h >= sheet.heightMm;

/** Every preset's sheets, on both papers. */
export function holdsPaper({ presets, across }: Tried): void {
  describe.each(presets.map(({ preset, variant }) => ({ name: preset.id, preset, variant })))(
    'the printed parts of $name',
    ({ preset, variant }) => {
      it('are there exactly as often as the reckoning says, on both papers, with spares or without', () => {
        const parts = variant
          .reckon(assume(preset.ageBand))
          .parts.filter(({ material }) => materialOf(material).kind === 'printed');
        const wanted = Object.fromEntries(parts.map(({ material, enough }) => [material, enough]));
        for (const paper of PAPER_NAMES)
          for (const fill of [true, false])
            for (const cuts of ['shared', 'marks'] as const) {
              const counted: Record<string, number> = {};
              const pieces = piecesOn(variant.sheets(contextOf({ paper, fill, cuts })));
              for (const { material, name } of needed(pieces))
                // A board or a record of several sheets of paper is one.
                if (!name.includes(', sheet ')) counted[material] = (counted[material] ?? 0) + 1;
              expect(counted).toEqual(wanted);
            }
      });

      it('do not overlap and lie inside what a printer reaches', () => {
        for (const paper of PAPER_NAMES)
          for (const sheet of variant.sheets(contextOf({ paper, fill: true }))) {
            const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
            pieces.forEach((piece, i) => {
              const here = box(piece);
              expect(here.left).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
              expect(here.top).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
              expect(here.right).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 0.01);
              expect(here.bottom).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 0.01);
              for (const other of pieces.slice(0, i)) expect(overlap(here, box(other))).toBeLessThan(0.01);
            });
          }
      });

      it('are drawn inside their cuts', () => {
        for (const paper of PAPER_NAMES)
          for (const cuts of ['shared', 'marks'] as const)
            for (const sheet of variant.sheets(contextOf({ paper, cuts, fill: true }))) {
              const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
              if (pieces.length === 0) continue;
              for (const shape of sheet.shapes) {
                // The heading, and the marks between cards.
                if (shape.kind === 'text' || (shape.kind === 'line' && shape.stroke === GREY)) continue;
                if (across?.(shape)) continue;
                const { left, top, right, bottom } = boxOf(shape, evenly);
                const home = pieces.filter(({ x, y, w, h, outline }) => {
                  // Points that draw a curve may lie beside it, and waves of a puzzle reach into their neighbour.
                  const over = outline ? Math.max(8, 0.06 * Math.max(w, h)) : 0.3;
                  return (
                    left >= x - over && right <= x + w + over && top >= y - over && bottom <= y + h + over
                  );
                });
                expect([sheet.title, shape, home.length > 0]).toEqual([sheet.title, shape, true]);
              }
            }
      });

      it('are the same for the same seed, and can each be printed again alone', () => {
        const sheets = variant.sheets(contextOf());
        expect(variant.sheets(contextOf())).toEqual(sheets);
        const [piece] = piecesOn(sheets);
        if (!piece) return;
        const lost = { material: piece.material, name: piece.name };
        const again = variant.sheets(contextOf({ lost }));
        expect(again.length).toBeGreaterThan(0);
        expect(new Set(piecesOn(again).map(({ material, name }) => `${material} ${name}`))).toEqual(
          new Set([`${lost.material} ${lost.name}`]),
        );
      });

      it('draw their steps with the numbers that are said, two steps at least', () => {
        const pictures = variant.steps().map((step) => variant.picture(step));
        expect(pictures.filter(Boolean).length).toBeGreaterThanOrEqual(2);
        for (const shapes of pictures) {
          for (const shape of shapes ?? []) {
            const { left, top, right, bottom } = boxOf(shape, evenly);
            for (const edge of [left, top, right, bottom]) expect(Number.isFinite(edge)).toBe(true);
            expect(left).toBeGreaterThanOrEqual(-2);
            expect(top).toBeGreaterThanOrEqual(-2);
            expect(right).toBeLessThanOrEqual(102);
            expect(bottom).toBeLessThanOrEqual(62);
          }
          expect(JSON.stringify(shapes ?? [])).not.toMatch(/NaN|undefined|null/);
        }
      });
    },
  );
}
