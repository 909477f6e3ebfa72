import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games';
import { showTag } from '~/core/lending/tag';
import { closeDatabase } from '~/data/db';
import { listCopies, markPrinted, saveKit } from '~/data/queries/kits';
import { findSchool, type School } from '~/data/queries/people';
import { addLineChecks } from '~/data/queries/words';
import { saveKitForm } from '~/server/kits/save';
import { orderSheets, readOrder, uncheckedIn } from '~/server/print/order';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let school: School;
beforeEach(async () => {
  world = await smallSchool();
  school = (await findSchool())!;
});
afterAll(closeDatabase);

const request = new Request('http://school.invalid/print');
const order = (search: string) => readOrder(new URLSearchParams(search), school);
const textOf = async (search: string): Promise<string> =>
  JSON.stringify(await orderSheets(request, await order(search), school));

describe('a print order', () => {
  it('takes what is asked for, else all that is not printed, on the paper of the school', async () => {
    const [one] = world.copies;
    expect(await order('')).toMatchObject({ copies: [], paper: 'a4', home: 'es', twoSided: true });
    expect((await order(`copy=${one!.id}&copy=nonsense`)).copies.map((copy) => copy.id)).toEqual([one!.id]);
    expect((await order(`run=${one!.buildRunId}`)).copies).toHaveLength(3);
    expect(await order('paper=letter&home=en&sides=one&item=labels&item=nonsense')).toMatchObject({
      paper: 'letter',
      home: 'en',
      twoSided: false,
      items: ['labels'],
    });
    expect(await order('paper=napkin&home=xx')).toMatchObject({ paper: 'a4', home: 'es' });
  });

  it('gives each copy its own tag and link on its labels', async () => {
    const text = await textOf(`run=${world.copies[0]!.buildRunId}&item=labels`);
    for (const copy of world.copies) expect(text).toContain(showTag(copy.tag));
    expect(
      (await orderSheets(request, await order(`run=${world.copies[0]!.buildRunId}&item=labels`), school))
        .length,
    ).toBe(1);
  });

  it('prints what was built, though the kit has changed since', async () => {
    const [one] = world.copies;
    const before = await textOf(`copy=${one!.id}`);
    await saveKit(
      { name: 'First splits', ageBand: 'K', players: 4, paper: 'a4', assurance: 'worst', variantIds: [] },
      world.kitId,
    );
    expect(await textOf(`copy=${one!.id}`)).toBe(before);
  });

  it('marks wording nobody has checked, and stops when all of it is', async () => {
    const asked = `copy=${world.copies[0]!.id}&item=instructions`;
    expect(await uncheckedIn(await order(asked))).toEqual(['Two-Tone Spill']);
    expect(await uncheckedIn(await order(`${asked}&home=en`))).toEqual([]);
    expect(await textOf(asked)).toContain('no revisado');
    const ids = Object.keys(gameOf('two-tone-spill').words.es);
    await addLineChecks(
      gameOf('two-tone-spill'),
      ids.map((messageId) => ({
        messageId,
        language: 'es' as const,
        right: true,
        note: '',
        personId: world.people.reader.id,
      })),
    );
    expect(await uncheckedIn(await order(asked))).toEqual([]);
    expect(await textOf(asked)).not.toContain('no revisado');
  });

  it('counts a pack as printed only when told so', async () => {
    const ids = world.copies.map((copy) => copy.id);
    await orderSheets(request, await order(`copy=${ids[0]!}`), school);
    await markPrinted([ids[0]!]);
    expect((await listCopies({ ids })).every((copy) => copy.printedAt !== null)).toBe(true);
  });
});

describe('the form of a kit', () => {
  const form = (fields: Record<string, string>, variantIds: string[] = []) => {
    const data = new FormData();
    for (const [name, value] of Object.entries({
      name: 'New kit',
      ageBand: 'g1',
      players: '2',
      paper: 'a4',
      assurance: 'usual',
      ...fields,
    }))
      data.set(name, value);
    for (const id of variantIds) data.append('variantIds', id);
    return data;
  };

  it('says all that is wrong with it at once', async () => {
    expect(await saveKitForm(form({ name: ' ', players: '9', paper: 'napkin' }))).toEqual({
      ok: false,
      status: 400,
      errors: {
        name: 'Name of the kit must not be empty.',
        players: 'Players must be from 1 to 6.',
        paper: expect.stringContaining('Letter') as string,
        variantIds: 'Tick at least one game.',
      },
    });
  });

  it('refuses a variant that is gone and a name that is taken', async () => {
    expect(await saveKitForm(form({}, [crypto.randomUUID()]))).toMatchObject({
      errors: { variantIds: expect.stringContaining('not there any more') as string },
    });
    const [variant] = await (await import('~/data/queries/kits')).listVariants();
    expect(await saveKitForm(form({ name: 'first SPLITS' }, [variant!.id]))).toMatchObject({ status: 409 });
    expect(await saveKitForm(form({}, [variant!.id, variant!.id]))).toMatchObject({ ok: true });
  });
});
