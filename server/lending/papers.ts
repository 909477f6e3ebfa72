/** Papers that are drawn from a list at once, by a thread: who waits for a page does not wait for them. */
import { redirect } from 'react-router';
import type { Paper } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import type { SchoolHandle } from '~/data/db';
import type { PaperName, PaperOf } from '../print/papers';
import { notFound } from '../refusals';
import { startJob } from '../print/jobs';
import { paperDrawn, type PaperTask } from '../threads';

interface About {
  title: string;
  file: string;
  language?: Language;
  madeOn?: Date;
}
const taskOf = <K extends PaperName>(
  school: { name: string; paper: Paper },
  { title, language = 'en', madeOn = new Date() }: About,
  name: K,
  given: PaperOf<K>,
): PaperTask<K> => ({
  name,
  given,
  paper: school.paper,
  about: { title, author: school.name, language, madeOn },
});

/** A list with more lines than this is drawn as a job: who asks for it sees how far it is, and may go on with something else. */
const MOST_AT_ONCE = 300;

/** A PDF of a list, as `paperResponse`; a long one is a redirect to the job that draws it. `address` is the page's own. */
export async function listResponse<K extends PaperName>(
  at: SchoolHandle,
  by: { id: string; school: { name: string; paper: Paper } },
  { lines, address, ...about }: About & { lines: number; address: string },
  name: K,
  ...given: PaperOf<K>
): Promise<Response> {
  if (lines <= MOST_AT_ONCE) return paperResponse(by.school, about, name, ...given);
  const { pathname, search } = new URL(address);
  const id = await startJob(
    at,
    taskOf(by.school, about, name, given),
    `of=${encodeURIComponent(pathname + search)}`,
    by.id,
  );
  throw redirect(`/print/jobs/${id}`);
}

/** A PDF of a paper, as a page answers it. Throws a 404 page where there is nothing to print. */
export async function paperResponse<K extends PaperName>(
  school: { name: string; paper: Paper },
  about: About,
  name: K,
  ...given: PaperOf<K>
): Promise<Response> {
  const pdf = await paperDrawn<K>(taskOf(school, about, name, given));
  if (!pdf) throw notFound('Something to print');
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${about.file}.pdf"`,
    },
  });
}
