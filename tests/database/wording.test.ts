import { beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { AROUND } from '~/core/pack/sources';
import { FAMILY_WORDS } from '~/core/words/family';
import { lineKey } from '~/core/words/checks';
import { say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { lineHistory, lineNow, readingAt, revisedBy, writeLine } from '~/data/queries/wording';
import { addLineChecks, lineChecks } from '~/data/queries/words';
import { demoSchools, idOf, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
const family = AROUND.find(({ id }) => id === 'family')!;
const spill = gameOf('two-tone-spill');
const send = readingOf('es').wording.family!.send!;
const write = (message: string | null, had: string, language = 'es', messageId = 'send') =>
  writeLine(world.at, family, { messageId, language, message, had, personId: world.people.coordinator.id });

describe('the school’s own wording', () => {
  it('lies over what ships from the moment it is written, and goes back to it', async () => {
    expect(await write('Mandar', send)).toEqual({ ok: true });
    expect(say(await readingAt(world.at, 'es'), FAMILY_WORDS, 'send')).toBe('Mandar');
    expect(await lineNow(world.at, family, 'send', 'es')).toMatchObject({ message: 'Mandar', shipped: send });
    // Whoever saw it before that does not write over it.
    expect(await write('Enviar ya', send)).toEqual({ ok: false, now: 'Mandar' });
    expect(await write('Mandar la respuesta', 'Mandar')).toEqual({ ok: true });
    expect(await write(null, 'Mandar la respuesta')).toEqual({ ok: true });
    expect(say(await readingAt(world.at, 'es'), FAMILY_WORDS, 'send')).toBe(send);
    expect(await revisedBy(world.at, ['es'])).toEqual({});
    const history = await lineHistory(world.at, 'family', 'send', 'es');
    expect(history.map(({ message, by }) => [message, by])).toEqual([
      [null, 'Coordinator'],
      ['Mandar la respuesta', 'Coordinator'],
      ['Mandar', 'Coordinator'],
    ]);
    // What is as it ships already is not written down.
    expect(await write(send, send)).toEqual({ ok: true });
    expect(await lineHistory(world.at, 'family', 'send', 'es')).toHaveLength(3);
  });

  it('is written by one of two who do it at the same moment', async () => {
    const both = await Promise.all([write('Mandar', send), write('Enviar ya', send)]);
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    expect(await lineHistory(world.at, 'family', 'send', 'es')).toHaveLength(1);
  });

  it('takes back what was checked when the line, or the English line, is worded anew', async () => {
    const check = () => lineChecks(world.at, spill, 'es');
    const row = {
      messageId: 'name',
      language: 'es',
      right: true,
      note: '',
      personId: world.people.reader.id,
    };
    await addLineChecks(world.at, spill, [row]);
    expect(await check()).toHaveProperty([lineKey('name', 'es')]);
    const personId = world.people.coordinator.id;
    const line = {
      messageId: 'name',
      language: 'en',
      message: 'Spill and Split',
      had: 'Two-Tone Spill',
      personId,
    };
    expect(await writeLine(world.at, spill, line)).toEqual({ ok: true });
    expect(await check()).toEqual({});
    await writeLine(world.at, spill, { ...line, message: null, had: 'Spill and Split' });
    expect(await check()).toHaveProperty([lineKey('name', 'es')]);
    const had = spill.words.en.name === undefined ? '' : say(readingOf('es'), spill.words, 'name');
    await writeLine(world.at, spill, { ...line, language: 'es', message: 'Volcar y separar', had });
    expect(await check()).toEqual({});
  });

  it('belongs to one school', async () => {
    const { at, sister } = await demoSchools();
    const personId = await idOf('Maren');
    await writeLine(at, family, {
      messageId: 'send',
      language: 'es',
      message: 'Mandar',
      had: send,
      personId,
    });
    expect(say(await readingAt(at, 'es'), FAMILY_WORDS, 'send')).toBe('Mandar');
    expect(say(await readingAt(sister, 'es'), FAMILY_WORDS, 'send')).toBe(send);
  });
});
