/**
 * The demo's school through a simulated year, by the functions that its pages call: families with hidden levels and
 * habits ask, fetch, play, answer, lose parts, bring back, come to an evening, move away.
 */
import { seeded, shuffled, type Random } from '~/core/chance/random';
import { emptyPlan, groupsOf } from '~/core/evening/plan';
import { assume } from '~/core/games/kit/types';
import { ALL } from '~/core/lending/choices';
import { daysAfter, daysBetween } from '~/core/lending/due';
import { SchoolDays } from '~/core/lending/calendar';
import { silent } from '~/core/listening/answer';
import { demandOf, demandOfBand } from '~/core/listening/demand';
import { open } from '~/core/own/open';
import { drawHabits, finds, grown, normal, type Habits } from '~/core/year/families';
import { MINUTES } from '~/core/year/ways';
import type { SchoolHandle } from '~/data/db';
import { dueRules } from '~/data/queries/calendar';
import { findCopy, type CopyRow } from '~/data/queries/copies';
import { listShortages, mend } from '~/data/queries/counts';
import { countBack, createEvening, findEvening, saveEvening } from '~/data/queries/evenings';
import { createFamily, findFamily, forgetFamily, listFamilies, type Family } from '~/data/queries/families';
import { keepTaps, tickIn } from '~/data/queries/gatherings';
import { askFor, listHolds } from '~/data/queries/holds';
import { lend, listLoansOfFamily, listOut } from '~/data/queries/lending';
import { addAnswer } from '~/data/queries/listening';
import { endRound, createRound, promiseRound, promisesOf } from '~/data/queries/rounds';
import { takeBack } from '~/data/queries/returns';
import { addLineChecks } from '~/data/queries/words';
import { sheetLines } from '~/core/pack/instructions';
import { listStock, moveStock, offersOf, onHandNow } from '~/data/queries/store';
import { gamesFor, invitedOf, openDoor, partsFor, solvedOf, tableGame } from '~/server/evenings';
import { proposedDue } from '~/server/lending/due';
import { evening as eveningOf } from '~/server/lending/evening';
import { inviteAll, thankAll } from '~/server/lending/invitations';
import { kitWalls, isSafeFor } from '~/server/lending/kits';
import { send } from '~/server/lending/outbox';
import { roundInput, solveRound } from '~/server/lending/rounds';
import { standingsOf } from '~/server/listening/levels';

/** What is hidden of a family: its habits, and where each of its children truly is. */
interface Hidden extends Habits {
  levels: Map<string, number>;
  /** When something was said of each child, in weeks; what was said before the year stands at 0, with its worth. */
  heard: Map<string, { week: number; worth: number }[]>;
  /** When it began to want a bag. */
  wants?: string;
}
interface Coming {
  on: string;
  answers: boolean;
}

export interface Told {
  lent: number;
  right: number;
  played: number;
  answers: number;
  waits: number[];
  lost: number;
  returned: number;
  minutes: number;
  messages: number;
  boughtCents: number;
  movedAway: number;
  cameToEvening: number;
  reached: Map<string, { reached: number; of: number }>;
  /** Games that a reader checked in a language. */
  checked: number;
  /** Times a family that wanted a bag got none in a hand-out. */
  unsuited: number;
  /** Children whose level when they were heard lies in the nine-in-ten range that is shown; of them today; of how many. */
  within: number;
  lags: number;
  known: number;
}

/** Hand-outs are on this day of the week, and a reader comes on this one. */
const ROUND_DAY = 2;
const READER_DAY = 1;
const weekdayOf = (day: string): number => new Date(`${day}T12:00:00Z`).getUTCDay();
const SCHOOL_WEEK = 5;
/** How far a game is from what it is reckoned to ask. */
const OFF = 0.25;
const MOVE_AWAY = 0.0004;
const MOST_LATE = 10;
const FETCHES = 0.9;
const COMES = 0.5;

