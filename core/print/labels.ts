/** The labels of a copy: what is in the bag (for the return check) and the tag. Several copies fill a page. */
import { MATERIAL_WORDS } from '~/core/kits/materials';
import type { KitPart } from '~/core/kits/recipe';
import { showTag } from '~/core/lending/tag';
import { FAMILY_WORDS } from '~/core/words/family';
import { say } from '~/core/words/message';
import { blank, GREY, INK, MARGIN_MM, PAPERS, type Shape, type Sheet, type SheetContext } from './sheet';
import { code128, qrCode } from './symbols';
import { line, paragraph } from './text';

export interface LabelSource {
  kitName: string;
  tag: string;
  link: string;
  schoolName: string;
  parts: readonly KitPart[];
  smallParts: boolean;
}

const LABEL = { contentsMm: 105, tagMm: 80, heightMm: 70, gapMm: 3 };

export function labelSheets(sources: readonly LabelSource[], context: SheetContext): Sheet[] {
  const { paper } = context;
  const { widthMm, heightMm } = PAPERS[paper];
  const perPage = Math.floor((heightMm - 2 * MARGIN_MM) / (LABEL.heightMm + LABEL.gapMm));
  const left = (widthMm - LABEL.contentsMm - LABEL.gapMm - LABEL.tagMm) / 2;
  const sheets: Sheet[] = [];
  for (let first = 0; first < sources.length; first += perPage) {
    const shapes = sources.slice(first, first + perPage).flatMap((source, i): Shape[] => {
      const top = MARGIN_MM + 1 + i * (LABEL.heightMm + LABEL.gapMm);
      return [
        ...contentsLabel(source, left, top, context),
        ...tagLabel(source, left + LABEL.contentsMm + LABEL.gapMm, top, context),
      ];
    });
    sheets.push({ ...blank('Labels', paper, shapes), begins: true });
  }
  return sheets;
}

const frame = (x: number, y: number, width: number): Shape => ({
  kind: 'rect',
  x,
  y,
  width,
  height: LABEL.heightMm,
  radius: 2,
  stroke: GREY,
  strokeMm: 0.2,
  dashMm: [2, 1],
});

/** What is in the bag, with a box to tick for each part. */
function contentsLabel(
  source: LabelSource,
  x: number,
  y: number,
  { measure, languages }: SheetContext,
): Shape[] {
  const inner = x + 4;
  const width = LABEL.contentsMm - 8;
  const shapes: Shape[] = [
    frame(x, y, LABEL.contentsMm),
    ...paragraph(source.kitName, inner, y + 2.5, width - 26, measure, {
      sizePt: 14,
      font: 'display',
    }).shapes.slice(0, 1),
    line(x + LABEL.contentsMm - 4, y + 7.6, showTag(source.tag), { sizePt: 12, font: 'bold', anchor: 'end' }),
    { kind: 'line', x1: inner, y1: y + 10.5, x2: inner + width, y2: y + 10.5, stroke: INK, strokeMm: 0.2 },
  ];
  const parts = source.parts.filter((part) => part.material !== 'bag');
  const rowMm = Math.min(6.2, (LABEL.heightMm - 35) / Math.max(1, parts.length));
  parts.forEach((part, i) => {
    const rowY = y + 15.6 + i * rowMm;
    shapes.push({
      kind: 'rect',
      x: inner,
      y: rowY - 3,
      width: 3.2,
      height: 3.2,
      stroke: INK,
      strokeMm: 0.25,
    });
    languages.forEach((language, column) => {
      shapes.push(
        line(
          inner + 6 + column * (width / 2),
          rowY,
          say(MATERIAL_WORDS, language, part.material, { quantity: part.quantity }),
          { sizePt: rowMm < 5 ? 9 : 11, language },
        ),
      );
    });
  });
  if (source.smallParts) {
    languages.forEach((language, column) => {
      const caution = say(FAMILY_WORDS, language, 'smallParts', { years: 3 });
      shapes.push(
        ...paragraph(caution, inner + column * (width / 2), y + LABEL.heightMm - 18, width / 2 - 3, measure, {
          sizePt: 11,
          font: 'bold',
          language,
        }).shapes,
      );
    });
  }
  return shapes;
}

/** The tag in three forms: to read aloud, for the barcode reader, and for a phone. */
function tagLabel(source: LabelSource, x: number, y: number, { languages, measure }: SheetContext): Shape[] {
  const qr = 30;
  const width = LABEL.tagMm - 8;
  return [
    frame(x, y, LABEL.tagMm),
    line(x + 4, y + 12, showTag(source.tag), { sizePt: 26, font: 'bold' }),
    ...code128(source.tag, x + 7, y + 17, 34, 13),
    ...qrCode(source.link, x + LABEL.tagMm - qr - 4, y + 4, qr),
    ...languages.flatMap((language, i) =>
      paragraph(say(FAMILY_WORDS, language, 'scan'), x + 4, y + 38 + i * 11, width, measure, {
        sizePt: 11,
        language,
      }).shapes.slice(0, 2),
    ),
    line(x + 4, y + LABEL.heightMm - 3.5, source.schoolName, { sizePt: 11, fill: '#333333' }),
  ];
}
