/** Lantern Hill Elementary, the small school up the hill: it has just begun. */
import { randomBytes } from 'node:crypto';
import { seeded } from '~/core/chance/random';
import { daysAfter, LOAN_DAYS } from '~/core/lending/due';
import { randomTag } from '~/core/kits/tag';
import { atSchool, type SchoolHandle } from '../db';
import { buildCopies } from '../queries/building';
import { findCopy, markPrinted } from '../queries/copies';
import { createFamily, type Family } from '../queries/families';
import { findKit, listKits } from '../queries/kits';
import { lend } from '../queries/lending';
import { admit, type Person } from '../queries/people';
import { boundTo, makeSchool, type School } from '../queries/schools';
import { offers, share, take } from '../queries/sharing';

export const LANTERN = 'Lantern Hill Elementary';

/** The small school up the hill: it follows a kit of Kittiwake Bay, took a copy of another, and lends its first baskets. */
export async function lanternHill(
  { school, person: runa }: { school: School; person: Person },
  timeZone: string,
  day: string,
  helper: string,
  add: (to: SchoolHandle, name: string) => Promise<Person>,
): Promise<SchoolHandle> {
  const first = atSchool(boundTo(school));
  const made = (await makeSchool(
    school.districtId,
    { name: LANTERN, paper: 'letter', languages: ['en', 'es'], contact: '', timeZone },
    runa.id,
  ))!;
  const at = atSchool(boundTo(made));
  const soren = await add(at, 'Soren');
  await admit(at, helper, 'helper', runa.id);
  const families: Family[] = [];
  for (const [name, language] of [
    ['Family Larkspur', 'en'],
    ['Familia Montaluz', 'es'],
    ['Family Nettlewood', 'en'],
    ['Familia Olmo Verde', 'es'],
  ] as const)
    families.push(
      (await createFamily(at, { name, language, reach: '', underThree: false, allergens: '' }, soren.id))!,
    );
  for (const kit of await listKits(first))
    if (kit.name === 'First splits' || kit.name === 'Rainy afternoon')
      await share(first, 'kit', kit.id, runa.id);
  const shown = await offers(at);
  const takeIt = async (name: string, follows: boolean): Promise<string> => {
    const took = await take(at, shown.find((one) => one.name === name)!.id, follows, soren.id);
    if (!took.ok) throw new Error(`The demo could not take ${name}.`);
    return took.thingId;
  };
  const kitId = await takeIt('First splits', true);
  await takeIt('Rainy afternoon', false);
  const random = seeded(4_711);
  const { tags } = await buildCopies(at, {
    kit: (await findKit(at, kitId))!,
    count: 3,
    builtOn: daysAfter(day, -9),
    builtBy: soren.id,
    newTag: () => randomTag(random),
    newLinkKey: () => randomBytes(16).toString('base64url'),
  });
  const copies = await Promise.all(tags.map(async (tag) => (await findCopy(at, { tag }))!));
  await markPrinted(
    at,
    copies.map((one) => one.id),
  );
  for (const i of [0, 1])
    await lend(at, {
      copyId: copies[i]!.id,
      familyId: families[i]!.id,
      lentOn: daysAfter(day, -5 + i),
      dueOn: daysAfter(day, -5 + i + LOAN_DAYS),
      personId: soren.id,
    });
  return at;
}
