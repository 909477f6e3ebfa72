import { findProof } from '~/data/queries/proofs';
import { showTime } from '~/server/changes';
import { isId } from '~/server/ids';
import { paperResponse } from '~/server/lending/papers';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/proof-pdf';

/** A proof as it was kept, however often it is printed. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'reader');
  const kept = isId(params.proofId) ? await findProof(at, params.proofId) : undefined;
  if (!kept) throw notFound('This proof');
  const { kit, language, lines, at: madeOn } = kept;
  return paperResponse(school, { title: kit, file: 'proof', language, madeOn }, 'proof', lines, {
    kit,
    language,
    code: showTime(at, madeOn),
  });
}
