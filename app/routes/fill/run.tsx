import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import {
  countedBy,
  progressOf,
  STAGE_IDS,
  STAGES,
  stageOf,
  type StageId,
  type StandingStep,
} from '~/core/kits/making';
import { showTag } from '~/core/kits/tag';
import { clock } from '~/core/pack/afternoon';
import { showDay } from '~/core/lending/due';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { count, listed } from '~/core/words/numbers';
import { findMaking, type MakingCopyRow } from '~/data/queries/making';
import { finishByHand, giveUp } from '~/data/queries/steps';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { leftOf, planOfLeft } from '~/server/kits/left';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { Said } from '~/app/ui/Notices';
import {
  Entered,
  Entries,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Tag,
  type Tone,
  Workplace,
} from '~/app/ui/Page';
import { color } from '~/app/ui/theme';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/run';

export const meta: Route.MetaFunction = () => [{ title: 'A build run · Fern Basket' }];

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const run = isId(params.runId) ? await findMaking(person.at, params.runId) : undefined;
  if (!run) throw notFound('This build run');
  const plan = await planOfLeft(person.at, run, leftOf(run));
  return { run, mayEnd: person.role === 'coordinator', planSeconds: plan?.makespanSeconds };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const run = isId(params.runId) ? await findMaking(at, params.runId) : undefined;
  if (!run) throw notFound('This build run');
  const form = await request.formData();
  return byIntent(form, {
    made: async () => {
      const copy = run.copies.find(({ id }) => id === form.get('copy'));
      if (!copy) return data({ problem: 'This copy is not in this run any more.' }, { status: 409 });
      const done = await finishByHand(at, copy.id, personId);
      if (!done.ok) return data({ problem: done.why }, { status: 409 });
      throw redirect(`/fill/runs/${run.id}?made=${copy.tag}`);
    },
    giveUp: async () => {
      const gone = await giveUp(at, run.id, personId);
      throw redirect(`/fill/runs/${run.id}?gone=${gone}`);
    },
  });
}

/** How a stage of a copy stands, in a word or two; counting in how many of its parts. */
function standOf(
  steps: readonly StandingStep[],
  stage: StageId,
): { tone: Tone | 'later'; says: string } | undefined {
  const mine = steps.filter(({ id }) => stageOf(id) === stage);
  if (mine.length === 0) return undefined;
  const short = mine.filter(({ standing }) => standing === 'short');
  const done = mine.filter(({ standing }) => standing === 'done').length + short.length;
  if (short.length) return { tone: 'hand', says: `${short.length} short` };
  if (done === mine.length) return { tone: 'calm', says: 'done' };
  const begun = mine.find(({ standing }) => standing === 'begun');
  if (begun?.trouble) return { tone: 'hand', says: begun.trouble === 'broken' ? 'one broke' : 'wrong label' };
  if (begun) return { tone: 'note', says: begun.by ?? 'begun' };
  if (mine.every(({ standing }) => standing === 'waits')) return { tone: 'later', says: 'later' };
  return { tone: 'wait', says: mine.length > 1 ? `${done} of ${mine.length}` : 'to do' };
}

const Small = styled.span`
  font-size: 0.95rem;
  color: ${color.faint};
`;

/** Packs that are not printed yet, by the language they are to be in. */
function toPrint(copies: readonly MakingCopyRow[]): [Language | null, MakingCopyRow[]][] {
  const by = new Map<Language | null, MakingCopyRow[]>();
  for (const copy of copies)
    if (!copy.printed) by.set(copy.language, [...(by.get(copy.language) ?? []), copy]);
  return [...by];
}

