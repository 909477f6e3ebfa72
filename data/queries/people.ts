/** People and what they are in the schools: they belong to the installation, their roles to a school. */
import { and, eq, inArray, ne, sql } from 'drizzle-orm';
import { nameKey } from '~/core/people/name';
import type { Role } from '~/core/people/role';
import {
  alsoAt,
  installation,
  transaction,
  type Installation,
  type OneSchool,
  type SchoolHandle,
} from '../db';
import { knownBrowser, membership, passwordAsk, passwordLink, person, school, session } from '../schema';
import { dropRehearsals } from './evenings';
import { log, type Entry } from './changes';

export interface Person {
  id: string;
  name: string;
  role: Role;
}
export interface Member extends Person {
  /** They coordinate the district. */
  byDistrict: boolean;
}

/** Everybody who may sign in to a school, by name. */
export const listPeople = (at: SchoolHandle): Promise<Member[]> =>
  at
    .select({
      id: person.id,
      name: person.name,
      role: membership.role,
      byDistrict: sql<boolean>`${person.districtId} is not null`,
    })
    .from(membership)
    .innerJoin(person, eq(person.id, membership.personId))
    .where(and(eq(membership.schoolId, at.schoolId), eq(membership.active, true)))
    .orderBy(person.name);

/** `last`: a school needs a coordinator. `district`: who coordinates the district stays in all of its schools. */
export type Ending = 'ended' | 'gone' | 'last' | 'district';

/**
 * Ends a person's access to a school; what they did there keeps their name. Where it was their last school, the person
 * can sign in no more and the name is free.
 */
export function deactivatePerson(at: SchoolHandle, id: string, by: string | null = null): Promise<Ending> {
  return transaction(installation(), async (tx) => {
    const active = await tx
      .select({ id: person.id, role: membership.role, districtId: person.districtId })
      .from(membership)
      .innerJoin(person, eq(person.id, membership.personId))
      .where(and(eq(membership.schoolId, at.schoolId), eq(membership.active, true)))
      .orderBy(person.id)
      .for('update');
    const who = active.find((one) => one.id === id);
    if (!who) return 'gone';
    if (!active.some((one) => one.id !== id && one.role === 'coordinator')) return 'last';
    if (who.districtId) return 'district';
    await leave(tx, at, id, by);
    return 'ended';
  });
}

async function leave(tx: Installation, from: OneSchool, id: string, by: string | null): Promise<void> {
  await tx
    .update(membership)
    .set({ active: false, byDistrict: false })
    .where(and(eq(membership.schoolId, from.schoolId), eq(membership.personId, id)));
  await tx.delete(session).where(and(eq(session.personId, id), eq(session.schoolId, from.schoolId)));
  const left = await tx.$count(membership, and(eq(membership.personId, id), eq(membership.active, true)));
  if (left === 0) {
    await tx.update(person).set({ active: false }).where(eq(person.id, id));
    await tx.delete(passwordAsk).where(eq(passwordAsk.personId, id));
    await tx.delete(passwordLink).where(eq(passwordLink.personId, id));
    await tx.delete(knownBrowser).where(eq(knownBrowser.personId, id));
  }
  const at = alsoAt(tx, from);
  const [who] = await tx.select({ name: person.name }).from(person).where(eq(person.id, id));
  await dropRehearsals(at, who!.name);
  await log(at, { thing: 'person', thingId: id, kind: 'removed', personId: by });
}

export interface NewPerson {
  name: string;
  passwordHash: string;
  role: Role;
  /** Somebody else chose the password. */
  passwordGiven?: boolean;
  /** The district that they coordinate. */
  districtId?: string;
}

/** Adds a person to a school, in a transaction that is bound to none. */
export async function addPerson(
  tx: Installation,
  to: OneSchool,
  { role, ...input }: NewPerson,
  by: string | null,
): Promise<Person> {
  const [made] = await tx
    .insert(person)
    .values({ ...input, nameKey: nameKey(input.name) })
    .returning({ id: person.id, name: person.name });
  await join(tx, to, { id: made!.id, name: input.name, role }, by ?? made!.id);
  return { ...made!, role };
}

/** Makes somebody a member of a school, or changes what they are there. */
async function join(
  tx: Installation,
  to: OneSchool,
  { id, name, role }: Person,
  by: string | null,
  byDistrict = false,
): Promise<void> {
  const there = alsoAt(tx, to);
  await there
    .insert(membership)
    .values({ personId: id, role, byDistrict })
    .onConflictDoUpdate({
      target: [membership.schoolId, membership.personId],
      set: { role, active: true, byDistrict: sql`${byDistrict} and not ${membership.active}` },
    });
  await log(there, { thing: 'person', thingId: id, kind: 'added', after: { name, role }, personId: by });
}

/** Adds a person to a school. Throws the database's refusal when the name is taken anywhere in the installation. */
export const createPerson = (at: SchoolHandle, input: NewPerson, by: string | null = null): Promise<Person> =>
  transaction(installation(), (tx) => addPerson(tx, at, input, by));

/** Who signs in to a sister school of this one and not to this one, by name. */
export const peopleOfSisters = (at: SchoolHandle): Promise<{ id: string; name: string }[]> =>
  installation()
    .selectDistinct({ id: person.id, name: person.name })
    .from(membership)
    .innerJoin(person, eq(person.id, membership.personId))
    .innerJoin(school, eq(school.id, membership.schoolId))
    .where(
      and(
        eq(school.districtId, at.districtId),
        ne(school.id, at.schoolId),
        eq(membership.active, true),
        sql`not exists (select from ${membership} here where here.person_id = ${person.id}
              and here.school_id = ${at.schoolId} and here.active)`,
      ),
    )
    .orderBy(person.name);

