/** Families to and from CSV (RFC 4180). What is exported imports again to the same. */
import Papa from 'papaparse';
import { checkForm } from '~/core/check/check';
import { familySchema, sameName, type FamilyFields } from '~/core/lending/families';
import { LANGUAGES, type Language } from '~/core/words/languages';
import { fromCell, toCell } from '../csv';

const COLUMNS = ['name', 'language', 'reach', 'underThree', 'allergens'] as const;
const MAX_ROWS = 2000;

export function familiesToCsv(families: readonly FamilyFields[]): string {
  // A cell that a spreadsheet would run as a formula gets an apostrophe, which `fromCell` takes off again.
  const rows = families.map((family) =>
    COLUMNS.map((column) =>
      column === 'underThree' ? (family.underThree ? 'yes' : 'no') : toCell(family[column]),
    ),
  );
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' }) + '\r\n';
}

export interface ReadRow {
  /** Line in the file, the heading being line 1. */
  row: number;
  name: string;
  family?: FamilyFields;
  /** Why the row cannot be imported. */
  problem?: string;
}

export type ReadCsv = { ok: true; rows: ReadRow[] } | { ok: false; problem: string };

const YES = new Set(['yes', 'y', 'true', '1', 'sí', 'si', 'x']);
const NO = new Set(['', 'no', 'n', 'false', '0']);

/** A language by its code or its name: "es", "Spanish" or "Español". */
function languageOf(text: string): Language | undefined {
  const wanted = text.trim().toLowerCase();
  return (Object.keys(LANGUAGES) as Language[]).find((code) =>
    [code, LANGUAGES[code].name.toLowerCase(), LANGUAGES[code].own.toLowerCase()].includes(wanted),
  );
}

/** Reads a file, row by row; a row that is not right says why and leaves the others alone. */
export function familiesFromCsv(text: string, existing: readonly string[]): ReadCsv {
  if (text.includes('\u0000'))
    return { ok: false, problem: 'This is not a text file. Save the list as CSV and choose it again.' };
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim(),
  });
  const headings = parsed.meta.fields ?? [];
  const missing = (['name', 'language'] as const).filter((column) => !headings.includes(column));
  if (missing.length)
    return {
      ok: false,
      problem: `The first line must name the columns. Missing: ${missing.join(', ')}. Known columns: ${COLUMNS.join(', ')}.`,
    };
  if (parsed.data.length === 0) return { ok: false, problem: 'There are no families below the first line.' };
  if (parsed.data.length > MAX_ROWS)
    return {
      ok: false,
      problem: `The file has ${parsed.data.length} rows; up to ${MAX_ROWS} are read at once. Split it and import the parts.`,
    };
  const taken = new Map(existing.map((name) => [sameName(name), 0]));
  const rows = parsed.data.map((cells, i): ReadRow => {
    const row = i + 2;
    const cell = (column: (typeof COLUMNS)[number]): string => fromCell((cells[column] ?? '').trim());
    const name = cell('name');
    const fault = parsed.errors.find((error) => error.row === i);
    if (fault)
      return {
        row,
        name,
        problem:
          fault.code === 'TooManyFields' || fault.code === 'TooFewFields'
            ? `This line has ${fault.code === 'TooManyFields' ? 'more' : 'fewer'} cells than the first one.`
            : `This line cannot be read: ${fault.message}.`,
      };
    const language = languageOf(cell('language'));
    if (!language)
      return {
        row,
        name,
        problem: `“${cell('language')}” is not one of the languages: ${Object.values(LANGUAGES)
          .map((one) => one.name)
          .join(', ')}.`,
      };
    const under = cell('underThree').toLowerCase();
    if (!YES.has(under) && !NO.has(under))
      return { row, name, problem: `“${cell('underThree')}” under underThree is neither yes nor no.` };
    const checked = checkForm(familySchema, {
      name,
      language,
      reach: cell('reach'),
      underThree: YES.has(under),
      allergens: cell('allergens'),
    });
    if (!checked.ok) return { row, name, problem: Object.values(checked.errors).join(' ') };
    const same = taken.get(sameName(name));
    if (same !== undefined)
      return {
        row,
        name,
        problem:
          same === 0 ? 'A family of this name is there already.' : `The same name stands in line ${same}.`,
      };
    taken.set(sameName(name), row);
    return { row, name, family: checked.value };
  });
  return { ok: true, rows };
}
