import { renderToStaticMarkup } from 'react-dom/server';
import { schoolPrinting } from '~/data/queries/schools';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { fontFaces } from '~/server/print/fonts';
import { loansIn, previewOf, readOrder, taskOf } from '~/server/print/order';
import { SheetFile } from '~/app/game/SheetView';
import type { Route } from './+types/page-svg';

/** One page of the preview as SVG, to scale and with its fonts inside. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'helper');
  const search = new URL(request.url).searchParams;
  const [order, printing] = await Promise.all([readOrder(at, search, school), schoolPrinting(at)]);
  const task = await taskOf(at, request, order, school);
  const { pages } = await previewOf(task, loansIn(search), printing);
  const number = Number(search.get('page'));
  const sheet = pages[number - 1];
  if (!sheet) throw notFound('This page');
  const svg = renderToStaticMarkup(<SheetFile sheet={sheet} fonts={fontFaces(sheet)} />);
  return new Response(svg, {
    headers: {
      'Content-Type': 'image/svg+xml; charset=utf-8',
      'Content-Disposition': `${search.has('save') ? 'attachment' : 'inline'}; filename="page-${number}.svg"`,
      'Cache-Control': 'private, max-age=60',
    },
  });
}
