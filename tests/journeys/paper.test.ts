import { readings } from '~/core/paper/testing';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterAll, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { recipeOf, type KitPlan } from '~/core/kits/recipe';
import type { PackItem } from '~/core/pack/choices';
import { packSheets } from '~/core/pack/pack';
import type { Finish, Paper, Sheet } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { fontFaces, measure } from '~/server/print/fonts';
import { pdfOf } from '~/server/print/pdf';
import { SheetFile } from '~/app/game/SheetView';
import { closeBrowser, visitor } from './browser';

const folder = mkdtempSync(join(tmpdir(), 'paper-'));
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await closeBrowser();
});

/** Pixels to a millimetre, and millimetres of the side of a square in which both are compared. */
const SCALE = 4;
const SQUARE_MM = 4;

function pages(
  ids: readonly string[],
  items: PackItem[],
  home: Language,
  paper: Paper,
  finish: Finish,
): Sheet[] {
  const plan: KitPlan = {
    ageBand: 'g1',
    players: 2,
    assurance: 'usual',
    variants: ids.map((id) => {
      const { name, params } = gameOf(id).presets[0]!;
      return { gameId: id, name, params };
    }),
  };
  return packSheets(
    {
      kitName: 'First splits',
      schoolName: 'Tern Rock School',
      plan,
      parts: recipeOf(plan).parts,
      items,
      scope: 'each',
      labels: {},
      checked: {},
      copies: [{ tag: 'K7M4W', link: 'http://127.0.0.1/p/abcdefghijklmnopqrstuv' }],
    },
    { paper, readings: readings(home, 'en'), seed: 1, measure, finish, cuts: 'shared', fill: true },
  ).filter(({ shapes }) => shapes.length > 0);
}

/** Each page of the PDF as a PNG, as a data address. */
async function drawnAsPdf(name: string, sheets: Sheet[], language: Language): Promise<string[]> {
  const file = join(folder, `${name}.pdf`);
  writeFileSync(file, await pdfOf(sheets, { title: name, author: name, language, madeOn: new Date(0) }));
  return sheets.map((_, i) => {
    const root = join(folder, `${name}-${i + 1}`);
    const at = String(i + 1);
    execFileSync('pdftoppm', [
      '-r',
      String(SCALE * 25.4),
      '-png',
      '-f',
      at,
      '-l',
      at,
      '-singlefile',
      file,
      root,
    ]);
    return `data:image/png;base64,${readFileSync(`${root}.png`).toString('base64')}`;
  });
}

const asSvg = (sheet: Sheet): string =>
  `data:image/svg+xml;base64,${Buffer.from(
    renderToStaticMarkup(createElement(SheetFile, { sheet, fonts: fontFaces(sheet) })),
  ).toString('base64')}`;

interface Compared {
  /** Ink of the page in the mean, 0 white to 1 black. */
  ink: number;
  /** Largest and mean difference of ink between squares of both. */
  largest: number;
  mean: number;
}

/** Lays two pictures of a page over each other, square by square. */
const compare = (page: Awaited<ReturnType<typeof visitor>>['page'], sheet: Sheet, svg: string, png: string) =>
  page.evaluate(
    async ({ sources, width, height, side }) => {
      const inks = await Promise.all(
        sources.map(async (source) => {
          const image = new Image();
          image.src = source;
          await image.decode();
          // The fonts inside a picture come a moment later.
          await new Promise((later) => setTimeout(later, 150));
          const canvas = new OffscreenCanvas(width, height);
          const brush = canvas.getContext('2d')!;
          brush.fillStyle = '#ffffff';
          brush.fillRect(0, 0, width, height);
          brush.drawImage(image, 0, 0, width, height);
          const { data } = brush.getImageData(0, 0, width, height);
          const across = Math.ceil(width / side);
          const squares = new Array<number>(across * Math.ceil(height / side)).fill(0);
          for (let y = 0; y < height; y++)
            for (let x = 0; x < width; x++) {
              const at = 4 * (y * width + x);
              const light = 0.3 * data[at]! + 0.59 * data[at + 1]! + 0.11 * data[at + 2]!;
              squares[Math.floor(y / side) * across + Math.floor(x / side)]! += (1 - light / 255) / side ** 2;
            }
          return squares;
        }),
      );
      const [one, other] = inks as [number[], number[]];
      const apart = one.map((ink, i) => Math.abs(ink - other[i]!));
      const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
      return { ink: mean(one), largest: Math.max(...apart), mean: mean(apart) };
    },
    {
      sources: [svg, png],
      width: Math.round(sheet.widthMm * SCALE),
      height: Math.round(sheet.heightMm * SCALE),
      side: SQUARE_MM * SCALE,
    },
  ) as Promise<Compared>;

describe('a page on the screen and in the PDF', () => {
  it.each([
    [
      'sheets to read and to write on',
      ['two-tone-spill'],
      ['instructions', 'records', 'slip', 'labels'],
      'es',
      'letter',
      'plain',
    ],
    ['sheets in Arabic', ['row-call'], ['instructions', 'slip', 'labels'], 'ar', 'a4', 'plain'],
    [
      'boards, cards and mats',
      ['blanket-board', 'match-either', 'story-pond', 'puzzle-halves', 'leaf-twins', 'chalk-orbits'],
      ['parts'],
      'pt',
      'a4',
      'durable',
    ],
    [
      'what stands in',
      ['skyline-rolls', 'tile-sums', 'tide-pairs'],
      ['standIns', 'calibration'],
      'es',
      'letter',
      'plain',
    ],
  ] as [string, string[], PackItem[], Language, Paper, Finish][])(
    'are the same: %s',
    async (name, ids, items, home, paper, finish) => {
      const sheets = pages(ids, items, home, paper, finish);
      expect(sheets.length).toBeGreaterThan(1);
      const pdf = await drawnAsPdf(name.replace(/\W+/g, '-'), sheets, home);
      const { page, context } = await visitor();
      for (const [i, sheet] of sheets.entries()) {
        const { ink, largest, mean } = await compare(page, sheet, asSvg(sheet), pdf[i]!);
        const where = `${sheet.title}, page ${i + 1}`;
        expect([where, ink > 0.001]).toEqual([where, true]);
        expect([where, largest < 0.12]).toEqual([where, true]);
        expect([where, mean < 0.008]).toEqual([where, true]);
      }
      await context.close();
    },
  );

  it('would differ by a shape that is only on one of them', async () => {
    const [sheet] = pages(['two-tone-spill'], ['records'], 'es', 'letter', 'plain') as [Sheet];
    const [png] = (await drawnAsPdf('odd', [{ ...sheet, shapes: sheet.shapes.slice(1) }], 'es')) as [string];
    const { page, context } = await visitor();
    expect((await compare(page, sheet, asSvg(sheet), png)).largest).toBeGreaterThan(0.05);
    await context.close();
  });
});
