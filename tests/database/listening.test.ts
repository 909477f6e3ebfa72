import { eq, sql } from 'drizzle-orm';
import sharp from 'sharp';
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { daysAfter } from '~/core/lending/due';
import { silent } from '~/core/listening/answer';
import { open as openVariant } from '~/core/own/open';
import { onPhone } from '~/core/pack/phone';
import type { Level } from '~/core/pack/questions';
import { ENGLISH, isShared } from '~/core/words/reading';
import { closeDatabase } from '~/data/pools';
import {
  createFamily,
  familyFields,
  findFamily,
  forgetFamily,
  updateFamily,
  type Family,
} from '~/data/queries/families';
import { createVariant, saveKit } from '~/data/queries/kits';
import { undoLoan } from '~/data/queries/lending';
import {
  addAnswer,
  addTheme,
  asksNow,
  listThemes,
  markRead,
  markTheme,
  pageOfAnswers,
  removeAnswer,
  removeTheme,
} from '~/data/queries/listening';
import { pageOfMessages } from '~/data/queries/outbox';
import { addPicture, dropOldPictures, findPicture } from '~/data/queries/pictures';
import { takeBack } from '~/data/queries/returns';
import { copiesForRound } from '~/data/queries/rounds';
import { dropOldTexts, findText, settleText, textsNow } from '~/data/queries/texts';
import { lineStates } from '~/data/queries/words';
import { workPicture } from '~/data/schema';
import { keepAnswer } from '~/server/listening/keep';
import { familyLevel, kitLevel, schoolWords, standingsOf } from '~/server/listening/levels';
import { pictureGoesOn, pictureIn } from '~/server/listening/pictures';
import { keepSlip, slipBag } from '~/server/listening/slip';
import { receive } from '~/server/listening/texts';
import { sayTo } from '~/server/listening/thanks';
import { seeToUnclear, settleIn, unclearIn, unclearNow } from '~/server/listening/unclear';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { answersOf, aWord, lendOut, printedCopies, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let day: string;
beforeEach(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
});
afterAll(closeDatabase);

const me = (): string => world.people.coordinator.id;
const out = (copy = 0, family = 0): Promise<string> =>
  lendOut(world, { copy, family, lentOn: daysAfter(day, -9), dueOn: daysAfter(day, 5) });
const change = async (one: Family, to: Partial<ReturnType<typeof familyFields>>): Promise<void> => {
  const now = (await findFamily(world.at, one.id))!;
  await updateFamily(world.at, one.id, { ...familyFields(now), ...to }, now.version, me());
};
const says = (loanId: string, said: Level, child = '') =>
  addAnswer(world.at, aWord(loanId, { games: [{ ...silent(0), said, child }] }));
const home = (loanId: string): Promise<boolean> =>
  takeBack(world.at, { loanId, returnedOn: day, counts: [], personId: null });

/** A second kit with a game of two settings, and its copies. */
async function anotherKit(name: string, gameId: string, presets: readonly string[], n = 2) {
  const game = gameOf(gameId);
  const variantIds: string[] = [];
  for (const id of presets) {
    const { params, ageBand } = game.presets.find((one) => one.id === id)!;
    variantIds.push(
      (await createVariant(world.at, { gameId, name: `${name} ${id}`, ageBand, params, createdBy: me() }))!
        .id,
    );
  }
  const kitId = (await saveKit(
    world.at,
    { name, ageBand: 'g1', players: 2, paper: 'a4', assurance: 'usual', variantIds },
    me(),
  ))!;
  return { kitId, copies: await printedCopies(world.at, kitId, n, world.people.helper.id) };
}