/** Lets somebody of a sister school into this one as well. False when they are of none. */
export function admit(at: SchoolHandle, id: string, role: Role, by: string | null): Promise<boolean> {
  return transaction(installation(), async (tx) => {
    const [who] = await tx
      .select({ id: person.id, name: person.name })
      .from(person)
      .where(
        and(
          eq(person.id, id),
          eq(person.active, true),
          sql`exists (select from ${membership} m join ${school} s on s.id = m.school_id
                where m.person_id = ${person.id} and m.active and s.district_id = ${at.districtId})`,
        ),
      )
      .for('update');
    if (!who) return false;
    await join(tx, at, { ...who, role }, by);
    return true;
  });
}

/** Who coordinates a district, by name. */
export const districtCoordinators = (districtId: string): Promise<{ id: string; name: string }[]> =>
  installation()
    .select({ id: person.id, name: person.name })
    .from(person)
    .where(and(eq(person.districtId, districtId), eq(person.active, true)))
    .orderBy(person.name);

/** Coordinators of schools of a district who do not coordinate the district. */
export const coordinatorsOfSchools = (districtId: string): Promise<{ id: string; name: string }[]> =>
  installation()
    .selectDistinct({ id: person.id, name: person.name })
    .from(membership)
    .innerJoin(person, eq(person.id, membership.personId))
    .innerJoin(school, eq(school.id, membership.schoolId))
    .where(
      and(
        eq(school.districtId, districtId),
        eq(membership.active, true),
        eq(membership.role, 'coordinator'),
        sql`${person.districtId} is null`,
      ),
    )
    .orderBy(person.name);

const schoolsIn = async (tx: Installation, districtId: string): Promise<OneSchool[]> =>
  tx
    .select({ schoolId: school.id, districtId: school.districtId, timeZone: school.timeZone })
    .from(school)
    .where(eq(school.districtId, districtId))
    .orderBy(school.id);

/** Makes a coordinator of a school one of its district: they come into all of its schools. False when they are none. */
export function appoint(districtId: string, id: string, by: string): Promise<boolean> {
  return transaction(installation(), async (tx) => {
    const schools = await schoolsIn(tx, districtId);
    const [who] = await tx
      .update(person)
      .set({ districtId })
      .where(
        and(
          eq(person.id, id),
          eq(person.active, true),
          sql`${person.districtId} is null`,
          sql`exists (select from ${membership} m where m.person_id = ${id} and m.active and m.role = 'coordinator'
                and ${inArray(
                  sql`m.school_id`,
                  schools.map((one) => one.schoolId),
                )})`,
        ),
      )
      .returning({ id: person.id, name: person.name });
    if (!who) return false;
    for (const one of schools) {
      const known = await tx.$count(
        membership,
        and(
          eq(membership.schoolId, one.schoolId),
          eq(membership.personId, id),
          eq(membership.active, true),
          eq(membership.role, 'coordinator'),
        ),
      );
      if (!known) await join(tx, one, { ...who, role: 'coordinator' }, by, true);
    }
    return true;
  });
}

/** Ends that somebody coordinates a district; they stay where they were before. False for the last one. */
export function dismiss(districtId: string, id: string, by: string): Promise<boolean> {
  return transaction(installation(), async (tx) => {
    const all = await tx
      .select({ id: person.id })
      .from(person)
      .where(and(eq(person.districtId, districtId), eq(person.active, true)))
      .orderBy(person.id)
      .for('update');
    if (all.length < 2 || !all.some((one) => one.id === id)) return false;
    await tx.update(person).set({ districtId: null }).where(eq(person.id, id));
    const brought = await tx
      .select({ schoolId: membership.schoolId })
      .from(membership)
      .where(and(eq(membership.personId, id), eq(membership.byDistrict, true), eq(membership.active, true)));
    for (const one of await schoolsIn(tx, districtId))
      if (brought.some(({ schoolId }) => schoolId === one.schoolId)) await leave(tx, one, id, by);
    return true;
  });
}

/** The active person with this name, in any case, with the hash of the password. */
export async function findPersonByName(
  name: string,
): Promise<{ id: string; name: string; passwordHash: string } | undefined> {
  return (
    await installation()
      .select({ id: person.id, name: person.name, passwordHash: person.passwordHash })
      .from(person)
      .where(and(eq(person.nameKey, nameKey(name)), eq(person.active, true)))
  )[0];
}

/** The hash of an active person's password. */
export async function passwordHashOf(id: string): Promise<string | undefined> {
  const [found] = await installation()
    .select({ passwordHash: person.passwordHash })
    .from(person)
    .where(and(eq(person.id, id), eq(person.active, true)));
  return found?.passwordHash;
}

/** Writes down something about a person in every school of theirs. */
export async function logOfPerson(
  tx: Installation,
  personId: string,
  entry: Pick<Entry, 'kind' | 'after' | 'personId'>,
): Promise<void> {
  const schools = await tx
    .select({ schoolId: school.id, districtId: school.districtId, timeZone: school.timeZone })
    .from(membership)
    .innerJoin(school, eq(school.id, membership.schoolId))
    .where(and(eq(membership.personId, personId), eq(membership.active, true)));
  for (const one of schools) await log(alsoAt(tx, one), { thing: 'person', thingId: personId, ...entry });
}
