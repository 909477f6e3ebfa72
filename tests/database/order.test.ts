import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { PACK_ITEMS, PACK_SCOPES } from '~/core/pack/choices';
import { CUTS, FINISHES, PAPERS } from '~/core/paper/sheet';
import { LABEL_STOCKS } from '~/core/pack/stock';
import { isLanguage, SHIPPED_LANGUAGES } from '~/core/words/languages';
import { closeDatabase } from '~/data/pools';
import { buildCopies } from '~/data/queries/building';
import { listCopies } from '~/data/queries/copies';
import { findKit, saveKit } from '~/data/queries/kits';
import { type School } from '~/data/queries/schools';
import { secureRandom } from '~/server/random';
import { randomTag } from '~/core/kits/tag';
import { newLinkKey } from '~/server/links';
import { loansIn, lostPieces, previewOf, readOrder, taskOf } from '~/server/print/order';
import { sheetsOf } from '~/server/print/task';
import { addVariant, smallSchool, type SmallSchool } from '../world';

/** Print orders from any address: what people choose, and what they mistype. */
let world: SmallSchool;
let school: School;
beforeAll(async () => {
  world = await smallSchool();
  const mat = await addVariant(world, 'harvest-mat', 'Mat');
  const pegs = await addVariant(world, 'peg-slide', 'Pegs');
  const kitId = (await saveKit(world.at, {
    name: 'Mats and pegs',
    ageBand: 'K',
    players: 3,
    paper: 'a4',
    assurance: 'usual',
    variantIds: [mat.id, pegs.id],
  }))!;
  await buildCopies(world.at, {
    kit: (await findKit(world.at, kitId))!,
    count: 2,
    builtOn: '2026-11-01',
    builtBy: world.people.helper.id,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });
  school = world.school;
});
afterAll(closeDatabase);

const request = new Request('http://127.0.0.1:4600/print');
/** A value that may stand in an address: a right one, nothing, or something odd. */
const odd = fc.constantFrom(
  '',
  'nonsense',
  '-1',
  '1e9',
  "'; drop table copy; --",
  '../../etc',
  '💥',
  '0',
  'NaN',
);
const value = (right: readonly string[]) =>
  fc.option(fc.oneof({ weight: 4, arbitrary: fc.constantFrom(...right) }, { weight: 1, arbitrary: odd }), {
    nil: undefined,
  });
const addresses = fc.record({
  paper: value(Object.keys(PAPERS)),
  home: value([...SHIPPED_LANGUAGES]),
  sides: value(['one', 'two']),
  finish: value(Object.keys(FINISHES)),
  cuts: value(Object.keys(CUTS)),
  fill: value(['yes', 'no']),
  scope: value(Object.keys(PACK_SCOPES)),
  stock: value(['plain', 'own', ...Object.keys(LABEL_STOCKS)]),
  used: value(['0', '2', '5']),
  loans: value(['1', '12', '100']),
  columns: value(['1', '2']),
  rows: value(['2', '3']),
  lost: value(['mat|mat', 'peg-card|peg card of 5|1', 'record-sheet|player 1']),
});
const items = fc.uniqueArray(fc.constantFrom(...Object.keys(PACK_ITEMS)), { maxLength: 8 });
const searchOf = (fields: Record<string, string | undefined>, wanted: string[]): URLSearchParams => {
  const search = new URLSearchParams();
  for (const [name, text] of Object.entries(fields)) if (text !== undefined) search.set(name, text);
  for (const item of wanted) search.append('item', item);
  return search;
};

