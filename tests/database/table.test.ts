import { sql } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyPlan } from '~/core/evening/plan';
import { daysAfter } from '~/core/lending/due';
import { closeDatabase } from '~/data/pools';
import { createEvening } from '~/data/queries/evenings';
import { createFamily, findFamily, giveCards, listFamilies } from '~/data/queries/families';
import { guestsOf, openGathering, renewKey, tapsAt } from '~/data/queries/gatherings';
import { devicesOf, letDeviceIn } from '~/data/queries/devices';
import { findCopy } from '~/data/queries/copies';
import { randomCard } from '~/core/lending/card';
import { tableGame } from '~/server/evenings';
import { newReaderKey } from '~/server/links';
import { hashOf } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import {
  enterAtTable,
  findAtTable,
  tablePage,
  tablesSaid,
  takeAtTable,
  tapAtTable,
  tickAtTable,
  type TablePage,
} from '~/server/table';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let key: string;
let gatheringId: string;
const HOUR_MS = 3_600_000;

beforeEach(async () => {
  world = await smallSchool();
  key = newReaderKey();
  const eveningId = await createEvening(world.at, {
    name: 'Game night',
    onDay: day(),
    startsAt: '17:30',
    plan: {
      ...emptyPlan({ rounds: 2, roundMinutes: 12, changeMinutes: 3 }),
      tables: [
        { id: 'T1', seats: 8, game: tableGame('two-tone-spill 5-ordered')! },
        { id: 'T2', seats: 8 },
      ],
    },
    personId: me(),
  });
  gatheringId = (await table(key, HOUR_MS, eveningId))!;
});
const me = (): string => world.people.coordinator.id;
const day = (): string => todayAt(world.at);
const table = (of: string, forMs: number, eveningId?: string): Promise<string | undefined> =>
  openGathering(world.at, {
    name: 'Game night',
    onDay: day(),
    keyHash: hashOf(of),
    expiresAt: new Date(Date.now() + forMs),
    personId: me(),
    ...(eveningId ? { eveningId } : {}),
  });
/** A tablet: it keeps the cookie that it was given. */
class Tablet {
  private cookie = '';
  async visit(of: string, lang = 'es', address = '127.0.0.1'): Promise<TablePage> {
    const headers = new Headers(this.cookie ? { Cookie: this.cookie } : {});
    const page = await tablePage(new Request(`http://x/in/${of}?lang=${lang}`, { headers }), of, address);
    const set = 'headers' in page ? page.headers.get('Set-Cookie') : null;
    if (set) this.cookie = set.split(';')[0]!;
    return page;
  }
}
let tablet: Tablet;
beforeEach(() => void (tablet = new Tablet()));
const visit = (of: string, lang = 'es'): Promise<TablePage> => tablet.visit(of, lang);
type Open = Extract<TablePage, { refused?: undefined }>;
async function opened(): Promise<Open> {
  const page = await visit(key);
  if (page.refused) throw new Error(page.refused);
  return page;
}
const came = async (): Promise<string[]> =>
  (await guestsOf(world.at, gatheringId)).filter(({ at }) => at !== null).map(({ name }) => name);

