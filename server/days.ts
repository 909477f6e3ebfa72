import { parseDate } from '@internationalized/date';

/** A calendar day from a form ("2026-03-01"), or undefined when it is not one. */
export function readDay(value: FormDataEntryValue | null): string | undefined {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(value)) return undefined;
  try {
    return parseDate(value).toString() === value ? value : undefined;
  } catch {
    return undefined;
  }
}
