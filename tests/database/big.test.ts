/** The large district that pages are measured on is one that the database takes. */
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { fillBig } from '~/data/demo/big';
import { loadDemoWhenEmpty } from '~/data/demo/load';
import { closeDatabase, ownerUrl } from '~/data/pools';
import { hashPassword } from '~/server/people/password';
import { emptyDatabase } from '../world';

let client: pg.Client;
beforeAll(async () => {
  await emptyDatabase();
  await loadDemoWhenEmpty(hashPassword);
  client = new pg.Client({ connectionString: ownerUrl() });
  await client.connect();
}, 120_000);
afterAll(async () => {
  await client.end();
  await closeDatabase();
});

it('is filled with so many schools, families, loans and answers', async () => {
  const count = async (what: string): Promise<number> =>
    (await client.query<{ count: number }>(`select count(*)::int as count from ${what}`)).rows[0]!.count;
  const before = { families: await count('family'), loans: await count('loan') };
  const first = await fillBig(client, { schools: 4, families: 40, copies: 40, loans: 300, answers: 120 });
  expect(await count('school')).toBe(4);
  expect((await count('family')) - before.families).toBe(40);
  expect((await count('loan')) - before.loans).toBe(300);
  // No bag is out twice, and nobody is in two schools.
  expect(
    await count('(select from loan where closed_as is null group by copy_id having count(*) > 1) twice'),
  ).toBe(0);
  expect(await count(`loan where school_id = '${first}'`)).toBeGreaterThan(200);
});
