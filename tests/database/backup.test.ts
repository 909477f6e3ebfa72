/** Backups that only the holder of the key reads, and any moment since. */
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
  chownSync,
  chmodSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { databaseAt } from '~/data/address';
import { letServerIn, migrate } from '~/data/migrate';
import { closeDatabase, databaseUrl, ownerUrl } from '~/data/pools';
import { lastDaily } from '~/data/queries/daily';
import { createFamily, forgetFamily } from '~/data/queries/families';
import { account, ensureDatabase, startCluster, type Cluster } from '~/scripts/lib/postgres';
import { backupUrl, serverUrl, useDatabase } from '~/scripts/lib/url';
import { forgetAgain } from '~/server/backup/again';
import { BACKUP, onceToday } from '~/server/backup/daily';
import { backUp, newKey, restore } from '~/server/backup/dump';
import { copyCluster, keepNewestBases, restoreUntil } from '~/server/backup/moment';
import { BackupTrouble, isSealed } from '~/server/backup/tools';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let folder: string;
let keyFile: string;
let recipient: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fern-backups-'));
  keyFile = join(folder, 'key.txt');
  recipient = await newKey(keyFile);
  world = await smallSchool();
});
afterAll(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function admin<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}
const dropped = (name: string): Promise<unknown> =>
  admin(databaseAt(ownerUrl(), 'postgres'), (client) =>
    client.query(`drop database if exists ${name} with (force)`),
  );
const familiesIn = (url: string): Promise<string[]> =>
  admin(url, async (client) =>
    (await client.query<{ name: string }>('select name from family order by name')).rows.map(
      ({ name }) => name,
    ),
  );

describe('a backup', () => {
  it('is sealed: without its key nobody reads a word of it, with it all of it comes back', async () => {
    const { file, tables } = await backUp(backupUrl(ownerUrl()), join(folder, 'sealed'), { recipient });
    expect(file).toMatch(/\.dump\.age$/);
    expect(await isSealed(file)).toBe(true);
    const bytes = readFileSync(file);
    for (const { name } of world.families) expect(bytes.includes(name)).toBe(false);
    expect(readdirSync(join(folder, 'sealed'))).toHaveLength(1);
    await dropped('fern_unsealed');
    await expect(restore(file, ownerUrl(), { into: 'fern_unsealed' })).rejects.toThrow(/sealed.*--key/);
    const other = join(folder, 'other.txt');
    await newKey(other);
    await expect(restore(file, ownerUrl(), { into: 'fern_unsealed', keyFile: other })).rejects.toThrow(
      /cannot be opened with this key/,
    );
    await expect(restore(file, ownerUrl(), { into: 'fern_unsealed', keyFile: file })).rejects.toThrow(
      /holds no key/,
    );
    const back = await restore(file, ownerUrl(), { into: 'fern_unsealed', keyFile });
    expect(back.tables).toBe(tables);
    expect(await familiesIn(databaseAt(ownerUrl(), 'fern_unsealed'))).toEqual(await familiesIn(ownerUrl()));
    await dropped('fern_unsealed');
  });

  it('that is cut or changed on its way is no backup', async () => {
    const { file } = await backUp(backupUrl(ownerUrl()), join(folder, 'cut'), { recipient });
    const whole = readFileSync(file);
    for (const [i, bytes] of [
      whole.subarray(0, whole.length - 1),
      whole.subarray(0, Math.floor(whole.length / 2)),
      Buffer.concat([whole.subarray(0, 5000), Buffer.from([whole[5000]! ^ 1]), whole.subarray(5001)]),
    ].entries()) {
      const bad = join(folder, 'cut', `bad-${i}.dump.age`);
      writeFileSync(bad, bytes);
      await dropped('fern_cut');
      await expect(restore(bad, ownerUrl(), { into: 'fern_cut', keyFile })).rejects.toThrow(BackupTrouble);
    }
    await dropped('fern_cut');
  });

  it('is taken by an account that reads everything and changes nothing', async () => {
    await admin(backupUrl(ownerUrl()), async (client) => {
      const { rows } = await client.query<{ count: number }>('select count(*)::int as count from family');
      expect(rows[0]!.count).toBe(world.families.length);
      for (const statement of [
        `update family set name = 'Nobody'`,
        'delete from loan',
        `insert into district (name) values ('Elsewhere')`,
        'drop table family',
        'create table mine (id int)',
        `alter role fern_backup superuser`,
      ])
        await expect(client.query(statement), statement).rejects.toThrow(/permission denied|must be/);
    });
  });

  it('is taken once a day, told of, and tried again the same day when it failed', async () => {
    const asServer = process.env.DATABASE_URL;
    await closeDatabase();
    process.env.DATABASE_URL = backupUrl(ownerUrl());
    try {
      expect(await onceToday(() => Promise.reject(new Error('The disk is full.')))).toEqual({
        told: 'failed: The disk is full.',
        done: false,
      });
      expect(await onceToday(() => Promise.resolve('12 tables'))).toEqual({ told: '12 tables', done: true });
      expect(await onceToday(() => Promise.resolve('13 tables'))).toBeUndefined();
    } finally {
      await closeDatabase();
      process.env.DATABASE_URL = asServer;
    }
    expect((await lastDaily(BACKUP))?.told).toBe('12 tables');
  });
});

