import pino from 'pino';

/** Parts of an address that open something: whoever reads a log must not be able to use them. */
export const withoutKeys = (path: string): string =>
  path.replace(/\/(p|a|in|new-password|read)\/[^/?#]+/g, '/$1/…').split(/[?#]/, 1)[0]!;

interface Told {
  type: string;
  code?: string | undefined;
  constraint?: string | undefined;
  table?: string | undefined;
  statement?: string | undefined;
  stack: string[];
  cause?: Told;
}

/**
 * An error without what it was about: the values of a statement hold names, phone numbers, answers and hashes, and
 * PostgreSQL repeats them in its messages. Kind, code, place and statement are enough to find the cause.
 */
export function tellError(error: unknown, depth = 0): Told {
  if (!(error instanceof Error)) return { type: typeof error, stack: [] };
  const { code, constraint, table } = error as Error & Record<'code' | 'constraint' | 'table', unknown>;
  const text = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);
  const statement = /^Failed query: ([^]*?)(\nparams:|$)/.exec(error.message)?.[1];
  const ours = !statement && code === undefined && !('severity' in error);
  return {
    type: ours ? `${error.name}: ${error.message.slice(0, 300)}` : error.name,
    code: text(code),
    constraint: text(constraint),
    table: text(table),
    // Statements carry $1, $2 … where the values stood; literals are cut to be sure.
    statement: statement?.replace(/'(?:[^']|'')*'/g, "'…'").slice(0, 1000),
    stack: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .map((line) => line.trim())
      .slice(0, 12),
    ...(error.cause && depth < 3 ? { cause: tellError(error.cause, depth + 1) } : {}),
  };
}

/** Structured lines on standard error, one JSON object each. */
export const log = pino(
  {
    level: process.env.LOG_LEVEL ?? 'warn',
    serializers: { err: (error: unknown) => tellError(error) },
    redact: {
      paths: [
        'password',
        'again',
        'reach',
        'phone',
        'token',
        'linkKey',
        'cookie',
        'authorization',
        '*.password',
        '*.reach',
        '*.cookie',
      ],
      censor: '…',
    },
  },
  pino.destination(2),
);
