import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { lackOf } from '~/core/kits/lacking';
import { showTag } from '~/core/kits/tag';
import { count, listed } from '~/core/words/numbers';
import { makeWhole, undoCare, writeCare } from '~/data/queries/care';
import { findCopy } from '~/data/queries/copies';
import { undoMend } from '~/data/queries/counts';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { tasksOf } from '~/server/kits/care';
import { requireRole } from '~/server/people/session';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/tasks';

export const meta: Route.MetaFunction = () => [{ title: 'What the bags need · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  return tasksOf(at);
}

/** What can be settled by a press, and how it is written down. */
const KINDS = {
  report: 'seen',
  found: 'seen',
  clean: 'cleaned',
  dirty: 'cleaned',
  worn: 'reprinted',
} as const;

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  const refuse = (problem: string) => data({ problem }, { status: 409 });
  return byIntent(form, {
    done: async () => {
      const [copyId, settles] = [form.get('copy'), form.get('settles')];
      const what = textIn(form, 'what');
      const copy = isId(copyId) ? await findCopy(at, { id: copyId }) : undefined;
      if (!copy || !Object.hasOwn(KINDS, what))
        return refuse('This bag is not there any more. Nothing was changed.');
      const written = await writeCare(at, {
        copyId: copy.id,
        kind: KINDS[what as keyof typeof KINDS],
        settles: isId(settles) ? settles : null,
        personId,
      });
      if (!written) return refuse('Somebody has done this a moment ago.');
      throw redirect(`/take-back/tasks?did=${written}&tag=${copy.tag}`);
    },
    undo: async () => {
      const id = form.get('care');
      if (!isId(id) || !(await undoCare(at, id))) return refuse('There is nothing to take back any more.');
      throw redirect('/take-back/tasks?undone=1');
    },
    whole: async () => {
      const [fromId, intoId] = [form.get('from'), form.get('into')];
      const into = isId(intoId) ? await findCopy(at, { id: intoId }) : undefined;
      if (
        !into ||
        !isId(fromId) ||
        !(await makeWhole(at, { fromId, intoId: into.id, parts: into.parts }, personId))
      )
        return refuse('One of these copies was counted again meanwhile. Nothing was changed.');
      throw redirect(`/take-back/tasks?whole=${into.id}&from=${fromId}`);
    },
    notWhole: async () => {
      const ids = [form.get('into'), form.get('from')];
      const undone = await Promise.all(ids.map(async (id) => isId(id) && (await undoMend(at, id, personId))));
      if (!undone.every(Boolean)) return refuse('One of these copies was counted again meanwhile.');
      throw redirect('/take-back/tasks?undone=1');
    },
  });
}

function DoneButton({
  what,
  copyId,
  settles,
  children,
  label,
}: {
  what: keyof typeof KINDS;
  copyId: string;
  settles?: string;
  children: string;
  label: string;
}) {
  const busy = useSending();
  return (
    <Form method="post">
      <input type="hidden" name="intent" value="done" />
      <input type="hidden" name="what" value={what} />
      <input type="hidden" name="copy" value={copyId} />
      {settles && <input type="hidden" name="settles" value={settles} />}
      <Button type="submit" quiet isPending={busy} aria-label={label}>
        {children}
      </Button>
    </Form>
  );
}

const bag = ({ copyId, tag, kitName }: { copyId: string; tag: string; kitName: string }) => (
  <>
    <Link to={`/copies/${copyId}`}>
      <Tag>{showTag(tag)}</Tag>
    </Link>{' '}
    {kitName}
  </>
);
const ACTION = <span className="visually-hidden">Action</span>;

