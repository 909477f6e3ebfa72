/** What the forms on an evening's page change of its plan: each reads its fields, and says what changes or what is wrong. */
import { checkForm, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import {
  groupsOf,
  MOST,
  readHelpers,
  swapped,
  turned,
  whenSchema,
  withPin,
  type EveningPlan,
  type Times,
} from '~/core/evening/plan';
import type { Rotation } from '~/core/evening/rotation';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { daysBetween } from '~/core/lending/due';
import { languageNamed } from '~/core/words/languages';
import type { SchoolHandle } from '~/data/db';
import { textIn } from '~/server/forms';
import { readDay } from './days';
import { gamesFor, invitedOf, tableGame } from './evenings';
import { today } from './today';

export interface PlanAsked {
  at: SchoolHandle;
  form: FormData;
  plan: EveningPlan;
  rotation: Rotation | undefined;
}
/** `stale` where the form speaks of what is no longer so. */
export type PlanChange =
  | { ok: true; plan: Partial<EveningPlan>; about?: { name: string; onDay: string; startsAt: string } }
  | { ok: false; errors: FieldErrors }
  | 'stale';

const keep = (plan: Partial<EveningPlan>): PlanChange => ({ ok: true, plan });
const refuse = (errors: FieldErrors): PlanChange => ({ ok: false, errors });

const word = (form: FormData, name: string): string => visible(textIn(form, name)).trim();
const text = (form: FormData, name: string): string => visible(textIn(form, name), true).trim();
function number(form: FormData, name: string, min: number, max: number): number | undefined {
  const value = Number(word(form, name) || NaN);
  return Number.isInteger(value) && value >= min && value <= max ? value : undefined;
}

export type When =
  | {
      ok: true;
      about: { name: string; onDay: string; startsAt: string };
      times: Times;
    }
  | { ok: false; errors: FieldErrors };
/** When an evening is, as its form says. */
export function whenIn(at: SchoolHandle, form: FormData): When {
  const checked = checkForm(whenSchema, form);
  const onDay = readDay(form.get('onDay'));
  const errors: FieldErrors = checked.ok ? {} : { ...checked.errors };
  if (!onDay || Math.abs(daysBetween(today(at), onDay)) > 366) errors.onDay = 'Choose a day within a year.';
  if (!checked.ok || !onDay || Object.keys(errors).length) return { ok: false, errors };
  const { name, startsAt, ...times } = checked.value;
  return { ok: true, about: { name, startsAt, onDay }, times };
}

function when({ at, form }: PlanAsked): PlanChange {
  const read = whenIn(at, form);
  return read.ok ? { ok: true, plan: read.times, about: read.about } : read;
}

async function groups({ at, form, plan }: PlanAsked): Promise<PlanChange> {
  const [come, spread, seats] = [
    number(form, 'come', 1, 100),
    number(form, 'spread', 0, 40),
    number(form, 'seats', 2, 40),
  ];
  if (!come) return refuse({ come: 'Of 100 families so many come: 1 to 100.' });
  if (spread === undefined) return refuse({ spread: 'It may be off by 0 to 40 of 100.' });
  if (!seats) return refuse({ seats: 'A table has 2 to 40 seats.' });
  const made = groupsOf(await invitedOf(at), come, seats);
  if (made.length > MOST.groups)
    return refuse({
      seats: `That would be ${made.length} groups, and there is room for ${MOST.groups}: larger tables would help.`,
    });
  const tables = plan.tables.map((one) => ({ ...one, seats }));
  return keep({ come, spread, seats, groups: made, pins: [], tables });
}

function addGroup({ form, plan }: PlanAsked): PlanChange {
  const [name, size, band] = [word(form, 'group'), number(form, 'size', 1, 60), word(form, 'band')];
  const language = languageNamed(word(form, 'language'))?.tag;
  if (!name || name.length > 60 || plan.groups.some((one) => one.id === name))
    return refuse({ group: 'A group needs a name of its own.' });
  if (!size) return refuse({ size: 'A group has 1 to 60 people.' });
  if (!language) return refuse({ language: 'This is no language that is known here.' });
  if (!Object.hasOwn(AGE_BANDS, band)) return refuse({ band: 'Choose a grade.' });
  return keep({
    groups: [...plan.groups, { id: name, size, languages: [language], band: band as AgeBand }],
  });
}

async function tables({ form, plan }: PlanAsked): Promise<PlanChange> {
  const wanted = number(form, 'tables', 1, MOST.tables);
  if (!wanted) return refuse({ tables: `An evening has 1 to ${MOST.tables} tables.` });
  if (plan.groups.length === 0) return refuse({ tables: 'Say who comes first: the games follow from it.' });
  try {
    const { tables: chosen } = await gamesFor(plan, wanted);
    return keep({
      pins: [],
      hosts: [],
      tables: chosen.map(({ game }, i) => ({
        id: `Table ${i + 1}`,
        seats: plan.seats,
        game: tableGame(game.id)!,
      })),
    });
  } catch (error) {
    if (error instanceof RangeError) return refuse({ tables: error.message });
    throw error;
  }
}

function setTable({ form, plan }: PlanAsked): PlanChange {
  const seats = number(form, 'seats', 1, 60);
  const game = tableGame(word(form, 'game'));
  if (!seats) return refuse({ '': 'A table has 1 to 60 seats.' });
  return keep({
    tables: plan.tables.map((one) =>
      one.id === word(form, 'table') ? { ...one, seats, ...(game ? { game } : {}) } : one,
    ),
  });
}

function helpers({ form }: PlanAsked): PlanChange {
  const read = readHelpers(text(form, 'helpers'));
  return read.ok ? keep({ helpers: read.helpers, hosts: [] }) : refuse({ helpers: read.problem });
}

function pin({ form, plan }: PlanAsked): PlanChange {
  const [group, round, table] = [
    word(form, 'group'),
    number(form, 'round', 1, MOST.rounds),
    word(form, 'table'),
  ];
  return round && table ? keep(withPin(plan, { group, round, table })) : 'stale';
}

function swap({ form, plan, rotation }: PlanAsked): PlanChange {
  const round = number(form, 'round', 1, MOST.rounds);
  if (!round || !rotation) return 'stale';
  const change = swapped(plan, rotation, { round, group: word(form, 'group'), with: word(form, 'other') });
  return change ? keep(change) : 'stale';
}

function host({ form, plan }: PlanAsked): PlanChange {
  const [table, helper] = [word(form, 'table'), word(form, 'helper')];
  const others = plan.hosts.filter((one) => one.table !== table && one.helper !== helper);
  return keep({ hosts: helper ? [...others, { table, helper }] : others });
}

/** By the intent of its button. */
export const PLAN_CHANGES: Readonly<Record<string, (asked: PlanAsked) => PlanChange | Promise<PlanChange>>> =
  {
    when,
    groups,
    addGroup,
    removeGroup: ({ form, plan }) =>
      keep({ groups: plan.groups.filter((one) => one.id !== word(form, 'group')) }),
    tables,
    setTable,
    helpers,
    pin,
    swap,
    turn: ({ plan, rotation }) => (rotation ? keep(turned(plan, rotation)) : 'stale'),
    hallRules: ({ form }) => keep({ hallRules: text(form, 'hallRules') }),
    host,
    anew: () => keep({ pins: [], hosts: [] }),
  };
