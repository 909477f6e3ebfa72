/** PDFs of the lending desk, drawn at once: they are a few pages. */
import type { Measure, Paper, Sheet } from '~/core/paper/sheet';
import { measure } from '../print/fonts';
import { pdfOf } from '../print/pdf';
import { notFound } from '../refusals';

/** A PDF of a few sheets, as a page answers it. Throws a 404 page where there is nothing to print. */
export async function paperResponse(
  school: { name: string; paper: Paper },
  { title, file }: { title: string; file: string },
  draw: (on: { paper: Paper; measure: Measure; school: string }) => Sheet[],
): Promise<Response> {
  const sheets = draw({ paper: school.paper, measure, school: school.name });
  if (sheets.length === 0) throw notFound('Something to print');
  const pdf = await pdfOf(sheets, { title, author: school.name, language: 'en', madeOn: new Date() });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${file}.pdf"`,
    },
  });
}