export class SchoolInTime {
  private readonly random: Random;
  private readonly hidden = new Map<string, Hidden>();
  private readonly coming = new Map<string, Coming>();
  private readonly asks = new Map<string, number>();
  private readonly copies = new Map<string, CopyRow>();
  /** Kits that a reader has read, by language. */
  private readonly read = new Set<string>();
  readonly told: Told = {
    lent: 0,
    right: 0,
    played: 0,
    answers: 0,
    waits: [],
    lost: 0,
    returned: 0,
    minutes: 0,
    messages: 0,
    boughtCents: 0,
    movedAway: 0,
    cameToEvening: 0,
    reached: new Map(),
    checked: 0,
    unsuited: 0,
    within: 0,
    lags: 0,
    known: 0,
  };

  constructor(
    private readonly at: SchoolHandle,
    private readonly by: string,
    private readonly from: string,
    seed: number,
  ) {
    this.random = seeded(seed);
  }

  /** What is hidden of the families that are there: levels as uncertain as their answers so far leave them. */
  async begin(): Promise<void> {
    for (const family of await listFamilies(this.at)) await this.meet(family);
    for (const { id, dueOn } of await this.out()) this.expect(id, dueOn, this.hidden.get(id));
  }
  private async meet(family: Family): Promise<void> {
    const levels = new Map<string, number>();
    const heard: Hidden['heard'] = new Map();
    for (const { child, standing } of await standingsOf(this.at, family)) {
      levels.set(child, standing.mean + standing.sd * normal(this.random));
      // The grade counts like an answer.
      heard.set(child, [{ week: 0, worth: standing.worth + 1 }]);
    }
    this.hidden.set(family.id, { ...drawHabits(family.language, this.random), levels, heard });
  }
  private out = async () =>
    (await listOut(this.at))
      .map(({ id, ...rest }) => ({ id, ...rest }))
      .sort((a, b) => (a.tag < b.tag ? -1 : 1));
  private expect(loanId: string, dueOn: string, of: Hidden | undefined): void {
    const late = of && this.random.chance(of.late) ? this.random.whole(1, MOST_LATE) : 0;
    this.coming.set(loanId, {
      on: daysAfter(dueOn, late),
      answers: of !== undefined && this.random.chance(of.answers),
    });
  }

  /** Everything that happens on a day. */
  async live(day: string): Promise<void> {
    const { calendar } = await dueRules(this.at);
    const week = Math.floor(daysBetween(this.from, day) / 7);
    if (new SchoolDays(calendar).hasSchool(day)) {
      await this.comeHome(day);
      await this.mendAll();
      if (this.month !== day.slice(0, 7)) await this.restock();
      this.month = day.slice(0, 7);
      await this.ask(day);
      await this.fetchSetAside(day);
      if (weekdayOf(day) === READER_DAY) await this.readerChecks();
      if (weekdayOf(day) === ROUND_DAY) await this.handOut(day);
      await this.moveAway();
    }
    if (week === EVENING_WEEK) await this.theEvening(day);
    for (const id of await eveningOf(this.at, day)) {
      await send(this.at, id, true);
      this.told.messages++;
    }
  }

  private async copyOf(copyId: string): Promise<CopyRow> {
    const known = this.copies.get(copyId) ?? (await findCopy(this.at, { id: copyId }))!;
    this.copies.set(copyId, known);
    return known;
  }
  /** What a game truly asks: reckoned from its facts, and off by as much as nobody knows. */
  private asksOf({ plan }: CopyRow): number[] {
    return plan.variants.map((ref) => {
      const key = `${ref.gameId} ${JSON.stringify(ref.params)}`;
      const known = this.asks.get(key);
      if (known !== undefined) return known;
      const { practice } = open(ref).reckon(assume(plan.ageBand));
      const made = (demandOf(practice) ?? demandOfBand(plan.ageBand)).demand + OFF * normal(this.random);
      this.asks.set(key, made);
      return made;
    });
  }

