/** Many hands at the same time: lending, taking back and undoing; forms sent again and again. */
import { everything } from '../owner';
import { sql } from 'drizzle-orm';
import { seeded } from '~/core/chance/random';

import { listCopies } from '~/data/queries/copies';
import { many, type Field, type Row } from './field';

/** Lends, takes back, undoes and mends from both servers at once; afterwards the books must agree with what was said. */
export async function lendingRaces(field: Field, size: number): Promise<Row> {
  const { copies, families } = await field.begin();
  const desks = [await field.visitor('Helper', 0), await field.visitor('Coordinator', 1)];
  const random = seeded(21);
  const lost: string[] = [];
  const lent: string[] = [];
  let refused = 0;
  const open = async (): Promise<{ id: string; copy_id: string }[]> =>
    (
      await everything().execute<{ id: string; copy_id: string }>(
        sql`select id, copy_id from loan where closed_as is null`,
      )
    ).rows;
  const closed = async (): Promise<string[]> =>
    (
      await everything().execute<{ id: string }>(
        sql`select id from loan where closed_as = 'returned' order by returned_on desc limit 5`,
      )
    ).rows.map((row) => row.id);
  const pickOf = <T>(list: readonly T[]): T | undefined =>
    list.length ? list[random.whole(0, list.length - 1)] : undefined;
  await many(size, 24, async (i) => {
    const desk = desks[i % 2]!;
    const kind = random.whole(0, 5);
    const copy = pickOf(copies)!;
    let answer;
    if (kind <= 1)
      answer = await desk.post('/lend', {
        copy: copy.id,
        family: pickOf(families)!.id,
        dueOn: new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10),
      });
    else if (kind === 2) {
      const loan = pickOf(await open());
      if (!loan) return;
      answer = await desk.post(`/take-back/${loan.id}`, {
        ...Object.fromEntries(copies[0]!.parts.map((part) => [part.material, String(part.quantity)])),
        'two-colour-counter': String(random.whole(3, 6)),
      });
    } else if (kind === 3) {
      const loan = pickOf(await closed());
      if (!loan) return;
      answer = await desk.post('/take-back', { loan });
    } else if (kind === 4) {
      const loan = pickOf(await open());
      if (!loan) return;
      answer = await desk.post('/lend', { intent: 'undo', loan: loan.id });
    } else
      answer = await desks[1]!.post('/look-back', {
        copy: copy.id,
        intent: random.chance(0.5) ? 'mend' : 'undo',
      });
    if (answer.status >= 500) lost.push(`${answer.status} for kind ${kind}`);
    if (answer.status >= 400 && answer.status < 500) refused++;
    const loanId = /lent=([0-9a-f-]{36})/.exec(answer.location ?? '')?.[1];
    if (loanId) lent.push(loanId);
  });
  const { rows: double } = await everything().execute(
    sql`select copy_id from loan where closed_as is null group by copy_id having count(*) > 1`,
  );
  if (double.length) lost.push(`${double.length} copies are lent twice`);
  const { rows } = await everything().execute<{ id: string }>(sql`select id from loan`);
  const known = new Set(rows.map((row) => row.id));
  for (const id of lent) if (!known.has(id)) lost.push(`loan ${id} was acknowledged and is not there`);
  // What is written of each loan ends as the loan itself does.
  const { rows: odd } = await everything().execute(sql`
    select l.id from loan l
    cross join lateral (select kind from loan_event e where e.loan_id = l.id and kind <> 'dueChanged' order by serial desc limit 1) last
    where (l.closed_as is null) <> (last.kind in ('lent', 'reopened'))`);
  if (odd.length) lost.push(`${odd.length} loans are not as their last event says`);
  return { what: 'lending, taking back, undoing, mending at once', tried: size, refused, lost };
}

/** One form sent many times at once, at both servers: built once. */
export async function sentAgain(field: Field, size: number): Promise<Row> {
  const { kitId } = await field.begin();
  const desk = await field.visitor('Coordinator');
  const fields = await desk.form(`/fill/${kitId}`, 'copies');
  const there = (await listCopies(field.world.at, { kitId })).length;
  const answers = await many(size, size, (i) =>
    desk.at(field.servers[i % 2]!.address).post(`/fill/${kitId}`, { ...fields, copies: '2' }),
  );
  const lost = answers.filter(({ status }) => status !== 302).map(({ status }) => `answered ${status}`);
  const built = (await listCopies(field.world.at, { kitId })).length - there;
  if (built !== 2) lost.push(`${built} copies were built in place of 2`);
  return { what: 'one form of building sent again and again', tried: size, lost };
}

/** A variant put away while it is put into a kit, many times: never is one in a kit that was put away. */
export async function archivingWhileAdding(field: Field, size: number): Promise<Row> {
  await field.begin();
  const desk = await field.visitor('Coordinator');
  const other = desk.at(field.servers[1]!.address);
  const params = { counters: 6 };
  let refused = 0;
  for (let i = 0; i < size; i++) {
    const saved = await desk.post('/choose/two-tone-spill', {
      name: `Variant ${i}`,
      ageBand: 'g1',
      params: JSON.stringify(params),
    });
    const id = /variant=([0-9a-f-]{36})/.exec(saved.location ?? '')?.[1];
    if (!id) return { what: 'putting away while adding', tried: i, lost: [`no variant: ${saved.status}`] };
    const answers = await Promise.all([
      desk.post('/choose/two-tone-spill', { intent: 'archive', variant: id }),
      other.post('/fill/new', {
        name: `Kit ${i}`,
        ageBand: 'g1',
        players: '2',
        paper: 'a4',
        assurance: 'usual',
        variantIds: id,
      }),
    ]);
    refused += answers.filter(({ status }) => status === 409).length;
  }
  const { rows } = await everything().execute(
    sql`select v.name from variant v join kit_variant kv on kv.variant_id = v.id where v.archived_at is not null`,
  );
  return {
    what: 'putting a variant away while it is put into a kit',
    tried: size,
    refused,
    lost: rows.map((row) => `${String(row.name)} is put away and in a kit`),
  };
}
