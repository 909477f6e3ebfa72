/** Cells of CSV files (RFC 4180) that a spreadsheet opens without running anything. */

/** No list that is brought in is longer. */
export const MAX_CSV_BYTES = 1_000_000;

/**
 * Where a spreadsheet would begin a formula: at the start of a cell, and after a sign at which some of them cut a cell
 * in two (semicolon, comma, tab, bar, line end), blanks and quotes between. An apostrophe there makes it text.
 */
const FORMULA = /(^|[;,|\t\r\n])([\s"]*)('*)([=+\-@\uff1d\uff0b\uff0d\uff20])/g;
/** A cell that a spreadsheet would run as a formula gets an apostrophe, which `fromCell` takes off again. */
export const toCell = (text: string): string => text.replace(FORMULA, "$1$2'$3$4");
export const fromCell = (text: string): string =>
  // Longer than any field of ours: it is refused anyway.
  text.length > 2000
    ? text
    : text.replace(FORMULA, (all, sign: string, between: string, marks: string, first: string) =>
        marks ? `${sign}${between}${marks.slice(1)}${first}` : all,
      );

/** The text of a file, or undefined where it is not UTF-8. */
export async function readText(file: File): Promise<string | undefined> {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return undefined;
  }
}
