import { and, eq, isNull, sql } from 'drizzle-orm';
import { open, type VariantRef } from '~/core/own/open';
import { sheetLines } from '~/core/pack/instructions';
import { lineKey } from '~/core/words/checks';
import { byNeed, type Need } from '~/core/words/needs';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '../db';
import { buildRun, copy, kit } from '../schema';
import { familiesByLanguage } from './families';
import { openLoans } from './open-loans';
import { ours } from './ours';
import { findSchool } from './schools';
import { holding, latest } from './words';
import { readingsAt } from './wording';

/** What the copies of each kit are played with; what is alike in several build runs is there once. */
const builtVariants = (at: SchoolHandle): Promise<{ kitId: string; kit: string; variants: VariantRef[] }[]> =>
  at
    .selectDistinct({
      kitId: copy.kitId,
      kit: kit.name,
      variants: sql<VariantRef[]>`${buildRun.plan} -> 'variants'`,
    })
    .from(copy)
    .innerJoin(kit, and(ours(at, kit), eq(kit.id, copy.kitId)))
    .innerJoin(buildRun, and(ours(at, buildRun), eq(buildRun.id, copy.buildRunId)))
    .where(and(ours(at, copy), isNull(copy.movedAt)));

/** How many families of each language have a kit at home, by kit and language. */
async function atHome(at: SchoolHandle): Promise<Map<string, number>> {
  const families = new Map<string, Set<string>>();
  for (const { kitId, family } of await openLoans(at)) {
    const key = `${kitId} ${family.language}`;
    families.set(key, (families.get(key) ?? new Set()).add(family.id));
  }
  return new Map([...families].map(([key, { size }]) => [key, size]));
}

/** Which kits are not sound in which language of families, the most urgent first. */
export async function needsAt(at: SchoolHandle): Promise<Need[]> {
  const { languages } = await findSchool(at);
  const others = languages.filter((language) => language !== 'en');
  if (others.length === 0) return [];
  const [built, out, families] = await Promise.all([builtVariants(at), atHome(at), familiesByLanguage(at)]);
  const read = others.filter((language) => families[language]);
  const opened = built.flatMap(({ kitId, kit: name, variants }) =>
    variants.map((ref) => ({ kitId, kit: name, variant: open(ref) })),
  );
  const games = [...new Map(opened.map(({ variant: { game } }) => [game.id, game])).values()];
  const [rows, readings] = await Promise.all([games.length ? latest(at, games) : [], readingsAt(at, read)]);
  const needs = new Map<string, Need>();
  const counted = new Map<string, Set<string>>();
  for (const { kitId, kit: name, variant } of opened) {
    const { game } = variant;
    const said = sheetLines(variant);
    const checks = holding(game, rows, readings);
    for (const language of read) {
      const key = `${kitId} ${language}`;
      const need = needs.get(key) ?? {
        kitId,
        kit: name,
        language,
        families: families[language]!,
        atHome: out.get(key) ?? 0,
        games: [],
      };
      needs.set(key, need);
      // A game that is played with several settings has each of its lines once.
      const ids = counted.get(`${key} ${game.id}`) ?? new Set();
      counted.set(`${key} ${game.id}`, ids);
      for (const id of said) if (!checks[lineKey(id, language)]?.right) ids.add(id);
      need.games = [
        ...need.games.filter(({ gameId }) => gameId !== game.id),
        ...(ids.size ? [{ gameId: game.id, name: nameOf(game), lines: ids.size }] : []),
      ];
    }
  }
  return byNeed([...needs.values()]);
}