describe('the table at the door', () => {
  it('is opened by its link while it lasts, and by no other', async () => {
    expect(await visit(key)).toMatchObject({ gathering: { id: gatheringId }, language: 'es' });
    expect(await visit(newReaderKey())).toMatchObject({ refused: 'over', status: 404 });
    for (const odd of ['', 'x', '../..', 'constructor', 'x'.repeat(500), '\u0000'.repeat(32)])
      expect((await visit(odd.replace(/\//g, ''))).refused, odd).toBe('over');
    const late = newReaderKey();
    await table(late, -1000);
    expect(await visit(late)).toMatchObject({ refused: 'over', status: 410 });
  });

  it('counts its visits on whatever connections there are', async () => {
    expect((await visit(key)).refused).toBeUndefined();
    await closeDatabase();
    expect((await visit(key)).refused).toBeUndefined();
  });

  it('belongs to the first device that opens it, and to others that somebody lets in', async () => {
    expect((await visit(key)).refused).toBeUndefined();
    const others = Array.from({ length: 5 }, () => new Tablet());
    const answers = await Promise.all(others.map((one) => one.visit(key, 'es', '10.1.2.3')));
    expect(answers.map(({ refused }) => refused)).toEqual(Array(5).fill('waits'));
    const numbers = answers.map((one) => ('number' in one ? one.number : 0)).sort();
    expect(numbers).toEqual([2, 3, 4, 5, 6]);
    const devices = await devicesOf(world.at, gatheringId);
    const second = devices.find(({ number }) => number === 2)!;
    await letDeviceIn(world.at, gatheringId, second.id, true);
    const [mine] = others.filter((_, i) => 'number' in answers[i]! && answers[i].number === 2);
    expect((await mine!.visit(key)).refused).toBeUndefined();
    await letDeviceIn(world.at, gatheringId, second.id, false);
    expect((await mine!.visit(key)).refused).toBe('waits');
    // Strangers, however many, shut themselves out and never the tablet.
    const strangers: (string | undefined)[] = [];
    for (let i = 0; i < 40; i++) strangers.push((await new Tablet().visit(key, 'es', '10.1.2.3')).refused);
    expect(strangers).not.toContain(undefined);
    expect(strangers).toContain('busy');
    expect((await devicesOf(world.at, gatheringId)).length).toBeLessThanOrEqual(20);
    expect((await tablet.visit(key, 'es', '10.1.2.3')).refused).toBeUndefined();
    // A new key is opened anew.
    await renewKey(world.at, gatheringId, hashOf(key), new Date(Date.now() + HOUR_MS));
    expect((await visit(key)).refused).toBeUndefined();
    expect(await devicesOf(world.at, gatheringId)).toHaveLength(1);
  });

  it('lends to nobody but who signed in there a moment ago', async () => {
    const page = await opened();
    const [vela, dunlin] = world.families.map(({ id }) => id) as [string, string];
    const tag = world.copies[0]!.tag;
    expect(await takeAtTable(page, vela, tag)).toBeUndefined();
    await tickAtTable(page, dunlin);
    expect(await takeAtTable(await opened(), vela, tag)).toBeUndefined();
    await tickAtTable(page, vela);
    await everything().execute(sql`update table_device set family_at = now() - interval '11 minutes'`);
    expect(await takeAtTable(await opened(), vela, tag)).toBeUndefined();
    await tickAtTable(page, vela);
    expect(await takeAtTable(await opened(), vela, tag)).toMatchObject({ kitName: 'First splits' });
  });

  it('shows a name only from three letters on, a few at a time, or by a card', async () => {
    const page = await opened();
    expect(await findAtTable(page, 'Fa', undefined)).toEqual([]);
    // A syllable is no word.
    for (const part of ['dunl', 'unlin', 'amil', 'family dunl'])
      expect([part, await findAtTable(page, part, undefined)]).toEqual([part, []]);
    expect((await findAtTable(page, 'DUNLIN', undefined)).map(({ name }) => name)).toEqual(['Family Dunlin']);
    for (let i = 0; i < 5; i++) await createFamily(world.at, { name: `Family Reef ${i}`, language: 'en' });
    expect(await findAtTable(page, 'reef', undefined)).toEqual([]);
    expect(await findAtTable(page, '%%%', undefined)).toEqual([]);
    await giveCards(world.at, () => randomCard(secureRandom));
    const { card } = (await findFamily(world.at, world.families[2]!.id))!;
    expect((await findAtTable(page, '', card!)).map(({ name }) => name)).toEqual(['Family Auk']);
    expect(Object.keys((await findAtTable(page, 'auk', undefined))[0]!)).toEqual(['id', 'name']);
  });

  it('ticks a family in once, and enters nobody twice', async () => {
    const page = await opened();
    await Promise.all([1, 2, 3].map(() => tickAtTable(page, world.families[0]!.id)));
    expect(await tickAtTable(page, crypto.randomUUID())).toBe(false);
    expect(await came()).toEqual(['Familia Vela']);
    const entered = await enterAtTable(page, 'Family Petrel', 'en');
    expect(entered).toHaveProperty('id');
    expect(await enterAtTable(page, 'family PETREL', 'es')).toMatchObject({
      taken: [{ name: 'Family Petrel' }],
    });
    expect((await listFamilies(world.at)).filter(({ name }) => /petrel/i.test(name))).toHaveLength(1);
    expect((await came()).sort()).toEqual(['Familia Vela', 'Family Petrel']);
  });

  it('keeps what is tapped of tables with a game, as often as it is tapped, and nothing else', async () => {
    const page = await opened();
    expect(await tablesSaid(page)).toMatchObject([{ id: 'T1', table: 'Mesa 1' }]);
    const family = world.families[1]!.id;
    const tap = async (fields: Record<string, string>): Promise<boolean> => {
      const form = new FormData();
      for (const [name, value] of Object.entries(fields)) form.set(name, value);
      return tapAtTable(page, family, form);
    };
    await tickAtTable(page, family);
    await tap({ 'said T1': 'tooHard', 'again T1': 'perhaps', 'said T2': 'tooEasy', 'said T9': 'tooEasy' });
    expect(await tapsAt(world.at, gatheringId)).toMatchObject([
      { tableName: 'T1', said: 'tooHard', again: null },
    ]);
    for (const odd of ['constructor', '__proto__', '', 'TOOHARD']) await tap({ 'said T1': odd });
    await tap({ 'said T1': 'justRight', 'again T1': 'yes' });
    expect(await tapsAt(world.at, gatheringId)).toMatchObject([
      { tableName: 'T1', said: 'justRight', again: true },
    ]);
    expect(await tapAtTable(page, crypto.randomUUID(), new FormData())).toBe(false);
  });

  it('gives a bag only where nobody has to look at it first', async () => {
    const [vela, dunlin] = world.families.map(({ id }) => id) as [string, string];
    /** The family signs in, and takes a bag. */
    const take = async (family: string, tag: string) => {
      await tickAtTable(await opened(), family);
      return takeAtTable(await opened(), family, tag);
    };
    const [first, second] = world.copies.map(({ tag }) => tag) as [string, string];
    await lendOut(world, { copy: 1, family: 1, lentOn: day(), dueOn: daysAfter(day(), 9) });
    // It is out; there is no such bag; nobody is called so; small parts go where no little one lives.
    expect(await take(vela, second)).toBeUndefined();
    expect(await take(vela, 'K7M4W')).toBeUndefined();
    expect(await take(crypto.randomUUID(), first)).toBeUndefined();
    const little = (await createFamily(world.at, { name: 'Family Crab', language: 'en', underThree: true }))!;
    expect(await take(little.id, first)).toBeUndefined();
    expect(await take(vela, first)).toMatchObject({ kitName: 'First splits' });
    expect((await findCopy(world.at, { tag: first }))!.loan).toMatchObject({ familyName: 'Familia Vela' });
    expect(await came()).toContain('Familia Vela');
    expect(await take(dunlin, first)).toBeUndefined();
  });
});
