import { findSchool } from '~/data/queries/people';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { orderSheets, readOrder } from '~/server/print/order';
import { pdfOf } from '~/server/print/pdf';
import { showTag } from '~/core/lending/tag';
import type { Route } from './+types/pack-pdf';

/** The pack as one PDF, for the same address parameters as its preview. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'helper');
  const school = (await findSchool())!;
  const order = await readOrder(new URL(request.url).searchParams, school);
  if (order.copies.length === 0) throw notFound('This pack');
  const tags = order.copies.map((copy) => showTag(copy.tag));
  const pdf = await pdfOf(await orderSheets(request, order, school), {
    title: `${order.copies[0]!.kitName} · ${tags.join(', ')}`,
    author: school.name,
    language: order.home,
  });
  const name = order.copies.length === 1 ? tags[0] : `${order.copies.length}-copies`;
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="pack-${name}.pdf"`,
    },
  });
}