  private async comeHome(day: string): Promise<void> {
    for (const { id, copyId, familyId, dueOn, lentOn } of await this.out()) {
      const hidden = this.hidden.get(familyId);
      if (!this.coming.has(id)) this.expect(id, dueOn, hidden);
      const { on, answers } = this.coming.get(id)!;
      if (on > day) continue;
      const copy = await this.copyOf(copyId);
      const weeks = daysBetween(this.from, lentOn) / 7;
      const child = hidden && [...hidden.levels][this.random.whole(0, hidden.levels.size - 1)];
      if (child) {
        const said = this.asksOf(copy).map((demand) => finds(grown(child[1], weeks), demand, this.random));
        this.told.played += said.length;
        this.told.right += said.filter((one) => one === 'justRight').length;
        if (answers) {
          const kept = await addAnswer(this.at, {
            answer: {
              children: 1,
              grownUps: 1,
              minutes: 5 + this.random.whole(0, 15),
              childDid: '',
              missing: '',
              anythingElse: '',
            },
            games: said.map((one, position) => ({
              ...silent(position),
              said: one,
              child: hidden.levels.size > 1 ? child[0] : '',
            })),
            sendKey: `year ${id}`,
            loanId: id,
            language: 'en',
            via: 'page',
          });
          if (kept) {
            this.told.answers++;
            hidden.heard.get(child[0])?.push({ week: daysBetween(this.from, day) / 7, worth: said.length });
          }
        }
      }
      const loses = hidden !== undefined && this.random.chance(hidden.loses);
      const some = copy.parts.filter(({ quantity }) => quantity > 1);
      const lost = loses && some.length ? some[this.random.whole(0, some.length - 1)]!.material : undefined;
      await takeBack(this.at, {
        loanId: id,
        returnedOn: day,
        counts: copy.parts.map(({ material, quantity }) => ({
          material,
          expected: quantity,
          counted: material === lost ? quantity - 1 : quantity,
        })),
        personId: this.by,
      });
      this.coming.delete(id);
      this.told.returned++;
      this.told.minutes += MINUTES.count;
      if (lost) this.told.lost++;
    }
  }

  /** What is short is put back from the store; what the store has not is bought first. */
  private async mendAll(): Promise<void> {
    const short = await listShortages(this.at);
    for (const copyId of new Set(short.map((one) => one.copyId))) {
      this.told.minutes += MINUTES.mend;
      if ((await mend(this.at, copyId, this.by, true)) !== undefined) continue;
      for (const { material, expected, counted } of short.filter((one) => one.copyId === copyId))
        await this.buy(material, Math.max(1, expected - counted));
      if ((await mend(this.at, copyId, this.by, true)) === undefined) await mend(this.at, copyId, this.by);
    }
  }
  private async buy(material: string, need: number): Promise<void> {
    const onHand = (await onHandNow(this.at))[material];
    if (onHand === undefined || onHand === null || onHand >= need) return;
    const [offer] = await offersOf(this.at, [material]);
    if (!offer) return;
    const packs = Math.ceil((need - onHand) / offer.size);
    const moved = await moveStock(
      this.at,
      { material, kind: 'bought', quantity: packs * offer.size },
      this.by,
    );
    if (moved.ok) this.told.boughtCents += packs * offer.priceCents;
  }

  /** What has sunk to where it is to be bought is bought, once a month. */
  private async restock(): Promise<void> {
    for (const { material, onHand, reorderAt } of await listStock(this.at))
      if (onHand !== null && onHand < reorderAt) await this.buy(material, 2 * reorderAt);
  }