describe('an answer', () => {
  it('is kept with what it says of each game, once however often it is sent, and not for a loan that was undone', async () => {
    const loanId = await out();
    const form = new FormData();
    form.set('g0.said', 'tooHard');
    form.append('g0.how', 'pieces');
    form.set('g0.unclear', 'turn');
    form.set('g5.said', 'tooEasy');
    const about = {
      plan: world.copies[0]!.plan,
      loanId,
      language: 'es',
      via: 'page' as const,
    };
    const kept = await Promise.all(Array.from({ length: 4 }, () => keepAnswer(world.at, form, about)));
    expect(kept.filter((one) => one.ok && one.id !== undefined)).toHaveLength(1);
    expect(await answersOf(world.at)).toMatchObject([
      { games: [{ position: 0, said: 'tooHard', how: ['pieces'] }], answer: { via: 'page', language: 'es' } },
    ]);
    // A phone that kept what was typed sends it again when it has found its network.
    const after = async (days: number) => {
      vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + days * 86_400_000 });
      try {
        const again = await keepAnswer(world.at, form, about);
        return again.ok && again.id !== undefined;
      } finally {
        vi.useRealTimers();
      }
    };
    expect([await after(1), await after(12), await after(20)]).toEqual([false, false, true]);
    expect(await answersOf(world.at)).toHaveLength(2);
    form.set('g0.child', 'two words');
    expect(await keepAnswer(world.at, form, about)).toMatchObject({ ok: false, empty: false });
    expect(await keepAnswer(world.at, new FormData(), about)).toMatchObject({ ok: false, empty: true });
    const other = await out(1, 1);
    await undoLoan(world.at, other, me());
    expect(await says(other, 'justRight')).toBeUndefined();
  });

  it('is found by its words without accents, by theme and family, and counted by what it asks for', async () => {
    const [one, two] = [await out(0, 0), await out(1, 1)];
    const first = (await addAnswer(
      world.at,
      aWord(one, {
        games: [{ ...silent(0), childSaid: 'Contó desde el número más grande' }],
        missing: 'una ficha',
      }),
    ))!;
    await addAnswer(world.at, aWord(two, { anythingElse: '100% fun_' }));
    const found = async (asked: object) =>
      (await pageOfAnswers(world.at, { first: 0, most: 10, ...asked })).answers.map((row) => row.familyName);
    expect(await found({ text: 'NUMERO conto' })).toEqual(['Familia Vela']);
    expect(await found({ text: '100%' })).toEqual(['Family Dunlin']);
    expect(await found({ text: '%' })).toEqual(['Family Dunlin']);
    expect(await found({ text: 'fun_' })).toEqual(['Family Dunlin']);
    expect(await found({ familyId: world.families[0]!.id })).toEqual(['Familia Vela']);
    const themeId = (await addTheme(world.at, 'Counts on'))!;
    expect(await addTheme(world.at, 'counts ON')).toBeUndefined();
    const mark = (on: boolean) => markTheme(world.at, { answerId: first, themeId, personId: me(), on });
    expect([await mark(true), await mark(true)]).toEqual([true, true]);
    expect(await found({ themeId })).toEqual(['Familia Vela']);
    expect((await listThemes(world.at)).map(({ answers }) => answers)).toEqual([1]);
    await mark(false);
    expect(await found({ themeId })).toEqual([]);
    await mark(true);
    await removeTheme(world.at, themeId);
    expect(await mark(true)).toBe(false);
    expect(await asksNow(world.at)).toEqual({ unread: 2, missing: 1, asking: 1, unclear: 0, texts: 0 });
    expect(await found({ unread: true })).toHaveLength(2);
  });

  it('on a paper slip is typed once, said back, and taken back while nobody has read it', async () => {
    const loanId = await out();
    const { tag } = world.copies[0]!;
    await home(loanId);
    expect(await slipBag(world.at, tag)).toMatchObject({
      family: 'Familia Vela',
      games: ['Two-Tone Spill'],
      typed: false,
    });
    expect(await slipBag(world.at, world.copies[1]!.tag)).toMatchObject({
      problem: expect.stringMatching(/never lent/) as string,
    });
    expect(await slipBag(world.at, 'HELLO')).toMatchObject({
      problem: expect.stringMatching(/not the number/) as string,
    });
    const kept = await keepSlip(world.at, `${tag} 213420`, 'Otra vez', me());
    if (kept.status !== 200) throw new Error(kept.problem);
    expect(kept.kept).toMatch(
      /Familia Vela: 2 children, 1 grown-up, played 3 times, about 20 minutes each time, just right/,
    );
    expect(await keepSlip(world.at, `${tag} 113420`, '', me())).toMatchObject({ status: 409 });
    expect(await slipBag(world.at, tag)).toMatchObject({ typed: true });
    expect(await removeAnswer(world.at, kept.id, world.people.helper.id)).toBe(false);
    expect(await removeAnswer(world.at, kept.id, me())).toBe(true);
    const again = await keepSlip(world.at, `${tag} 113420`, '', me());
    if (again.status !== 200) throw new Error(again.problem);
    await markRead(world.at, [again.id], true);
    expect(await removeAnswer(world.at, again.id, me())).toBe(false);
  });
});

