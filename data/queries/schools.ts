/** Schools and their district: making them, what is kept of them, and who opens which. */
import { and, asc, count, eq, getTableColumns, sql } from 'drizzle-orm';
import type { SchoolFields } from '~/core/lending/school';
import { USUAL_PRINTING, type Printing } from '~/core/pack/cost';
import { alsoAt, inDistrict, installation, transaction, type OneSchool, type SchoolHandle } from '../db';
import { unlessTaken } from '../trouble';
import { readUnder } from '../pools';
import { district, membership, person, school } from '../schema';
import { log, saveOver, type Saving } from './changes';
import { addPerson, type NewPerson, type Person } from './people';

/** A school without what only printing needs. */
export type School = Omit<
  typeof school.$inferSelect,
  'mark' | 'printing' | 'markVersion' | 'printingVersion'
>;
const {
  mark: _,
  printing: __,
  markVersion: ___,
  printingVersion: ____,
  ...columns
} = getTableColumns(school);
export const schoolColumns = columns;

/** As a handle is bound to it. */
export const boundTo = ({ id, districtId, timeZone }: School): OneSchool => ({
  schoolId: id,
  districtId,
  timeZone,
});

/** Whose door this is: the school where there is one only, else their district; undefined before the first set-up. */
export async function whoseDoor(): Promise<string | undefined> {
  const schools = await installation().select({ name: school.name }).from(school).limit(2);
  if (schools.length < 2) return schools[0]?.name;
  const districts = await installation().select({ name: district.name }).from(district).limit(2);
  return districts.length === 1 ? districts[0]!.name : 'Schools of this server';
}

/** How often what a school settled was changed: rows that come are counted, and which they are, as old ones go. */
export const stampOfSchool = sql<string>`(select count(*) || ' ' || coalesce(sum(c.serial), 0) from settled_change c where c.of_school = ${school.id})`;

/** The school of a family page, found by the key on the label; undefined for a key that no copy has. */
export async function schoolOfLink(linkKey: string): Promise<School | undefined> {
  const [found] = await installation()
    .select({ school: columns, stamp: stampOfSchool })
    .from(school)
    .where(sql`${school.id} = public.school_of_link(${linkKey})`);
  if (found) readUnder(found.school.id, found.stamp);
  return found?.school;
}

/** The name of the sister school that has a copy of this tag, where there is one. */
export async function sisterOfTag(at: SchoolHandle, tag: string): Promise<string | undefined> {
  const { rows } = await at.execute<{ name: string | null }>(
    sql`select public.school_of_tag(${tag}) as name`,
  );
  return rows[0]?.name ?? undefined;
}

/** A school as this handle is bound to it. */
export async function findSchool(at: SchoolHandle): Promise<School> {
  const [found] = await at.select(columns).from(school).where(eq(school.id, at.schoolId));
  if (!found) throw new Error('The school of this handle is not there.');
  return found;
}

/** What is to be told of a new school. */
export type NewSchool = SchoolFields;

/**
 * Makes the first school, its district and its first coordinator together. Answers undefined, and changes nothing, when
 * there is a school already (two people at the set-up page: the first one wins).
 */
