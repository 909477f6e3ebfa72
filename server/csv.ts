/** CSV files (RFC 4180) that a spreadsheet opens without running anything, and lists that people bring in. */
import Papa from 'papaparse';
import { textIn } from '~/server/forms';

/** No list that is brought in is longer, unless it says so. */
const MAX_BYTES = 1_000_000;
const MAX_ROWS = 2000;
/** Characters of a line of headings. */
const MOST_HEADING = 5000;
/** A table of all lines in a language that tells six forms apart has some thousand rows. */
export const MOST_OF_LINES = { bytes: 3_000_000, rows: 20_000 };

/** Signs with which a spreadsheet begins a formula, and signs at which some of them cut a cell in two. */
const BEGINS = '=+-@\uff1d\uff0b\uff0d\uff20';
const CUTS = ';,|\t\r\n';
const BETWEEN = /[\s"]/;

/**
 * Goes through a cell once and answers it with other apostrophes where a spreadsheet would begin a formula: at the start
 * of the cell and after a sign that cuts it, blanks and quotes between. `marks` are the apostrophes that stand there.
 */
function atFormulas(text: string, change: (marks: number) => number): string {
  let made = '';
  let kept = 0;
  // Where the apostrophes begin that stand at the beginning of a part; -1 within one.
  let marks = 0;
  for (let i = 0; i < text.length; i++) {
    const sign = text[i]!;
    if (CUTS.includes(sign)) marks = i + 1;
    else if (marks < 0) continue;
    else if (sign === "'") continue;
    else if (BETWEEN.test(sign)) marks = marks === i ? i + 1 : -1;
    else {
      if (BEGINS.includes(sign)) {
        made += text.slice(kept, marks) + "'".repeat(change(i - marks));
        kept = i;
      }
      marks = -1;
    }
  }
  return made + text.slice(kept);
}
/** A cell that a spreadsheet would run as a formula gets an apostrophe, which `fromCell` takes off again. */
export const toCell = (text: string): string => atFormulas(text, (marks) => marks + 1);
export const fromCell = (text: string): string => atFormulas(text, (marks) => Math.max(0, marks - 1));

/** The file that `readRows` reads again: a line of headings and the rows below it. */
export const writeRows = (columns: readonly string[], rows: string[][]): string =>
  Papa.unparse({ fields: [...columns], data: rows.map((cells) => cells.map(toCell)) }, { newline: '\r\n' }) +
  '\r\n';

/** The text of a file, or undefined where it is not UTF-8. */
async function readText(file: File): Promise<string | undefined> {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return undefined;
  }
}

/** The list in a form, as a file or, when it was shown already, as text; or why it cannot be read. */
export async function listIn(
  form: FormData,
  listOf: string,
  mostBytes = MAX_BYTES,
): Promise<{ ok: true; text: string } | { ok: false; problem: string }> {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  const file = form.get('file');
  if (file instanceof File && file.size > mostBytes)
    return refuse(
      `This file is larger than ${mostBytes === MAX_BYTES ? 'one megabyte' : `${mostBytes / 1_000_000} megabytes`}, so it is hardly a list of ${listOf}.`,
    );
  const text = file instanceof File && file.size > 0 ? await readText(file) : textIn(form, 'text');
  if (text === undefined)
    return refuse(
      'This file is not written in UTF-8, so its accents would be lost. Save it as “CSV UTF-8” and choose it again.',
    );
  if (!text.trim()) return refuse('Choose a file first.');
  if (text.length > mostBytes) return refuse('This list is too long to be read at once.');
  return { ok: true, text };
}

/** A row of a list as it was brought in. */
export interface CsvRow<Column extends string> {
  /** Line in the file, the heading being line 1. */
  row: number;
  /** What stands under a heading; nothing where the file has no such column. */
  cell: (column: Column) => string;
  /** Why the row cannot be read at all. */
  fault?: string | undefined;
}

/** Reads the rows below a line of headings, or says why the whole file cannot be read. */
export function readRows<Column extends string>(
  text: string,
  asked: { columns: readonly Column[]; needed: readonly Column[]; listOf: string; mostRows?: number },
): { ok: true; rows: CsvRow<Column>[]; headings: ReadonlySet<string> } | { ok: false; problem: string } {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  if (text.includes('\u0000'))
    return refuse('This is not a text file. Save the list as CSV and choose it again.');
  // A first line of thousands of names is no heading, and each of them would be asked for in every row.
  if ((/^[^\r\n]*/.exec(text)?.[0].length ?? 0) > MOST_HEADING)
    return refuse(`The first line must name the columns. Known columns: ${asked.columns.join(', ')}.`);
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim(),
  });
  const headings = new Set(parsed.meta.fields ?? []);
  const missing = asked.needed.filter((column) => !headings.has(column));
  if (missing.length)
    return refuse(
      `The first line must name the columns. Missing: ${missing.join(', ')}. Known columns: ${asked.columns.join(', ')}.`,
    );
  if (parsed.data.length === 0) return refuse(`There are no ${asked.listOf} below the first line.`);
  const { mostRows = MAX_ROWS } = asked;
  if (parsed.data.length > mostRows)
    return refuse(
      `The file has ${parsed.data.length} rows; up to ${mostRows} are read at once. Split it and import the parts.`,
    );
  const faults = new Map(parsed.errors.map((error) => [error.row, error]));
  const rows = parsed.data.map((cells, i): CsvRow<Column> => {
    const fault = faults.get(i);
    return {
      row: i + 2,
      cell: (column) => fromCell((cells[column] ?? '').trim()),
      fault: fault && faultOf(fault),
    };
  });
  return { ok: true, rows, headings };
}

const faultOf = ({ code, message }: Papa.ParseError): string =>
  code === 'TooManyFields' || code === 'TooFewFields'
    ? `This line has ${code === 'TooManyFields' ? 'more' : 'fewer'} cells than the first one.`
    : `This line cannot be read: ${message}.`;
