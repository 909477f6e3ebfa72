import { proofSheets } from '~/core/pack/proof';
import { findProof } from '~/data/queries/proofs';
import { showTime } from '~/server/changes';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { measure } from '~/server/print/fonts';
import { pdfOf } from '~/server/print/pdf';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/proof-pdf';

/** A proof as it was kept, however often it is printed. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'reader');
  const kept = isId(params.proofId) ? await findProof(at, params.proofId) : undefined;
  if (!kept) throw notFound('This proof');
  const sheets = proofSheets(kept.lines, {
    kit: kept.kit,
    language: kept.language,
    code: showTime(at, kept.at),
    paper: school.paper,
    measure,
  });
  const pdf = await pdfOf(sheets, {
    title: sheets[0]!.title,
    author: school.name,
    language: kept.language,
    madeOn: kept.at,
  });
  return new Response(new Uint8Array(pdf), {
    headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': 'inline; filename="proof.pdf"' },
  });
}
