/** Evenings: who can be expected, which games stand at the tables, who plays where. */
import {
  askedOf,
  coming,
  type EveningPlan,
  type Invited,
  type Rehearsed,
  type Solved,
} from '~/core/evening/plan';
import { ofStore, partsOfAll, type PartsFound } from '~/core/evening/parts';
import type { Rotation } from '~/core/evening/rotation';
import { gamesForTables, type TablesFound } from '~/core/evening/tables';
import type { AgeBand } from '~/core/games/kit/types';
import type { FieldErrors } from '~/core/check/check';
import { catalogueOf, type Catalogue } from '~/core/materials/school';
import { findGame, SHELF } from '~/core/games/shelf';
import { readChildren } from '~/core/lending/children';
import type { Said } from '~/core/listening/level';
import { bandOf } from '~/core/listening/meaning';
import { CAME, pairsOf, sharesBy, sharesSentence } from '~/core/looking/reached';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { toInvite, type Missing } from '~/data/queries/evenings';
import { doorOf, guestsOf, invitedTo, openGathering, tapsAt, type Guest } from '~/data/queries/gatherings';
import { listMaterials } from '~/data/queries/materials';
import { offersOf, onHandNow, reservedNow } from '~/data/queries/store';
import { newReaderKey } from './links';
import { hashOf } from './people/session';
import { canOf, offeredGames, rotationOf, tablePartsOf } from './threads';

/** The families of a school by home language and grade: a family stands in the middle of its children. */
export async function invitedOf(at: SchoolHandle): Promise<Invited[]> {
  const rows = await toInvite(at);
  const counted = new Map<string, Invited>();
  for (const { language, children } of rows) {
    const read = readChildren(children);
    const band = bandOf(read.ok ? read.children : []);
    const key = `${language} ${band}`;
    const there = counted.get(key) ?? { language, band, families: 0 };
    counted.set(key, { ...there, families: there.families + 1 });
  }
  return [...counted.values()].sort((a, b) => b.families - a.families);
}

export const expectedOf = (invited: readonly Invited[], { come, spread = 0, tables }: EveningPlan) =>
  coming(
    invited.reduce((sum, { families }) => sum + families, 0),
    come,
    spread,
    tables.reduce((sum, { seats }) => sum + seats, 0),
  );

/** Games for so many tables, for the groups of a plan. Throws RangeError where there are too few. */
export async function gamesFor(plan: EveningPlan, tables: number): Promise<TablesFound> {
  const bands = new Map<AgeBand, number>();
  for (const { band, size } of plan.groups) bands.set(band, (bands.get(band) ?? 0) + size);
  return gamesForTables({
    games: await offeredGames(),
    expected: [...bands].map(([band, children]) => ({ band, children })),
    tables,
    roundMinutes: plan.roundMinutes,
  });
}

/** The games that a table can have, setting by setting: their ids and names. */
export const tableGames = (): { id: string; name: string }[] =>
  SHELF.flatMap((game) =>
    game.presets.map(({ id, name }) => ({ id: `${game.id} ${id}`, name: `${nameOf(game)}, ${name}` })),
  );
/** The game with the setting that such an id names. */
export function tableGame(id: string): NonNullable<EveningPlan['tables'][number]['game']> | undefined {
  const [gameId = '', presetId = ''] = id.split(' ');
  const game = findGame(gameId);
  const preset = game?.presets.find((one) => one.id === presetId);
  return game && preset
    ? { gameId, name: `${nameOf(game)}, ${preset.name}`, params: preset.params, ageBand: preset.ageBand }
    : undefined;
}

/** Solves a plan; nothing where nobody comes yet, or there is no table. */
export async function solvedOf(plan: EveningPlan, rehearsed: readonly Rehearsed[]): Promise<Solved | null> {
  if (plan.groups.length === 0 || plan.tables.length === 0) return null;
  const found = await rotationOf(askedOf(plan, rehearsed));
  if (!found.ok) return { why: found.why };
  const { rotation, help } = found;
  return { rotation, ...(help ? { help } : {}) };
}

/** What stands on the tables of a plan, and what of it there is. */
export async function partsFor(
  at: SchoolHandle,
  {
    plan,
    rotation,
    setAside,
  }: { plan: EveningPlan; rotation: Rotation | undefined; setAside: Readonly<Record<string, number>> | null },
): Promise<PartsFound> {
  const school = await listMaterials(at);
  const catalogue = catalogueOf(school);
  const tables = await tablePartsOf({ plan, rotation, school });
  const parts = partsOfAll(tables, catalogue);
  const wanted = ofStore(parts, catalogue);
  const materials = Object.keys(wanted);
  const [onHand, reserved, offers] = await Promise.all([
    onHandNow(at),
    reservedNow(at),
    materials.length ? offersOf(at, materials) : [],
  ]);
  const free = Object.fromEntries(
    materials.map((material) => {
      const there = onHand[material];
      const others = (reserved[material] ?? 0) - (setAside?.[material] ?? 0);
      return [material, there === null ? null : Math.max(0, (there ?? 0) - others)];
    }),
  );
  const can = await canOf({
    kits: [
      {
        id: 'tables',
        copies: 1,
        parts: materials.map((material) => ({ material, quantity: wanted[material]! })),
      },
    ],
    free,
    offers,
    budgetCents: 0,
    school,
  });
  return {
    tables,
    parts: parts.map((part) => {
      const need = can.needs.find(({ material }) => material === part.material);
      return {
        ...part,
        aside: setAside?.[part.material] ?? 0,
        free: need?.free ?? null,
        short: need?.short ?? 0,
        packs: need?.packs ?? [],
        costCents: need?.costCents,
      };
    }),
    costCents: can.costCents,
    wanted,
  };
}

