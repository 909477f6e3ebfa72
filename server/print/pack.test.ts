import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games';
import { recipeOf, type KitPlan } from '~/core/kits/recipe';
import { packSheets, type PackItem } from '~/core/print/pack';
import { forTwoSides, MARGIN_MM, PAPERS, PT_MM, type Paper, type Sheet } from '~/core/print/sheet';
import type { Worded } from '~/core/words/message';
import { measure } from './fonts';
import { pdfOf } from './pdf';

const folder = mkdtempSync(join(tmpdir(), 'pack-'));
afterAll(() => rmSync(folder, { recursive: true }));

const link = 'http://127.0.0.1:4600/p/abcdefghijklmnopqrstuv';
const planFor = (variants: KitPlan['variants'], players = 2): KitPlan => ({
  ageBand: 'g1',
  players,
  assurance: 'usual',
  variants,
});
const every = SHELF.flatMap((game) =>
  game.presets.map((preset) => ({ gameId: game.id, name: preset.name, params: preset.params })),
);
const ITEMS: PackItem[] = ['instructions', 'records', 'parts', 'labels'];

function pack(
  plan: KitPlan,
  paper: Paper,
  options: { items?: PackItem[]; tags?: string[]; languages?: Worded[] } = {},
): Sheet[] {
  return packSheets(
    {
      kitName: 'First splits and a rather long name of a kit',
      schoolName: 'Kittiwake Bay Elementary',
      plan,
      parts: recipeOf(plan).parts,
      items: options.items ?? ITEMS,
      checked: {},
      copies: (options.tags ?? ['K7M4R']).map((tag) => ({ tag, link })),
    },
    { paper, languages: options.languages ?? ['es', 'en'], seed: 1, measure },
  );
}

/** The box a shape covers, in mm. */
function boxOf(shape: Sheet['shapes'][number]): [left: number, top: number, right: number, bottom: number] {
  switch (shape.kind) {
    case 'text': {
      const width = measure(shape.text, shape.font, shape.sizePt);
      const left =
        shape.anchor === 'start' ? shape.x : shape.anchor === 'end' ? shape.x - width : shape.x - width / 2;
      return [
        left,
        shape.y - shape.sizePt * PT_MM * 0.75,
        left + width,
        shape.y + shape.sizePt * PT_MM * 0.25,
      ];
    }
    case 'line':
      return [
        Math.min(shape.x1, shape.x2),
        Math.min(shape.y1, shape.y2),
        Math.max(shape.x1, shape.x2),
        Math.max(shape.y1, shape.y2),
      ];
    case 'rect':
      return [shape.x, shape.y, shape.x + shape.width, shape.y + shape.height];
    case 'circle':
      return [shape.x - shape.radius, shape.y - shape.radius, shape.x + shape.radius, shape.y + shape.radius];
    case 'path': {
      const numbers = shape.d.match(/-?[\d.]+/g)!.map(Number);
      const of = (odd: number) => numbers.filter((_, i) => i % 2 === odd);
      return [Math.min(...of(0)), Math.min(...of(1)), Math.max(...of(0)), Math.max(...of(1))];
    }
  }
}

describe.each(Object.keys(PAPERS) as Paper[])('packs on %s', (paper) => {
  it('keep every shape of every game within the printable area', () => {
    for (const variant of every) {
      for (const players of [1, 4]) {
        for (const sheet of pack(planFor([variant], players), paper)) {
          for (const shape of sheet.shapes) {
            const [left, top, right, bottom] = boxOf(shape);
            const where = `${variant.name}: ${JSON.stringify(shape).slice(0, 120)}`;
            expect(left, where).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
            expect(top, where).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
            expect(right, where).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 0.01);
            expect(bottom, where).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 0.01);
          }
        }
      }
    }
  }, 120_000);

  it('set no two lines of text over each other', () => {
    for (const sheet of pack(planFor(every.slice(0, 2)), paper)) {
      const boxes = sheet.shapes
        .filter((shape) => shape.kind === 'text')
        .map((shape) => ({ text: shape.text, box: boxOf(shape) }));
      boxes.forEach((one, i) =>
        boxes.slice(i + 1).forEach((other) => {
          const across = Math.min(one.box[2], other.box[2]) - Math.max(one.box[0], other.box[0]);
          const down = Math.min(one.box[3], other.box[3]) - Math.max(one.box[1], other.box[1]);
          expect(across > 0.2 && down > 0.2, `"${one.text}" and "${other.text}" on ${sheet.title}`).toBe(
            false,
          );
        }),
      );
    }
  });

  it('take two pages at most for the instructions of a game', () => {
    for (const variant of every)
      expect(pack(planFor([variant]), paper, { items: ['instructions'] }).length).toBeLessThanOrEqual(2);
  }, 60_000);
});

describe('a pack', () => {
  it('has a record sheet for every player, and the shared counters once', () => {
    const [a, b] = every as [(typeof every)[0], (typeof every)[0]];
    const sheets = pack(planFor([a, b], 3), 'letter');
    expect(sheets.filter((sheet) => sheet.use === 'record')).toHaveLength(6);
    expect(sheets.filter((sheet) => sheet.use === 'part')).toHaveLength(2);
  });

  it('sets both languages of a step on the same line', () => {
    const [sheet] = pack(planFor([every[1]!]), 'letter', { items: ['instructions'] });
    const lines = sheet!.shapes.filter((shape) => shape.kind === 'text');
    const lineOf = (text: string) => lines.find((shape) => shape.text.startsWith(text))?.y;
    expect(lineOf('Agiten el vaso')).toBe(lineOf('Shake the cup'));
    expect(lineOf('Agiten el vaso')).toBeGreaterThan(0);
    const left = lines.find((shape) => shape.text.startsWith('Agiten'))!;
    expect(left.x).toBeLessThan(lines.find((shape) => shape.text.startsWith('Shake'))!.x);
  });

  it('says what no fluent reader has checked', () => {
    const text = (languages: Worded[]) =>
      JSON.stringify(pack(planFor([every[1]!]), 'letter', { items: ['instructions'], languages }));
    expect(text(['es', 'en'])).toContain('aún no revisado');
    expect(text(['en'])).not.toContain('revisado');
  });

  it('is the same for the same order', () => {
    expect(pack(planFor([every[0]!]), 'a4')).toEqual(pack(planFor([every[0]!]), 'a4'));
  });

  it('becomes a PDF of exact size with real text, a tag on every label', async () => {
    for (const paper of Object.keys(PAPERS) as Paper[]) {
      const sheets = forTwoSides(pack(planFor([every[1]!]), paper, { tags: ['K7M4R', '3CYRF'] }));
      const file = join(folder, `${paper}.pdf`);
      writeFileSync(file, await pdfOf(sheets, { title: 'Pack', author: 'Kittiwake Bay', language: 'es' }));
      const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
      expect(Number(/Pages:\s+(\d+)/.exec(info)![1])).toBe(sheets.length);
      const [, width, height] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info)!;
      expect(Number(width)).toBeCloseTo(PAPERS[paper].widthMm / PT_MM, 1);
      expect(Number(height)).toBeCloseTo(PAPERS[paper].heightMm / PT_MM, 1);
      const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
      expect(text).toMatch(/Agiten el vaso.*Shake the cup/);
      for (const tag of ['K7M4-R', '3CYR-F']) expect(text).toContain(tag);
      expect(execFileSync('pdffonts', [file], { encoding: 'utf8' })).not.toMatch(
        / no +(yes|no) +(yes|no) +\d+/,
      );
    }
  });
});