export default function Run({ loaderData: { run, mayEnd, planSeconds }, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const [search] = useSearchParams();
  const busy = useSending();
  const ready = run.copies.filter(({ readyAt }) => readyAt !== null).length;
  const open = run.copies.filter(({ readyAt }) => readyAt === null);
  const stages = STAGE_IDS.filter((stage) =>
    run.batches.some(({ steps }) => steps.some(({ id }) => stageOf(id) === stage)),
  );
  const steps = open.flatMap((copy) => copy.steps);
  const left = steps
    .filter(({ standing }) => standing !== 'done' && standing !== 'short')
    .reduce((sum, { seconds }) => sum + seconds, 0);
  const packs = toPrint(run.copies);
  const short = run.copies.flatMap((copy) => progressOf(copy.steps).short.map((step) => ({ copy, step })));
  const kits = [...new Set(run.batches.map(({ kitName }) => kitName))];
  const handed = run.batches
    .map(({ id, finish }) => (open.some((copy) => copy.buildRunId === id) ? `&finish=${finish}` : ''))
    .find(Boolean);
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`Build run of ${showDay(run.startedOn)}`}
          action={
            <Row $gap="0.6rem">
              {open.length > 0 && (
                <Form method="post" action={`/fill/runs/${run.id}/make`}>
                  <input type="hidden" name="intent" value="next" />
                  <Button type="submit" isPending={busy}>
                    Go on making
                  </Button>
                </Form>
              )}
              <ButtonLink quiet href="/fill/runs">
                Build runs
              </ButtonLink>
            </Row>
          }
        >
          {kits.length ? `${listed(kits)}: ` : ''}
          {ready} of {count(run.copies.length, 'copy', 'copies')} made and checked.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not changed" live>
            {actionData.problem}
          </Said>
        )}
        {search.has('started') && (
          <Said kind="done" word="Started" live>
            {count(run.copies.length, 'copy has', 'copies have')} a tag, and what they take is spoken for in
            the store. Print the packs, then go on making; anybody can take over at any step.
          </Said>
        )}
        {search.has('made') && (
          <Said kind="done" word="Made" live>
            {showTag(search.get('made')!)} can be lent now. Its parts were taken from the store.
          </Said>
        )}
        {search.has('gone') && (
          <Said kind="done" word="Given up" live>
            What was not made is gone, and what was counted into it is in the store again.
          </Said>
        )}
        {search.has('rest') && (
          <Said kind="know" word="Nothing is left for you now" live>
            {open.length === 0
              ? 'Every copy of this run is made and checked.'
              : packs.length
                ? 'What is left waits for packs that are not printed, or is in others’ hands.'
                : 'What is left is in others’ hands, or waits for them.'}
          </Said>
        )}
        {run.endedAt && open.length === 0 && ready > 0 && (
          <Said kind="done" word="Over" action={<ButtonLink href="/lend">Lend them</ButtonLink>}>
            {count(ready, 'copy is', 'copies are')} made and can be lent.
          </Said>
        )}
        {packs.length > 0 && (
          <Panel aria-labelledby="packs">
            <Stack $gap="0.6rem">
              <h2 id="packs">Packs to print</h2>
              <Row>
                {packs.map(([language, copies]) => (
                  <ButtonLink
                    key={language ?? ''}
                    quiet
                    href={`/print?${copies.map(({ id }) => `copy=${id}`).join('&')}${language ? `&home=${language}` : ''}${handed ?? ''}`}
                  >
                    {`Print ${count(copies.length, 'pack')}${language ? ` in ${aboutLanguage(language).name}` : ''}`}
                  </ButtonLink>
                ))}
              </Row>
            </Stack>
          </Panel>
        )}
        {run.copies.length > 0 && (
          <Panel aria-labelledby="bags">
            <Stack $gap="0.6rem">
              <h2 id="bags">The bags</h2>
              <Table
                rows={run.copies}
                rowKey={({ id }) => id}
                columns={[
                  {
                    head: 'Bag',
                    cell: ({ id, tag, kitName, language }) => (
                      <>
                        <Link to={`/copies/${id}`}>
                          <Tag>{showTag(tag)}</Tag>
                        </Link>
                        <br />
                        <Small>
                          {kits.length > 1 ? `${kitName}, ` : ''}
                          {language ? aboutLanguage(language).name : ''}
                        </Small>
                      </>
                    ),
                  },
                  ...stages.map((stage) => ({
                    head: stage.charAt(0).toUpperCase() + stage.slice(1),
                    cell: (copy: MakingCopyRow) => {
                      const stands = standOf(copy.steps, stage);
                      if (!stands) return <Small>none</Small>;
                      return stands.tone === 'later' ? (
                        <Small>{stands.says}</Small>
                      ) : (
                        <State tone={stands.tone}>{stands.says}</State>
                      );
                    },
                  })),
                ]}
              />
            </Stack>
          </Panel>
        )}
        {short.length > 0 && (
          <Panel aria-labelledby="short">
            <Stack $gap="0.5rem">
              <h2 id="short">Counted short</h2>
              <ul>
                {short.map(({ copy, step }) => {
                  const material = catalogue.of(countedBy(step.id)!);
                  return (
                    <li key={`${copy.id} ${step.id}`}>
                      {showTag(copy.tag)}: {step.have ?? 0} of {step.quantity} {material.plural}
                      {step.by ? `, by ${step.by}` : ''}.{' '}
                      {copy.readyAt === null ? (
                        <Link
                          to={`/fill/runs/${run.id}/make?copy=${copy.id}&step=${encodeURIComponent(step.id)}`}
                        >
                          Count them again
                        </Link>
                      ) : (
                        <Link to={`/copies/${copy.id}`}>Put them in</Link>
                      )}
                    </li>
                  );
                })}
              </ul>
            </Stack>
          </Panel>
        )}
        {mayEnd && open.length > 0 && (
          <Panel aria-labelledby="end">
            <Stack $gap="0.9rem">
              <h2 id="end">Not going on step by step?</h2>
              <Form method="post">
                <input type="hidden" name="intent" value="made" />
                <Row>
                  <Pick
                    name="copy"
                    label="Made by hand, and checked"
                    defaultValue={open[0]!.id}
                    options={open.map(({ id, tag }) => ({ value: id, label: showTag(tag) }))}
                  />
                  <Button type="submit" quiet isPending={busy}>
                    This copy is made
                  </Button>
                </Row>
              </Form>
              {search.has('giveUp') ? (
                <Said
                  kind="mind"
                  word={`Give up ${count(open.length, 'copy', 'copies')}`}
                  action={
                    <Row>
                      <Form method="post">
                        <input type="hidden" name="intent" value="giveUp" />
                        <Button type="submit" clay isPending={busy}>
                          {`Give up ${count(open.length, 'copy', 'copies')}`}
                        </Button>
                      </Form>
                      <ButtonLink quiet href={`/fill/runs/${run.id}`}>
                        Keep them
                      </ButtonLink>
                    </Row>
                  }
                >
                  Their tags are gone then ({open.map(({ tag }) => showTag(tag)).join(', ')}), and what was
                  counted into them is in the store again. Copies that are made stay.
                </Said>
              ) : (
                <Row>
                  <ButtonLink quiet href={`/fill/runs/${run.id}?giveUp=1#end`}>
                    Give up what is not made
                  </ButtonLink>
                </Row>
              )}
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Made and checked"
            number={String(ready)}
            unit={`of ${run.copies.length}`}
            reason={
              open.length ? 'The others can be lent when their check is done.' : 'All of them can be lent.'
            }
          />
          {open.length > 0 && (
            <Entered
              label="Work left"
              number={String(Math.ceil(left / 60))}
              unit="minutes of one person"
              reason={`${steps.filter(({ standing }) => standing !== 'done' && standing !== 'short').length} steps; with ${count(run.helpers, 'helper')} done after ${clock(planSeconds ?? 0)} (hours and minutes), by the plan.`}
            />
          )}
          {STAGE_IDS.filter((stage) =>
            steps.some((step) => stageOf(step.id) === stage && step.standing === 'begun'),
          ).map((stage) => (
            <Entered
              key={stage}
              label={`In hand: to ${STAGES[stage].does} a copy`}
              number={String(
                steps.filter((step) => stageOf(step.id) === stage && step.standing === 'begun').length,
              )}
              unit="now"
              reason={`By ${listed([...new Set(steps.flatMap((step) => (stageOf(step.id) === stage && step.standing === 'begun' && step.by ? [step.by] : [])))])}.`}
            />
          ))}
        </Entries>
        <Row>
          <ButtonLink quiet href={`/fill/runs/${run.id}/afternoon`}>
            Who does what when
          </ButtonLink>
        </Row>
      </Margin>
    </Workplace>
  );
}
