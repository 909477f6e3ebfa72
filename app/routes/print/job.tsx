import { useEffect, useState } from 'react';
import { redirect, useRevalidator } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import type { JobProgress } from '~/core/pack/order';
import { count } from '~/core/words/numbers';
import { markPrinted } from '~/data/queries/copies';
import { tellPrintJob } from '~/data/queries/print';
import { byIntent } from '~/server/forms';
import { languageOf } from '~/server/print/order';
import { isId } from '~/server/ids';
import { requireJob } from '~/server/print/jobs';
import { requireRole } from '~/server/people/session';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, Wide } from '~/app/ui/Page';
import { color } from '~/app/ui/theme';
import type { Route } from './+types/job';

export const meta: Route.MetaFunction = () => [{ title: 'A pack as PDF · Fern Basket' }];

/** The page where it was asked for: that of the list, or the order of a pack. */
const placeOf = (query: string): string =>
  new URLSearchParams(query)
    .get('of')
    ?.split('?')[0]!
    .replace(/\/[^/]+$/, '') ?? `/print?${query}`;

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const { id, query, title, state, pagesDone, pages, problem } = await requireJob(at, params.jobId);
  const search = new URLSearchParams(query);
  return {
    id,
    back: placeOf(query),
    isList: search.has('of'),
    title,
    state,
    pagesDone,
    pages,
    problem,
    // Spares of a lost piece and shared sheets are not the pack of a copy.
    copies: (search.get('scope') ?? 'each') === 'each' ? search.getAll('copy') : [],
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  const job = await requireJob(at, params.jobId);
  return byIntent(form, {
    stop: async () => {
      await tellPrintJob(at, job.id, { state: 'stopped' });
      throw redirect(placeOf(job.query));
    },
    printed: async () => {
      const order = new URLSearchParams(job.query);
      await markPrinted(at, order.getAll('copy').filter(isId), languageOf(order));
      throw redirect('/print?marked=1');
    },
  });
}

const Bar = styled.progress`
  width: 100%;
  height: 18px;
  accent-color: ${color.fern};
`;
const POLL_MS = 400;

/** How far a job is, asked again and again; the page is asked for anew when it is not drawn any more. */
function useProgressOf(id: string, first: JobProgress): JobProgress {
  const { revalidate } = useRevalidator();
  const [told, setTold] = useState<JobProgress>();
  const drawing = first.state === 'drawing';
  useEffect(() => {
    if (!drawing) return;
    const gone = new AbortController();
    let timer = 0;
    const look = async (): Promise<void> => {
      try {
        const answer = await fetch(`/print/jobs/${id}/progress`, { signal: gone.signal });
        if (answer.ok) setTold((await answer.json()) as JobProgress);
      } catch {
        // A server that does not answer for a moment is asked again.
      }
      if (!gone.signal.aborted) timer = window.setTimeout(() => void look(), POLL_MS);
    };
    timer = window.setTimeout(() => void look(), POLL_MS);
    return () => {
      gone.abort();
      clearTimeout(timer);
    };
  }, [drawing, id]);
  const now = drawing ? (told ?? first) : first;
  useEffect(() => {
    if (drawing && now.state !== 'drawing') void revalidate();
  }, [drawing, now.state, revalidate]);
  return now;
}

export default function Job({ loaderData }: Route.ComponentProps) {
  const { id, back, isList, title, state, problem, copies } = loaderData;
  const busy = useSending();
  const drawing = state === 'drawing';
  const { pagesDone, pages } = useProgressOf(id, loaderData);
  return (
    <Wide>
      <Stack>
        <Heading title={drawing ? 'Drawing the pages' : state === 'done' ? 'Ready to print' : 'Not drawn'}>
          {title}
        </Heading>
        {drawing && (
          <Panel aria-label="Progress">
            <Stack>
              <Bar max={pages ?? 1} value={pages ? pagesDone : undefined} aria-label="Pages drawn" />
              <p>
                {pages ? `${pagesDone} of ${count(pages, 'page')} drawn.` : 'Working out the pages …'} You can
                go on with something else; the file waits here for a day.
              </p>
              <noscript>
                <a href={`/print/jobs/${id}`}>Look again</a>
              </noscript>
              <Form method="post">
                <Button type="submit" quiet name="intent" value="stop" isPending={busy}>
                  Stop drawing
                </Button>
              </Form>
            </Stack>
          </Panel>
        )}
        {state === 'done' && (
          <Panel aria-label="The file">
            <Stack>
              <p role="status">
                {count(pages ?? 0, 'page')} drawn to scale{isList ? '' : ', empty backs included'}.
              </p>
              <Row>
                <ButtonLink href={`/print/jobs/${id}.pdf`} target="_blank">
                  Open the PDF
                </ButtonLink>
                {copies.length > 0 && (
                  <Form method="post">
                    <Button type="submit" quiet name="intent" value="printed" isPending={busy}>
                      {copies.length === 1 ? 'It is printed' : 'They are printed'}
                    </Button>
                  </Form>
                )}
              </Row>
              <Faint>
                Print at 100 percent (“actual size”), or cards and labels will not be to scale. With both
                sides printed, flip on the long edge.
              </Faint>
            </Stack>
          </Panel>
        )}
        {(state === 'failed' || state === 'stopped') && (
          <Said kind="stop" word="Nothing was drawn" live>
            {problem ?? 'It was stopped.'}
          </Said>
        )}
        <Row>
          <ButtonLink href={back} quiet>
            {isList ? 'Back to the list' : 'Back to what is printed'}
          </ButtonLink>
        </Row>
      </Stack>
    </Wide>
  );
}
