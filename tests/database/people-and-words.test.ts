import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf, SHELF } from '~/core/games/shelf';
import { closeDatabase } from '~/data/pools';
import { checkOwnGame } from '~/core/own/check';
import { listOwnGames } from '~/data/queries/games';
import { loadDemoWhenEmpty } from '~/data/demo/load';
import { addAnswer, markRead } from '~/data/queries/listening';
import { buildCopies, undoBuild } from '~/data/queries/building';
import { listCopies } from '~/data/queries/copies';
import {
  changeKit,
  createVariant,
  findKit,
  listKits,
  listVariants,
  saveKit,
  archiveVariant,
} from '~/data/queries/kits';
import { randomTag } from '~/core/kits/tag';
import { secureRandom } from '~/server/random';
import { lend, listOut } from '~/data/queries/lending';
import { findPersonByName } from '~/data/queries/people';
import { setUpSchool } from '~/data/queries/schools';
import { createSession, deleteSession, findSession } from '~/data/queries/sessions';
import { answeredSince, reachSince } from '~/data/queries/reach';
import { dayFacts } from '~/data/queries/day';
import { listFamilies } from '~/data/queries/families';
import { listHolds } from '~/data/queries/holds';
import { addLineChecks, checkedLanguages, lineChecks, uncheckedLines } from '~/data/queries/words';
import { AROUND } from '~/core/pack/sources';
import { lineKey } from '~/core/words/checks';
import { copy, person, wordingCheck } from '~/data/schema';
import { mayAnswerNow, mayVisit, networkOf, trySignIn, wrongLink } from '~/server/limits';
import { hashPassword, passwordFits } from '~/server/people/password';
import { today } from '~/server/today';
import { everything } from '../owner';
import { emptyDatabase, PASSWORD, smallSchool, answersOf, aWord } from '../world';

beforeEach(emptyDatabase);
afterAll(closeDatabase);

describe('setting up', () => {
  it('makes one school, whoever asks at the same moment', async () => {
    const input = {
      name: 'Tern Rock',
      paper: 'a4' as const,
      languages: ['en' as const],
      contact: '',
      timeZone: 'America/Halifax',
    };
    const made = await Promise.all(
      ['One', 'Two', 'Three'].map((name) =>
        setUpSchool({ school: input, person: { name, passwordHash: 'x' } }),
      ),
    );
    expect(made.filter(Boolean)).toHaveLength(1);
    expect(await everything().$count(person)).toBe(1);
  });
});

describe('passwords and sessions', () => {
  it('fit or do not, also for nobody', async () => {
    const hash = await hashPassword('ferns ñ twine');
    expect(hash).toMatch(/^\$argon2id\$/);
    expect(await passwordFits('ferns n\u0303 twine', hash)).toBe(true);
    expect(await passwordFits('ferns', hash)).toBe(false);
    expect(await passwordFits('nobody has this password', undefined)).toBe(false);
  });

  it('end on the server, and run out', async () => {
    const { people } = await smallSchool();
    await createSession({
      tokenHash: 'a',
      personId: people.helper.id,
      expiresAt: new Date(Date.now() + 60_000),
    });
    await createSession({ tokenHash: 'b', personId: people.helper.id, expiresAt: new Date(Date.now() - 1) });
    expect(await findSession('a')).toMatchObject({ name: 'Helper', role: 'helper' });
    expect(await findSession('b')).toBeUndefined();
    await deleteSession('a');
    expect(await findSession('a')).toBeUndefined();
    expect((await findPersonByName('hELPER'))!.id).toBe(people.helper.id);
  });
});

