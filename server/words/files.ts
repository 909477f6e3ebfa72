/** Files of lines: XLIFF for tools, a table for people without one. */
import { SEGMENT_STATES, unitOf, type LineHere, type Returned } from '~/core/words/exchange';
import { isLanguage, type Language } from '~/core/words/languages';
import { readXliff, type ReadXliff } from '~/core/words/xliff';
import { MOST_OF_LINES, readRows, writeRows } from '../csv';

const COLUMNS = [
  'game',
  'line',
  'form',
  'place',
  'said',
  'from',
  'to',
  'source',
  'wording',
  'state',
  'note',
] as const;

/** The lines as a table for people without a tool for translations. */
export const linesToCsv = (from: Language, to: Language, lines: readonly LineHere[]): string =>
  writeRows(
    COLUMNS,
    lines.flatMap((line) => {
      const { sourceId, messageId, place, state, note, segments } = unitOf(line, from, to);
      return segments.map(({ form, when, source, target }) => [
        sourceId,
        messageId,
        form,
        place,
        when,
        from,
        to,
        source,
        target,
        state,
        note,
      ]);
    }),
  );

/** Reads a table of lines, or says in one sentence why it cannot be read. */
export function linesFromCsv(text: string): ReadXliff {
  const read = readRows(text, {
    columns: COLUMNS,
    needed: ['game', 'line', 'form', 'from', 'to', 'source', 'wording'],
    listOf: 'lines',
    mostRows: MOST_OF_LINES.rows,
  });
  if (!read.ok) return read;
  const faulty = read.rows.find(({ fault }) => fault);
  if (faulty) return { ok: false, problem: `Row ${faulty.row}: ${faulty.fault}` };
  const pairs = [...new Set(read.rows.map(({ cell }) => `${cell('from')} ${cell('to')}`))];
  const [from = '', to = ''] = pairs[0]?.split(' ') ?? [];
  if (pairs.length !== 1 || !isLanguage(from) || !isLanguage(to))
    return {
      ok: false,
      problem: 'The columns “from” and “to” must name the same two languages in every row.',
    };
  return {
    ok: true,
    from,
    to,
    segments: read.rows.map(({ row, cell }): Returned => {
      const state = SEGMENT_STATES.find((one) => one === cell('state'));
      return {
        at: `row ${row}`,
        sourceId: cell('game'),
        messageId: cell('line'),
        form: cell('form'),
        source: cell('source'),
        target: cell('wording'),
        ...(state ? { state } : {}),
      };
    }),
  };
}

/** Lines in a file of either form. */
export const linesIn = (text: string): ReadXliff =>
  /^\uFEFF?\s*</.test(text) ? readXliff(text.replace(/^\uFEFF/, '')) : linesFromCsv(text);