export function setUpSchool(input: {
  school: NewSchool;
  person: Omit<NewPerson, 'role'>;
}): Promise<{ person: Person; school: School } | undefined> {
  return transaction(installation(), async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext('the first school'))`);
    const [{ there } = { there: 0 }] = await tx.select({ there: count() }).from(school);
    if (there) return undefined;
    const [among] = await tx.insert(district).values({ name: input.school.name }).returning();
    const [made] = await tx
      .insert(school)
      .values({ ...input.school, districtId: among!.id })
      .returning(columns);
    const first = await addPerson(
      tx,
      boundTo(made!),
      { ...input.person, role: 'coordinator', districtId: among!.id },
      null,
    );
    return { person: first, school: made! };
  });
}

/** Makes a school in a district; those who coordinate it come in. Answers undefined when its name is taken there. */
export function makeSchool(
  districtId: string,
  fields: NewSchool,
  personId: string | null,
): Promise<School | undefined> {
  return unlessTaken('school_name_is_taken', () =>
    transaction(installation(), async (tx) => {
      const [made] = await tx
        .insert(school)
        .values({ ...fields, districtId })
        .returning(columns);
      const coordinators = await tx
        .select({ personId: person.id })
        .from(person)
        .where(and(eq(person.districtId, districtId), eq(person.active, true)));
      const there = alsoAt(tx, boundTo(made!));
      for (const one of coordinators)
        await there.insert(membership).values({ ...one, role: 'coordinator', byDistrict: true });
      await log(there, { thing: 'school', thingId: 'school', kind: 'added', after: fields, personId });
      return made!;
    }),
  );
}

/** What a form of a school holds. */
export const schoolFields = ({ name, paper, languages, timeZone, contact }: School): SchoolFields => ({
  name,
  paper,
  languages,
  timeZone,
  contact,
});

/** Changes a school whose form was opened on a version of it. Answers undefined when the name is taken in the district. */
export function changeSchool(
  at: SchoolHandle,
  mine: SchoolFields,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<SchoolFields> | undefined> {
  return unlessTaken('school_name_is_taken', () =>
    transaction(at, async (tx) => {
      const [now] = await tx.select(columns).from(school).where(eq(school.id, at.schoolId)).for('update');
      return saveOver<SchoolFields>(tx, {
        thing: 'school',
        thingId: 'school',
        openedOn,
        mine,
        now: { version: now!.version, fields: schoolFields(now!) },
        sets: ['languages'],
        personId,
        write: (fields, version) =>
          tx
            .update(school)
            .set({ ...fields, version })
            .where(eq(school.id, at.schoolId)),
      });
    }),
  );
}

/** The name of a district. */
export const nameDistrict = async (districtId: string, name: string): Promise<void> => {
  await installation().update(district).set({ name }).where(eq(district.id, districtId));
};
export async function districtName(districtId: string): Promise<string> {
  const [found] = await installation()
    .select({ name: district.name })
    .from(district)
    .where(eq(district.id, districtId));
  return found?.name ?? '';
}

export interface SchoolInNumbers {
  id: string;
  name: string;
  families: number;
  copies: number;
  out: number;
  overdue: number;
  unread: number;
}

/** The schools of a district by name, each in numbers. */
export async function schoolsInNumbers(districtId: string): Promise<SchoolInNumbers[]> {
  const { rows } = await inDistrict(districtId).execute<SchoolInNumbers & Record<string, unknown>>(sql`
    select s.id, s.name, n.families, n.copies, n.out_now as "out", n.overdue, n.unread
    from public.district_numbers() n join school s on s.id = n.school_id
    order by lower(s.name)`);
  return rows;
}

/** The schools of a district by name. */
export const schoolsOfDistrict = (districtId: string): Promise<School[]> =>
  installation()
    .select(columns)
    .from(school)
    .where(eq(school.districtId, districtId))
    .orderBy(asc(sql`lower(${school.name})`));

/** The school's picture for labels, as a data address. */
export async function schoolMark(at: SchoolHandle): Promise<string | null> {
  const [row] = await at.select({ mark: school.mark }).from(school).where(eq(school.id, at.schoolId));
  return row?.mark ?? null;
}

/** The versions of what is kept with the school, for the forms that change it. */
export async function schoolVersions(at: SchoolHandle): Promise<{ printing: number; mark: number }> {
  const [row] = await at
    .select({ printing: school.printingVersion, mark: school.markVersion })
    .from(school)
    .where(eq(school.id, at.schoolId));
  return row!;
}

/** Changes the picture, or takes it away. False when it is no longer the one that the form showed. */
export function setSchoolMark(
  at: SchoolHandle,
  mark: string | null,
  openedOn?: number,
  personId: string | null = null,
): Promise<boolean> {
  return transaction(at, async (tx) => {
    const mine = eq(school.id, at.schoolId);
    const [now] = await tx.select({ version: school.markVersion }).from(school).where(mine).for('update');
    if (!now || (openedOn !== undefined && openedOn !== now.version)) return false;
    const version = now.version + 1;
    await tx.update(school).set({ mark, markVersion: version }).where(mine);
    const after = { picture: mark ? 'another one' : 'none' };
    await log(tx, { thing: 'picture', thingId: 'school', kind: 'changed', version, after, personId });
    return true;
  });
}

/** What printing is reckoned with: the school's own prices and times, and the usual ones for the rest. */
export async function schoolPrinting(at: SchoolHandle): Promise<Printing> {
  const [row] = await at.select({ printing: school.printing }).from(school).where(eq(school.id, at.schoolId));
  return { ...USUAL_PRINTING, ...row?.printing };
}

/** Keeps what differs from the usual, so that the rest follows when the usual changes. */
export function setSchoolPrinting(
  at: SchoolHandle,
  mine: Printing,
  openedOn: number,
  personId: string | null = null,
): Promise<Saving<Printing>> {
  return transaction(at, async (tx) => {
    const [now] = await tx
      .select({ printing: school.printing, version: school.printingVersion })
      .from(school)
      .where(eq(school.id, at.schoolId))
      .for('update');
    return saveOver<Printing>(tx, {
      thing: 'prices',
      thingId: 'school',
      openedOn,
      mine,
      now: { version: now!.version, fields: { ...USUAL_PRINTING, ...now!.printing } },
      personId,
      write: (fields, printingVersion) =>
        tx
          .update(school)
          .set({
            printingVersion,
            printing: Object.fromEntries(
              Object.entries(fields).filter(
                ([name, value]) => value !== USUAL_PRINTING[name as keyof Printing],
              ),
            ),
          })
          .where(eq(school.id, at.schoolId)),
    });
  });
}
