/** Wording that was printed to be corrected on paper. Its numbers stay as they were printed. */
import { and, desc, eq } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import type { ProofLine } from '~/core/words/proof';
import type { SchoolHandle } from '../db';
import { person, proof } from '../schema';
import { ours } from './ours';

export type Proof = typeof proof.$inferSelect;

export async function keepProof(
  at: SchoolHandle,
  input: { kitId: string; kit: string; language: Language; lines: ProofLine[]; personId: string },
): Promise<string> {
  const [kept] = await at.insert(proof).values(input).returning({ id: proof.id });
  return kept!.id;
}

export const listProofs = (
  at: SchoolHandle,
): Promise<(Pick<Proof, 'id' | 'kit' | 'language' | 'at'> & { by: string | null })[]> =>
  at
    .select({ id: proof.id, kit: proof.kit, language: proof.language, at: proof.at, by: person.name })
    .from(proof)
    .leftJoin(person, eq(person.id, proof.personId))
    .where(ours(at, proof))
    .orderBy(desc(proof.at))
    .limit(50);

export async function findProof(at: SchoolHandle, id: string): Promise<Proof | undefined> {
  const [found] = await at
    .select()
    .from(proof)
    .where(and(ours(at, proof), eq(proof.id, id)));
  return found;
}