describe('a text that comes in', () => {
  const text = (from: string, line: string, id: string = crypto.randomUUID()) =>
    receive(world.at, { id, from, text: line });
  const whys = async () => (await textsNow(world.at)).waiting.map(({ why }) => why);

  it('is read where it says exactly what it means, once though it is handed over twice', async () => {
    await change(world.families[0]!, { reach: '+1 (555) 010-0177' });
    await out();
    expect(await text('+15550100177', 'bien 10', 'm1')).toBe('read');
    expect(await text('+15550100177', 'bien 10', 'm1')).toBe('known');
    expect(await answersOf(world.at)).toMatchObject([
      { answer: { via: 'text', language: 'es' }, games: [{ said: 'justRight', minutes: 10 }] },
    ]);
    expect((await textsNow(world.at)).done).toMatchObject([{ state: 'read', familyName: 'Familia Vela' }]);
  });

  it('waits for a person where it does not, with the reason, and becomes an answer there', async () => {
    await change(world.families[0]!, { reach: '555-0177' });
    await change(world.families[1]!, { reach: '555-0188' });
    await change(world.families[2]!, { reach: '555-0188' });
    expect(await text('555-0199', '1 ok')).toBe('waiting');
    expect(await text('555-0188', '1 ok')).toBe('waiting');
    expect(await text('555 0177', '1 ok')).toBe('waiting');
    const loanId = await out();
    expect(await text('5550177', 'nos encantó, 3 veces')).toBe('waiting');
    await out(1);
    expect(await text('5550177', 'ok')).toBe('waiting');
    expect(await whys()).toEqual([
      'Nobody is known under this number.',
      expect.stringMatching(/^Several families share this number/) as string,
      'They have not had a bag lately.',
      expect.stringMatching(/is not the number of a game/) as string,
      expect.stringMatching(/more than one bag/) as string,
    ]);
    // With the tag it says which.
    expect(await text('5550177', `${world.copies[1]!.tag} ok 12`)).toBe('read');
    const [first] = (await textsNow(world.at)).waiting.slice(3);
    const answerId = (await says(loanId, 'justRight'))!;
    expect(await settleText(world.at, first!.id, { state: 'read', answerId, personId: me() })).toBe(true);
    // What somebody else brought in is not taken back, nor is its text.
    expect(await removeAnswer(world.at, answerId, me())).toBe(false);
    expect((await findText(world.at, first!.id))!.state).toBe('read');
    expect(await asksNow(world.at)).toMatchObject({ texts: 4 });
  });

  it('is not kept for ever: what is settled goes after half a year, what came from nobody known after a month', async () => {
    await change(world.families[0]!, { reach: '555-0177' });
    await text('555-0177', 'hola');
    await text('555-0000', 'hello');
    const aged = (days: number) =>
      everything().execute(sql`update text_reply set received_at = now() - make_interval(days => ${days})`);
    await aged(40);
    await dropOldTexts(world.at);
    expect(await whys()).toEqual(['They have not had a bag lately.']);
    const [left] = (await textsNow(world.at)).waiting;
    await settleText(world.at, left!.id, { state: 'aside' });
    await aged(170);
    await dropOldTexts(world.at);
    expect((await textsNow(world.at)).done).toHaveLength(1);
    await aged(190);
    await dropOldTexts(world.at);
    expect((await textsNow(world.at)).done).toEqual([]);
  });

  it('goes with its family when that is forgotten', async () => {
    await change(world.families[0]!, { reach: '555-0177' });
    const loanId = await out();
    await text('555-0177', 'we called it Zanzibar');
    await home(loanId);
    expect(await forgetFamily(world.at, world.families[0]!.id)).toBe(true);
    expect((await textsNow(world.at)).waiting).toEqual([]);
  });
});