describe('any moment', () => {
  const before = { owner: ownerUrl(), server: databaseUrl() };
  let cluster: Cluster;
  let place: string;
  beforeAll(async () => {
    await closeDatabase();
    place = join(folder, 'moments');
    mkdirSync(join(place, 'log'), { recursive: true });
    // The database lays its log there.
    chmodSync(folder, 0o755);
    const owner = account();
    if (owner) chownSync(join(place, 'log'), owner.uid, owner.gid);
    const settings = readFileSync('docs/machines/postgresql.conf', 'utf8')
      .replaceAll('{{key}}', recipient)
      .replaceAll('{{folder}}', place);
    cluster = await startCluster('moment', {
      settings: Object.fromEntries(
        [...settings.matchAll(/^(\w+) = '?(.*?)'?$/gm)].map(([, name, value]) => [name!, value!]),
      ),
    });
    useDatabase(await ensureDatabase(cluster, 'fern_moment', { fresh: true }));
    await migrate();
    world = await smallSchool();
  });
  afterAll(async () => {
    await closeDatabase();
    process.env.DATABASE_OWNER_URL = before.owner;
    process.env.DATABASE_URL = before.server;
    await cluster.stop();
  });

  it('comes back: what was written until then, and nothing later; whoever was forgotten since is forgotten in it', async () => {
    const { file } = await copyCluster(backupUrl(ownerUrl()), place, { recipient });
    expect(await isSealed(file)).toBe(true);
    await createFamily(world.at, { name: 'Family Before', language: 'en' });
    const leaving = (await createFamily(world.at, { name: 'Family Leaving', language: 'en' }))!;
    await pause(1100);
    const until = new Date();
    await pause(1100);
    await createFamily(world.at, { name: 'Family After', language: 'en' });
    expect(await forgetFamily(world.at, leaving.id)).toBe(true);
    await admin(ownerUrl(), (client) => client.query('select pg_switch_wal()'));
    const pieces = (): string[] => readdirSync(join(place, 'log')).filter((name) => name.endsWith('.age'));
    while (pieces().length < 2) await pause(200);
    await admin(databaseAt(ownerUrl(), 'postgres'), (client) =>
      client.query('drop database if exists fern_then with (force)'),
    );
    const restored = databaseAt(ownerUrl(), 'fern_then');
    const made = await restoreUntil(until, place, ownerUrl(), account(), { into: 'fern_then', keyFile });
    expect(made.database).toBe('fern_then');
    await letServerIn(restored);
    const names = await familiesIn(restored);
    expect(names).toContain('Family Before');
    expect(names).toContain('Family Leaving');
    expect(names).not.toContain('Family After');
    const server = databaseAt(serverUrl(ownerUrl()), 'fern_then');
    expect(await forgetAgain(ownerUrl(), { owner: restored, server })).toEqual({ forgotten: 1, withBag: 0 });
    expect(await familiesIn(restored)).not.toContain('Family Leaving');
    // Nothing of what lay open stays behind.
    expect(readdirSync(tmpdir()).filter((name) => name.startsWith('fern-moment-'))).toEqual([]);
  });

  it('is refused in a sentence before the first copy and after the end of the log', async () => {
    await expect(
      restoreUntil(new Date('2020-01-01'), place, ownerUrl(), account(), { keyFile }),
    ).rejects.toThrow(/which is later/);
    await expect(
      restoreUntil(new Date(Date.now() + 3_600_000), place, ownerUrl(), account(), {
        into: 'fern_future',
        keyFile,
      }),
    ).rejects.toThrow(/does not reach/);
    await expect(restoreUntil(new Date(), join(place, 'log'), ownerUrl(), account())).rejects.toThrow(
      /no copy of the database/,
    );
  });

  it('is kept as long as its copy', async () => {
    const count = readdirSync(place).length;
    expect(await keepNewestBases(place, 5)).toBe(0);
    await copyCluster(backupUrl(ownerUrl()), place, { at: new Date(Date.now() + 5000), recipient });
    expect(await keepNewestBases(place, 1)).toBe(1);
    expect(readdirSync(place)).toHaveLength(count);
  });
});
