/** Pictures of children's work: few, small, and only for a while. */
import { and, eq, inArray, lt, sql } from 'drizzle-orm';
import type { SchoolHandle } from '../db';
import { answer, loan, workPicture } from '../schema';
import { ours } from './ours';

export interface NewPicture {
  answerId: string;
  image: Buffer;
  width: number;
  height: number;
  /** The last day it is kept. */
  goesOn: string;
}
export const addPicture = async (at: SchoolHandle, picture: NewPicture): Promise<void> => {
  await at.insert(workPicture).values(picture);
};

/** A picture whose day has not passed, with the family it is of. */
export async function findPicture(
  at: SchoolHandle,
  id: string,
  today: string,
): Promise<{ image: Buffer; familyId: string } | undefined> {
  const [found] = await at
    .select({ image: workPicture.image, familyId: loan.familyId })
    .from(workPicture)
    .innerJoin(answer, and(ours(at, answer), eq(answer.id, workPicture.answerId)))
    .innerJoin(loan, and(ours(at, loan), eq(loan.id, answer.loanId)))
    .where(and(ours(at, workPicture), eq(workPicture.id, id), sql`${workPicture.goesOn} >= ${today}`));
  return found;
}

export const removePicture = async (at: SchoolHandle, id: string): Promise<boolean> =>
  (
    await at
      .delete(workPicture)
      .where(and(ours(at, workPicture), eq(workPicture.id, id)))
      .returning({ id: workPicture.id })
  ).length > 0;

/** Pictures whose day has passed go. */
export const dropOldPictures = async (at: SchoolHandle, today: string): Promise<void> => {
  await at.delete(workPicture).where(and(ours(at, workPicture), lt(workPicture.goesOn, today)));
};

/** All pictures of a family go: it does not allow them any more, or is forgotten. */
export const dropPicturesOf = async (tx: SchoolHandle, familyId: string): Promise<void> => {
  await tx.delete(workPicture).where(
    and(
      ours(tx, workPicture),
      inArray(
        workPicture.answerId,
        tx
          .select({ id: answer.id })
          .from(answer)
          .innerJoin(loan, and(ours(tx, loan), eq(loan.id, answer.loanId)))
          .where(and(ours(tx, answer), eq(loan.familyId, familyId))),
      ),
    ),
  );
};
