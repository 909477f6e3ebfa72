/** What bags need, with its reason: reports of families, what was found, cleaning, worn paper, whole ones out of two. */
import { pairsThatMakeOne } from '~/core/kits/whole';
import { isPrinted, type Catalogue } from '~/core/materials/school';
import { listed } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { listFound, listReports, listUsed } from '~/data/queries/care';
import { listCopies, plansOf } from '~/data/queries/copies';
import { listShortages, type Shortage } from '~/data/queries/counts';
import { catalogueNow } from '~/data/queries/materials';
import { schoolPrinting } from '~/data/queries/schools';

/** Parts that want wiping or washing, in words. */
const washable = (parts: readonly { material: string }[], catalogue: Catalogue): string[] =>
  parts
    .map(({ material }) => catalogue.of(material))
    .filter(({ kind, washable: can, id }) => kind === 'durable' && can && id !== 'bag')
    .map(({ plural }) => plural);

export async function tasksOf(at: SchoolHandle) {
  const { durableLoans, plainLoans, cleanAfter } = await schoolPrinting(at);
  const [reports, found, used, shortages] = await Promise.all([
    listReports(at),
    listFound(at),
    listUsed(at, { cleanAfter, plainLoans, durableLoans }),
    listShortages(at),
  ]);
  const [runs, pairs, catalogue] = await Promise.all([
    plansOf(at, [...new Set(used.map(({ buildRunId }) => buildRunId))]),
    wholeOnes(at, shortages),
    catalogueNow(at),
  ]);
  const dirty = new Set(found.filter(({ kind }) => kind === 'dirty').map(({ copyId }) => copyId));
  return {
    reports,
    found,
    clean: used
      .filter(({ sinceCleaned, copyId }) => sinceCleaned >= cleanAfter && !dirty.has(copyId))
      .flatMap((one) => {
        const what = washable(runs.get(one.buildRunId)?.parts ?? [], catalogue);
        return what.length
          ? [{ ...one, why: `${one.sinceCleaned} loans since it was cleaned: wipe or wash ${listed(what)}.` }]
          : [];
      }),
    worn: used
      .filter(
        ({ sincePrinted, finish }) => sincePrinted >= (finish === 'durable' ? durableLoans : plainLoans),
      )
      .map((one) => ({
        ...one,
        why:
          one.finish === 'durable'
            ? `${one.sincePrinted} loans since its pages were laminated; they are taken to last ${durableLoans}.`
            : plainLoans > 1
              ? `${one.sincePrinted} loans since its pages were printed; plain paper is taken to last ${plainLoans}.`
              : 'Plain paper is written on and stays with the family.',
      })),
    pairs,
    lost: lostPaper(shortages),
  };
}

/** Copies that lack printed parts: only what is lost is printed. */
function lostPaper(shortages: readonly Shortage[]) {
  const lost = shortages.filter(
    ({ material, counted, expected }) => isPrinted(material) && counted < expected,
  );
  return [
    ...new Map(lost.map(({ copyId, tag, kitName }) => [copyId, { copyId, tag, kitName }])).values(),
  ].map((copy) => ({ ...copy, lacks: lost.filter(({ copyId }) => copyId === copy.copyId) }));
}

/** Pairs of incomplete copies at school of which one makes the other whole. */
async function wholeOnes(at: SchoolHandle, shortages: Awaited<ReturnType<typeof listShortages>>) {
  const ids = [...new Set(shortages.map(({ copyId }) => copyId))];
  if (ids.length < 2) return [];
  const home = (await listCopies(at, { ids })).filter(
    ({ loan, readyAt }) => loan === null && readyAt !== null,
  );
  const pairs = pairsThatMakeOne(
    home.map(({ id, kitId, parts }) => {
      const mine = shortages.filter(({ copyId }) => copyId === id);
      return {
        id,
        alike: `${kitId} ${JSON.stringify(parts.map(({ material, quantity }) => [material, quantity]))}`,
        parts,
        missing: Object.fromEntries(
          mine
            .filter(({ counted, expected }) => counted < expected)
            .map(({ material, counted, expected }) => [material, expected - counted]),
        ),
        lacks: mine.flatMap(({ lacks = [] }) => lacks),
      };
    }),
  );
  const of = (id: string) => home.find((one) => one.id === id)!;
  return pairs.map(({ from, into }) => ({
    from: { id: from, tag: of(from).tag },
    into: { id: into, tag: of(into).tag },
    kitName: of(into).kitName,
    parts: of(into).parts.map(({ material, quantity }) => ({ material, quantity })),
    lacks: shortages.filter(({ copyId }) => copyId === into),
  }));
}
