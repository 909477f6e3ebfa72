/** The store to and from CSV (RFC 4180). What is exported imports again to the same. */
import Papa from 'papaparse';
import { MOST_PIECES, storable } from '~/core/kits/store';
import type { StockItem } from '~/data/queries/store';
import { fromCell, toCell } from '../csv';

const COLUMNS = ['material', 'onHand', 'place', 'reorderAt'] as const;

export function storeToCsv(items: readonly StockItem[]): string {
  const rows = items.map(({ material, onHand, place, reorderAt }) => [
    material,
    onHand === null ? '' : String(onHand),
    toCell(place),
    String(reorderAt),
  ]);
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' }) + '\r\n';
}

export interface StoreRow {
  /** Line in the file, the heading being line 1. */
  row: number;
  material: string;
  item?: StockItem;
  problem?: string;
}
export type ReadStore = { ok: true; rows: StoreRow[] } | { ok: false; problem: string };

/** A part by its id or by its name, in singular or plural. */
function materialOfText(text: string): string | undefined {
  const wanted = text.trim().toLowerCase();
  return storable().find(({ id, name, plural }) =>
    [id, name.toLowerCase(), plural.toLowerCase()].includes(wanted),
  )?.id;
}

/** Reads a file, row by row; a row that is not right says why and leaves the others alone. */
export function storeFromCsv(text: string): ReadStore {
  if (text.includes('\u0000'))
    return { ok: false, problem: 'This is not a text file. Save the list as CSV and choose it again.' };
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim(),
  });
  const headings = parsed.meta.fields ?? [];
  const missing = (['material', 'onHand'] as const).filter((column) => !headings.includes(column));
  if (missing.length)
    return {
      ok: false,
      problem: `The first line must name the columns. Missing: ${missing.join(', ')}. Known columns: ${COLUMNS.join(', ')}.`,
    };
  if (parsed.data.length === 0) return { ok: false, problem: 'There are no parts below the first line.' };
  const seen = new Map<string, number>();
  const rows = parsed.data.map((cells, i): StoreRow => {
    const row = i + 2;
    const cell = (column: (typeof COLUMNS)[number]): string => fromCell((cells[column] ?? '').trim());
    const named = cell('material');
    const refuse = (problem: string): StoreRow => ({ row, material: named.slice(0, 60), problem });
    const material = materialOfText(named);
    if (!material) return refuse('There is no such part. Use a name such as “connecting cubes”, or its id.');
    const before = seen.get(material);
    if (before) return refuse(`The same part stands in line ${before}.`);
    const number = (column: 'onHand' | 'reorderAt'): number | null | undefined => {
      const said = cell(column);
      if (said === '') return null;
      return /^\d{1,6}$/.test(said) && Number(said) <= MOST_PIECES ? Number(said) : undefined;
    };
    const [onHand, reorderAt] = [number('onHand'), number('reorderAt')];
    if (onHand === undefined || reorderAt === undefined)
      return refuse(`A number is a whole one from 0 to ${MOST_PIECES}, or empty where nobody counted.`);
    if (cell('place').length > 80) return refuse('The place has room for 80 characters.');
    seen.set(material, row);
    return { row, material, item: { material, onHand, place: cell('place'), reorderAt: reorderAt ?? 0 } };
  });
  return { ok: true, rows };
}
