/** The instruction sheet: two languages side by side, the same step on the same line, numbers from the variant. */
import type { Variant } from '~/core/games/kit/game';
import type { Heard } from '~/core/games/kit/hearing';
import { isCoaching } from '~/core/games/kit/steps';
import { NUMBERED_PARTS, placesOf, STEP_PARTS, type Step, type StepPart } from '~/core/games/kit/types';
import { materialOf } from '~/core/materials/catalogue';
import { hasHomeStandIn, isEdibleAtHome, MATERIAL_WORDS } from '~/core/materials/words';
import type { VariantPart } from '~/core/kits/recipe';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import type { Args, Messages } from '~/core/words/message';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { ENGLISH, nameOf, saidIn, say, type Reading, type Source } from '~/core/words/reading';
import { inEach } from '~/core/paper/cards';
import { placed } from '~/core/paper/place';
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  type Cell,
  type Shape,
  type Sheet,
  type SheetContext,
} from '~/core/paper/sheet';
import { line, lineMm, paragraph, type Block } from '~/core/paper/text';

export interface InstructionSource {
  variant: Variant;
  players: number;
  minutes: number;
  parts: readonly VariantPart[];
  /** The names of the parts at this school. */
  names?: Source;
  /** Languages whose wording of this game no fluent reader has checked. */
  unchecked: readonly Language[];
  /** What might be heard in a play. */
  heard: readonly Heard[];
  /** How families reach the school. */
  contact?: string;
  /** Whether there is a place for the square of a copy's family page. */
  linked: boolean;
  /** For readers who need large letters. */
  large?: boolean;
}

const MARK_MM = 11;
const ROW_GAP_MM = 0.6;
/** Sizes of type from the one that is wanted to the smallest that is allowed, and the pages they may take. */
const SIZES = { usual: [12.5, 12, 11.5, 11], large: [18, 17, 16] } as const;
const PAGES = { usual: 2, large: 4 } as const;
/** Pages that the instructions of a game may take in ordinary type. */
export const MOST_PAGES = PAGES.usual;
/** Drawings of steps in a row, and the width and height of each. */
const STRIP = { most: 4, w: 42, h: 25.2 };

/** As many pages as it takes, in the largest type that keeps to two sheets of paper. */
export function instructionSheets(source: InstructionSource, context: SheetContext): Sheet[] {
  const kind = source.large ? 'large' : 'usual';
  let laid: LaidOut = { pages: [] };
  let left = 2;
  // What stands in for printed parts, and then what is said and heard in a play, is left out before a sheet is too long.
  const tries = [2, 1, 0].flatMap((extras) => SIZES[kind].map((sizePt) => ({ extras, sizePt })));
  for (const { extras, sizePt } of tries) {
    laid = layOut(source, context, sizePt, extras);
    left = extras;
    if (laid.pages.length <= PAGES[kind]) break;
  }
  const { pages, square } = laid;
  const title = titleOf(source, context);
  return pages.map((shapes, i) => ({
    ...blank(pages.length > 1 ? `${title} (${i + 1} of ${pages.length})` : title, context.paper, shapes),
    begins: i === 0,
    ...(left < 2 ? { leavesOut: left === 1 ? ('standIns' as const) : ('coaching' as const) } : {}),
    ...(square && i === pages.length - 1 ? { square } : {}),
  }));
}

const titleOf = ({ variant }: InstructionSource, { readings }: SheetContext): string =>
  [...new Set(readings.map((reading) => nameOf(variant.game, reading)))].join(' · ');

