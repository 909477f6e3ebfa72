import { writeXliff } from '~/core/words/xliff';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { linesToCsv } from '~/server/words/files';
import { isWhich, linesHere } from '~/server/words/lines';
import type { Route } from './+types/lines-file';

const FILES = {
  'lines.xlf': { type: 'application/xliff+xml; charset=utf-8', ending: 'xlf' },
  'lines.csv': { type: 'text/csv; charset=utf-8', ending: 'csv' },
} as const;

/** Lines of the school in two of its languages, as a file that comes in again. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const [from, to] = [search.get('from') ?? 'en', search.get('to') ?? ''];
  const file = Object.hasOwn(FILES, params.file) ? FILES[params.file as keyof typeof FILES] : undefined;
  if (!file || from === to || ![from, to].every((one) => school.languages.includes(one)))
    throw notFound('This file', 'Choose two different languages of your school.');
  const which = search.get('which');
  const lines = await linesHere(at, from, to, {
    what: search.get('what') ?? 'all',
    which: isWhich(which) ? which : 'all',
  });
  const text = file.ending === 'xlf' ? writeXliff({ from, to, lines }) : linesToCsv(from, to, lines);
  return new Response(text, {
    headers: {
      'Content-Type': file.type,
      'Content-Disposition': `attachment; filename="lines-${from}-${to}.${file.ending}"`,
    },
  });
}