  /** Families without a bag begin to want one; some of them ask for a kit by name. */
  private async ask(day: string): Promise<void> {
    const out = new Set((await this.out()).map(({ familyId }) => familyId));
    const walls = (await kitWalls(this.at)).sort((a, b) => (a.name < b.name ? -1 : 1));
    for (const family of await listFamilies(this.at)) {
      const hidden = this.hidden.get(family.id);
      if (!hidden || out.has(family.id) || hidden.wants) continue;
      if (!this.random.chance(hidden.eager / SCHOOL_WEEK)) continue;
      hidden.wants = day;
      if (!this.random.chance(0.3)) continue;
      const had = new Set((await listLoansOfFamily(this.at, family.id)).map(({ kitName }) => kitName));
      const may = walls.filter(
        (kit) => !had.has(kit.name) && isSafeFor(kit, family) && kit.languages.includes(family.language),
      );
      const kit = may[this.random.whole(0, Math.max(0, may.length - 1))];
      if (kit) await askFor(this.at, { familyId: family.id, kitId: kit.id, personId: null, today: day });
    }
  }
  private async give(copyId: string, familyId: string, day: string): Promise<boolean> {
    const [copy, family] = [await this.copyOf(copyId), await findFamily(this.at, familyId)];
    if (!family) return false;
    const { dueOn } = await proposedDue(this.at, day, copy.daysOut, family.group);
    const lent = await lend(this.at, { copyId, familyId, lentOn: day, dueOn, personId: this.by });
    if (!lent.ok) return false;
    const hidden = this.hidden.get(familyId);
    this.expect(lent.loanId, dueOn, hidden);
    this.told.lent++;
    if (hidden?.wants) this.told.waits.push(daysBetween(hidden.wants, day));
    if (hidden) delete hidden.wants;
    return true;
  }
  private async fetchSetAside(day: string): Promise<void> {
    for (const { copyId, familyId } of await listHolds(this.at, day))
      if (copyId && this.random.chance(0.5) && (await this.give(copyId, familyId, day)))
        this.told.minutes += MINUTES.lend;
  }
  private async handOut(day: string, gathering?: string): Promise<void> {
    const name = gathering ? 'Bags of the evening' : `Bags of ${day}`;
    const id = await createRound(this.at, { name, onDay: day, choices: ALL, personId: this.by });
    // Who does not want one now was asked, and leaves it to the others.
    const kits = await kitWalls(this.at);
    const content = [...this.hidden].filter(([, { wants }]) => wants === undefined).map(([family]) => family);
    const choices = gathering
      ? { ...ALL, gathering }
      : { ...ALL, vetoes: content.flatMap((family) => kits.map((kit) => ({ family, kit: kit.id }))) };
    const { round } = await solveRound(await roundInput(this.at, choices, day));
    this.told.minutes += MINUTES.match;
    this.told.unsuited += round.without.filter(({ family }) => this.hidden.get(family)?.wants).length;
    if ((await promiseRound(this.at, id, round.matches, this.by)) === 'done')
      for (const { copyId, familyId } of (await promisesOf(this.at, id)).sort((a, b) =>
        a.tag < b.tag ? -1 : 1,
      ))
        if (this.random.chance(FETCHES) && (await this.give(copyId, familyId, day)))
          this.told.minutes += MINUTES.handOver;
    await endRound(this.at, id, this.by);
  }

  /** Some families move away, and are forgotten when they have nothing at home. */
  private async moveAway(): Promise<void> {
    const out = new Set((await this.out()).map(({ familyId }) => familyId));
    for (const { id } of await listFamilies(this.at))
      if (!out.has(id) && this.random.chance(MOVE_AWAY) && (await forgetFamily(this.at, id, this.by))) {
        this.hidden.delete(id);
        this.told.movedAway++;
      }
  }

  /** A reader finds a game of some kit right in a language in which the kit cannot go out yet. */
  private async readerChecks(): Promise<void> {
    const walls = (await kitWalls(this.at)).sort((a, b) => (a.name < b.name ? -1 : 1));
    for (const { id, languages } of walls)
      for (const language of ['es', 'ar', 'pt']) {
        const key = `${id} ${language}`;
        if (languages.includes(language) || this.read.has(key)) continue;
        const copy = [...this.copies.values()].find(({ kitId }) => kitId === id);
        if (!copy) continue;
        this.read.add(key);
        for (const ref of copy.plan.variants) {
          const variant = open(ref);
          await addLineChecks(
            this.at,
            variant.game,
            sheetLines(variant).map((messageId) => ({
              messageId,
              language,
              right: true,
              note: '',
              personId: this.by,
            })),
          );
        }
        this.told.checked++;
        return;
      }
  }

