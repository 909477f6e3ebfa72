/** Paper of an evening: signs that are read across the hall, a card for each host, the way of each group in its language. */
import { open } from '~/core/own/open';
import { NUMBERED_PARTS } from '~/core/games/kit/types';
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
import { onPhone } from '~/core/pack/phone';
import { aboutLanguage } from '~/core/words/languages';
import { PRINT_WORDS } from '~/core/words/print';
import { REMINDER_WORDS } from '~/core/words/reminders';
import { ENGLISH, nameOf, say, type Reading } from '~/core/words/reading';
import { PEOPLE, type EveningPlan } from './plan';
import { tickBox } from '~/core/lending/papers';
import type { Rotation } from './rotation';

interface On {
  paper: Paper;
  measure: Measure;
}
/** What an evening prints from. */
export interface Printed {
  name: string;
  plan: EveningPlan;
  rotation: Rotation;
  /** The readings of the languages that come, English among them. */
  readings: readonly Reading[];
  /** When each round begins, as it is read on the wall. */
  times: readonly string[];
}

const readingFor = (readings: readonly Reading[], languages: readonly string[]): Reading =>
  readings.find(({ language }) => language !== 'en' && languages.includes(language)) ??
  readings.find(({ language }) => languages.includes(language)) ??
  ENGLISH;

/** The size at which a text fits a width, no larger than asked for. */
function fitted(text: string, widthMm: number, most: number, measure: Measure): number {
  const wide = measure(text, 'display', most);
  return wide <= widthMm ? most : Math.max(14, (most * widthMm) / wide);
}

/** A page for each table: its number as large as the page, and its game in the languages that come. */
export const tableSigns = ({ plan, readings }: Printed, { paper, measure }: On): Sheet[] =>
  plan.tables.map(({ game }, i) => {
    const { widthMm, heightMm } = PAPERS[paper];
    const shapes: Shape[] = [
      line(widthMm / 2, heightMm * 0.48, String(i + 1), { sizePt: 420, font: 'display', anchor: 'middle' }),
    ];
    let y = heightMm * 0.6;
    const said = new Set<string>();
    for (const reading of readings) {
      const text = game
        ? nameOf(open(game).game, reading)
        : say(reading, PRINT_WORDS, 'evening.table', { table: i + 1 });
      if (said.has(text)) continue;
      said.add(text);
      const sizePt = fitted(text, widthMm - 2 * MARGIN_MM, 44, measure);
      shapes.push(
        line(widthMm / 2, y, text, { sizePt, font: 'display', anchor: 'middle', language: reading.language }),
      );
      y += sizePt * 0.46 + 4;
    }
    return blank(`Sign of table ${i + 1}`, paper, shapes);
  });

/** So many steps stand on a host's card; so many things to say. */
const STEPS = 5;
const SAYINGS = 3;
const RULES = 3;

/** A page for each table: the game in five lines, what to say, what to do with a child who is done or lost. */
export const hostCards = ({ plan, rotation, readings }: Printed, { paper, measure }: On): Sheet[] =>
  plan.tables.flatMap(({ id, game }, i) => {
    if (!game) return [];
    const { widthMm } = PAPERS[paper];
    const host = rotation.hosts.find(({ table }) => table === id)?.helper;
    const spoken = plan.helpers.find((one) => one.id === host)?.languages ?? [];
    const second = readingFor(
      readings,
      spoken.filter((tag) => tag !== 'en'),
    );
    const columns = second.language === 'en' ? [ENGLISH] : [ENGLISH, second];
    const columnMm = (widthMm - 2 * MARGIN_MM - (columns.length - 1) * 8) / columns.length;
    const shapes: Shape[] = [
      line(MARGIN_MM, MARGIN_MM + 10, `${i + 1}. ${game.name}`, { sizePt: 20, font: 'display' }),
      line(
        MARGIN_MM,
        MARGIN_MM + 18,
        host
          ? `${host}, ${plan.roundMinutes} minutes a round`
          : `No host yet, ${plan.roundMinutes} minutes a round`,
        {
          sizePt: 12,
          fill: GREY,
        },
      ),
    ];
    columns.forEach((reading, c) => {
      const x = MARGIN_MM + c * (columnMm + 8);
      let y = MARGIN_MM + 26;
      const { goal, steps } = onPhone(open(game), reading);
      const write = (text: string, bold = false): void => {
        const block = paragraph(text, x, y, columnMm, measure, {
          sizePt: 12,
          language: reading.language,
          ...(bold ? { font: 'bold' as const } : {}),
        });
        shapes.push(...block.shapes);
        y += block.heightMm + 2;
      };
      const part = (title: string, lines: readonly string[]): void => {
        if (lines.length === 0) return;
        y += 2;
        write(title, true);
        for (const one of lines) write(one);
      };
      const of = (...parts: readonly string[]): string[] =>
        steps.filter((step) => parts.includes(step.part)).map(({ text }) => text);
      write(goal);
      part(
        'The game',
        steps
          .filter((step) => NUMBERED_PARTS.has(step.part))
          .slice(0, STEPS)
          .map(({ text }, n) => `${n + 1}. ${text}`),
      );
      part('Three things to say', of('say').slice(0, SAYINGS));
      part('A child who is done', of('harder').slice(0, 2));
      part('A child who is lost', of('easier', 'younger').slice(0, 2));
      if (c === 0 && plan.hallRules) part('In this hall', plan.hallRules.split('\n').slice(0, RULES));
    });
    return [blank(`Host of table ${i + 1}`, paper, shapes)];
  });

