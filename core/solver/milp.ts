/**
 * Mixed-integer linear programmes, solved exactly by HiGHS: what is to be made as large or as small as possible under
 * linear conditions, where some numbers are whole.
 */
import load from 'highs';

/** A sum of variables, each times a number. */
export type Terms = ReadonlyMap<string, number>;

export interface Condition {
  terms: Terms;
  is: '<=' | '>=' | '=';
  bound: number;
}

export interface Programme {
  direction: 'max' | 'min';
  aim: Terms;
  conditions: readonly Condition[];
  /** Whole numbers from 0 to these bounds. */
  whole: ReadonlyMap<string, number>;
}

export type Solved =
  | { status: 'optimal'; values: ReadonlyMap<string, number>; aim: number }
  | { status: 'infeasible' }
  /** The time was over: the best that was found, or nothing yet. */
  | { status: 'late'; values?: ReadonlyMap<string, number>; aim?: number };
export type Proved = Exclude<Solved, { status: 'late' }>;

type Solver = Awaited<ReturnType<typeof load>>;
let loading: Promise<Solver> | undefined;
const solver = (): Promise<Solver> => (loading ??= load());

/** No gap is left: the best there is, not nearly the best. */
const EXACT = { mip_rel_gap: 0, mip_feasibility_tolerance: 1e-9, output_flag: false };

/** A number as the LP format reads it. */
const text = (n: number): string => {
  if (!Number.isFinite(n)) throw new RangeError(`terms: ${n} is no number`);
  const plain = String(n);
  return /e/i.test(plain) ? n.toFixed(15) : plain;
};
/** Terms in a few lines: the format takes no line of more than some hundred characters. */
function sum(terms: Terms, names: ReadonlyMap<string, string>): string {
  const parts = [...terms]
    .filter(([, factor]) => factor !== 0)
    .map(([name, factor]) => `${factor < 0 ? '-' : '+'} ${text(Math.abs(factor))} ${names.get(name)!}`);
  const lines: string[] = [];
  for (let i = 0; i < parts.length; i += 8) lines.push(parts.slice(i, i + 8).join(' '));
  return lines.join('\n ');
}

/** Whether values keep all conditions; such that are no numbers do not. */
const keeps = (conditions: readonly Condition[], values: ReadonlyMap<string, number>): boolean =>
  conditions.every(({ terms, is, bound }) => {
    const value = valueOf(terms, values);
    return is === '<='
      ? value <= bound + 1e-6
      : is === '>='
        ? value >= bound - 1e-6
        : Math.abs(value - bound) <= 1e-6;
  });

/** The value of a sum of variables. */
export const valueOf = (terms: Terms, values: ReadonlyMap<string, number>): number =>
  [...terms].reduce((total, [name, factor]) => total + factor * (values.get(name) ?? 0), 0);

/**
 * Solves a programme. Throws RangeError for a variable that has no bound, for what HiGHS gives as whole and is not, and
 * where the best cannot be proved within the `seconds`.
 */
export async function solve(programme: Programme, seconds = 30): Promise<Proved> {
  const found = await solveFor(programme, seconds);
  if (found.status === 'late') throw new RangeError('programme: the best cannot be proved in time');
  return found;
}

/** The same, where the best that was found in time will do. */
export async function solveFor(programme: Programme, seconds: number): Promise<Solved> {
  const { direction, aim, conditions, whole } = programme;
  // A programme without variables has one answer.
  if (whole.size === 0)
    return conditions.every(({ is, bound }) =>
      is === '<=' ? 0 <= bound : is === '>=' ? 0 >= bound : bound === 0,
    )
      ? { status: 'optimal', values: new Map(), aim: 0 }
      : { status: 'infeasible' };
  const names = new Map([...whole.keys()].map((name, i) => [name, `x${i}`]));
  for (const terms of [aim, ...conditions.map((one) => one.terms)])
    for (const name of terms.keys())
      if (!names.has(name)) throw new RangeError(`terms: "${name}" has no bound`);
  const first = names.values().next().value!;
  const told = conditions.filter(({ terms }) => [...terms.values()].some((factor) => factor !== 0));
  const empty = conditions.filter((one) => !told.includes(one));
  if (empty.some(({ is, bound }) => (is === '<=' ? bound < 0 : is === '>=' ? bound > 0 : bound !== 0)))
    return { status: 'infeasible' };
  const model = [
    direction === 'max' ? 'Maximize' : 'Minimize',
    ` obj: ${sum(aim, names) || `+ 0 ${first}`}`,
    'Subject To',
    ...told.map(({ terms, is, bound }, i) => ` c${i}: ${sum(terms, names)} ${is} ${text(bound)}`),
    // The format wants a condition.
    ` all: + 1 ${first} >= 0`,
    'Bounds',
    ...[...whole].map(([name, most]) => ` 0 <= ${names.get(name)!} <= ${text(most)}`),
    'General',
    ...[...names.values()].map((name) => ` ${name}`),
    'End',
  ].join('\n');
  const highs = await solver();
  // Where the aim is a whole number, nothing better hides in less than one.
  const stepped = [...aim.values()].every(Number.isInteger);
  const found = highs.solve(model, { ...EXACT, mip_abs_gap: stepped ? 0.999 : 1e-9, time_limit: seconds });
  if (found.Status === 'Infeasible') return { status: 'infeasible' };
  const late = found.Status === 'Time limit reached';
  if (found.Status !== 'Optimal' && !late)
    throw new RangeError(`programme: the solver says "${found.Status}"`);
  const values = new Map(
    [...names].map(([name, short]) => {
      const column = found.Columns[short] as { Primal?: number } | undefined;
      const value = column?.Primal ?? Number.NaN;
      // Nothing is nothing, without a sign.
      const near = Math.round(value) + 0;
      if (!(Math.abs(value - near) < 1e-4)) {
        if (late) return [name, Number.NaN] as const;
        throw new RangeError(`programme: no whole number for ${name}`);
      }
      return [name, near] as const;
    }),
  );
  if (late)
    return keeps(conditions, values)
      ? { status: 'late', values, aim: valueOf(aim, values) }
      : { status: 'late' };
  return { status: 'optimal', values, aim: valueOf(aim, values) };
}
