/** Families to and from CSV (RFC 4180). What is exported imports again to the same. */
import { checkFamily, sameName, type FamilyFields } from '~/core/lending/families';
import { aboutLanguage, languageNamed, SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';
import { readRows, writeRows } from '../csv';

const COLUMNS = [
  'name',
  'language',
  'speaks',
  'children',
  'group',
  'reach',
  'channel',
  'weekly',
  'underThree',
  'allergens',
  'pictures',
] as const;
/** So many characters of what stands in a file are shown again. */
const MOST_SHOWN = 80;
/** Columns that say yes or no. */
const YES_NO = ['underThree', 'weekly', 'pictures'] as const;
type YesNo = (typeof YES_NO)[number];
const isYesNo = (column: string): column is YesNo => YES_NO.some((one) => one === column);

export const familiesToCsv = (families: readonly FamilyFields[]): string =>
  writeRows(
    COLUMNS,
    families.map((family) =>
      COLUMNS.map((column) =>
        isYesNo(column)
          ? family[column]
            ? 'yes'
            : 'no'
          : column === 'children'
            ? family.children.replaceAll('\n', '; ')
            : family[column],
      ),
    ),
  );

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

/** Reads a file, row by row; a row that is not right says why and leaves the others alone. */
export function familiesFromCsv(
  text: string,
  existing: readonly string[],
  languages: readonly Language[] = SHIPPED_LANGUAGES,
): ReadCsv {
  const read = readRows(text, { columns: COLUMNS, needed: ['name', 'language'], listOf: 'families' });
  if (!read.ok) return read;
  const taken = new Map(existing.map((name) => [sameName(name), 0]));
  const rows = read.rows.map(({ row, cell, fault }): ReadRow => {
    const whole = cell('name');
    // What is shown of a row; a name that is too long is refused below.
    const name = whole.slice(0, MOST_SHOWN);
    if (fault) return { row, name, problem: fault };
    // A language by its tag or its name: "es", "Spanish" or "Español".
    const language = languageNamed(cell('language'))?.tag;
    if (!language || !languages.includes(language))
      return {
        row,
        name,
        problem: `“${cell('language').slice(0, MOST_SHOWN)}” is not one of the languages of your school: ${languages
          .map((one) => aboutLanguage(one).name)
          .join(', ')}.`,
      };
    const yes = (column: YesNo): boolean => YES.has(cell(column).toLowerCase());
    const unclear = YES_NO.find((column) => !yes(column) && !NO.has(cell(column).toLowerCase()));
    if (unclear)
      return {
        row,
        name,
        problem: `“${cell(unclear).slice(0, MOST_SHOWN)}” under ${unclear} is neither yes nor no.`,
      };
    const channel = cell('channel').toLowerCase();
    const checked = checkFamily({
      name: whole,
      language,
      speaks: cell('speaks'),
      children: cell('children'),
      group: cell('group'),
      reach: cell('reach'),
      // A list of the time before has no such column.
      ...(channel ? { channel } : {}),
      weekly: yes('weekly'),
      underThree: yes('underThree'),
      allergens: cell('allergens'),
      pictures: yes('pictures'),
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