/** Two groups on a page: where they are in which round, in their language. */
export function groupCards(
  { name, plan, rotation, readings, times }: Printed,
  { paper, measure }: On,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const half = (heightMm - 2 * MARGIN_MM) / 2;
  const sheets: Sheet[] = [];
  for (let from = 0; from < plan.groups.length; from += 2) {
    const shapes: Shape[] = [];
    plan.groups.slice(from, from + 2).forEach(({ id, languages }, i) => {
      const reading = readingFor(readings, languages);
      const { language } = reading;
      const top = MARGIN_MM + i * half;
      const left = MARGIN_MM + 6;
      const width = widthMm - 2 * left;
      shapes.push(
        {
          kind: 'rect',
          x: MARGIN_MM,
          y: top,
          width: widthMm - 2 * MARGIN_MM,
          height: half - 4,
          stroke: GREY,
          strokeMm: 0.2,
          dashMm: [2, 1.5],
        },
        line(left, top + 11, id, { sizePt: 18, font: 'display' }),
        line(left + width, top + 11, name, { sizePt: 11, fill: GREY, anchor: 'end' }),
      );
      let y = top + 16;
      const welcome = paragraph(say(reading, PRINT_WORDS, 'evening.welcome'), left, y, width, measure, {
        sizePt: 13,
        language,
      });
      shapes.push(...welcome.shapes);
      y += welcome.heightMm + 12;
      const step = Math.min(16, (top + half - 8 - y) / Math.max(1, plan.rounds));
      for (let round = 1; round <= plan.rounds; round++) {
        const table = rotation.plan.find((one) => one.round === round && one.groups.includes(id))?.table;
        const nth = plan.tables.findIndex((one) => one.id === table);
        if (nth < 0) continue;
        shapes.push(
          line(left, y, times[round - 1] ?? '', { sizePt: 13, fill: INK }),
          line(left + 34, y, say(reading, PRINT_WORDS, 'evening.round', { round }), { sizePt: 13, language }),
          line(left + 78, y, say(reading, PRINT_WORDS, 'evening.table', { table: nth + 1 }), {
            sizePt: 17,
            font: 'bold',
            language,
          }),
        );
        y += step;
      }
    });
    sheets.push(blank('Ways of the groups', paper, shapes));
  }
  return sheets;
}

/** Room for so many families beyond those who are expected at most. */
const MORE = 0.15;
const ROW_MM = 13;

/** Sheets to sign in on: one set for each language that comes, with as many lines as may be wanted. */
export function doorSheets(
  { name, plan, readings }: Pick<Printed, 'name' | 'plan' | 'readings'>,
  { paper, measure }: On,
): Sheet[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const left = MARGIN_MM;
  const width = widthMm - 2 * left;
  return [...new Set(plan.groups.flatMap(({ languages }) => languages.slice(0, 1)))].flatMap(
    (tag): Sheet[] => {
      const reading = readingFor(readings, [tag]);
      const { language } = reading;
      const people = plan.groups
        .filter(({ languages }) => languages[0] === tag)
        .reduce((sum, { size }) => sum + size, 0);
      const lines = Math.max(4, Math.ceil((people / PEOPLE) * (1 + MORE)));
      const top = MARGIN_MM + 30;
      const onPage = Math.floor((heightMm - MARGIN_MM - top) / ROW_MM);
      const rtl = aboutLanguage(language).direction === 'rtl';
      /** Columns in the order in which they are read. */
      const shares = [0.44, 0.14, 0.22, 0.2] as const;
      const heads = (['family', 'people', 'language', 'bag'] as const).map((head) =>
        say(reading, PRINT_WORDS, `signin.${head}`),
      );
      const from = (column: number): number => {
        const before = shares.slice(0, column).reduce((sum, one) => sum + one, 0);
        return left + (rtl ? 1 - before - shares[column]! : before) * width;
      };
      return Array.from({ length: Math.ceil(lines / onPage) }, () => {
        const shapes: Shape[] = [
          line(rtl ? left + width : left, MARGIN_MM + 9, say(reading, REMINDER_WORDS, 'table.title'), {
            sizePt: 22,
            font: 'display',
            language,
            anchor: rtl ? 'end' : 'start',
          }),
          line(rtl ? left : left + width, MARGIN_MM + 9, name, {
            sizePt: 12,
            fill: GREY,
            anchor: rtl ? 'start' : 'end',
          }),
        ];
        heads.forEach((head, column) => {
          const block = paragraph(
            head,
            from(column) + 1,
            MARGIN_MM + 15,
            shares[column]! * width - 2,
            measure,
            {
              sizePt: 11,
              font: 'bold',
              language,
            },
          );
          shapes.push(...block.shapes);
        });
        // Lines cost nothing: a page is filled, whoever comes beyond those who are expected.
        const rows = onPage;
        for (let row = 0; row <= rows; row++)
          shapes.push({
            kind: 'line',
            x1: left,
            y1: top + row * ROW_MM,
            x2: left + width,
            y2: top + row * ROW_MM,
            stroke: GREY,
            strokeMm: 0.3,
          });
        for (let row = 0; row < rows; row++)
          shapes.push(tickBox(from(3) + (shares[3] * width) / 2 - 2, top + row * ROW_MM + (ROW_MM - 4) / 2));
        return blank(`Sign in: ${aboutLanguage(language).name}`, paper, shapes);
      });
    },
  );
}
