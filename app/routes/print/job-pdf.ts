import { printedPdf } from '~/data/queries/print';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/job-pdf';

/** The finished PDF of a print job. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const job = isId(params.jobId) ? await printedPdf(at, params.jobId) : undefined;
  if (!job) throw notFound('This PDF');
  const name = job.title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '');
  return new Response(new Uint8Array(job.pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="pack.pdf"; filename*=UTF-8''${encodeURIComponent(name)}.pdf`,
    },
  });
}
