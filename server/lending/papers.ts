/** Papers that are drawn from a list at once, by a thread: who waits for a page does not wait for them. */
import type { Paper } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import type { PaperName, PaperOf } from '../print/papers';
import { notFound } from '../refusals';
import { paperDrawn } from '../threads';

/** A PDF of a paper, as a page answers it. Throws a 404 page where there is nothing to print. */
export async function paperResponse<K extends PaperName>(
  school: { name: string; paper: Paper },
  about: { title: string; file: string; language?: Language; madeOn?: Date },
  name: K,
  ...given: PaperOf<K>
): Promise<Response> {
  const { title, file, language = 'en', madeOn = new Date() } = about;
  const pdf = await paperDrawn<K>({
    name,
    given,
    paper: school.paper,
    about: { title, author: school.name, language, madeOn },
  });
  if (!pdf) throw notFound('Something to print');
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${file}.pdf"`,
    },
  });
}
