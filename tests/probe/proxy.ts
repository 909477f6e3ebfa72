/** Two servers behind a proxy, as one address: whichever answers, and whichever is killed, nothing is lost or doubled. */
import { setTimeout as pause } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import { createFamily, type Family } from '~/data/queries/families';
import { buildCopies } from '~/data/queries/building';
import { findKit } from '~/data/queries/kits';
import { randomTag } from '~/core/kits/tag';
import { startProxy } from '~/scripts/lib/proxy';
import { freePortFrom, serve, type WebServer } from '~/scripts/lib/web';
import { newLinkKey } from '~/server/links';
import { secureRandom } from '~/server/random';
import { everything } from '../owner';
import type { Field, Row } from './field';
import { Visitor } from './visitor';

const COPIES = 12;
const DESKS = 4;
/** A job whose server was killed is taken over after twenty seconds of silence. */
const JOB_MS = 60_000;

/** What one desk was told. */
interface Told {
  /** Loans that were acknowledged. */
  lent: string[];
  /** Loans of which the return was acknowledged. */
  home: string[];
  tried: number;
  /** Requests that nobody answered, or that were answered by nobody behind the proxy. */
  unanswered: number;
  strange: string[];
}

/** Lends and takes back its own copies without a pause until `goOn` says no. */
async function lending(
  desk: Visitor,
  copies: readonly string[],
  families: readonly Family[],
  counted: Record<string, string>,
  goOn: () => boolean,
): Promise<Told> {
  const told: Told = { lent: [], home: [], tried: 0, unanswered: 0, strange: [] };
  const dueOn = new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10);
  const ask = async (path: string, fields: Record<string, string>): Promise<string | undefined> => {
    told.tried++;
    try {
      const { status, location } = await desk.post(path, fields);
      if (status >= 502) told.unanswered++;
      else if (status === 302) return location;
      else if (status >= 500 || status === 400) told.strange.push(`${path}: ${status}`);
    } catch {
      told.unanswered++;
    }
    return undefined;
  };
  for (let i = 0; goOn(); i++) {
    const copy = copies[i % copies.length]!;
    const lent = await ask('/lend', { copy, family: families[i % families.length]!.id, dueOn });
    const loan = /lent=([0-9a-f-]{36})/.exec(lent ?? '')?.[1];
    if (loan) told.lent.push(loan);
    // Whatever was said of it, the copy comes home by what the books say.
    const { rows } = await everything().execute<{ id: string }>(
      sql`select id from loan where copy_id = ${copy} and closed_as is null`,
    );
    if (!rows[0]) continue;
    if (await ask(`/take-back/${rows[0].id}`, counted)) told.home.push(rows[0].id);
  }
  return told;
}

