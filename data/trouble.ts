/** What went wrong with the database, told from its errors: by their code, else by the words of the driver. */

/** An error and what it was caused by, the outermost first. */
function* causes(error: unknown): Generator<Error & { code?: string; constraint?: string }> {
  for (let at: unknown = error; at instanceof Error; at = at.cause) yield at;
}

/** The five characters by which PostgreSQL tells what went wrong, when it did. */
export function sqlState(error: unknown): string | undefined {
  for (const { code } of causes(error)) if (code && /^[0-9A-Z]{5}$/.test(code)) return code;
  return undefined;
}

/** The name of the unique or check constraint that refused a change, or undefined for any other error. */
export function refusedBy(error: unknown): string | undefined {
  for (const { code, constraint } of causes(error))
    if (code === '23505' || code === '23514') return constraint;
  return undefined;
}

/** Does `work`; answers undefined when this unique constraint refused it, such as a name that is taken. */
export async function unlessTaken<T>(constraint: string, work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch (error) {
    if (refusedBy(error) === constraint) return undefined;
    throw error;
  }
}

/** `away`: nobody answers; `busy`: no answer in time; `empty`: there is no schema yet, or an older one. */
export type DatabaseTrouble = 'away' | 'busy' | 'empty';

const NETWORK = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EAI_AGAIN',
  'EHOSTUNREACH',
  'ENETUNREACH',
]);
// The driver tells of these in words only.
const LOST = /connection terminated|not queryable|connection is closed/i;
const LATE = /query read timeout|timeout exceeded when trying to connect/i;

const READ_ONLY = '25006';
/** Whether something was not written because the database only reads now. */
export const onlyReads = (error: unknown): boolean => sqlState(error) === READ_ONLY;

/** What is the matter with the database, when that is why something failed. */
export function databaseTrouble(error: unknown): DatabaseTrouble | undefined {
  for (const at of causes(error)) {
    const code = at.code ?? '';
    // A database that only reads, as for a while after a switch of machines, is away for whoever writes.
    if (NETWORK.has(code) || /^(08|57P|58|XX)/.test(code) || code === READ_ONLY || LOST.test(at.message))
      return 'away';
    if (/^53/.test(code) || code === '57014' || code === '55P03' || code === '25P03' || LATE.test(at.message))
      return 'busy';
    if (['42P01', '42703', '3D000', '3F000', '42501'].includes(code)) return 'empty';
    if (at instanceof AggregateError && at.errors.some((one) => databaseTrouble(one))) return 'away';
  }
  return undefined;
}

/** Whether the database refused a statement because it is going away, or only reads: it was not begun. */
export const notBegun = (error: unknown): boolean => /^57P0[123]$|^25006$/.test(sqlState(error) ?? '');
