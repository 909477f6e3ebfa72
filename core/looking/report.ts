/** A report of two pages for who gives or leads: no family is named, and no small group is broken out. */
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
import { line, paragraph } from '~/core/paper/text';
import { count } from '~/core/words/numbers';
import { byGroup, byYear, closing, shareOf, sharesOf, SMALL, type Counted, type GroupShare } from './reached';

/** Groups that are put together. */
const TOGETHER = '';

/**
 * Groups as others may see them: those of fewer than five families together, with the smallest of the others where they
 * still are too few; nothing where all of them are.
 */
export function forOthers(list: readonly Counted[], together: string): GroupShare[] {
  const groups = byGroup(list);
  const kept = sharesOf(list).filter(({ small }) => !small);
  let folded = list.filter(({ group }) => !kept.some(({ id }) => id === group));
  if (folded.length === 0) return kept;
  while (shareOf(TOGETHER, together, folded).small && kept.length)
    folded = [...folded, ...groups.get(kept.pop()!.id)!];
  const rest = shareOf(TOGETHER, together, folded);
  return rest.small ? [] : [...kept, rest];
}

export interface ReportFacts {
  school: string;
  /** "Herring term: Sep 7 to Nov 27, 2026". */
  period: string;
  madeOn: string;
  families: number;
  reached: number;
  loans: number;
  answered: number;
  /** Families that had a bag, by home language and by the grades of their children. */
  languages: readonly Counted[];
  grades: readonly Counted[];
  months: readonly GroupShare[];
  /** Words on games that were “just right”, by grade. */
  rightByGrade: readonly Counted[];
  /** Words on games: just right, and all. */
  right?: { n: number; of: number };
  playsPerLoan?: number;
  minutes?: number;
  lost: { parts: readonly string[]; pieces: number; loans: number; cents: string };
  copies: readonly string[];
  missing: readonly string[];
}

const TEXT_PT = 11.5;
const inHundred = (n: number, of: number): number => Math.round((n / of) * 100);

/** A page that is written from the top down. */
class Page {
  readonly shapes: Shape[] = [];
  y = MARGIN_MM + 10;
  readonly left = MARGIN_MM + 4;
  readonly width: number;
  constructor(
    paper: Paper,
    private readonly measure: Measure,
  ) {
    this.width = PAPERS[paper].widthMm - 2 * this.left;
  }
  title(text: string, sizePt: number): void {
    this.shapes.push(line(this.left, this.y, text, { sizePt, font: 'display' }));
    this.y += sizePt * 0.16 + 1;
  }
  text(text: string, { grey = false, sizePt = TEXT_PT } = {}): void {
    const block = paragraph(text, this.left, this.y, this.width, this.measure, {
      sizePt,
      ...(grey ? { fill: GREY } : {}),
    });
    this.shapes.push(...block.shapes);
    this.y += block.heightMm + 2.2;
  }
  heading(text: string): void {
    this.y += 9;
    this.title(text, 15);
  }
  /** Bars with their intervals, in grey that prints; each with its numbers beside it. */
  bars(rows: readonly GroupShare[]): void {
    const labelMm = 48;
    const barMm = this.width - labelMm - 34;
    for (const { label, share, low, high, n, of } of rows) {
      const x = this.left + labelMm;
      this.shapes.push(
        line(x - 3, this.y + 4.4, label, { sizePt: TEXT_PT, anchor: 'end' }),
        { kind: 'rect', x, y: this.y, width: barMm, height: 6, stroke: '#C8C8C8', strokeMm: 0.2 },
        { kind: 'rect', x, y: this.y, width: Math.max(0.2, barMm * share), height: 6, fill: '#9DB39A' },
        {
          kind: 'line',
          x1: x + barMm * low,
          y1: this.y + 3,
          x2: x + barMm * high,
          y2: this.y + 3,
          stroke: INK,
          strokeMm: 0.5,
        },
        line(x + barMm + 3, this.y + 4.4, `${n} of ${of}`, { sizePt: TEXT_PT }),
      );
      this.y += 9;
    }
    this.y += 1;
  }
}

export function reportSheets(
  facts: ReportFacts,
  { paper, measure }: { paper: Paper; measure: Measure },
): Sheet[] {
  const { school, period, madeOn, families, reached, loans, answered, right } = facts;
  const first = new Page(paper, measure);
  first.title(school, 22);
  first.text('Take-home math games: a look back', { sizePt: 14 });
  first.text(`${period}. Made on ${madeOn}.`, { grey: true });
  first.heading('Who was reached');
  first.text(
    families === 0
      ? 'There are no families yet.'
      : `${reached} of ${count(families, 'family', 'families')} took a bag of games home: ${count(loans, 'loan')} in all. Of ${answered} of these loans the family told how it went.`,
  );
  const byLanguage = forOthers(facts.languages, 'other languages');
  if (byLanguage.length) {
    first.text('Families that had a bag, by home language', { grey: true });
    first.bars(byLanguage);
  }
  const byGrade = forOthers(facts.grades, 'other grades').sort(byYear);
  if (byGrade.length) {
    first.text('Families that had a bag, by the grade of their children', { grey: true });
    first.bars(byGrade);
  }
  // What would close a gap names its group: only where the group is shown.
  const closed = closing(
    byLanguage.filter(({ id }) => id !== TOGETHER),
    'language',
  );
  first.text(
    closed.length
      ? `A difference that is more than chance would be closed by ${closed.join(', and ')}.`
      : 'The groups differ by no more than chance would make them.',
  );
  const months = facts.months.filter(({ small }) => !small);
  if (months.length > 1) {
    first.text('Families that had a bag, month by month', { grey: true });
    first.bars(months);
  }
  first.text(
    `The line in a bar is the range in which the share lies with 95 in 100. Groups of fewer than ${SMALL} families are put together.`,
    { grey: true, sizePt: 11 },
  );

  const second = new Page(paper, measure);
  second.title('How it was played', 15);
  second.text(
    [
      right
        ? `Of ${count(right.of, 'answer')} about a game, ${right.n} (${inHundred(right.n, right.of)} in 100) said that it was just right for the child.`
        : 'No family has said yet whether a game was just right.',
      facts.playsPerLoan
        ? `A bag was played ${facts.playsPerLoan.toFixed(1)} times in a loan, as families tell.`
        : '',
      facts.minutes ? `A time took about ${count(facts.minutes, 'minute')}.` : '',
    ]
      .filter(Boolean)
      .join(' '),
  );
  const rightByGrade = forOthers(facts.rightByGrade, 'other grades').sort(byYear);
  if (rightByGrade.length) {
    second.text('Games said to be just right, by the grade of the child', { grey: true });
    second.bars(rightByGrade);
  }
  second.heading('What it takes');
  const { lost } = facts;
  second.text(
    lost.loans === 0
      ? 'No bag has come home yet.'
      : `${count(lost.pieces, 'piece')} went missing in ${count(lost.loans, 'loan')}, worth ${lost.cents}. Pieces go missing in play; no family pays for them.`,
  );
  if (lost.parts.length) second.text(`What goes most: ${lost.parts.join('; ')}.`);
  second.heading('What to build next');
  for (const one of facts.copies) second.text(one);
  if (facts.copies.length === 0) second.text('There are enough bags of every kit that families ask for.');
  second.heading('How this was reckoned');
  for (const one of facts.missing) second.text(one, { grey: true, sizePt: 11 });
  return [first, second].map((page, i) => blank(`${school}, page ${i + 1}`, paper, page.shapes));
}