describe('limits', () => {
  const attempt = (name: string, address: string, who?: string, known = false) =>
    trySignIn({ name, who, address, known });

  it('slow sign-in per person after five tries, until one succeeds', async () => {
    for (let i = 0; i < 5; i++) expect((await attempt('maren', '10.0.0.1', 'her id')).wait).toBe(0);
    expect((await attempt('MAREN', '10.0.0.1', 'her id')).wait).toBeGreaterThan(0);
    expect((await attempt('Tobin', '10.0.0.1', 'his id')).wait).toBe(0);
  });

  it('count tries at the same moment one by one', async () => {
    const tries = await Promise.all(
      Array.from({ length: 120 }, () => attempt('Maren', '10.0.0.1', 'her id')),
    );
    expect(tries.filter(({ wait }) => wait === 0)).toHaveLength(5);
  });

  it('count every spelling that reaches one person, and every address of one network, together', async () => {
    const names = ['Maren', 'MAREN', 'Ｍａｒｅｎ', ' maren ', 'mAREN'];
    let open = 0;
    for (let i = 0; i < 40; i++)
      if ((await attempt(names[i % 5]!, `192.0.2.${i}`, 'her id')).wait === 0) open++;
    expect(open).toBe(5);
    let nobody = 0;
    for (let i = 0; i < 40; i++)
      if ((await attempt(names[i % 5]!, `2001:db8:1:2::${i.toString(16)}`)).wait === 0) nobody++;
    expect(nobody).toBe(5);
  });

  it('do not let strangers keep a person out of the browser she has signed in with', async () => {
    let open = 0;
    for (let i = 0; i < 200; i++) if ((await attempt('Maren', `203.0.${i}.7`, 'her id')).wait === 0) open++;
    expect(open).toBe(30);
    const known = await attempt('Maren', '198.51.100.1', 'her id', true);
    expect(known.wait).toBe(0);
    await known.succeeded();
    expect((await attempt('Maren', '198.51.100.1', 'her id', true)).wait).toBe(0);
  });

  it('slow sign-in per network over many people, and give back what was right', async () => {
    for (let i = 0; i < 29; i++) await attempt(`person ${i}`, '10.0.2.2');
    await (await attempt('Tobin', '10.0.2.3', 'his id')).succeeded();
    expect((await attempt('somebody else', '10.0.2.9')).wait).toBe(0);
    expect((await attempt('somebody new', '10.0.2.9')).wait).toBeGreaterThan(0);
    expect((await attempt('somebody new', '10.0.3.9')).wait).toBe(0);
  });

  it('slow wrong family links, and never a right one behind the same address', async () => {
    const wrong = [];
    for (let i = 0; i < 25; i++) wrong.push(await wrongLink('10.0.0.4'));
    expect(wrong.filter(Boolean)).toHaveLength(20);
    expect(await mayVisit('copy', '10.0.0.4')).toBe(true);
    const tries = [];
    for (let i = 0; i < 14; i++) tries.push(await mayAnswerNow('loan'));
    expect(tries.filter(Boolean)).toHaveLength(12);
  });

  it.each([
    ['192.0.2.77', '192.0.2.0/24'],
    ['::ffff:192.0.2.77', '192.0.2.0/24'],
    ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64'],
    ['unknown', 'unknown'],
  ])('know the network of %s', (address, network) => {
    expect(networkOf(address)).toBe(network);
  });
});

