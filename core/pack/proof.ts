/** The wording of a kit on paper: line by line with numbers, and room to write how it should be said. */
import {
  blank,
  GREY,
  INK,
  MARGIN_MM,
  PAPERS,
  type Measure,
  type Paper,
  type Shape,
  type Sheet,
} from '~/core/paper/sheet';
import { line, lineMm, paragraph, type Block } from '~/core/paper/text';
import { aboutLanguage, type Language } from '~/core/words/languages';
import type { ProofLine } from '~/core/words/proof';
import { waysToRead } from '~/core/words/sentences';

const SIZE_PT = 11.5;
const GAP_MM = 6;
const NUMBER_MM = 11;
/** Height of the line to write on. */
const RULE_MM = 9;

/** As many pages as it takes. English stands on the left, the wording beside it, a line to write on below. */
export function proofSheets(
  lines: readonly ProofLine[],
  about: { kit: string; language: Language; code: string; paper: Paper; measure: Measure },
): Sheet[] {
  const { kit, language, code, paper, measure } = about;
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM + 2;
  const right = widthMm - left;
  const bottom = heightMm - MARGIN_MM - 6;
  const width = (right - left - NUMBER_MM - GAP_MM) / 2;
  const columns = { english: left + NUMBER_MM, worded: right - width };
  const { name, own, direction } = aboutLanguage(language);
  const pages: Shape[][] = [];
  let y = 0;
  const page = (): Shape[] => pages.at(-1)!;
  const newPage = (): void => {
    pages.push([
      line(left, MARGIN_MM + 6, `${kit}: the words in ${name}`, {
        sizePt: pages.length ? 11 : 16,
        font: 'display',
      }),
      line(right, MARGIN_MM + 6, code, { sizePt: 11, fill: GREY, anchor: 'end' }),
    ]);
    y = MARGIN_MM + 12;
  };
  newPage();
  const lead = paragraph(
    'Does each line on the right say what the line on the left says, the way a family would say it? Tick it; or write below how you would say it. Leave the numbers as they are. The school types your words in by their number.',
    left,
    y,
    right - left,
    measure,
    { sizePt: SIZE_PT, fill: '#333333' },
  );
  page().push(...lead.shapes);
  y += lead.heightMm + 4;
  page().push(
    line(columns.english, y + lineMm(SIZE_PT) * 0.75, 'English', { sizePt: SIZE_PT, font: 'bold' }),
    line(direction === 'rtl' ? right : columns.worded, y + lineMm(SIZE_PT) * 0.75, own, {
      sizePt: SIZE_PT,
      font: 'bold',
      anchor: direction === 'rtl' ? 'end' : 'start',
      language,
    }),
  );
  y += lineMm(SIZE_PT) + 2;
  const block = (text: string, x: number, top: number, of: Language): Block =>
    paragraph(text, x, top, width, measure, { sizePt: SIZE_PT, language: of });
  for (const [i, { english, message, args }] of lines.entries()) {
    const ways =
      message === undefined
        ? waysToRead(english, english, 'en', args)
        : waysToRead(english, message, language, args);
    const saidIn = message === undefined ? 'en' : language;
    const heights = ways.map((way) =>
      Math.max(
        block(way.english, columns.english, 0, 'en').heightMm,
        block(way.said, columns.worded, 0, saidIn).heightMm,
      ),
    );
    if (y + heights[0]! + RULE_MM > bottom) newPage();
    page().push(line(left, y + lineMm(SIZE_PT) * 0.75, `${i + 1}`, { sizePt: SIZE_PT, font: 'bold' }), {
      kind: 'rect',
      x: left + 6,
      y: y + 0.8,
      width: 3,
      height: 3,
      stroke: INK,
      strokeMm: 0.25,
    });
    for (const [k, way] of ways.entries()) {
      const room = k === ways.length - 1 ? RULE_MM : 0;
      if (k > 0 && y + heights[k]! + room > bottom) newPage();
      page().push(
        ...block(way.english, columns.english, y, 'en').shapes,
        ...block(way.said, columns.worded, y, saidIn).shapes,
      );
      y += heights[k]! + 1;
    }
    y += RULE_MM - 2;
    page().push({
      kind: 'line',
      x1: columns.english,
      y1: y,
      x2: right,
      y2: y,
      stroke: GREY,
      strokeMm: 0.2,
      dashMm: [0.6, 1.2],
    });
    y += 2;
  }
  return pages.map((shapes, i) =>
    blank(`${kit}: the words in ${name} (${i + 1} of ${pages.length})`, paper, [
      ...shapes,
      line(right, heightMm - MARGIN_MM, `${i + 1} of ${pages.length}`, {
        sizePt: 10,
        fill: GREY,
        anchor: 'end',
      }),
    ]),
  );
}
