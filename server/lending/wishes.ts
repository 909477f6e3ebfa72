/** Kits that a family can ask for: there are bags of them, and none that a person would have to decide about. */
import type { FamilyFlags } from '~/core/kits/safety';
import type { SchoolHandle } from '~/data/db';
import { askFor, listHolds } from '~/data/queries/holds';
import { listLoansOfFamily } from '~/data/queries/lending';
import { today } from '../today';
import { isSafeFor, kitWalls } from './kits';

type Asking = FamilyFlags & { id: string };

/** What a family waits for, and what else it can ask for; a kit that it has at home now is not among them. */
export async function wishesOf(at: SchoolHandle, family: Asking) {
  const [kits, holds, loans] = await Promise.all([
    kitWalls(at),
    listHolds(at, today(at), { familyId: family.id }),
    listLoansOfFamily(at, family.id),
  ]);
  const atHome = new Set(loans.filter(({ closedAs }) => closedAs === null).map(({ kitName }) => kitName));
  return {
    holds,
    open: kits
      .filter((kit) => isSafeFor(kit, family))
      .filter(({ id, name }) => !holds.some(({ kitId }) => kitId === id) && !atHome.has(name))
      .map(({ id, name }) => ({ id, name })),
  };
}

/** A family asks for a kit. False when it cannot have it, or waits for it already. */
export async function wish(
  at: SchoolHandle,
  family: Asking,
  kitId: string,
  personId: string | null,
): Promise<boolean> {
  const { open } = await wishesOf(at, family);
  return open.some(({ id }) => id === kitId)
    ? askFor(at, { familyId: family.id, kitId, personId, today: today(at) })
    : false;
}
