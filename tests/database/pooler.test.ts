/** A pooler that hands each transaction to another connection: nothing of one school comes to another. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate } from '~/data/migrate';
import { atSchool, databaseState, installation, transaction } from '~/data/db';
import { closeDatabase, databaseUrl, ownerUrl } from '~/data/pools';
import { createFamily, listFamilies } from '~/data/queries/families';
import { boundTo, makeSchool, schoolFields } from '~/data/queries/schools';
import { takeForm, formState } from '~/data/queries/sent';
import { ask, SEND, stopQueue } from '~/data/queue';
import { startPooler, type Pooler } from '~/scripts/lib/pooler';
import { many } from '../probe/field';
import { smallSchool, type SmallSchool } from '../world';

let pooler: Pooler;
let world: SmallSchool;
const straight = { server: databaseUrl(), owner: ownerUrl() };

beforeAll(async () => {
  world = await smallSchool();
  pooler = await startPooler([straight.server, straight.owner], 3);
  await closeDatabase();
  process.env.DATABASE_URL = pooler.through(straight.server);
  process.env.DATABASE_OWNER_URL = pooler.through(straight.owner);
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  process.env.DATABASE_URL = straight.server;
  process.env.DATABASE_OWNER_URL = straight.owner;
  await pooler.stop();
});

describe('through a pooler', () => {
  it('the database is ready, and brought to the newest form', async () => {
    await migrate();
    expect(await databaseState()).toBe('ready');
  });

  it('two schools that write and read at once never meet', async () => {
    const fields = { ...schoolFields(world.school), name: 'Ebb and Flow School' };
    const other = await makeSchool(world.at.districtId, fields, world.people.coordinator.id);
    const schools = [world.at, atSchool(boundTo(other!))];
    const before = await Promise.all(schools.map(async (at) => (await listFamilies(at)).length));
    await many(60, 20, async (i) => {
      const at = schools[i % 2]!;
      const name = `Family ${i} of ${i % 2}`;
      const family = { name, language: 'en' } as const;
      if (i % 3) await createFamily(at, family);
      else await transaction(at, (tx) => createFamily(tx, family));
      const seen = await listFamilies(at);
      expect(seen.some(({ name }) => name.endsWith(` of ${1 - (i % 2)}`))).toBe(false);
    });
    const after = await Promise.all(schools.map(async (at) => (await listFamilies(at)).length));
    expect(after).toEqual(before.map((count) => count + 30));
  });

  it('forms are taken once, jobs asked for, and what fails leaves nothing behind on the connection', async () => {
    expect(await takeForm('through the pooler')).toBe(true);
    expect(await takeForm('through the pooler')).toBe(false);
    expect(await formState('through the pooler')).toBe('begun');
    await ask(SEND, crypto.randomUUID(), {}, () => true);
    await many(12, 12, async (i) => {
      const failing = transaction(world.at, async (tx) => {
        await tx.execute(sql`select ${i}::int`);
        throw new Error('on purpose');
      });
      await expect(failing).rejects.toThrow('on purpose');
    });
    const { rows } = await installation().execute<{ school: string | null }>(
      sql`select nullif(current_setting('fern.school', true), '') as school`,
    );
    expect(rows).toEqual([{ school: null }]);
  });
});
