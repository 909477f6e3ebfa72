import { calibrationSheets } from '~/core/paper/calibration';
import { PAPERS, type Paper } from '~/core/paper/sheet';
import { isLanguage, type Language } from '~/core/words/languages';
import { readingOf } from '~/core/words/readings';
import { requireRole } from '~/server/people/session';
import { measure } from '~/server/print/fonts';
import { pdfOf } from '~/server/print/pdf';
import type { Route } from './+types/calibration-pdf';

/** The calibration page alone: it belongs to a printer and not to a pack. Two pages need no thread of their own. */
export async function loader({ request }: Route.LoaderArgs) {
  const { school } = await requireRole(request, 'coordinator', 'helper');
  const search = new URL(request.url).searchParams;
  const asked = search.get('paper');
  const paper: Paper = asked && Object.hasOwn(PAPERS, asked) ? (asked as Paper) : school.paper;
  const home = search.get('home');
  const languages: Language[] = isLanguage(home) && home !== 'en' ? [home, 'en'] : ['en'];
  const sheets = calibrationSheets({
    paper,
    readings: languages.map((language) => readingOf(language)),
    seed: 1,
    measure,
    finish: 'plain',
    cuts: 'shared',
    fill: false,
  });
  const pdf = await pdfOf(sheets, {
    title: sheets[0]!.title,
    author: school.name,
    language: languages[0]!,
    madeOn: new Date(0),
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': 'inline; filename="calibration.pdf"',
    },
  });
}
