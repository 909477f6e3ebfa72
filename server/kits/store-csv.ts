/** The store to and from CSV (RFC 4180). What is exported imports again to the same. */
import { checkForm } from '~/core/check/check';
import { countSchema, placeSchema, storable } from '~/core/kits/store';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import type { Brought, StockItem } from '~/data/queries/store';
import { readRows, writeRows } from '../csv';

const COLUMNS = ['material', 'onHand', 'place', 'reorderAt'] as const;

export const storeToCsv = (items: readonly StockItem[]): string =>
  writeRows(
    COLUMNS,
    items.map(({ material, onHand, place, reorderAt }) => [
      material,
      onHand === null ? '' : String(onHand),
      place,
      String(reorderAt),
    ]),
  );

export interface StoreRow {
  /** Line in the file, the heading being line 1. */
  row: number;
  material: string;
  item?: Brought;
  problem?: string;
}
export type ReadStore = { ok: true; rows: StoreRow[] } | { ok: false; problem: string };

/** A part by its id or by its name, in singular or plural. */
function materialOfText(text: string, catalogue: Catalogue): string | undefined {
  const wanted = text.trim().toLowerCase();
  return storable(catalogue).find(({ id, name, plural }) =>
    [id, name.toLowerCase(), plural.toLowerCase()].includes(wanted),
  )?.id;
}

/** Reads a file, row by row; a row that is not right says why and leaves the others alone. */
export function storeFromCsv(text: string, catalogue: Catalogue = SHIPPED): ReadStore {
  const read = readRows(text, { columns: COLUMNS, needed: ['material', 'onHand'], listOf: 'parts' });
  if (!read.ok) return read;
  const seen = new Map<string, number>();
  const rows = read.rows.map(({ row, cell, fault }): StoreRow => {
    const named = cell('material');
    const refuse = (problem: string): StoreRow => ({ row, material: named.slice(0, 60), problem });
    if (fault) return refuse(fault);
    const material = materialOfText(named, catalogue);
    if (!material) return refuse('There is no such part. Use a name such as “connecting cubes”, or its id.');
    const before = seen.get(material);
    if (before) return refuse(`The same part stands in line ${before}.`);
    const stands = checkForm(placeSchema, { place: cell('place'), reorderAt: cell('reorderAt') });
    if (!stands.ok) return refuse(Object.values(stands.errors).join(' '));
    const counted = cell('onHand') === '' ? undefined : checkForm(countSchema, { counted: cell('onHand') });
    if (counted && !counted.ok) return refuse(Object.values(counted.errors).join(' '));
    seen.set(material, row);
    return {
      row,
      material,
      item: {
        material,
        onHand: counted?.value.counted ?? null,
        ...(read.headings.has('place') && { place: stands.value.place }),
        ...(read.headings.has('reorderAt') && { reorderAt: stands.value.reorderAt }),
      },
    };
  });
  return { ok: true, rows };
}
