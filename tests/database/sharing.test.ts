/** What schools of a district give each other: kits, games, wording and copies. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { atSchool, type SchoolHandle } from '~/data/db';
import { closeDatabase } from '~/data/pools';
import type { Demo } from '~/data/demo/load';
import { listShortages, type Shortage } from '~/data/queries/counts';
import { copiesAtSchool } from '~/data/queries/desk';
import { listFamilies } from '~/data/queries/families';
import { addOwnGame, changeOwnGame, findOwnGame, listOwnGames } from '~/data/queries/games';
import { findCopy } from '~/data/queries/copies';
import { changeKit, findKit, listKits, type KitWithVariants } from '~/data/queries/kits';
import { lend, listOut } from '~/data/queries/lending';
import { strandOf } from '~/data/queries/strand';
import { undoReturn } from '~/data/queries/returns';
import { moveCopies } from '~/data/queries/moving';
import { boundTo, findSchool, makeSchool, schoolOfLink, sisterOfTag } from '~/data/queries/schools';
import {
  followed,
  offers,
  share,
  shownByUs,
  stopFollowing,
  take,
  toShow,
  unshare,
} from '~/data/queries/sharing';
import { checkedLanguages, lineChecks, saveLineWords } from '~/data/queries/words';
import { newOwnGame } from '~/core/own/definition';
import { wordingCheck } from '~/data/schema';
import { everything } from '../owner';
import { demoSchools, idOf } from '../world';

let demo: Demo;
let at: SchoolHandle;
let sister: SchoolHandle;
beforeEach(async () => {
  demo = await demoSchools();
  ({ at, sister } = demo);
  // Here readers begin anew: what was read in the demo is not theirs.
  await everything().delete(wordingCheck);
});
afterAll(closeDatabase);

const kitNamed = async (where: SchoolHandle, name: string): Promise<KitWithVariants> =>
  (await findKit(where, (await listKits(where)).find((kit) => kit.name === name)!.id))!;
const formOf = ({ name, ageBand, players, paper, assurance, variants }: KitWithVariants) => ({
  name,
  ageBand,
  players,
  paper,
  assurance,
  variantIds: variants.map(({ id }) => id),
});

describe('what is shared', () => {
  it('is followed: a change there is a change here, and cannot be made here', async () => {
    const [kit, here] = [await kitNamed(at, 'First splits'), await kitNamed(sister, 'First splits')];
    expect(await followed(sister, 'kit', here.id)).toBe('Kittiwake Bay Elementary');
    expect(await changeKit(sister, here.id, { ...formOf(here), players: 5 }, here.version)).toBe('follows');
    const more = (await kitNamed(at, 'Rainy afternoon')).variants[0]!;
    const mine = formOf(kit);
    await changeKit(
      at,
      kit.id,
      { ...mine, players: 4, variantIds: [more.id, ...mine.variantIds] },
      kit.version,
    );
    const after = await kitNamed(sister, 'First splits');
    expect([after.players, after.variants.map(({ gameId }) => gameId)]).toEqual([
      4,
      ['skyline-rolls', 'two-tone-spill'],
    ]);
    // The setting that stayed is the same row as before; what was taken out again is put away.
    expect(after.variants[1]!.id).toBe(here.variants[0]!.id);
    await changeKit(at, kit.id, { ...mine, players: 4 }, kit.version + 1);
    expect((await kitNamed(sister, 'First splits')).variants).toHaveLength(1);
    expect(
      await take(sister, (await offers(sister)).find((one) => one.name === 'First splits')!.id, true, null),
    ).toEqual({ ok: false, reason: 'follows' });
    // Once it is one's own, it is changed here and no more from there.
    expect(await stopFollowing(sister, 'kit', here.id, await idOf('Soren'))).toBe(true);
    const own = await kitNamed(sister, 'First splits');
    expect(await changeKit(sister, own.id, { ...formOf(own), players: 3 }, own.version)).toMatchObject({
      ok: true,
    });
    await changeKit(at, kit.id, { ...mine, players: 6 }, kit.version + 2);
    expect((await kitNamed(sister, 'First splits')).players).toBe(3);
  });

  it('is taken as a copy that goes its own way, under a name that is free', async () => {
    const offer = (await offers(sister)).find((one) => one.name === 'Rainy afternoon')!;
    expect(offer).toMatchObject({ follows: false, schoolName: 'Kittiwake Bay Elementary' });
    expect(await take(sister, offer.id, false, null)).toMatchObject({ ok: true });
    const names = (await listKits(sister)).map(({ name }) => name);
    expect(names).toContain('Rainy afternoon (Kittiwake Bay Elementary)');
    const original = await kitNamed(at, 'Rainy afternoon');
    await changeKit(at, original.id, { ...formOf(original), players: 6 }, original.version);
    expect((await kitNamed(sister, 'Rainy afternoon')).players).toBe(2);
    expect(await take(at, offer.id, false, null)).toEqual({ ok: false, reason: 'gone' });
    expect(await take(sister, crypto.randomUUID(), true, null)).toEqual({ ok: false, reason: 'gone' });
  });

  it('can be a game of the school’s own, and the word of its fluent readers', async () => {
    const maren = await idOf('Maren');
    const [ferry] = await listOwnGames(at);
    expect(await share(at, 'own game', ferry!.id, maren)).toBe(true);
    expect(await share(at, 'own game', crypto.randomUUID(), maren)).toBe(false);
    const game = gameOf('two-tone-spill');
    const lines = Object.keys(game.words.en);
    const say = (right: boolean, had: boolean) =>
      saveLineWords(
        at,
        game,
        'es',
        lines.map((messageId) => ({ messageId, right, note: '', had: { right: had, note: '' } })),
        maren,
      );
    await say(true, false);
    expect((await toShow(at)).map(({ kind }) => kind)).toContain('wording');
    expect(await share(at, 'wording', 'es', maren)).toBe(true);
    const shown = await offers(sister);
    const named = (name: string) => shown.find((one) => one.name === name)!.id;
    const took = await take(sister, named('Ferry Load'), true, null);
    expect(took).toMatchObject({ ok: true });
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: [] });
    await take(sister, named('Spanish wording'), true, null);
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: ['es'] });
    await say(false, true);
    expect(await checkedLanguages(sister, [game])).toEqual({ [game.id]: [] });
    // The game changes with the one it follows, and stays when that is shown no more.
    const changed = { ...ferry!.definition, players: { fewest: 2, most: 3 } };
    expect(await changeOwnGame(at, ferry!.id, changed, ferry!.version, maren)).toMatchObject({ ok: true });
    const id = (took as { thingId: string }).thingId;
    expect((await findOwnGame(sister, id))!.definition.players).toEqual({ fewest: 2, most: 3 });
    expect(await changeOwnGame(sister, id, ferry!.definition, 2, maren)).toBe('follows');
    const ours = (await shownByUs(at)).find((one) => one.kind === 'own game')!;
    expect(ours.followers).toBe(1);
    expect(await unshare(at, ours.id, maren)).toBe(true);
    expect(await followed(sister, 'own game', id)).toBeUndefined();
    expect((await findOwnGame(sister, id))!.definition.players).toEqual({ fewest: 2, most: 3 });
  });

  it('goes on from school to school, and comes to an end where each follows the other', async () => {
    const [maren, runa] = [await idOf('Maren'), await idOf('Runa')];
    const game = gameOf('two-tone-spill');
    const lines = Object.keys(game.words.en);
    const say = (where: SchoolHandle, messageId: string) =>
      saveLineWords(
        where,
        game,
        'es',
        [{ messageId, right: true, note: '', had: { right: false, note: '' } }],
        maren,
      );
    const wording = async (where: SchoolHandle) =>
      (await offers(where)).find((one) => one.kind === 'wording')!.id;
    await say(at, lines[0]!);
    await say(sister, lines[1]!);
    await share(at, 'wording', 'es', maren);
    await share(sister, 'wording', 'es', runa);
    await take(sister, await wording(sister), true, null);
    await take(at, await wording(at), true, null);
    for (const [i, line] of lines.slice(2).entries()) await say(i % 2 ? at : sister, line);
    const all = async (where: SchoolHandle) => Object.keys(await lineChecks(where, game, 'es')).length;
    expect([await all(at), await all(sister)]).toEqual([lines.length, lines.length]);
    // A third school that follows one of them has what both of them say.
    const third = (await makeSchool(
      at.districtId,
      { name: 'Skua Point', paper: 'a4', languages: ['en'], contact: '', timeZone: 'UTC' },
      runa,
    ))!;
    const there = atSchool(boundTo(third));
    await take(there, await wording(there), true, null);
    expect(await all(there)).toBe(lines.length);
  });

  it('is nothing that itself follows another school', async () => {
    const here = await kitNamed(sister, 'First splits');
    expect(await share(sister, 'kit', here.id, await idOf('Soren'))).toBe(false);
    expect((await toShow(sister)).map(({ name }) => name)).toEqual(['Rainy afternoon']);
    const id = await addOwnGame(
      sister,
      { ...newOwnGame(), name: { en: 'Lamp game', es: '' } },
      await idOf('Soren'),
    );
    expect((await toShow(sister)).some(({ thingId }) => thingId === id)).toBe(true);
  });
});

describe('copies', () => {
  it('move to another school with tag, link and what they lack, and come home again', async () => {
    const runa = await idOf('Runa');
    const to = await findSchool(sister);
    const lacking = (await listShortages(at)).find(({ kitName }) => kitName === 'First splits')!;
    const whole = (await copiesAtSchool(at, 20)).find((one) => !one.short)!;
    const out = (await listOut(at))[0]!;
    const before = (await findCopy(at, { id: lacking.copyId }))!;
    const lacks = (list: Shortage[]) => list.map((one) => [one.material, one.expected, one.counted]);
    const short = lacks(await listShortages(at, lacking.copyId));
    const moved = await moveCopies(at, to, [lacking.copyId, whole.id, out.copyId], runa);
    expect([moved.tags.sort(), moved.staying]).toEqual([[lacking.tag, whole.tag].sort(), [out.tag]]);
    expect(await findCopy(at, { tag: whole.tag })).toBeUndefined();
    expect(await sisterOfTag(at, whole.tag)).toBe('Lantern Hill Elementary');
    expect((await schoolOfLink(before.linkKey))!.id).toBe(sister.schoolId);
    const there = (await findCopy(sister, { tag: lacking.tag }))!;
    expect([there.linkKey, there.kitName, there.parts]).toEqual([
      before.linkKey,
      'First splits',
      before.parts,
    ]);
    expect(lacks(await listShortages(sister, there.id))).toEqual(short);
    expect((await listKits(sister)).map(({ name }) => name).sort()).toEqual([
      'First splits',
      'Rainy afternoon',
    ]);
    expect((await strandOf(at, lacking.copyId)).at(-1)).toMatchObject({
      kind: 'moved',
      note: 'Moved to Lantern Hill Elementary',
    });
    // Nothing more happens to it here: it is not lent, and no return of it is undone.
    const [family] = await listFamilies(at);
    const order = { familyId: family!.id, lentOn: '2026-11-01', dueOn: '2026-11-22', personId: null };
    expect(await lend(at, { ...order, copyId: whole.id })).toEqual({ ok: false, reason: 'gone' });
    const { rows } = await at.execute<{ id: string }>(
      sql`select id from loan where copy_id = ${lacking.copyId} and closed_as = 'returned'`,
    );
    expect(await undoReturn(at, rows[0]!.id, runa)).toMatchObject({
      ok: false,
      why: expect.stringContaining('another school') as string,
    });
    // Home again, it is the copy it was, with its life here.
    await moveCopies(sister, await findSchool(at), [there.id], runa);
    expect((await findCopy(at, { tag: lacking.tag }))!.id).toBe(lacking.copyId);
    expect(lacks(await listShortages(at, lacking.copyId))).toEqual(short);
    expect((await moveCopies(at, to, [whole.id], runa)).tags).toEqual([]);
  });
});
