/** What a school holds to when it lends, and the classes that bring their bags back on a day of their own. */
import { and, asc, eq, inArray, notInArray } from 'drizzle-orm';
import { USUAL_LENDING, type LendingRules } from '~/core/lending/rules';
import { type SchoolHandle, transaction } from '../db';
import { classDay, family, lendingRule } from '../schema';
import { saveOver, type Saving } from './changes';
import { ours } from './ours';

/** The rules of a school, with the version that their form is opened on. */
export async function lendingRules(at: SchoolHandle): Promise<LendingRules & { version: number }> {
  const [found] = await at.select().from(lendingRule).where(ours(at, lendingRule));
  if (!found) return { ...USUAL_LENDING, version: 1 };
  const { schoolId: _, ...rules } = found;
  return rules;
}

export const saveLendingRules = (
  at: SchoolHandle,
  mine: LendingRules,
  openedOn: number,
  personId: string,
): Promise<Saving<LendingRules>> =>
  transaction(at, async (tx) => {
    // The row is there from the first time it is saved.
    await tx.insert(lendingRule).values(USUAL_LENDING).onConflictDoNothing();
    const [row] = await tx.select().from(lendingRule).where(ours(tx, lendingRule)).for('update');
    const { schoolId: _, version, ...fields } = row!;
    return saveOver(tx, {
      thing: 'lending',
      thingId: 'rules',
      openedOn,
      mine,
      now: { version, fields },
      personId,
      write: (changed, next) =>
        tx
          .update(lendingRule)
          .set({ ...changed, version: next })
          .where(ours(tx, lendingRule)),
    });
  });

/** The classes of families, by name, each with the day on which it brings its bags back where it has its own. */
export async function classes(
  at: SchoolHandle,
): Promise<{ group: string; families: number; backOn: number | null }[]> {
  const [groups, days] = await Promise.all([
    at
      .select({ group: family.group })
      .from(family)
      .where(and(ours(at, family), notInArray(family.group, [''])))
      .orderBy(asc(family.group)),
    at.select().from(classDay).where(ours(at, classDay)),
  ]);
  return [...new Set([...groups, ...days].map(({ group }) => group))]
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .map((group) => ({
      group,
      families: groups.filter((one) => one.group === group).length,
      backOn: days.find((one) => one.group === group)?.backOn ?? null,
    }));
}

/** The day of the week on which a class brings its bags back; undefined where it comes with the school. */
export async function dayOfClass(at: SchoolHandle, group: string): Promise<number | undefined> {
  if (group === '') return undefined;
  const [found] = await at
    .select({ backOn: classDay.backOn })
    .from(classDay)
    .where(and(ours(at, classDay), eq(classDay.group, group)));
  return found?.backOn;
}

/** Sets the days of classes; those with null come with the school. */
export const saveClassDays = (
  at: SchoolHandle,
  days: readonly { group: string; backOn: number | null }[],
): Promise<void> =>
  transaction(at, async (tx) => {
    if (days.length === 0) return;
    await tx.delete(classDay).where(
      and(
        ours(tx, classDay),
        inArray(
          classDay.group,
          days.map(({ group }) => group),
        ),
      ),
    );
    const own = days.flatMap(({ group, backOn }) => (backOn === null ? [] : [{ group, backOn }]));
    if (own.length) await tx.insert(classDay).values(own);
  });
