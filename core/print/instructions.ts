/** The instruction sheet: two languages side by side, the same step on the same line, numbers from the variant. */
import { MATERIAL_WORDS } from '~/core/kits/materials';
import type { Game, Params, Step, StepPart } from '~/core/games/types';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import { say, type Worded } from '~/core/words/message';
import { blank, GREY, INK, MARGIN_MM, PAPERS, type Shape, type Sheet, type SheetContext } from './sheet';
import { qrCode } from './symbols';
import { line, lineMm, paragraph, type Block } from './text';

export interface InstructionSource {
  game: Game;
  params: Params;
  players: number;
  minutes: number;
  parts: readonly { material: string; quantity: number }[];
  /** Languages whose wording of this game no fluent reader has checked. */
  unchecked: readonly Worded[];
  /** Address of the family page; none on a sheet that belongs to no copy. */
  link?: string;
}

const ORDER: readonly StepPart[] = [
  'setUp',
  'turn',
  'end',
  'say',
  'easier',
  'harder',
  'sideBySide',
  'younger',
  'atHome',
  'caution',
];
const BODY_PT = 11;
const GUTTER_MM = 7;
const MARK_MM = 11;
const ROW_GAP_MM = 0.9;

/** Lays out as many pages as it takes: one or two on Letter and A4 for the games of the shelf. */
export function instructionSheets(source: InstructionSource, context: SheetContext): Sheet[] {
  const { paper, languages, measure } = context;
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const right = widthMm - MARGIN_MM - 2;
  const bottom = heightMm - MARGIN_MM - 5;
  const columnMm = (right - left - MARK_MM - GUTTER_MM * (languages.length - 1)) / languages.length;
  const columnX = (column: number): number => left + MARK_MM + column * (columnMm + GUTTER_MM);
  const words = source.game.words;
  const family = (language: Worded, id: FamilyMessage, args = {}): string =>
    say(FAMILY_WORDS, language, id, args);
  const title = languages.map((language) => say(words, language, 'name')).join(' · ');

  const pages: Shape[][] = [[]];
  let y = MARGIN_MM + 2;
  const page = (): Shape[] => pages.at(-1)!;
  const newPage = (): void => {
    pages.push([line(left, MARGIN_MM + 4, title, { sizePt: BODY_PT, fill: GREY })]);
    y = MARGIN_MM + 9;
  };
  /** One row across the columns; `keepMm` more must fit below it, or the row goes to the next page. */
  const row = (
    block: (language: Worded, x: number, top: number) => Block,
    mark?: (top: number) => Shape[],
    keepMm = 0,
  ): void => {
    const measured = languages.map((language, i) => block(language, columnX(i), 0).heightMm);
    const height = Math.max(...measured);
    if (y + height + keepMm > bottom) newPage();
    languages.forEach((language, i) => page().push(...block(language, columnX(i), y).shapes));
    if (mark) page().push(...mark(y));
    y += height + ROW_GAP_MM;
  };
  const text =
    (
      of: (language: Worded) => string,
      style: { sizePt?: number; font?: 'body' | 'bold' | 'display'; fill?: string } = {},
    ) =>
    (language: Worded, x: number, top: number) =>
      paragraph(of(language), x, top, columnMm, measure, { sizePt: BODY_PT, ...style, language });
  const heading = (id: FamilyMessage): void => {
    y += 1.4;
    page().push({ kind: 'line', x1: left, y1: y, x2: right, y2: y, stroke: GREY, strokeMm: 0.2 });
    y += 0.8;
    row(
      text((language) => family(language, id), { font: 'bold', sizePt: 12 }),
      undefined,
      lineMm(BODY_PT) * 2,
    );
  };

  row(text((language) => say(words, language, 'name'), { font: 'display', sizePt: 20 }));
  row(text((language) => say(words, language, 'goal', source.game.about(source.params))));
  row(
    text(
      (language) =>
        `${family(language, 'players', { players: source.players })} · ${family(language, 'minutes', { minutes: source.minutes })}`,
      { fill: '#333333' },
    ),
  );

  if (source.parts.length) heading('inBag');
  const partLine = (language: Worded, part: { material: string; quantity: number }): string =>
    say(MATERIAL_WORDS, language, part.material, { quantity: part.quantity });
  for (const part of source.parts) {
    row(
      text((language) => partLine(language, part)),
      (top) => [
        { kind: 'rect', x: left + 1, y: top + 0.9, width: 3, height: 3, stroke: INK, strokeMm: 0.25 },
      ],
    );
  }

  const steps = source.game.steps(source.params);
  let number = 0;
  for (const part of ORDER) {
    const own = steps.filter((step) => step.part === part);
    if (own.length === 0) continue;
    heading(`part.${part}`);
    for (const step of own) {
      const numbered = part === 'setUp' || part === 'turn' || part === 'end';
      if (numbered) number++;
      row(
        text((language) => say(words, language, step.id, step.args)),
        (top) => stepMark(step, numbered ? number : undefined, left, top),
      );
    }
    if (part === 'atHome') {
      for (const { material } of source.parts) {
        if (!(`${material}.standIn` in MATERIAL_WORDS.en)) continue;
        row(
          text((language) =>
            family(language, 'standIn', {
              part: say(MATERIAL_WORDS, language, material, {
                quantity: source.parts.find((one) => one.material === material)!.quantity,
              }),
              standIn: say(MATERIAL_WORDS, language, `${material}.standIn`),
            }),
          ),
        );
      }
    }
  }

  y += 1.5;
  row(text((language) => family(language, 'backToSchool')));
  if (source.link) {
    const size = 24;
    if (y + size + 2 > bottom) newPage();
    page().push(...qrCode(source.link, right - size - 2, y + 1, size));
    languages.forEach((language, i) => {
      page().push(
        ...paragraph(
          family(language, 'scan'),
          columnX(0),
          y + 3 + i * 11,
          right - left - size - MARK_MM - 10,
          measure,
          { sizePt: BODY_PT, language },
        ).shapes,
      );
    });
    y += size + 2;
  }
  pages.forEach((shapes) => {
    const notes = languages
      .filter((language) => source.unchecked.includes(language))
      .map((language) => family(language, 'unchecked'));
    if (notes.length)
      shapes.push(line(left, heightMm - MARGIN_MM - 1, notes.join('  ·  '), { sizePt: 9, fill: '#444444' }));
  });
  return pages.map((shapes, i) => ({
    ...blank(pages.length > 1 ? `${title} (${i + 1} of ${pages.length})` : title, paper, shapes),
    begins: i === 0,
  }));
}

/** The number of the step, and a small drawing of how it shows the number: counters, a pencil line, or figures. */
function stepMark(step: Step, number: number | undefined, x: number, top: number): Shape[] {
  const middle = top + lineMm(BODY_PT) / 2;
  const shapes: Shape[] = [];
  if (number !== undefined)
    shapes.push(line(x + 3.6, top + 3.9, String(number), { sizePt: BODY_PT, font: 'bold', anchor: 'end' }));
  else shapes.push({ kind: 'circle', x: x + 2.6, y: middle, radius: 0.6, fill: INK });
  const at = x + 7;
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
