/**
 * What a school has settled changes seldom and is read by every page: its materials, rules, calendar, wording, kits and
 * what they are made of. Each change of one of these tables adds a row to `settled_change` in its own transaction (by
 * triggers), and a request learns with the session or the link how many there are: under that stamp what was read is kept
 * by this process, and is exactly what another look would find.
 */
import { LRUCache } from 'lru-cache';

/** The tables whose changes are counted; a migration lays their triggers. `school` counts where one school is read. */
export const SETTLED = [
  'build_run',
  'calendar_entry',
  'class_day',
  'copy',
  'family',
  'keeping_rule',
  'kit',
  'kit_variant',
  'lending_rule',
  'line_voice',
  'own_game',
  'person',
  'reader_link',
  'school_calendar',
  'school_material',
  'stock_item',
  'theme',
  'variant',
  'wording_check',
  'wording_line',
] as const;

const settled = new Set<string>(SETTLED);
/** What depends on more than its tables, or does more than read them. */
const MORE =
  /\bnow\(|\bcurrent_|\bclock_timestamp\b|\brandom\b|\bnextval\b|\bset_config\b|\badvisory|\bschool_of_|\bfor (?:update|share|no key)\b|\bwith\b/i;
const OWN_SCHOOL = /^select [^()]*\bfrom "school" where "school"\."id" = \$1$/;

const known = new LRUCache<string, boolean>({ max: 2000 });

/** Whether a query reads nothing but what is settled. */
export function isSettled(text: string): boolean {
  const before = known.get(text);
  if (before !== undefined) return before;
  const tables = [...text.matchAll(/\b(?:from|join)\s+"?([a-z_]\w*)"?/gi)].map(([, name]) => name!);
  const found =
    OWN_SCHOOL.test(text) ||
    (tables.length > 0 &&
      tables.every((name) => settled.has(name)) &&
      !MORE.test(text) &&
      // A list of tables, of which only the first was looked at.
      !/\bfrom\s+"?\w+"?(?:\s+\w+)?\s*,/i.test(text));
  known.set(text, found);
  return found;
}

const CHANGES = new RegExp(`\\b(?:${SETTLED.join('|')}|school)\\b`);
/** Whether a statement that changes something may change what is settled. */
export const unsettles = (text: string): boolean => CHANGES.test(text);

interface Answer {
  rows: unknown[];
  rowCount?: number | null | undefined;
}

/** So much of it is kept, counted in signs; an answer without rows takes its place too. */
const MOST = 48_000_000;
const MOST_OF_ONE = 2_000_000;
const LEAST = 500;
/** The last answer to each question, and the stamp under which it is true: what was true before is of no use any more. */
const answers = new LRUCache<string, { stamp: string; answer: Answer }>({ maxSize: MOST, ttl: 3_600_000 });

/** Nobody changes what others are given as well. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value) && !(value instanceof Date)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}

/** The rows of an answer as lists and rows of one's own; what stands in their columns is shared. */
export const ownRows = <T extends Answer>(answer: T): T => ({
  ...answer,
  rows: answer.rows.map((row) => (Array.isArray(row) ? [...(row as unknown[])] : { ...(row as object) })),
});

/** What a query of a school finds (`key` names both); what was found under its stamp before is not asked for again. */
export async function underStamp(stamp: string, key: string, look: () => Promise<unknown>): Promise<unknown> {
  const before = answers.get(key);
  if (before?.stamp === stamp) return before.answer;
  const { rows, rowCount } = (await look()) as Answer;
  // What the driver says of the columns is not kept.
  const answer: Answer = { rows, rowCount };
  // Sounds and pictures are too large to be kept.
  if (rows.some((row) => Object.values(row as object).some(ArrayBuffer.isView))) return answer;
  const size = JSON.stringify(rows).length + key.length + LEAST;
  if (size <= MOST_OF_ONE) {
    rows.forEach((row) => Object.values(row as object).forEach(frozen));
    answers.set(key, { stamp, answer }, { size });
  }
  return answer;
}
