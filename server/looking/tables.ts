/** Every table of looking back as a file: a line of headings and the rows below it. */
import { VIEWS, type GroupShare, type View } from '~/core/looking/reached';
import type { Period } from '~/core/looking/period';
import type { SchoolHandle } from '~/data/db';
import { writeRows } from '../csv';
import { correctionOf, schoolWords } from '../listening/levels';
import { copiesIn, playedIn, reachedIn, wearIn } from './figures';

interface Sheet {
  columns: readonly string[];
  rows: (string | number | null | undefined)[][];
}
const short = (n: number | undefined): string =>
  n === undefined ? '' : String(Math.round(n * 10_000) / 10_000);

const shares = (measure: string, list: readonly GroupShare[]): Sheet['rows'] =>
  list.map(({ label, n, of, share, low, high }) => [
    measure,
    label,
    n,
    of,
    short(share),
    short(low),
    short(high),
  ]);
const SHARES = ['measure', 'group', 'families', 'of', 'share', 'low', 'high'];

const reachedBy =
  (by: View) =>
  async (at: SchoolHandle, period: Period): Promise<Sheet> => {
    const found = (await reachedIn(at, period)).by[by];
    return {
      columns: SHARES,
      rows: [
        ...shares('had a bag', found.reached.shares),
        ...shares('told how it went', found.answered.shares),
        ...shares('had a bag again', found.again.shares),
      ],
    };
  };

type Table = (at: SchoolHandle, period: Period, termEnds: string | undefined) => Promise<Sheet>;
const TABLES: Readonly<Record<string, Table>> = {
  ...Object.fromEntries(
    (Object.keys(VIEWS) as View[]).map((by): [string, Table] => [`reached-${by}`, reachedBy(by)]),
  ),
  wear: async (at, period) => ({
    columns: ['part', 'lost', 'loans', 'perLoan', 'low', 'high', 'spares', 'lostCents', 'bagsCents'],
    rows: (await wearIn(at, period)).parts.map((one) => [
      one.name,
      one.lost,
      one.loans,
      short(one.perLoan),
      short(one.low),
      short(one.high),
      one.spares,
      one.lostCents,
      one.bagsCents,
    ]),
  }),
  'wear-kits': async (at, period) => ({
    columns: ['kit', 'lost', 'loans', 'perLoan', 'cents', 'what'],
    rows: (await wearIn(at, period)).kits.map((one) => [
      one.name,
      one.lost,
      one.loans,
      short(one.perLoan),
      one.cents,
      one.parts.join('; '),
    ]),
  }),
  copies: async (at, period, termEnds) => ({
    columns: ['kit', 'copies', 'asksPerWeek', 'weeksOut', 'chanceNoneHome', 'copiesNeeded', 'fewest', 'most'],
    rows: (await copiesIn(at, period, termEnds)).kits.map((one) => [
      one.name,
      one.copies,
      short(one.asksPerWeek),
      short(one.weeksOut),
      short(one.chanceNoneHome),
      one.copiesNeeded,
      one.fewest,
      one.most,
    ]),
  }),
  stock: async (at, period, termEnds) => ({
    columns: ['part', 'onHand', 'left', 'low', 'high', 'short', 'packs', 'costCents'],
    rows: (await copiesIn(at, period, termEnds)).stock.map((one) => [
      one.name,
      one.onHand,
      one.left,
      one.low,
      one.high,
      one.short,
      one.packs.join('; '),
      one.costCents,
    ]),
  }),
  play: async (at, period) => ({
    columns: ['kit', 'loans', 'answers', 'playsPerLoan', 'minutesSaid', 'minutesReckoned', 'justRight', 'of'],
    rows: (await playedIn(at, period, false)).kits.map((one) => [
      one.name,
      one.loans,
      one.answers,
      short(one.playsPerLoan),
      one.minutesSaid,
      one.reckonedMinutes,
      one.right?.n,
      one.right?.of,
    ]),
  }),
  'wear-games': async (at, period) => ({
    columns: ['game', 'lost', 'loans', 'perLoan', 'low', 'high'],
    rows: (await wearIn(at, period)).games.map((one) => [
      one.name,
      one.lost,
      one.loans,
      short(one.perLoan),
      short(one.low),
      short(one.high),
    ]),
  }),
  // What follows from all answers is of no period; its days say when it was asked for.
  demands: async (at) => {
    const words = await schoolWords(at);
    return {
      columns: ['game', 'reckoned', 'moved', 'sd', 'answers', 'now'],
      rows: [...words.variants.values()].map(({ id, name }) => {
        const { shift, sd, answers } = correctionOf(words, id);
        return [
          name,
          short(words.demands.get(id)!.demand),
          short(shift),
          short(sd),
          answers,
          short(words.asks[id]),
        ];
      }),
    };
  },
  forecasts: async (at) => ({
    columns: ['from', 'to', 'said', 'answers', 'share', 'low', 'high'],
    rows: (await schoolWords(at)).meaning.tenths.map(({ from, to, said, answers, share, low, high }) => [
      from,
      short(to),
      short(said),
      answers,
      short(share),
      short(low),
      short(high),
    ]),
  }),
  'right-by-grade': async (at, period) => ({
    columns: ['grade', 'justRight', 'of', 'share', 'low', 'high'],
    rows: (await playedIn(at, period, false)).grades.map(({ label, n, of, share, low, high }) => [
      label,
      n,
      of,
      short(share),
      short(low),
      short(high),
    ]),
  }),
};

/** The table of this name as CSV; undefined where there is none. */
export async function tableCsv(
  at: SchoolHandle,
  name: string,
  period: Period,
  termEnds: string | undefined,
): Promise<string | undefined> {
  const table = Object.hasOwn(TABLES, name) ? TABLES[name] : undefined;
  if (!table) return undefined;
  const { columns, rows } = await table(at, period, termEnds);
  return writeRows(
    [...columns, 'from', 'to'],
    rows.map((cells) => [...cells.map((cell) => String(cell ?? '')), period.from, period.to]),
  );
}