/** Where the columns of the languages stand, and the marks of the steps. */
function columnsOf({ paper, readings }: SheetContext, gutterMm: number) {
  const { widthMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const right = widthMm - left;
  const rtl = ({ language }: Reading): boolean => aboutLanguage(language).direction === 'rtl';
  const mixed = readings.some(rtl) && !readings.every(rtl);
  if (mixed) {
    // Both readings begin in the middle, beside the numbers: one runs to the left, the other to the right.
    const width = (right - left - MARK_MM - gutterMm) / 2;
    return {
      left,
      right,
      width,
      marks: left + width + gutterMm / 2,
      x: readings.map((reading) => (rtl(reading) ? left : right - width)),
    };
  }
  const width = (right - left - MARK_MM - gutterMm * (readings.length - 1)) / readings.length;
  const all = readings.every(rtl);
  return {
    left,
    right,
    width,
    marks: all ? right - MARK_MM : left,
    x: readings.map((_, i) => (all ? left : left + MARK_MM) + i * (width + gutterMm)),
  };
}

interface LaidOut {
  pages: Shape[][];
  /** On the last page. */
  square?: Cell | undefined;
}

function layOut(source: InstructionSource, context: SheetContext, sizePt: number, extras: number): LaidOut {
  const coached = extras > 0;
  const { paper, readings, measure } = context;
  const { variant, parts, names = MATERIAL_WORDS } = source;
  const { game } = variant;
  const { heightMm } = PAPERS[paper];
  const bottom = heightMm - MARGIN_MM - 5;
  const columns = columnsOf(context, 7);
  const { left, right, marks } = columns;
  const title = titleOf(source, context);

  const pages: Shape[][] = [[]];
  let y = MARGIN_MM + 2;
  const page = (): Shape[] => pages.at(-1)!;
  const newPage = (): void => {
    pages.push([line(left, MARGIN_MM + 4, title, { sizePt: 11, fill: GREY })]);
    y = MARGIN_MM + 9;
  };
  /** One row across the columns; `keepMm` more must fit below it, or the row goes to the next page. */
  const row = (
    block: (reading: Reading, x: number, top: number) => Block,
    mark?: (top: number) => Shape[],
    keepMm = 0,
  ): void => {
    const height = Math.max(...readings.map((reading, i) => block(reading, columns.x[i]!, 0).heightMm));
    if (y + height + keepMm > bottom) newPage();
    readings.forEach((reading, i) => page().push(...block(reading, columns.x[i]!, y).shapes));
    if (mark) page().push(...mark(y));
    y += height + ROW_GAP_MM;
  };
  /** A line in its language; where that has no wording for it, in English, and marked so. */
  const text =
    (
      of: (reading: Reading) => Said,
      style: { sizePt?: number; font?: 'body' | 'bold' | 'display'; fill?: string } = {},
    ) =>
    (reading: Reading, x: number, top: number): Block => {
      const said = of(reading);
      return paragraph(
        said.language === reading.language ? said.text : `EN · ${said.text}`,
        x,
        top,
        columns.width,
        measure,
        { sizePt, ...style, language: said.language },
      );
    };
  const family =
    (id: FamilyMessage, args = {}) =>
    (reading: Reading): Said =>
      saying(FAMILY_WORDS, id, args)(reading);
  const heading = (id: FamilyMessage): void => {
    if (y + lineMm(sizePt) * 3.2 > bottom) newPage();
    y += 1;
    page().push({ kind: 'line', x1: left, y1: y, x2: right, y2: y, stroke: GREY, strokeMm: 0.2 });
    y += 0.5;
    row(text(family(id), { font: 'bold', sizePt: sizePt + 1 }), undefined, lineMm(sizePt) * 2);
  };

  row(text(saying(game.words, 'name'), { font: 'display', sizePt: Math.max(20, sizePt + 6) }));
  row(text(saying(game.words, 'goal', variant.about())));
  row(
    text(
      (reading) => {
        const players = family('players', { players: source.players })(reading);
        const minutes = family('minutes', { minutes: source.minutes })(reading);
        return { text: `${players.text} · ${minutes.text}`, language: players.language };
      },
      { fill: '#333333' },
    ),
  );
  row(
    text(
      (reading) => {
        const places = placesOf(game).map((id) => family(id)(reading));
        return { text: places.map((one) => one.text).join(' · '), language: places[0]!.language };
      },
      { fill: '#333333' },
    ),
  );

  const all = variant.steps().filter((step) => coached || !isCoaching(step));
  const steps = STEP_PARTS.flatMap((part) => all.filter((step) => step.part === part));
  const numberOf = new Map(
    steps.filter((step) => NUMBERED_PARTS.has(step.part)).map((step, i) => [step, i + 1] as const),
  );
  const strip = stripOf(source, numberOf);
  if (strip.length) {
    y += 1.5;
    const gap = (right - left - strip.length * STRIP.w) / (strip.length + 1);
    strip.forEach(({ number, shapes }, i) =>
      page().push(...stripBox(number, shapes, left + gap + i * (STRIP.w + gap), y)),
    );
    y += STRIP.h + 3;
  }

  if (parts.length) heading('inBag');
  for (const { material, quantity, instead } of parts) {
    const named = saying<Messages>(names, material, { quantity });
    const inPlace = (reading: Reading): Said => {
      const part = named(reading);
      const usual = saying<Messages>(names, instead!, { quantity })(reading);
      const both = part.language === usual.language ? reading : ENGLISH;
      return saying(FAMILY_WORDS, 'inPlace', { part: part.text, usual: usual.text })(both);
    };
    row(text(instead ? inPlace : named), (top) => [
      {
        kind: 'rect',
        x: marks + 1,
        y: top + lineMm(sizePt) / 2 - 1.4,
        width: 3,
        height: 3,
        stroke: INK,
        strokeMm: 0.25,
      },
    ]);
  }
  const plain = (top: number): Shape[] => [
    { kind: 'circle', x: marks + 2.5, y: top + lineMm(sizePt) / 2, radius: 0.7, fill: INK },
  ];
  /** What might be heard stands below what can be said. */
  const heard = (): void => {
    if (!coached || source.heard.length === 0) return;
    heading('part.hear');
    for (const { id, args } of source.heard) row(text(family(id, args)), plain);
  };
  let part: StepPart | undefined;
  for (const step of steps) {
    if (step.part !== part && step.part === 'say') heard();
    if (step.part !== part) heading(`part.${step.part}`);
    part = step.part;
    row(text(saying(game.words, step.id, step.args)), (top) =>
      stepMark(step, numberOf.get(step), marks, top, sizePt),
    );
    if (part === 'atHome' && step === steps.findLast((one) => one.part === 'atHome')) {
      if (game.traits.places.includes('car')) row(text(family('inTheCar')), plain);
      for (const { material: inBag, quantity, instead } of parts) {
        const material = instead ?? inBag;
        if (!hasHomeStandIn(material) || (extras < 2 && materialOf(material).kind === 'printed')) continue;
        row(
          text((reading) => {
            const name = saying<Messages>(names, inBag, { quantity })(reading);
            const standIn = saying<Messages>(MATERIAL_WORDS, `${material}.standIn`)(reading);
            const said = name.language === reading.language ? reading : ENGLISH;
            return {
              text: say(said, FAMILY_WORDS, 'standIn', { part: name.text, standIn: standIn.text }),
              language: said.language,
            };
          }),
        );
      }
      if (parts.some(({ material, instead }) => isEdibleAtHome(instead ?? material)))
        row(text(family('edible', { years: 3 })), plain);
    }
  }

  y += 1.5;
  row(text(family('backToSchool')));
  if (source.contact) row(text(family('reachUs', { contact: source.contact })));
  let square: Cell | undefined;
  if (source.linked) {
    const size = 24;
    const wide = right - left - size - 8;
    const scan = readings.map((reading) => family('scan')(reading));
    const blockOf = (said: Said, top: number): Block =>
      paragraph(said.text, left, top, wide, measure, { sizePt, language: said.language });
    const height = Math.max(
      size + 2,
      scan.reduce((sum, said) => sum + blockOf(said, 0).heightMm + 1.5, 2),
    );
    if (y + height > bottom) newPage();
    square = { x: right - size - 1, y: y + 1, w: size, h: size };
    let top = y + 2;
    for (const said of scan) {
      const block = blockOf(said, top);
      page().push(...block.shapes);
      top += block.heightMm + 1.5;
    }
    y += height;
  }
  const foot: Said[] = [
    ...readings
      .filter(({ language }) => source.unchecked.includes(language))
      .map((reading) => family('unchecked')(reading)),
    ...readings
      .filter((reading) => missingLines(variant, reading).length > 0)
      .map((reading) => ({
        text: `EN: ${inEach('inEnglish', { readings: [reading] })}`,
        language: reading.language,
      })),
  ];
  for (const shapes of pages)
    foot.slice(0, 2).forEach(({ text: note, language }, i) =>
      shapes.push(
        line(i === 0 ? left : right, heightMm - MARGIN_MM - 1, note, {
          sizePt: 11,
          fill: '#444444',
          anchor: i === 0 ? 'start' : 'end',
          language,
        }),
      ),
    );
  return { pages, square };
}

interface Said {
  text: string;
  /** The language it is said in, which is English where there is no other wording. */
  language: Language;
}
const saying =
  <M extends Messages>(words: Source<M>, id: keyof M & string, args: Args = {}) =>
  (reading: Reading): Said => ({
    text: say(reading, words, id, args),
    language: saidIn(reading, words, id),
  });

/** Ids of the lines of its game that a variant's sheet says, in the order in which they are read. */
export const sheetLines = (variant: Variant): string[] => [
  ...new Set(['name', 'goal', ...variant.steps().map((step) => step.id)]),
];

/** Ids of the lines of a variant's sheet that a reading has no wording for: they are printed in English, marked. */
export const missingLines = (variant: Variant, reading: Reading): string[] =>
  sheetLines(variant).filter((id) => saidIn(reading, variant.game.words, id) !== reading.language);

/** The drawings over the steps: those of the play first, in the order of their numbers. */
function stripOf(
  { variant }: InstructionSource,
  numberOf: ReadonlyMap<Step, number>,
): { number: number; shapes: readonly Shape[] }[] {
  const all = [...numberOf].flatMap(([step, number]) => {
    const shapes = variant.picture(step);
    return shapes ? [{ step, number, shapes }] : [];
  });
  const first = [
    ...all.filter(({ step }) => step.part === 'turn'),
    ...all.filter(({ step }) => step.part !== 'turn'),
  ];
  return first.slice(0, STRIP.most).sort((a, b) => a.number - b.number);
}

function stripBox(number: number, shapes: readonly Shape[], x: number, y: number): Shape[] {
  return [
    {
      kind: 'rect',
      x,
      y,
      width: STRIP.w,
      height: STRIP.h,
      radius: 2,
      fill: '#FFFFFF',
      stroke: GREY,
      strokeMm: 0.25,
    },
    ...placed(shapes, x + 4, y + 2, (STRIP.h - 4) / 60),
    { kind: 'circle', x: x + STRIP.w - 3.6, y: y + 3.8, radius: 2.9, fill: INK },
    line(x + STRIP.w - 3.6, y + 5.2, String(number), {
      sizePt: 11,
      font: 'bold',
      anchor: 'middle',
      fill: '#FFFFFF',
    }),
  ];
}

/** The number of the step, and a small drawing of how it shows the number: counters, a pencil line, or figures. */
function stepMark(step: Step, number: number | undefined, x: number, top: number, sizePt: number): Shape[] {
  const middle = top + lineMm(sizePt) / 2;
  const shapes: Shape[] = [];
  if (number !== undefined)
    shapes.push(
      line(x + 4.4, middle + sizePt * 0.12, String(number), {
        sizePt: Math.min(sizePt, 14),
        font: 'bold',
        anchor: 'end',
      }),
    );
  else shapes.push({ kind: 'circle', x: x + 2.6, y: middle, radius: 0.6, fill: INK });
  const at = x + 7.4;
  if (step.show === 'pieces') {
    shapes.push(
      { kind: 'circle', x: at - 0.7, y: middle, radius: 0.8, fill: INK },
      { kind: 'circle', x: at + 0.9, y: middle, radius: 0.8, stroke: INK, strokeMm: 0.2 },
    );
  } else if (step.show === 'drawing') {
    shapes.push({
      kind: 'path',
      d: `M${at - 1.4} ${middle + 0.8} C${at - 0.6} ${middle - 2} ${at + 0.4} ${middle + 2} ${at + 1.5} ${middle - 0.9}`,
      stroke: INK,
      strokeMm: 0.35,
    });
  } else if (step.show === 'symbols') {
    shapes.push(
      { kind: 'line', x1: at - 1, y1: middle, x2: at + 1, y2: middle, stroke: INK, strokeMm: 0.35 },
      { kind: 'line', x1: at, y1: middle - 1, x2: at, y2: middle + 1, stroke: INK, strokeMm: 0.35 },
    );
  }
  return shapes;
}