describe('where a child is', () => {
  it('moves with what the family says, and the next bag with it', async () => {
    await change(world.families[1]!, { children: 'Pip, grade 1\nJuno, kindergarten' });
    const small = await anotherKit('Small', 'two-tone-spill', ['5-ordered'], 1);
    const large = await anotherKit('Large', 'tide-pairs', ['ten'], 1);
    const family = (await findFamily(world.at, world.families[1]!.id))!;
    const before = await standingsOf(world.at, family);
    expect(before.map(({ child, band }) => [child, band])).toEqual([
      ['Pip', 'g1'],
      ['Juno', 'K'],
    ]);
    expect(before[0]!.standing.sentence).toMatch(/Nobody has answered yet/);
    expect(before[0]!.next.flatMap(({ kits }) => kits.map(({ id }) => id)).sort()).toEqual(
      [world.kitId, small.kitId, large.kitId].sort(),
    );
    const loanId = await out(0, 1);
    await says(loanId, 'tooHard', 'pip');
    const [pip, juno] = await standingsOf(world.at, family);
    expect(pip!.standing.mean).toBeLessThan(before[0]!.standing.mean);
    expect(juno!.standing.mean).toBeCloseTo(before[1]!.standing.mean, 9);
    expect(pip!.mend).toMatchObject({ name: 'Six' });
    expect(pip!.mend!.justRight).toBeGreaterThan(pip!.mend!.before);
    // The kit they have had is not advised again.
    expect(pip!.next.map(({ name }) => name)).not.toContain('Six');
    expect(pip!.next[0]!.name).toBe('Small 5-ordered');
    const words = await schoolWords(world.at);
    expect(familyLevel(family, words)).toBeLessThan(2);
    expect(kitLevel(large.kitId, words)).toBeGreaterThan(kitLevel(small.kitId, words)!);
    expect(kitLevel(crypto.randomUUID(), words)).toBeUndefined();
  });

  it('advises nothing that is not safe for them, or not worded in their language', async () => {
    const under = (await createFamily(world.at, { name: 'Family Crab', language: 'en', underThree: true }))!;
    expect((await standingsOf(world.at, under))[0]!.next).toEqual([]);
    const spanish = (await findFamily(world.at, world.families[0]!.id))!;
    // Nobody has read the Spanish lines yet.
    expect((await standingsOf(world.at, spanish))[0]!.next).toEqual([]);
    expect((await copiesForRound(world.at)).length).toBe(3);
  });
});

describe('a step that was unclear', () => {
  it('stands on its line at the words desk, and makes it doubtful when somebody says so, once', async () => {
    const game = gameOf('two-tone-spill');
    for (const [copy, family] of [
      [0, 0],
      [1, 1],
    ] as const)
      await addAnswer(
        world.at,
        aWord(await out(copy, family), { language: 'es', games: [{ ...silent(0), unclear: aStep() }] }),
      );
    const [one, ...rest] = await unclearNow(world.at);
    expect(rest).toEqual([]);
    expect(one).toMatchObject({ gameId: 'two-tone-spill', language: 'es', times: 2, own: false });
    expect(await asksNow(world.at)).toMatchObject({ unclear: 2 });
    expect(await unclearIn(world.at, 'two-tone-spill', 'es')).toEqual({ [aStep()]: 2 });
    expect(await unclearIn(world.at, 'two-tone-spill', 'en')).toEqual({});
    expect(await unclearIn(world.at, 'leaf-twins', 'es')).toEqual({});
    expect(await seeToUnclear(world.at, one!, me(), true)).toBe(true);
    expect(await seeToUnclear(world.at, one!, me(), true)).toBe(false);
    const states = await lineStates(world.at, game, 'es');
    expect(states[one!.messageId]).toMatchObject({
      kind: 'doubt',
      voices: [{ note: '2 families did not understand this step.', right: false }],
    });
    expect(await unclearNow(world.at)).toEqual([]);
  });
  it('that games say alike is settled where it is worded for all of them', async () => {
    const alike = gameOf('peek-and-say');
    const { copies } = await anotherKit('Alike', alike.id, [alike.presets[0]!.id], 1);
    const [copy] = copies;
    const steps = onPhone(openVariant(copy!.plan.variants[0]!), ENGLISH).steps;
    const shared = steps.find(({ id }) => isShared(ENGLISH, alike.words, id));
    expect(shared).toBeDefined();
    const loanId = await lendOut(
      { ...world, copies: [copy!] },
      { copy: 0, family: 0, lentOn: daysAfter(day, -3), dueOn: daysAfter(day, 5) },
    );
    await addAnswer(
      world.at,
      aWord(loanId, { language: 'es', games: [{ ...silent(0), unclear: shared!.id }] }),
    );
    expect(await unclearIn(world.at, 'shared', 'es')).toEqual({ [shared!.id]: 1 });
    expect(await unclearIn(world.at, alike.id, 'es')).toEqual({ [shared!.id]: 1 });
    await settleIn(world.at, { gameId: 'shared', messageId: shared!.id, language: 'es' });
    expect(await unclearNow(world.at)).toEqual([]);
  });
  const aStep = (): string =>
    openVariant(world.copies[0]!.plan.variants[0]!)
      .steps()
      .find(({ part }) => part === 'turn')!.id;
});