describe('kits and copies', () => {
  it('keep a name once, and list what is in them', async () => {
    const { at, people, kitId } = await smallSchool();
    const game = gameOf('two-tone-spill');
    const input = {
      gameId: game.id,
      name: 'six',
      params: game.presets[0]!.params,
      ageBand: 'K' as const,
      createdBy: people.coordinator.id,
    };
    expect(await createVariant(at, input)).toBeUndefined();
    const ten = (await createVariant(at, { ...input, name: 'Ten' }))!;
    const kit = {
      ageBand: 'K' as const,
      players: 2,
      paper: 'a4' as const,
      assurance: 'usual' as const,
      variantIds: [ten.id, (await listVariants(at)).find((one) => one.name === 'Six')!.id],
    };
    expect(await saveKit(at, { ...kit, name: 'FIRST splits' })).toBeUndefined();
    expect(await changeKit(at, kitId, { ...kit, name: 'Both' }, 1)).toMatchObject({ ok: true, version: 2 });
    expect((await listKits(at))[0]).toMatchObject({
      name: 'Both',
      variantNames: ['Ten', 'Six'],
      copies: 3,
      out: 0,
    });
  });

  it('have tags and links of their own, even when the dice repeat', async () => {
    const { at, kitId } = await smallSchool();
    const tags = ['K7M4R', 'K7M4R', '3CYRF', 'K7M4R', 'TCMFC'];
    const made = await buildCopies(at, {
      kit: (await findKit(at, kitId))!,
      count: 3,
      builtOn: '2026-11-24',
      builtBy: null,
      newTag: () => tags.shift()!,
      newLinkKey: () => crypto.randomUUID(),
    });
    expect(made.tags).toEqual(['K7M4R', '3CYRF', 'TCMFC']);
    await expect(
      buildCopies(at, {
        kit: (await findKit(at, kitId))!,
        count: 1,
        builtOn: '2026-11-24',
        builtBy: null,
        newTag: () => 'K7M4R',
        newLinkKey: () => crypto.randomUUID(),
      }),
    ).rejects.toThrow(/No free tag/);
    expect(await everything().$count(copy)).toBe(6);
  });

  it('can be unbuilt until one is printed or lent', async () => {
    const { at, kitId, copies, families } = await smallSchool();
    const build = async () =>
      buildCopies(at, {
        kit: (await findKit(at, kitId))!,
        count: 2,
        builtOn: '2026-11-24',
        builtBy: null,
        newTag: () => randomTag(secureRandom),
        newLinkKey: () => crypto.randomUUID(),
      });
    expect(await undoBuild(at, copies[0]!.buildRunId, kitId)).toBe(false);
    const idle = await build();
    expect(await undoBuild(at, idle.runId, kitId)).toBe(true);
    expect(await undoBuild(at, idle.runId, kitId)).toBe(false);
    const lentOut = await build();
    const [one] = (await listCopies(at, { kitId })).filter((copy) => copy.buildRunId === lentOut.runId);
    await lend(at, {
      copyId: one!.id,
      familyId: families[0]!.id,
      lentOn: '2026-11-24',
      dueOn: '2026-12-15',
      personId: null,
    });
    expect(await undoBuild(at, lentOut.runId, kitId)).toBe(false);
    expect(await everything().$count(copy)).toBe(5);
  });

  it('hold on to their variants; one in no kit can be put away and its name used again', async () => {
    const { at, people } = await smallSchool();
    const [six] = await listVariants(at);
    expect(await archiveVariant(at, six!.id)).toEqual(['First splits']);
    const input = {
      gameId: six!.gameId,
      name: 'Spare',
      params: six!.params,
      ageBand: 'K' as const,
      createdBy: people.coordinator.id,
    };
    const spare = (await createVariant(at, input))!;
    expect(await archiveVariant(at, spare.id)).toEqual([]);
    expect((await listVariants(at)).map((variant) => variant.name)).toEqual(['Six']);
    expect(await createVariant(at, input)).toBeDefined();
  });

  it('stay as they were built when the kit changes', async () => {
    const { at, kitId, copies } = await smallSchool();
    const kit = (await findKit(at, kitId))!;
    await changeKit(
      at,
      kitId,
      {
        name: kit.name,
        ageBand: 'K',
        players: 4,
        paper: 'a4',
        assurance: 'usual',
        variantIds: kit.variants.map((one) => one.id),
      },
      1,
    );
    const [again] = await listCopies(at, { ids: [copies[0]!.id] });
    expect(again!.plan.players).toBe(2);
    expect(again!.parts).toEqual(copies[0]!.parts);
  });
});

describe('answers', () => {
  it('are one when the same form is sent twice, and wait until they are read', async () => {
    const { at, copies, families } = await smallSchool();
    const made = await lend(at, {
      copyId: copies[0]!.id,
      familyId: families[0]!.id,
      lentOn: '2026-11-01',
      dueOn: '2026-11-22',
      personId: null,
    });
    const said = aWord(made.ok ? made.loanId : '', { language: 'es', childDid: 'rieron', minutes: 9 });
    await Promise.all([
      addAnswer(at, said),
      addAnswer(at, said),
      addAnswer(at, { ...said, answer: { ...said.answer, childDid: 'otra vez' } }),
    ]);
    const [one, ...rest] = await answersOf(at);
    expect(rest).toEqual([]);
    expect((await dayFacts(at, '2026-11-24')).unread).toBe(1);
    await markRead(at, [one!.answer.id], true);
    expect(await dayFacts(at, '2026-11-24')).toMatchObject({ unread: 0, unprinted: 0, mendable: [] });
    expect(await reachSince(at, '2026-11-01')).toEqual([
      { language: 'en', reached: 0, notYet: 2 },
      { language: 'es', reached: 1, notYet: 0 },
    ]);
    expect(await answeredSince(at, '2026-11-01')).toEqual({ ended: 0, answered: 0 });
  });
});

