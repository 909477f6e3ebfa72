import { readingOf } from '~/core/words/readings';
import type { MaterialId } from '~/core/materials/catalogue';
import { settle, startOf } from '~/core/games/kit/game';
import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { newOwnGame } from '~/core/own/definition';
import { ownGame } from '~/core/own/game';
import { ownGameId } from '~/core/own/ids';
import { recipeOf, type KitPlan } from '~/core/kits/recipe';
import { PACK_ITEMS, type PackItem } from '~/core/pack/choices';
import { missingLines } from '~/core/pack/instructions';
import { missingWording, packSheets, piecesOf, type PackOrder } from '~/core/pack/pack';
import {
  CannotPrint,
  MARGIN_MM,
  PAPERS,
  type Paper,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import { LABEL_STOCKS } from '~/core/pack/stock';
import { boxOf, overlap, PAPER_NAMES, saidOn, type Box, readings } from '~/core/paper/testing';
import type { Language } from '~/core/words/languages';
import { measure } from './fonts';

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
const EVERYTHING = Object.keys(PACK_ITEMS) as PackItem[];
const CONTEXT: Omit<SheetContext, 'paper'> = {
  readings: readings('es', 'en'),
  seed: 1,
  measure,
  finish: 'plain',
  cuts: 'shared',
  fill: true,
};
const orderOf = (plan: KitPlan, change: Partial<PackOrder> = {}): PackOrder => ({
  kitName: 'First splits and a rather long name of a kit',
  schoolName: 'Kittiwake Bay Elementary',
  plan,
  parts: recipeOf(plan).parts,
  items: EVERYTHING,
  scope: 'each',
  labels: {},
  checked: {},
  copies: [{ tag: 'K7M4R', link }],
  ...change,
});
const pack = (
  plan: KitPlan,
  paper: Paper = 'letter',
  change: Partial<PackOrder> = {},
  context: Partial<SheetContext> = {},
): Sheet[] => packSheets(orderOf(plan, change), { ...CONTEXT, paper, ...context });

const within = (inner: Box, outer: Box): boolean =>
  inner.left >= outer.left - 0.2 &&
  inner.top >= outer.top - 0.2 &&
  inner.right <= outer.right + 0.2 &&
  inner.bottom <= outer.bottom + 0.2;

/** What is wrong on a page: shapes beyond what a printer reaches or over a cut, and text over text. */
function faultsOf(sheet: Sheet, paper: Paper, where: string): string[] {
  const faults: string[] = [];
  const cutStraight = (sheet.pieces ?? [])
    .filter((piece) => !piece.outline)
    .map(({ x, y, w, h }) => ({ left: x, top: y, right: x + w, bottom: y + h }));
  const lines: { text: string; box: ReturnType<typeof boxOf> }[] = [];
  for (const shape of sheet.shapes) {
    const box = boxOf(shape, measure);
    if (
      box.left < MARGIN_MM - 0.01 ||
      box.top < MARGIN_MM - 0.01 ||
      box.right > PAPERS[paper].widthMm - MARGIN_MM + 0.01 ||
      box.bottom > PAPERS[paper].heightMm - MARGIN_MM + 0.01
    )
      faults.push(`${where}, ${sheet.title}: beyond the page ${JSON.stringify(shape).slice(0, 160)}`);
    if (shape.kind !== 'line' && shape.kind !== 'rect')
      for (const piece of cutStraight)
        if (overlap(box, piece) > 0.2 && !within(box, piece))
          faults.push(`${where}, ${sheet.title}: cut through ${JSON.stringify(shape).slice(0, 160)}`);
    if (shape.kind !== 'text') continue;
    for (const other of lines)
      if (overlap(box, other.box) > 0.3)
        faults.push(`${where}, ${sheet.title}: "${shape.text}" over "${other.text}"`);
    lines.push({ text: shape.text, box });
  }
  return faults;
}

describe.each(PAPER_NAMES)('packs on %s', (paper) => {
  it('keep every shape of every game in reach of a printer, and set no text over another', () => {
    for (const variant of every)
      for (const players of [1, 4])
        for (const sheet of pack(planFor([variant], players), paper))
          expect(faultsOf(sheet, paper, `${variant.gameId}, ${variant.name}`)).toEqual([]);
  }, 240_000);

  it.each([
    ['ar', 'en'],
    ['pt', 'en'],
    ['vi', 'en'],
    ['zh-Hans', 'en'],
    ['he', 'en'],
    ['ar', 'vi'],
    ['en'],
  ] as Language[][])(
    'do so in %s too, with crop marks and no spares',
    (...languages) => {
      for (const variant of every.filter((one, i) => one.gameId !== every[i - 1]?.gameId)) {
        const sheets = pack(
          planFor([variant], 2),
          paper,
          {},
          { readings: readings(...languages), cuts: 'marks', fill: false },
        );
        for (const sheet of sheets)
          expect(faultsOf(sheet, paper, `${variant.gameId} in ${languages.join()}`)).toEqual([]);
      }
    },
    240_000,
  );

  it('take two sheets of paper at most for the instructions of a game, in large print both sides of them', () => {
    for (const variant of every) {
      const pages = (item: PackItem) => pack(planFor([variant]), paper, { items: [item] });
      expect([variant.name, pages('instructions').length <= 2]).toEqual([variant.name, true]);
      const large = pages('large');
      expect([variant.name, large.length <= 4]).toEqual([variant.name, true]);
      const sizes = large.flatMap(({ shapes }) =>
        shapes.flatMap((shape) => (shape.kind === 'text' && shape.language ? [shape.sizePt] : [])),
      );
      expect(sizes.filter((size) => size >= 16).length / sizes.length).toBeGreaterThan(0.9);
    }
  }, 300_000);

  it('write nothing on paper smaller than 11 points, but on small labels', () => {
    for (const variant of every.slice(0, 12))
      for (const sheet of pack(planFor([variant]), paper, {
        items: ['instructions', 'parts', 'records', 'slip'],
      }))
        for (const shape of sheet.shapes)
          if (shape.kind === 'text')
            expect([sheet.title, shape.text, shape.sizePt >= 11]).toEqual([sheet.title, shape.text, true]);
  });
});

describe('a pack', () => {
  const [spill, spillAgain] = every as [(typeof every)[0], (typeof every)[0]];
  it('has a record for every player, and stand-ins once however many games use them', () => {
    const sheets = pack(planFor([spill, spillAgain], 3), 'letter', {
      items: ['parts', 'records', 'standIns'],
    });
    expect(sheets.filter((sheet) => sheet.use === 'record')).toHaveLength(6);
    expect(sheets.filter((sheet) => sheet.title.includes('Paper counters, dark side'))).toHaveLength(1);
  });

  it('gives each copy its own square, tag and slip, and shares what belongs to no copy', () => {
    const copies = ['K7M4R', '3CYRF', 'TCMFC'].map((tag) => ({ tag, link: `${link.slice(0, -5)}${tag}` }));
    const each = pack(planFor([spill]), 'letter', { copies });
    for (const copy of copies) {
      const said = each.flatMap(saidOn);
      // On the instructions, on the large ones, and on the tag label.
      expect(said.filter((text) => text === copy.link)).toHaveLength(3);
      const shown = `${copy.tag.slice(0, 4)}-${copy.tag.slice(4)}`;
      // On the slip, on the bag and contents labels, and on the tag.
      expect(said.filter((text) => text === shown)).toHaveLength(4);
    }
    const once = pack(planFor([spill]), 'letter', { copies, scope: 'once' });
    const mats = (sheets: Sheet[]) =>
      sheets.filter((sheet) => sheet.pieces?.some(({ material }) => material === 'mat')).length;
    expect([mats(each), mats(once)]).toEqual([3, 1]);
    expect(once.filter((sheet) => sheet.square)).toEqual([]);
  });

  it('prints spares of one lost piece, and nothing else', () => {
    const fetch = every.find(({ gameId }) => gameId === 'fetch-that-many')!;
    const plan = planFor([spill, fetch]);
    const pieces = piecesOf(plan, { ...CONTEXT, paper: 'letter' });
    const four = pieces.find(({ material, name }) => material === 'slip' && name === '4')!;
    expect(four.label).toBe(`calling slip: 4 (${fetch.name})`);
    expect(new Set(pieces.map(({ label }) => label)).size).toBe(pieces.length);
    const sheets = pack(plan, 'letter', { scope: 'lost' }, { lost: four });
    expect(sheets).toHaveLength(1);
    expect(new Set(sheets[0]!.pieces!.map(({ name }) => name))).toEqual(new Set(['4']));
    // Two games of a kit may have pieces of the same name: only the one that lost it prints it.
    const twice = planFor([spill, spillAgain]);
    const records = piecesOf(twice, { ...CONTEXT, paper: 'letter' }).filter(({ name }) => name === 'record');
    expect(records.map(({ variant }) => variant)).toEqual([0, 1]);
    const one = (lost: (typeof records)[0] | { material: string; name: string }) =>
      pack(twice, 'letter', { scope: 'lost' }, { lost }).length;
    expect([one(records[1]!), one({ material: 'record-sheet', name: 'record' })]).toEqual([2, 4]);
  });

  it('is black and white when plain, in colour when durable', () => {
    const colours = (finish: 'plain' | 'durable') => {
      const match = every.find(({ gameId }) => gameId === 'match-either')!;
      const sheets = pack(planFor([match]), 'letter', {}, { finish });
      return new Set(
        sheets.flatMap(({ shapes }) =>
          shapes.flatMap((shape) => {
            const paints =
              shape.kind === 'text' ? [shape.fill] : shape.kind === 'image' ? [] : [shape.fill, shape.stroke];
            return paints.filter((paint) => paint && !/^#(..)\1\1$/i.test(paint));
          }),
        ),
      );
    };
    expect([colours('plain').size, colours('durable').size > 3]).toEqual([0, true]);
  });

  it('sets both languages of a step on the same line, the home language on the side where it begins', () => {
    const [sheet] = pack(planFor([spill]), 'letter', { items: ['instructions'] });
    const lines = sheet!.shapes.filter((shape) => shape.kind === 'text');
    const find = (text: string) => lines.find((shape) => shape.text.startsWith(text))!;
    expect(find('Agiten el vaso').y).toBe(find('Shake the cup').y);
    expect(find('Agiten el vaso').x).toBeLessThan(find('Shake the cup').x);
    const [arabic] = pack(
      planFor([spill]),
      'letter',
      { items: ['instructions'] },
      { readings: readings('ar', 'en') },
    );
    const words = arabic!.shapes.filter((shape) => shape.kind === 'text');
    const play = words.find((shape) => shape.text === 'اللعب')!;
    const english = words.find((shape) => shape.text === 'Play')!;
    // It ends at the middle of the page and runs to the left; English runs from the middle to the right.
    expect([play.anchor, play.language, play.y]).toEqual(['end', 'ar', english.y]);
    expect(play.x).toBeLessThan(english.x);
    expect(play.x).toBeGreaterThan(PAPERS.letter.widthMm / 2 - 20);
  });

  it('says what no fluent reader has checked, and what has no wording', () => {
    const said = (languages: Language[], checked = {}) =>
      pack(
        planFor([spill]),
        'letter',
        { items: ['instructions'], checked },
        { readings: readings(...languages) },
      )
        .flatMap(saidOn)
        .join(' ');
    expect(said(['es', 'en'])).toContain('aún no revisado');
    expect(said(['es', 'en'], { 'two-tone-spill': ['es'] })).not.toContain('revisado');
    expect(said(['en'])).not.toContain('EN ·');
    expect(said(['he', 'en'])).toContain('EN · Shake the cup');
    for (const home of ['ar', 'pt', 'vi', 'zh-Hans']) expect(said([home, 'en'])).not.toContain('EN ·');
    expect(said(['es', 'en'])).not.toContain('EN ·');
    const lines = missingLines(settle(SHELF[0]!, startOf(SHELF[0]!)), readingOf('so'));
    expect(lines).toEqual(expect.arrayContaining(['name', 'goal', 'turn.spill']));
    expect(missingWording(planFor([spill]), readingOf('so'))).toEqual([
      { game: 'Two-Tone Spill', language: 'Somali', lines: lines.length },
    ]);
    expect(missingWording(planFor([spill]), readingOf('es'))).toEqual([]);
  });

  it('prints the parts of a game of one’s own that follow from its rules', () => {
    const part = (material: MaterialId, times: number) => ({ material, times, each: 'game' as const });
    const own = {
      ...newOwnGame(),
      name: { en: 'Spin', es: 'Giro' },
      goal: { en: 'Spin.', es: 'Giren.' },
      cells: [4, 5, 6, 7],
      turn: { ...newOwnGame().turn, kind: 'spin' as const, from: 1, to: 6 },
      parts: [
        part('spinner', 1),
        part('number-card', 8),
        part('slip', 3),
        part('mat', 1),
        part('record-sheet', 2),
      ],
    };
    const id = ownGameId('x');
    const plan = planFor([{ gameId: id, own, name: 'Mine', params: ownGame(own, 'x').presets[0]!.params }]);
    const sheets = pack(plan, 'a4', { items: ['parts', 'records'] });
    for (const sheet of sheets) expect(faultsOf(sheet, 'a4', 'own game')).toEqual([]);
    const counts: Record<string, number> = {};
    for (const piece of sheets.flatMap((sheet) => sheet.pieces ?? []))
      if (!piece.spare) counts[piece.material] = (counts[piece.material] ?? 0) + 1;
    expect(counts).toEqual({ spinner: 1, 'number-card': 8, slip: 3, mat: 1, 'record-sheet': 2 });
  });
});

describe('the slip', () => {
  it.each(
    PAPER_NAMES.flatMap((paper) =>
      (['es', 'pt', 'ar', 'vi', 'zh-Hans', 'en'] as const).map((home) => [paper, home] as const),
    ),
  )('leaves lines to write on, on %s in %s', (paper, home) => {
    const [page] = pack(
      planFor([every[0]!]),
      paper,
      { items: ['slip'] },
      {
        readings: home === 'en' ? readings('en') : readings(home, 'en'),
      },
    );
    const [slip] = page!.pieces!;
    const bottom = Math.max(
      ...page!.shapes.filter(({ kind }) => kind === 'text').map((shape) => boxOf(shape, measure).bottom),
    );
    const rules = page!.shapes.filter((shape) => shape.kind === 'line' && shape.y1 > bottom + 5);
    expect(rules.length).toBeGreaterThanOrEqual(2);
    for (const rule of rules)
      expect(
        within(boxOf(rule, measure), {
          left: slip!.x,
          top: slip!.y,
          right: slip!.x + slip!.w,
          bottom: slip!.y + slip!.h,
        }),
      ).toBe(true);
  });
});

describe('labels', () => {
  const every5 = planFor(
    ['two-tone-spill', 'harvest-mat', 'row-call', 'skyline-rolls', 'story-pond'].map((id) =>
      every.find(({ gameId }) => gameId === id)!,
    ),
  );
  const labels = (plan: KitPlan, paper: Paper, change: Partial<PackOrder> = {}) =>
    pack(plan, paper, { items: ['labels'], ...change });

  it('fit their label on plain paper and on common sheets, a kit of five games too', () => {
    for (const paper of PAPER_NAMES)
      for (const sheet of labels(every5, paper)) expect(faultsOf(sheet, paper, 'plain labels')).toEqual([]);
    for (const { paper, stock } of Object.values(LABEL_STOCKS)) {
      const [sheet] = labels(planFor([every[0]!]), paper, { labels: { stock } });
      expect(faultsOf(sheet!, paper, `${stock.w} × ${stock.h}`)).toEqual([]);
      // Everything lies on a label, and on one only.
      const areas = Array.from({ length: stock.columns * stock.rows }, (_, i) => i).map((i) => ({
        left: stock.left + (i % stock.columns) * (stock.w + stock.gapX),
        top: stock.top + Math.floor(i / stock.columns) * (stock.h + stock.gapY),
      }));
      for (const shape of sheet!.shapes) {
        const box = boxOf(shape, measure);
        const on = areas.filter(
          ({ left, top }) =>
            box.left >= left - 0.01 &&
            box.right <= left + stock.w + 0.01 &&
            box.top >= top - 0.01 &&
            box.bottom <= top + stock.h + 0.01,
        );
        expect([JSON.stringify(shape).slice(0, 80), on.length]).toEqual([
          JSON.stringify(shape).slice(0, 80),
          1,
        ]);
      }
    }
  });

  it('make room for the list of a very full basket, in every language', () => {
    const firsts = every.filter((one, i) => one.gameId !== every[i - 1]?.gameId);
    const full = planFor(firsts.slice(0, 16));
    expect(recipeOf(full).parts.length).toBeGreaterThanOrEqual(24);
    for (const paper of PAPER_NAMES)
      for (const languages of [
        ['es', 'en'],
        ['ar', 'en'],
        ['vi', 'en'],
        ['zh-Hans', 'en'],
        ['en'],
      ] as Language[][])
        for (const sheet of pack(full, paper, { items: ['labels'] }, { readings: readings(...languages) }))
          expect(faultsOf(sheet, paper, `a full basket in ${languages.join()}`)).toEqual([]);
    const boxes = pack(full, 'a4', { items: ['labels'] }).flatMap(({ shapes }) =>
      shapes.filter((shape) => shape.kind === 'rect' && shape.width === 3),
    );
    // On plain paper there is no need for small print.
    for (const sheet of pack(full, 'letter', { items: ['labels'] }))
      for (const shape of sheet.shapes)
        if (shape.kind === 'text') expect([shape.text, shape.sizePt >= 11]).toEqual([shape.text, true]);
    // The bag itself is not counted back.
    expect(boxes).toHaveLength(recipeOf(full).parts.length - 1);
  });

  it('begin after those that are used, and go on on another sheet', () => {
    const { stock } = LABEL_STOCKS['letter-2x3'];
    const copies = ['K7M4R', '3CYRF'].map((tag) => ({ tag, link }));
    const sheets = labels(planFor([every[0]!]), 'letter', { copies, labels: { stock, used: 4 } });
    expect(sheets).toHaveLength(2);
    const first = sheets[0]!.shapes.map((shape) => boxOf(shape, measure).top);
    expect(Math.min(...first)).toBeGreaterThan(stock.top + 2 * stock.h);
  });

  it('are refused with what to change', () => {
    const refuse = (change: Partial<PackOrder>, paper: Paper = 'letter') => {
      try {
        labels(every5, paper, change);
      } catch (error) {
        expect(error).toBeInstanceOf(CannotPrint);
        return (error as Error).message;
      }
      return 'printed';
    };
    const { stock } = LABEL_STOCKS['letter-2x3'];
    expect(refuse({ labels: { stock: { ...stock, rows: 5, h: 50.8 } } })).toMatch(
      /^Labels: there is no room for the directions on a label of \d+ × 51 mm\. Choose larger labels, or plain paper\.$/,
    );
    expect(refuse({ labels: { stock: { ...stock, columns: 3 } } })).toMatch(
      /3 × 3 labels of 101.6 × 84.7 mm do not lie on Letter paper/,
    );
    expect(refuse({ labels: { stock, used: 6 } })).toMatch(/a sheet has 6 labels/);
  });
});