describe('a print order from any address', () => {
  it('is one that can be printed, or says in a sentence why not', async () => {
    let pages = 0;
    await fc.assert(
      fc.asyncProperty(addresses, items, async (fields, wanted) => {
        const search = searchOf(fields, wanted);
        const order = await readOrder(world.at, search, school);
        // Copies whose pack was not printed yet, all of one build.
        expect(order.copies).toHaveLength(2);
        expect(Object.keys(PAPERS)).toContain(order.paper);
        expect(isLanguage(order.home)).toBe(true);
        expect(order.items.length).toBeGreaterThan(0);
        expect(loansIn(search)).toBeGreaterThanOrEqual(1);
        expect(loansIn(search)).toBeLessThanOrEqual(100);
        for (const sentence of Object.values(order.errors)) expect(sentence).toMatch(/^[A-Z].*\.$/);
        if (Object.keys(order.errors).length) return;
        const preview = await previewOf(
          await taskOf(world.at, request, order, school),
          loansIn(search),
          USUAL_PRINTING,
        );
        if (preview.problem) {
          expect(preview.problem).toMatch(/^[A-Z].*\.$/);
          expect(preview.pages).toEqual([]);
          return;
        }
        pages += preview.pages.length;
        const { each, all } = preview;
        for (const work of [...each.map((one) => one.work), all])
          for (const [name, n] of Object.entries(work))
            expect([name, Number.isInteger(n) && n >= 0]).toEqual([name, true]);
        for (const { work } of each) {
          expect(all.pages).toBeGreaterThanOrEqual(work.pages);
          expect(work.sheets).toBeLessThanOrEqual(work.pages);
        }
        if (order.finish === 'plain') expect(all.pouches).toBe(0);
      }),
      { numRuns: 120, seed: 11 },
    );
    expect(pages).toBeGreaterThan(300);
  }, 300_000);

  it('counts the paper of all copies as the file has it', async () => {
    for (const sides of ['one', 'two'])
      for (const finish of Object.keys(FINISHES)) {
        const order = await readOrder(world.at, searchOf({ sides, finish }, []), school);
        const task = await taskOf(world.at, request, order, school);
        const { all } = await previewOf(task, 10, USUAL_PRINTING);
        const pages = sheetsOf(task);
        expect(all.pages).toBe(pages.filter(({ shapes }) => shapes.length > 0).length);
        expect(all.sheets).toBe(
          sides === 'two'
            ? Math.ceil(pages.length / 2)
            : pages.filter(({ shapes }) => shapes.length > 0).length,
        );
      }
  });

  it('prints each piece that a kit can lose, and nothing beside it', async () => {
    const base = await taskOf(
      world.at,
      request,
      await readOrder(world.at, new URLSearchParams(), school),
      school,
    );
    const pieces = await lostPieces(base);
    expect(new Set(pieces.map(({ material }) => material))).toEqual(
      new Set(['mat', 'peg-card', 'record-sheet']),
    );
    expect(new Set(pieces.map(({ label }) => label)).size).toBe(pieces.length);
    for (const { material, name, variant } of pieces) {
      const lost = [material, name, ...(variant === undefined ? [] : [variant])].join('|');
      const order = await readOrder(world.at, searchOf({ scope: 'lost', lost }, []), school);
      const { pages, problem } = await previewOf(
        await taskOf(world.at, request, order, school),
        1,
        USUAL_PRINTING,
      );
      expect([lost, problem]).toEqual([lost, undefined]);
      const printed = pages.flatMap((page) => page.pieces ?? []);
      expect([lost, printed.length > 0]).toEqual([lost, true]);
      for (const piece of printed) expect([piece.material, piece.name]).toEqual([material, name]);
    }
  });

  it('is only of copies that are asked for, and that there are', async () => {
    const all = await listCopies(world.at);
    const [one, two] = [all[3]!, all[0]!];
    const search = new URLSearchParams([
      ['copy', one.id],
      ['copy', two.id],
      ['copy', crypto.randomUUID()],
      ['copy', 'nobody'],
    ]);
    const { copies } = await readOrder(world.at, search, school);
    expect(new Set(copies.map(({ id }) => id))).toEqual(new Set([one.id, two.id]));
    const run = await readOrder(world.at, new URLSearchParams({ run: one.buildRunId }), school);
    expect(run.copies.every((copy) => copy.buildRunId === one.buildRunId)).toBe(true);
  });
});