describe('a line back to a family', () => {
  it('goes by the way they chose, once, and never to who would rather not hear', async () => {
    const loanId = await out(0, 0);
    const answerId = (await says(loanId, 'justRight'))!;
    expect(await sayTo(world.at, answerId, '')).toMatchObject({ ok: false });
    expect(await sayTo(world.at, answerId, 'x'.repeat(601))).toMatchObject({ ok: false });
    expect(await sayTo(world.at, answerId, 'Gracias.')).toEqual({ ok: true, how: 'paper' });
    expect(await sayTo(world.at, answerId, 'Gracias.')).toEqual({ ok: true, how: 'paper' });
    const { messages } = await pageOfMessages(world.at, { first: 0, most: 10 });
    expect(messages).toMatchObject([{ kind: 'line', text: 'Gracias.', state: 'paper', language: 'es' }]);
    await change(world.families[0]!, { channel: 'never' });
    expect(await sayTo(world.at, answerId, 'Gracias otra vez.')).toMatchObject({ ok: false });
    expect(await sayTo(world.at, crypto.randomUUID(), 'Gracias.')).toMatchObject({ ok: false });
  });
});

describe('a picture of a child’s work', () => {
  const photo = async (): Promise<File> => {
    const bytes = await sharp({ create: { width: 2600, height: 1400, channels: 3, background: '#2F6B4A' } })
      .withExif({ IFD0: { Make: 'Somewhere' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    return new File([new Uint8Array(bytes)], 'photo.jpg', { type: 'image/jpeg' });
  };

  it('is made small and upright, and holds nothing of where it was taken', async () => {
    const read = await pictureIn(await photo());
    if (!read.ok || !read.picture) throw new Error('not read');
    const { exif, orientation, width, height } = await sharp(read.picture.image).metadata();
    expect([exif, orientation]).toEqual([undefined, undefined]);
    // Turned upright: it was taller than wide.
    expect([width, height]).toEqual([689, 1280]);
    expect(read.picture.image.includes(Buffer.from('Somewhere'))).toBe(false);
    expect(await pictureIn(null)).toEqual({ ok: true });
    expect(await pictureIn(new File([], ''))).toEqual({ ok: true });
    expect(await pictureIn(new File(['<svg/>'], 'a.jpg'))).toEqual({ ok: false, why: 'picture.none' });
    expect(await pictureIn(new File([new Uint8Array(8_000_001)], 'a.jpg'))).toEqual({
      ok: false,
      why: 'picture.large',
    });
  });

  it('goes on its day, and at once when the family does not allow it any more', async () => {
    const answerId = (await says(await out(), 'justRight'))!;
    await change(world.families[0]!, { pictures: true });
    const add = (goesOn: string) =>
      addPicture(world.at, { answerId, image: Buffer.from('x'), width: 1, height: 1, goesOn });
    await add(daysAfter(day, -1));
    await add(await pictureGoesOn(world.at));
    const ids = async () =>
      (await world.at
        .select({ id: workPicture.id, goesOn: workPicture.goesOn })
        .from(workPicture)
        .where(eq(workPicture.schoolId, world.at.schoolId))
        .orderBy(sql`goes_on`)) as { id: string; goesOn: string }[];
    const [old, kept] = await ids();
    expect(await findPicture(world.at, old!.id, day)).toBeUndefined();
    expect(await findPicture(world.at, kept!.id, day)).toMatchObject({ familyId: world.families[0]!.id });
    await dropOldPictures(world.at, day);
    expect((await ids()).map(({ id }) => id)).toEqual([kept!.id]);
    await change(world.families[0]!, { pictures: false });
    expect(await ids()).toEqual([]);
  });
});