export default function Tasks({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { reports, found, clean, worn, pairs, lost } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const nothing = [reports, found, clean, worn, pairs, lost].every(({ length }) => length === 0);
  return (
    <Workplace>
      <Stack>
        <Heading
          title="What the bags need"
          action={
            <ButtonLink quiet href="/take-back">
              Take back
            </ButtonLink>
          }
        >
          Each with its reason; press when it is done.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not changed" live>
            {actionData.problem}
          </Said>
        )}
        {search.has('did') && !actionData && (
          <Said
            kind="done"
            word="Done"
            live
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="care" value={search.get('did')!} />
                <Button type="submit" quiet isPending={busy}>
                  Take it back
                </Button>
              </Form>
            }
          >
            Noted for {showTag(search.get('tag') ?? '')}.
          </Said>
        )}
        {search.has('whole') && !actionData && (
          <Said
            kind="done"
            word="Whole"
            live
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="notWhole" />
                <input type="hidden" name="into" value={search.get('whole')!} />
                <input type="hidden" name="from" value={search.get('from') ?? ''} />
                <Button type="submit" quiet isPending={busy}>
                  Take it back
                </Button>
              </Form>
            }
          >
            One copy is whole; what it was given is missing in the other.
          </Said>
        )}
        {search.has('undone') && !actionData && (
          <Said kind="done" word="Undone" live>
            It is as it was before.
          </Said>
        )}
        {nothing && <Empty title="Nothing">No bag needs anything now.</Empty>}
        {reports.length > 0 && (
          <Panel aria-labelledby="reports">
            <h2 id="reports">Families told</h2>
            <Table
              rows={reports}
              rowKey={({ answerId }) => answerId}
              columns={[
                { head: 'Bag', cell: bag },
                {
                  head: 'What they said',
                  cell: ({ said, familyName, out }) => (
                    <>
                      <q dir="auto">{said}</q> {familyName}{' '}
                      {out && <State tone="note">still with them: count it when it comes</State>}
                    </>
                  ),
                },
                {
                  head: ACTION,
                  cell: ({ copyId, answerId, tag }) => (
                    <DoneButton
                      what="report"
                      copyId={copyId}
                      settles={answerId}
                      label={`It is settled: what was told of ${showTag(tag)}`}
                    >
                      It is settled
                    </DoneButton>
                  ),
                },
              ]}
            />
          </Panel>
        )}
        {pairs.length > 0 && (
          <Panel aria-labelledby="pairs">
            <h2 id="pairs">Two that make a whole one</h2>
            <Table
              rows={pairs}
              rowKey={({ into }) => into.id}
              columns={[
                {
                  head: 'Whole from then on',
                  cell: ({ into, kitName }) => bag({ copyId: into.id, tag: into.tag, kitName }),
                },
                {
                  head: 'What moves',
                  cell: ({ from, lacks }) => (
                    <>
                      {listed(lacks.map((one) => lackOf(one, catalogue)))}, from{' '}
                      <Tag>{showTag(from.tag)}</Tag>
                    </>
                  ),
                },
                {
                  head: ACTION,
                  cell: ({ from, into }) => (
                    <Form method="post">
                      <input type="hidden" name="intent" value="whole" />
                      <input type="hidden" name="from" value={from.id} />
                      <input type="hidden" name="into" value={into.id} />
                      <Button
                        type="submit"
                        quiet
                        isPending={busy}
                        aria-label={`Make it whole: ${showTag(into.tag)}`}
                      >
                        Make it whole
                      </Button>
                    </Form>
                  ),
                },
              ]}
            />
          </Panel>
        )}
        {lost.length > 0 && (
          <Panel aria-labelledby="lost">
            <h2 id="lost">Printed pieces that are missing</h2>
            <Table
              rows={lost}
              rowKey={({ copyId }) => copyId}
              columns={[
                { head: 'Bag', cell: bag },
                {
                  head: 'What',
                  cell: ({ lacks }) => listed(lacks.map((one) => lackOf(one, catalogue))),
                },
                {
                  head: ACTION,
                  cell: ({ copyId, tag }) => (
                    <ButtonLink
                      quiet
                      href={`/print?copy=${copyId}&scope=lost`}
                      aria-label={`Print only these: what ${showTag(tag)} lacks`}
                    >
                      Print only these
                    </ButtonLink>
                  ),
                },
              ]}
            />
          </Panel>
        )}
        {found.length > 0 && (
          <Panel aria-labelledby="found">
            <h2 id="found">Found at a return</h2>
            <Table
              rows={found}
              rowKey={({ id }) => id}
              columns={[
                { head: 'Bag', cell: bag },
                {
                  head: 'What',
                  cell: ({ kind, note }) =>
                    kind === 'dirty'
                      ? 'Something in it is dirty.'
                      : `Something that does not belong to it: ${note}`,
                },
                {
                  head: ACTION,
                  cell: ({ id, copyId, kind, tag }) => (
                    <DoneButton
                      what={kind === 'dirty' ? 'dirty' : 'found'}
                      copyId={copyId}
                      settles={id}
                      label={`${kind === 'dirty' ? 'It is clean' : 'It is settled'}: ${showTag(tag)}`}
                    >
                      {kind === 'dirty' ? 'It is clean' : 'It is settled'}
                    </DoneButton>
                  ),
                },
              ]}
            />
          </Panel>
        )}
        {clean.length > 0 && (
          <Panel aria-labelledby="clean">
            <h2 id="clean">To clean</h2>
            <Table
              rows={clean}
              rowKey={({ copyId }) => copyId}
              columns={[
                { head: 'Bag', cell: bag },
                { head: 'Why', cell: ({ why }) => why },
                {
                  head: ACTION,
                  cell: ({ copyId, tag }) => (
                    <DoneButton what="clean" copyId={copyId} label={`It is clean: ${showTag(tag)}`}>
                      It is clean
                    </DoneButton>
                  ),
                },
              ]}
            />
          </Panel>
        )}
        {worn.length > 0 && (
          <Panel aria-labelledby="worn">
            <Stack $gap="0.6rem">
              <h2 id="worn">Paper to print again</h2>
              <Row>
                <ButtonLink quiet href={`/print?${worn.map(({ copyId }) => `copy=${copyId}`).join('&')}`}>
                  {`Print ${count(worn.length, 'pack')}`}
                </ButtonLink>
              </Row>
              <Table
                rows={worn}
                rowKey={({ copyId }) => copyId}
                columns={[
                  { head: 'Bag', cell: bag },
                  { head: 'Why', cell: ({ why }) => why },
                  {
                    head: ACTION,
                    cell: ({ copyId, tag }) => (
                      <DoneButton what="worn" copyId={copyId} label={`It is in the bag: ${showTag(tag)}`}>
                        It is in the bag
                      </DoneButton>
                    ),
                  },
                ]}
              />
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Things to do"
            number={String(reports.length + found.length + clean.length + worn.length + pairs.length)}
            unit="for bags"
            reason="A report closes by itself when the bag is counted after it; new paper when the pack is marked as printed."
          />
        </Entries>
        <Row>
          <ButtonLink quiet href="/look-back#mend">
            Copies that lack parts
          </ButtonLink>
        </Row>
      </Margin>
    </Workplace>
  );
}
