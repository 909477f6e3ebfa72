/** The database as the account that owns it sees it: every row of every school. For looking on, and for what no page does. */
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { ownerUrl } from '~/data/pools';

const pools = new Map<string, NodePgDatabase>();

/** Every row there is. */
export function everything(): NodePgDatabase {
  const url = ownerUrl();
  const known = pools.get(url);
  if (known) return known;
  const pool = new pg.Pool({ connectionString: url, max: 2, allowExitOnIdle: true, idleTimeoutMillis: 500 });
  pool.on('error', () => undefined);
  const made = drizzle(pool, { casing: 'snake_case' });
  pools.set(url, made);
  return made;
}