describe('wording', () => {
  it('is checked line by line, and anew when a line changes', async () => {
    const { at, people } = await smallSchool();
    const game = gameOf('two-tone-spill');
    const ids = Object.keys(game.words.en);
    const rows = (messageIds: string[], right: boolean) =>
      messageIds.map((messageId) => ({
        messageId,
        language: 'es' as const,
        right,
        note: '',
        personId: people.reader.id,
      }));
    const before = await uncheckedLines(at);
    expect(before).toHaveLength(SHELF.length + AROUND.length);
    expect(before.find((one) => one.gameId === game.id)).toEqual({
      gameId: game.id,
      name: 'Two-Tone Spill',
      language: 'es',
      lines: ids.length,
      unchecked: ids.length,
      missing: 0,
    });
    await addLineChecks(at, game, rows(ids, true));
    const other = gameOf('tile-sums');
    expect(await checkedLanguages(at, [game, other])).toEqual({ [game.id]: ['es'], [other.id]: [] });
    expect((await lineChecks(at, game, 'es'))[lineKey('name', 'es')]).toMatchObject({
      right: true,
      by: 'Reader',
    });
    await addLineChecks(at, game, rows(['name'], false));
    expect(await checkedLanguages(at, [game])).toEqual({ [game.id]: [] });
    await everything().update(wordingCheck).set({ message: 'as it was worded before' });
    expect((await uncheckedLines(at)).find((one) => one.gameId === game.id)!.unchecked).toBe(ids.length);
  });
});

describe('the demo', () => {
  it('fills an empty database once, with something due today and something overdue', async () => {
    const { at } = (await loadDemoWhenEmpty(hashPassword))!;
    expect(await loadDemoWhenEmpty(hashPassword)).toBeUndefined();
    const out = await listOut(at);
    expect(out.filter((loan) => loan.dueOn === today(at))).toHaveLength(1);
    expect(out.filter((loan) => loan.dueOn < today(at)).length).toBeGreaterThan(0);
    const [ferry] = await listOwnGames(at);
    expect(checkOwnGame(ferry!.definition)).toEqual({ ok: true, value: ferry!.definition });
    // Something of everything: forty-eight families, forty bags, who waits, half a hand-out, messages of each kind.
    const day = await dayFacts(at, today(at));
    for (const list of ['toCount', 'dueToday', 'overdue', 'aside', 'rounds', 'runs'] as const)
      expect([list, day[list].length > 0]).toEqual([list, true]);
    for (const number of ['unread', 'strips', 'held', 'lines'] as const)
      expect([number, day[number] > 0]).toEqual([number, true]);
    expect(await listFamilies(at)).toHaveLength(48);
    const made = (await listCopies(at)).filter(({ readyAt }) => readyAt);
    expect(made.length).toBeGreaterThanOrEqual(40);
    expect(new Set(made.map(({ kitId }) => kitId)).size).toBe(9);
    const waiting = await listHolds(at, today(at));
    expect(waiting.some(({ copyId }) => copyId)).toBe(true);
    expect(waiting.some(({ place }) => place > 1)).toBe(true);
    expect(await passwordFits(PASSWORD, (await findPersonByName('Maren'))!.passwordHash)).toBe(false);
    expect(await passwordFits('fern-and-twine', (await findPersonByName('Maren'))!.passwordHash)).toBe(true);
    // A whole term is loaded: it takes as long as it takes.
  }, 300_000);
});