  private month = '';
  private evening: { id: string; door?: string } | undefined;
  /** An evening in one week of the year: planned and told on Monday, held on Thursday, thanked on Friday. */
  private async theEvening(day: string): Promise<void> {
    const weekday = weekdayOf(day);
    if (weekday === 1) await this.planEvening(day);
    const found = this.evening && (await findEvening(this.at, this.evening.id));
    if (!found) return;
    if (weekday === 4) await this.holdEvening(day, found);
    if (weekday >= 5 && this.evening!.door) await thankAll(this.at, found, this.evening!.door, day);
  }
  private async planEvening(day: string): Promise<void> {
    const when = { name: 'Game night', startsAt: '17:30', rounds: 3, roundMinutes: 12, changeMinutes: 3 };
    const plan = { ...emptyPlan(when), seats: 18, groups: groupsOf(await invitedOf(this.at), 60, 9) };
    const { tables } = await gamesFor(plan, 6);
    plan.tables = tables.map(({ game }, i) => ({
      id: `Table ${i + 1}`,
      seats: 18,
      game: tableGame(game.id)!,
    }));
    plan.helpers = ['Tobin', 'Eskil', 'Maren'].map((id) => ({ id, languages: ['en', 'es'] }));
    const solved = (await solvedOf(plan, [])) ?? undefined;
    const onDay = daysAfter(day, 3);
    const id = await createEvening(this.at, { ...when, onDay, plan, solved, personId: this.by });
    const { wanted } = await partsFor(this.at, { plan, rotation: solved?.rotation, setAside: null });
    await saveEvening(this.at, id, 1, { setAside: wanted });
    await inviteAll(this.at, { id, name: when.name, onDay, startsAt: when.startsAt }, day);
    this.evening = { id };
  }
  private async holdEvening(
    day: string,
    found: NonNullable<Awaited<ReturnType<typeof findEvening>>>,
  ): Promise<void> {
    const door = await openDoor(this.at, found, this.by);
    this.evening!.door = door.id;
    const newcomer = await createFamily(this.at, { name: 'Family Newcomer', language: 'en' }, this.by);
    if (newcomer) await this.meet(newcomer);
    for (const family of await listFamilies(this.at)) {
      if (family.id !== newcomer?.id && !this.random.chance(COMES)) continue;
      await tickIn(this.at, door.id, family.id, true);
      this.told.cameToEvening++;
      const tables = shuffled(found.plan.tables, this.random).slice(0, found.plan.rounds);
      const level = grown(
        [...(this.hidden.get(family.id)?.levels.values() ?? [1])][0]!,
        daysBetween(this.from, day) / 7,
      );
      await keepTaps(
        this.at,
        door.id,
        family.id,
        tables.map(({ id, game }) => ({
          tableName: id,
          game: game!,
          said: finds(
            level,
            (demandOf(open(game!).reckon(assume(game!.ageBand)).practice) ?? demandOfBand(game!.ageBand))
              .demand,
            this.random,
          ),
          again: this.random.chance(0.7),
        })),
      );
    }
    await this.handOut(day, door.id);
    const missing = Object.keys(found.setAside ?? {}).map((material) => ({
      material,
      pieces: this.random.chance(0.3) ? 1 : 0,
      kind: 'lost' as const,
    }));
    await countBack(this.at, found.id, found.version, missing, this.by);
  }

  /** What the year came to, at its last day. */
  async end(day: string): Promise<void> {
    const weeks = daysBetween(this.from, day) / 7;
    for (const family of await listFamilies(this.at)) {
      const loans = (await listLoansOfFamily(this.at, family.id)).filter(({ lentOn }) => lentOn >= this.from);
      const there = this.told.reached.get(family.language) ?? { reached: 0, of: 0 };
      this.told.reached.set(family.language, {
        reached: there.reached + Number(loans.length > 0),
        of: there.of + 1,
      });
      for (const { child, standing } of await standingsOf(this.at, family)) {
        const truth = this.hidden.get(family.id)?.levels.get(child);
        if (truth === undefined || standing.answers === 0) continue;
        this.told.known++;
        const inside = (level: number): boolean => level >= standing.from && level <= standing.to;
        if (inside(grown(truth, whenHeard(this.hidden.get(family.id)!.heard.get(child) ?? [], weeks))))
          this.told.within++;
        if (inside(grown(truth, weeks))) this.told.lags++;
      }
    }
  }
}
/** The week of which an estimate speaks: that of its answers, each counted as much as it is worth at the end. */
function whenHeard(heard: readonly { week: number; worth: number }[], end: number): number {
  const weights = heard.map(({ week, worth }) => worth * 0.5 ** ((end - week) / HALF_LIFE_WEEKS));
  const all = weights.reduce((sum, one) => sum + one, 0);
  return all === 0 ? 0 : heard.reduce((sum, { week }, i) => sum + week * weights[i]!, 0) / all;
}
/** An answer counts half after so many weeks. */
const HALF_LIFE_WEEKS = 26;
/** The week of the evening, from the first one. */
const EVENING_WEEK = 12;