export async function behindProxy(field: Field, size: number): Promise<Row> {
  const world = await field.begin();
  const { at } = world;
  const lost: string[] = [];
  const { tags } = await buildCopies(at, {
    kit: (await findKit(at, world.kitId))!,
    count: COPIES,
    builtOn: '2026-11-01',
    builtBy: null,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });
  const { rows: copies } = await everything().execute<{ id: string }>(
    sql`update copy set printed_at = now() where tag in ${tags} returning id`,
  );
  const families: Family[] = [];
  for (let i = 0; i < COPIES; i++)
    families.push(
      (await createFamily(at, {
        name: `Family Ebb ${i}`,
        language: 'en',
        reach: '',
        underThree: false,
        allergens: '',
      }))!,
    );
  const start = async (port: number): Promise<WebServer> =>
    serve({
      port,
      databaseUrl: field.databaseUrl,
      quiet: true,
      env: { TRUST_PROXY: '1', SIGN_IN_TRIES_PER_ADDRESS: '1000' },
    });
  const ports = [await freePortFrom(4820), await freePortFrom(4850)];
  const servers = [await start(ports[0]!), await start(ports[1]!)];
  const proxy = await startProxy(servers.map(({ address }) => address));
  try {
    // One sign-in holds at both servers, and one count of wrong passwords too.
    const desk = new Visitor(proxy.address);
    const signedIn = await desk.signIn('Coordinator');
    if (signedIn.status !== 302) lost.push(`signing in behind the proxy: ${signedIn.status}`);
    const by = new Set<string | null>();
    for (let i = 0; i < 8; i++) {
      const answer = await fetch(`${proxy.address}/lend`, {
        headers: { Cookie: desk.cookie },
        redirect: 'manual',
      });
      by.add(answer.headers.get('x-served-by'));
      if (answer.status !== 200) lost.push(`a page behind the proxy: ${answer.status}`);
    }
    if (by.size !== 2) lost.push(`only ${[...by].join()} answered`);
    const wrong: number[] = [];
    for (let i = 0; i < 7; i++)
      wrong.push((await new Visitor(proxy.address).signIn('Reader', 'no password')).status);
    if (wrong.filter((status) => status === 401).length !== 5 || wrong.at(-1) !== 429)
      lost.push(`wrong passwords were answered with ${wrong.join(', ')}`);
    // A pack that is drawn while the servers are killed is there in the end.
    const draw = await desk.post(
      `/print?index&copy=${world.copies[0]!.id}&item=instructions&item=parts&item=labels`,
      { intent: 'draw' },
    );
    const job = /\/print\/jobs\/([0-9a-f-]{36})/.exec(draw.location ?? '')?.[1];
    if (!job) lost.push(`no job was begun: ${draw.status}`);
    const desks: Visitor[] = [];
    for (let i = 0; i < DESKS; i++) {
      const one = new Visitor(proxy.address);
      await one.signIn(i % 2 ? 'Helper' : 'Coordinator');
      desks.push(one);
    }
    const counted = Object.fromEntries(
      world.copies[0]!.parts.map(({ material, quantity }) => [material, String(quantity)]),
    );
    let goOn = true;
    const working = desks.map((one, i) =>
      lending(
        one,
        copies.filter((_, n) => n % DESKS === i).map(({ id }) => id),
        families,
        counted,
        () => goOn,
      ),
    );
    for (let i = 0; i < size; i++) {
      await pause(1200);
      process.kill(servers[i % 2]!.pid, 'SIGKILL');
      await servers[i % 2]!.ended;
      await pause(1500);
      servers[i % 2] = await start(ports[i % 2]!);
    }
    await pause(1200);
    goOn = false;
    const told = await Promise.all(working);
    for (const { strange } of told) lost.push(...strange.slice(0, 3));
    lost.push(...(await books(told)));
    if (job) {
      const until = Date.now() + JOB_MS;
      let text = '';
      while (Date.now() < until && !text.includes('.pdf')) {
        text = (await desk.get(`/print/jobs/${job}`)).text;
        await pause(500);
      }
      const pdf = await desk.get(`/print/jobs/${job}.pdf`);
      if (pdf.status !== 200 || !pdf.text.startsWith('%PDF'))
        lost.push(`the pack was not drawn: ${pdf.status}`);
    }
    const sum = (of: (one: Told) => number): number => told.reduce((total, one) => total + of(one), 0);
    return {
      what: 'two servers behind a proxy, one killed (-9) under load',
      tried: sum((one) => one.tried),
      lost,
      note: `${size} kills, ${sum((one) => one.lent.length + one.home.length)} changes acknowledged, ${sum((one) => one.unanswered)} requests unanswered`,
    };
  } finally {
    await proxy.stop();
    await Promise.all(servers.map((server) => server.stop()));
  }
}

/** What does not agree between what was told and what is in the books. */
async function books(told: readonly Told[]): Promise<string[]> {
  const lost: string[] = [];
  const { rows: loans } = await everything().execute<{ id: string; closed_as: string | null }>(
    sql`select id, closed_as from loan`,
  );
  const there = new Map(loans.map((loan) => [loan.id, loan.closed_as]));
  const lent = told.flatMap((one) => one.lent);
  for (const id of lent) if (!there.has(id)) lost.push(`loan ${id} was acknowledged and is not there`);
  for (const id of told.flatMap((one) => one.home))
    if (there.get(id) !== 'returned') lost.push(`the return of ${id} was acknowledged and is not there`);
  // A change that nobody acknowledged may have been made; never more of them than there were such requests.
  const unanswered = told.reduce((total, one) => total + one.unanswered, 0);
  const unsaid = loans.filter(({ id }) => !lent.includes(id)).length;
  if (unsaid > unanswered)
    lost.push(`${unsaid} loans nobody was told of, after ${unanswered} unanswered requests`);
  const { rows: doubled } = await everything().execute(sql`
    select loan_id from part_count where cause = 'return' group by loan_id, material having count(*) > 1
    union all select loan_id from loan_event where kind in ('lent', 'returned') group by loan_id, kind having count(*) > 1
    union all select copy_id from loan where closed_as is null group by copy_id having count(*) > 1`);
  if (doubled.length) lost.push(`${doubled.length} changes were made twice`);
  const { rows: halves } = await everything().execute(sql`
    select l.id from loan l where not exists (select from loan_event e where e.loan_id = l.id and e.kind = 'lent')
    union all select l.id from loan l where l.closed_as = 'returned'
      and not exists (select from part_count p where p.loan_id = l.id and p.cause = 'return')`);
  if (halves.length) lost.push(`${halves.length} changes were made by half`);
  return lost;
}
