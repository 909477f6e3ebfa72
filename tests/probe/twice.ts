/** Every form that makes something, sent again: at once at both servers, and later at each of them. It is done once. */
import { sql } from 'drizzle-orm';
import { FORM_KEY } from '~/core/check/form-key';
import { everything } from '../owner';
import { lendOut } from '../world';
import type { Field, Row } from './field';
import type { Fields, Visitor } from './visitor';

/** These change with every request, whatever it does. */
const BESIDE = [
  'sent_form',
  'landed',
  'rate_limit',
  'session',
  'known_browser',
  'family_look',
  'loan_browser',
];

/** How many rows each table has. */
async function rowsNow(): Promise<Record<string, number>> {
  const { rows: tables } = await everything().execute<{ name: string }>(
    sql`select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  const counts: Record<string, number> = {};
  for (const { name } of tables.filter((one) => !BESIDE.includes(one.name))) {
    const { rows } = await everything().execute<{ n: number }>(
      sql`select count(*)::int as n from ${sql.identifier(name)}`,
    );
    counts[name] = rows[0]!.n;
  }
  return counts;
}

interface Making {
  page: string;
  /** A field by which the form is found. */
  by: string;
  more: Fields;
  /** How many rows of which table one sending makes. */
  makes: readonly [table: string, rows: number];
  /** It needs nobody who is signed in. */
  family?: boolean;
}

export async function formsTwice(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let tried = 0;
  for (let i = 0; i < size; i++) {
    const world = await field.begin();
    await lendOut(world, { lentOn: '2026-11-01', dueOn: '2027-06-01' });
    const desk = await field.visitor('Coordinator');
    const { linkKey } = world.copies[0]!;
    const makings: Making[] = [
      {
        page: '/lend/families/new',
        by: 'reach',
        more: { name: 'Family Tern', language: 'en' },
        makes: ['family', 1],
      },
      {
        page: '/word/readers',
        by: 'days',
        more: { reader: 'Ines', language: 'es', what: 'game two-tone-spill', days: '7' },
        makes: ['reader_link', 1],
      },
      {
        page: '/people',
        by: 'password',
        more: { name: 'Wil', role: 'helper', password: 'ferns by the quay' },
        makes: ['person', 1],
      },
      {
        page: '/lend/tables',
        by: 'onDay',
        more: { name: 'Family morning', onDay: '2026-12-10' },
        makes: ['gathering', 1],
      },
      {
        page: '/lend/calendar',
        by: 'kind',
        more: { kind: 'closed', name: 'Storm day', from: '2027-02-01', to: '2027-02-01' },
        makes: ['calendar_entry', 1],
      },
      {
        page: '/fill/store/pencil',
        by: 'quantity',
        more: { kind: 'bought', quantity: '12', note: '' },
        makes: ['stock_move', 1],
      },
      {
        page: '/fill/store/pencil',
        by: 'price',
        more: { name: 'Box of 12', size: '12', price: '2.40' },
        makes: ['stock_offer', 1],
      },
      {
        page: '/choose/two-tone-spill',
        by: 'params',
        more: { name: 'Eight', ageBand: 'g1', params: JSON.stringify({ counters: 8 }) },
        makes: ['variant', 1],
      },
      { page: `/fill/${world.kitId}`, by: 'copies', more: { copies: '2' }, makes: ['copy', 2] },
      {
        page: `/p/${linkKey}/answer`,
        by: 'loan',
        more: { children: '2', minutes: '10' },
        makes: ['answer', 1],
        family: true,
      },
    ];
    for (const one of makings)
      lost.push(...(await sentTwice(field, one.family ? field.stranger() : desk, one)));
    tried += makings.length;
  }
  return { what: 'forms sent again, at once and later, at both servers', tried, lost };
}

/** What is wrong after one form was sent five times. */
async function sentTwice(
  field: Field,
  visitor: Visitor,
  { page, by, more, makes: [table, rows] }: Making,
): Promise<string[]> {
  const fields: Fields = { ...(await visitor.form(page, by)), ...more };
  if (!fields[FORM_KEY]) return [`${page}: its form with "${by}" carries no key`];
  const [here, there] = field.servers.map(({ address }) => visitor.at(address));
  const before = await rowsNow();
  const answers = await Promise.all([here!, there!, here!].map((at) => at.post(page, fields)));
  const once = await rowsNow();
  answers.push(await there!.post(page, fields), await here!.post(page, fields));
  const wrong: string[] = [];
  const statuses = answers.map(({ status }) => status).join(' ');
  if (answers.some(({ status }) => status >= 400)) wrong.push(`${page} was refused: ${statuses}`);
  const made = once[table]! - before[table]!;
  if (made !== rows) wrong.push(`${page} made ${made} rows of ${table} in place of ${rows}: ${statuses}`);
  const later = await rowsNow();
  const again = Object.keys(later).filter((one) => later[one] !== once[one]);
  if (again.length) wrong.push(`${page} was done again later: ${again.join(', ')}`);
  const anew: Fields = { ...(await visitor.form(page, by)), ...more };
  if (anew[FORM_KEY] === fields[FORM_KEY]) wrong.push(`${page} has the same key after it was answered`);
  return wrong;
}
