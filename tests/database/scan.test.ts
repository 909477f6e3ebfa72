import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { randomCard, showCard } from '~/core/lending/card';
import { daysAfter } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { findFamily, giveCards } from '~/data/queries/families';
import { secureRandom } from '~/server/random';
import { readScan } from '~/server/scan';
import { today as todayAt } from '~/server/today';
import { lendOut, smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
const NOTHING = { copy: null, family: null };
const scan = (q: string, held: { copy: string | null; family: string | null } = NOTHING, mayChoose = true) =>
  readScan(world.at, q, held, mayChoose);
const says = async (...asked: Parameters<typeof scan>): Promise<string[]> =>
  (await scan(...asked)).choices.map((one) => one.says);

describe('what is scanned or typed', () => {
  it('lends a bag that is here and takes back one that is out, however its label is read', async () => {
    const [here, out] = world.copies;
    const today = todayAt(world.at);
    await lendOut(world, { copy: 1, family: 0, lentOn: today, dueOn: daysAfter(today, 3) });
    for (const q of [
      here!.tag,
      showTag(here!.tag),
      here!.tag.toLowerCase(),
      ` ${here!.tag} `,
      `http://192.168.1.9:4600/p/${here!.linkKey}?lang=es`,
    ])
      expect(await says(q), q).toEqual([
        `lend ${showTag(here!.tag)}, First splits; then scan or type a family`,
      ]);
    expect(await says(here!.tag, { copy: null, family: world.families[0]!.id })).toEqual([
      `lend ${showTag(here!.tag)}, First splits to this family`,
    ]);
    expect((await says(out!.tag))[0]).toMatch(/^take back .* from Familia Vela \(/);
  });

  it('says what is wrong with a label, and guesses nothing', async () => {
    const { tag } = world.copies[0]!;
    const misread = `${tag.slice(0, 4)}${tag[4] === 'W' ? 'X' : 'W'}`;
    const found = await scan(misread);
    expect(found.choices).toEqual([]);
    expect(found.problem).toMatch(/\.$/);
    expect((await scan('http://x/p/AAAAAAAAAAAAAAAAAAAAAA')).problem).toBe(
      'This label belongs to no copy of this school.',
    );
    expect((await scan('no such thing')).problem).toMatch(/^Nothing here is called “no such thing”/);
    expect((await scan('no such thing', { copy: tag, family: null })).problem).toBe(
      'No family is called “no such thing”.',
    );
    expect(await scan('')).toEqual({ q: '', choices: [] });
  });

  it('finds families by name or card, games and kits; with a bag in hand it lends to them', async () => {
    expect((await says('vela'))[0]).toBe('choose Familia Vela (Spanish)');
    expect(await says('vela', { copy: world.copies[0]!.tag, family: null })).toEqual([
      'lend to Familia Vela (Spanish)',
    ]);
    expect(await says('two-tone')).toContain('open the game Two-Tone Spill');
    expect(await says('two-tone', NOTHING, false)).not.toContain('open the game Two-Tone Spill');
    expect(await says('first spl')).toContain('open the kit First splits');
    await giveCards(world.at, () => randomCard(secureRandom));
    const card = (await findFamily(world.at, world.families[1]!.id))!.card!;
    expect(await says(showCard(card).toLowerCase())).toEqual(['choose Family Dunlin (English)']);
  });

  it('opens a slip for who may type it in', async () => {
    const { tag } = world.copies[0]!;
    expect(await says(`${tag} 213420`)).toEqual([`type in the paper slip of ${showTag(tag)}`]);
    expect((await says(`${tag} 213420`, NOTHING, false)).join()).not.toMatch(/slip/);
  });

  it('answers anything with a few choices or a sentence', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'binary', maxLength: 80 }), async (q) => {
        const { choices, problem } = await scan(q.replaceAll('\u0000', ''));
        expect(choices.length).toBeLessThanOrEqual(6);
        if (problem) expect(problem).toMatch(/\.$/);
        for (const { go, says: told } of choices) {
          expect(go).toMatch(/^\//);
          expect(told).not.toMatch(/undefined|null/);
        }
      }),
      { numRuns: 150 },
    );
  });
});
