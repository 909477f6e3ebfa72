import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { lineKey } from '~/core/words/checks';
import { closeDatabase } from '~/data/pools';
import { closeReader, inviteReader, listReaders, readerOf, wordsOf } from '~/data/queries/readers';
import { decideVoice, endOwnVoice, findVoice, heardVoices, keepVoice, voicesOf } from '~/data/queries/voices';
import { lineNow, writeLine, writeLines } from '~/data/queries/wording';
import { addLineChecks, checkedLanguages, lineChecks, lineStates, saveLineWords } from '~/data/queries/words';
import { lineVoice, wordingCheck, wordingLine } from '~/data/schema';
import { linesToRead } from '~/server/words/reading';
import { everything } from '../owner';
import { demoSchools, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let me: string;
beforeEach(async () => {
  world = await smallSchool();
  me = world.people.coordinator.id;
});
afterAll(closeDatabase);

const spill = gameOf('two-tone-spill');
const soon = () => new Date(Date.now() + 86_400_000);
const invite = (keyHash: string, more: { kitId?: string; gameId?: string; again?: boolean } = {}) =>
  inviteReader(world.at, {
    keyHash,
    reader: keyHash,
    language: 'es',
    gameId: spill.id,
    again: false,
    personId: me,
    expiresAt: soon(),
    ...more,
  });
const says = (
  readerId: string,
  messageId: string,
  word: { right?: boolean; note?: string; unsure?: boolean },
) =>
  addLineChecks(world.at, spill, [
    { messageId, language: 'es', readerId, right: false, note: '', unsure: false, ...word },
  ]);
const state = async (messageId: string) => (await lineStates(world.at, spill, 'es'))[messageId]!;

describe('invited readers', () => {
  it('are voices of their own: both are kept, and the school’s later word settles them', async () => {
    const [nadia, omar] = [await invite('Nadia'), await invite('Omar')];
    await says(nadia, 'goal', { right: true });
    expect((await state('goal')).kind).toBe('checked');
    await says(omar, 'goal', { note: 'Nobody says it so.' });
    expect(await state('goal')).toMatchObject({ kind: 'doubt', voices: [{ by: 'Nadia' }, { by: 'Omar' }] });
    expect((await lineChecks(world.at, spill, 'es'))[lineKey('goal', 'es')]).toMatchObject({ right: false });
    // The box of the school is open again: its tick is a new word.
    const tick = { messageId: 'goal', right: true, note: '', had: { right: false, note: '' } };
    expect(await saveLineWords(world.at, spill, 'es', [tick], me)).toEqual({ saved: 1, clashes: [] });
    expect(await state('goal')).toMatchObject({ kind: 'checked', voices: [{ by: 'Coordinator' }] });
    // A word after that is heard again, and one that is taken back is not.
    await says(omar, 'goal', { unsure: true });
    expect((await state('goal')).kind).toBe('doubt');
    await says(omar, 'goal', {});
    expect((await state('goal')).kind).toBe('checked');
    expect([...(await wordsOf(world.at, omar)).keys()]).toEqual([]);
    expect(await listReaders(world.at)).toMatchObject([
      { reader: 'Omar', read: 0, doubted: 0 },
      { reader: 'Nadia', read: 1, doubted: 0 },
    ]);
  });

  it('are asked about what is not right yet, or about everything again', async () => {
    expect(await readerOf('first')).toBeUndefined();
    await invite('first');
    await invite('again', { again: true });
    const ask = async (key: string) => linesToRead(world.at, (await readerOf(key))!.link);
    const [before, all] = [await ask('first'), await ask('again')];
    expect(before.length).toBe(all.length);
    await addLineChecks(world.at, spill, [
      { messageId: 'goal', language: 'es', right: true, note: '', personId: me },
    ]);
    expect((await ask('first')).map(({ id }) => id)).not.toContain('goal');
    expect((await ask('again')).map(({ id }) => id)).toContain('goal');
    // Of a kit they read what its sheets say, and nothing that is said with other settings.
    await invite('kit', { kitId: world.kitId, again: true });
    const kit = await ask('kit');
    expect(kit.every(({ part }) => part !== 'other')).toBe(true);
    expect(kit.length).toBeLessThan(all.length);
    await closeReader(world.at, (await readerOf('kit'))!.link.id, me);
    expect((await readerOf('kit'))!.link.closedAt).not.toBeNull();
  });

  it('make a game sound together with the school, line by line', async () => {
    const nadia = await invite('Nadia');
    for (const messageId of Object.keys(spill.words.en)) await says(nadia, messageId, { right: true });
    expect(await checkedLanguages(world.at, [spill])).toEqual({ [spill.id]: ['es'] });
    // A line that is worded anew is nobody's word any more.
    const { message } = await lineNow(world.at, spill, 'goal', 'es');
    await writeLine(world.at, spill, {
      messageId: 'goal',
      language: 'es',
      message: message!.replace('Encuentren', 'Hallen'),
      had: message!,
      personId: me,
    });
    expect(await state('goal')).toEqual({ kind: 'unchecked' });
    expect(await checkedLanguages(world.at, [spill])).toEqual({ [spill.id]: [] });
  });
});

describe('voices', () => {
  const said = 'Pongan 6 fichas.';
  const keep = async (readerId: string, more: { said?: string } = {}) =>
    keepVoice(world.at, {
      sourceId: spill.id,
      messageId: 'setUp.cup',
      language: 'es',
      said,
      kind: 'audio/webm',
      sound: Buffer.from('sound'),
      readerId,
      ...more,
    });

  it('are heard once they are let out, for exactly these words, the newest', async () => {
    const nadia = await invite('Nadia');
    const id = await keep(nadia);
    expect(await heardVoices(world.at, 'es', [said])).toEqual(new Map());
    expect(await decideVoice(world.at, id, 'letOut', me)).toBe(true);
    expect(await heardVoices(world.at, 'es', [said, 'Pongan 7 fichas.'])).toEqual(new Map([[said, id]]));
    expect(await heardVoices(world.at, 'pt', [said])).toEqual(new Map());
    // Spoken anew it is not heard before somebody has listened to it again.
    const anew = await keep(nadia);
    expect(await heardVoices(world.at, 'es', [said])).toEqual(new Map());
    expect((await voicesOf(world.at, 'es', [spill.id])).map((voice) => voice.id)).toEqual([anew]);
  });

  it('leave no sound behind, and are taken away by nobody but their reader and the school', async () => {
    const [nadia, omar] = [await invite('Nadia'), await invite('Omar')];
    const id = await keep(nadia);
    await endOwnVoice(world.at, id, omar);
    expect(await findVoice(world.at, id)).toBeDefined();
    await endOwnVoice(world.at, id, nadia);
    expect(await findVoice(world.at, id)).toBeUndefined();
    expect(await decideVoice(world.at, id, 'letOut', me)).toBe(false);
    const rows = await everything().select({ sound: lineVoice.sound }).from(lineVoice);
    expect(rows.map(({ sound }) => sound.length)).toEqual([0]);
  });
});

describe('many lines at once', () => {
  const change = async (messageId: string, from: string, to: string) => {
    const { message } = await lineNow(world.at, spill, messageId, 'es');
    return { of: spill, messageId, was: message, becomes: message!.replace(from, to) };
  };
  const write = (changes: Awaited<ReturnType<typeof change>>[], readBy = '') =>
    writeLines(world.at, {
      language: 'es',
      changes,
      final: changes.map(({ of, messageId }) => ({ of, messageId })),
      readBy,
      personId: me,
    });

  it('are written all or none: one that was overtaken keeps the others back', async () => {
    const both = [
      await change('goal', 'Encuentren', 'Hallen'),
      await change('turn.pass', 'Guarden', 'Metan'),
    ];
    const stale = { ...both[1]!, was: 'as it was long ago' };
    expect(await write([both[0]!, stale])).toBe(false);
    expect(await everything().$count(wordingLine)).toBe(0);
    expect(await write(both, 'Nadia')).toBe(true);
    expect(await everything().$count(wordingLine)).toBe(2);
    // Found right under the name that was given, as they are worded now.
    expect(await state('goal')).toMatchObject({ kind: 'checked', voices: [{ by: 'Nadia' }] });
    expect(await everything().$count(wordingCheck)).toBe(2);
  });

  it('are written by one of two who bring the same file at the same moment', async () => {
    const both = [
      await change('goal', 'Encuentren', 'Hallen'),
      await change('turn.pass', 'Guarden', 'Metan'),
    ];
    const done = await Promise.all([write(both), write([...both].reverse())]);
    expect(done.filter(Boolean)).toHaveLength(1);
    expect(await everything().$count(wordingLine)).toBe(2);
  });

  it('are no other school’s to read', async () => {
    const { at, sister } = await demoSchools();
    const theirs = await listReaders(at);
    expect(theirs.length).toBeGreaterThan(0);
    expect(await listReaders(sister)).toEqual([]);
    expect(await voicesOf(sister, 'ar', [spill.id])).toEqual([]);
    expect([...(await wordsOf(sister, theirs[0]!.id)).keys()]).toEqual([]);
  });
});