/** What is counted back: of each material that was set aside, how many came. Answers what is missing, or the faults. */
export function missingOf(
  setAside: Readonly<Record<string, number>>,
  came: (material: string) => string,
  catalogue: Catalogue,
): { ok: true; missing: Missing[] } | { ok: false; errors: FieldErrors } {
  const errors: FieldErrors = {};
  const missing = Object.entries(setAside).map(([material, pieces]): Missing => {
    const back = Number(came(material));
    if (came(material) === '' || !Number.isInteger(back) || back < 0 || back > pieces)
      errors[`back ${material}`] = `${pieces} were set aside: 0 to ${pieces} can come back.`;
    // What is used up is not lost.
    const kind = catalogue.of(material).kind === 'consumable' ? 'worn' : 'lost';
    return { material, pieces: pieces - back, kind };
  });
  return Object.keys(errors).length ? { ok: false, errors } : { ok: true, missing };
}

/**
 * Who came of those who were asked, by language and grade, with intervals; nothing where nobody came. Families that are
 * known only since that day are left out: all of them came.
 */
export function cameShares(guests: readonly Guest[], onDay: string, asked?: ReadonlySet<string>) {
  const facts = guests
    .filter(({ id, knownSince }) => (asked ? asked.has(id) : knownSince < onDay))
    .map(({ at: moment, ...guest }) => ({ ...guest, came: moment !== null }));
  if (!facts.some(({ came }) => came)) return [];
  const views = (['language', 'grade'] as const).map((by) => ({ by, shares: sharesBy(facts, by, CAME) }));
  const looks = views.reduce((sum, { shares }) => sum + pairsOf(shares), 0);
  return views.map(({ by, shares }) => ({ by, shares, sentence: sharesSentence(shares, CAME, looks) }));
}

/** An evening that is being held, or was: who was asked, who came, what they said of the tables. */
export async function heldOf(at: SchoolHandle, eveningId: string) {
  const [door, asked, thanked] = await Promise.all([
    doorOf(at, eveningId),
    invitedTo(at, eveningId),
    invitedTo(at, eveningId, 'thanks'),
  ]);
  const [guests, taps] = door ? await Promise.all([guestsOf(at, door.id), tapsAt(at, door.id)]) : [[], []];
  const told = asked.filter(({ state }) => state !== 'dropped' && state !== 'failed');
  const came = guests.filter((one) => one.at !== null);
  const invited = new Set(told.map(({ familyId }) => familyId));
  return {
    door: door && { id: door.id },
    asked: {
      all: told.length,
      yes: asked.filter(({ answered }) => answered === 'yes').length,
      no: asked.filter(({ answered }) => answered === 'no').length,
      held: asked.filter(({ state }) => state === 'held').length,
      paper: asked.filter(({ state }) => state === 'paper').length,
    },
    thanked: thanked.length,
    came: came.length,
    unasked: invited.size === 0 ? 0 : came.filter(({ id }) => !invited.has(id)).length,
    // Where nobody was asked one by one, everybody was.
    shares: door ? cameShares(guests, door.onDay, invited.size ? invited : undefined) : [],
    tables: [...new Set(taps.map(({ tableName }) => tableName))].map((table) => {
      const mine = taps.filter(({ tableName }) => tableName === table);
      const said = (level: Said): number => mine.filter((one) => one.said === level).length;
      return {
        table,
        game: mine.at(-1)!.game.name,
        tooEasy: said('tooEasy'),
        justRight: said('justRight'),
        tooHard: said('tooHard'),
        again: mine.filter(({ again }) => again === true).length,
        answered: mine.filter(({ again }) => again !== null).length,
      };
    }),
  };
}
export type Held = Awaited<ReturnType<typeof heldOf>>;

/** The table at the door of an evening, where its tablet is opened; opened by two at a time it is one. */
export async function openDoor(
  at: SchoolHandle,
  { id, name, onDay }: { id: string; name: string; onDay: string },
  personId: string,
): Promise<{ id: string }> {
  const made = await openGathering(at, {
    name,
    onDay,
    keyHash: hashOf(newReaderKey()),
    expiresAt: new Date(),
    personId,
    eveningId: id,
  });
  return { id: made ?? (await doorOf(at, id))!.id };
}
