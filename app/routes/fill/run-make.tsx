import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { countedBy, isSettled, STAGE_IDS, STAGES, stageOf, type StageId } from '~/core/kits/making';
import { readTag, showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { findMaking } from '~/data/queries/making';
import { doStep, undoStep } from '~/data/queries/steps';
import { listStock, weightOf } from '~/data/queries/store';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { claimNext } from '~/server/kits/making';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { MakingStep, partsOf } from './MakingStep';
import type { Route } from './+types/run-make';

export const meta: Route.MetaFunction = () => [{ title: 'Making · Fern Basket' }];

const stageIn = (text: unknown): StageId | undefined => STAGE_IDS.find((stage) => stage === text);

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator', 'helper');
  const run = isId(params.runId) ? await findMaking(at, params.runId) : undefined;
  if (!run) throw notFound('This build run');
  const search = new URL(request.url).searchParams;
  const copy = run.copies.find(({ id }) => id === search.get('copy'));
  const step = copy?.steps.find(({ id }) => id === search.get('step') && id !== 'print');
  const batch = copy && run.batches.find(({ id }) => id === copy.buildRunId);
  const material = step && countedBy(step.id);
  const [didCopy, didStep] = (search.get('did') ?? '').split('~');
  const before = run.copies.find(({ id }) => id === didCopy);
  const did = before?.steps.find((one) => one.id === didStep && isSettled(one));
  const steps = run.copies.flatMap((one) => (one.readyAt === null ? one.steps : []));
  return {
    runId: run.id,
    left: run.copies.filter(({ readyAt }) => readyAt === null).length,
    now:
      copy && step && batch
        ? {
            copyId: copy.id,
            tag: copy.tag,
            kitName: copy.kitName,
            language: copy.language,
            step: step.id,
            quantity: step.quantity,
            settled: isSettled(step),
            have: step.have,
            waits: step.standing === 'waits',
            trouble: step.trouble,
            inHandOf: step.standing === 'begun' && step.personId !== personId ? step.by : undefined,
            ready: copy.readyAt !== null,
          }
        : undefined,
    contents:
      copy && step?.id === 'check' && batch
        ? batch.parts.map(({ material: of, quantity }) => ({
            material: of,
            quantity,
            have: copy.steps.find(({ id }) => id === `count ${of}`)?.have,
          }))
        : [],
    place: material ? ((await listStock(at)).find((one) => one.material === material)?.place ?? '') : '',
    unit: material ? await weightOf(at, material) : undefined,
    did: before &&
      did && { copyId: before.id, tag: before.tag, step: did.id, have: did.have, quantity: did.quantity },
    stage: stageIn(search.get('stage')),
    // What there is to do besides, for who wants to do something else.
    stages: STAGE_IDS.map((stage) => ({
      stage,
      open: steps.filter((one) => one.standing === 'open' && stageOf(one.id) === stage).length,
    })).filter(({ stage, open }) => open > 0 && stage !== 'print'),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator', 'helper');
  const run = isId(params.runId) ? await findMaking(at, params.runId) : undefined;
  if (!run) throw notFound('This build run');
  const form = await request.formData();
  const [copyId, step] = [form.get('copy'), textIn(form, 'step')];
  const copy = run.copies.find(({ id }) => id === copyId);
  const stage = stageIn(form.get('stage'));
  const refuse = (problem: string, material?: string, status = 409) =>
    data({ problem, material }, { status });
  const gone = () => refuse('This bag or this step is not there any more. Go on with the next thing.');
  const goOn = async (last?: string, did?: string): Promise<never> => {
    const next = await claimNext(at, run.id, personId, { stage, last });
    const rest = new URLSearchParams({
      ...(next ? { copy: next.copyId, step: next.step } : { rest: '1' }),
      ...(did ? { did } : {}),
      ...(stage && next ? { stage } : {}),
    });
    throw redirect(next ? `/fill/runs/${run.id}/make?${rest}` : `/fill/runs/${run.id}?${rest}`);
  };
  /** A scanned tag must be that of the bag; without one a press is enough. */
  const wrongBag = async (): Promise<ReturnType<typeof refuse> | undefined> => {
    const text = textIn(form, 'tag').trim();
    if (!text || !copy) return undefined;
    const read = readTag(text);
    if (read.kind === 'tag' && read.tag === copy.tag) return undefined;
    const other =
      read.kind === 'tag' ? `the tag ${showTag(read.tag)}` : `“${text.slice(0, 20)}”, which is no tag`;
    if (step === 'label') {
      await doStep(at, { copyId: copy.id, step, outcome: 'wrongLabel', personId });
      return refuse(
        `This label has ${other}; the bag is ${showTag(copy.tag)}. Put the right label on and scan it; if it is nowhere, print it again.`,
      );
    }
    return refuse(
      `You scanned ${other}; this is for the bag ${showTag(copy.tag)}. Nothing was written down.`,
    );
  };
  return byIntent(form, {
    next: () => goOn(),
    done: async () => {
      if (!copy) return gone();
      const wrong = await wrongBag();
      if (wrong) return wrong;
      const done = await doStep(at, { copyId: copy.id, step, outcome: 'done', personId });
      return done.ok ? goOn(step, `${copy.id}~${step}`) : refuse(done.why, done.material);
    },
    tooFew: async () => {
      if (!copy) return gone();
      const have = textIn(form, 'have').trim();
      if (!/^\d{1,5}$/.test(have)) return refuse('Say how many there are: a whole number.', undefined, 400);
      const done = await doStep(at, {
        copyId: copy.id,
        step,
        outcome: 'tooFew',
        quantity: Number(have),
        personId,
      });
      return done.ok ? goOn(step, `${copy.id}~${step}`) : refuse(done.why, done.material);
    },
    broken: async () => {
      if (!copy) return gone();
      const done = await doStep(at, { copyId: copy.id, step, outcome: 'broken', quantity: 1, personId });
      if (!done.ok) return refuse(done.why, done.material);
      throw redirect(`/fill/runs/${run.id}/make?copy=${copy.id}&step=${encodeURIComponent(step)}`);
    },
    undo: async () => {
      if (!copy) return gone();
      const undone = await undoStep(at, { copyId: copy.id, step, personId });
      if (!undone.ok) return refuse(undone.why);
      throw redirect(`/fill/runs/${run.id}/make?copy=${copy.id}&step=${encodeURIComponent(step)}`);
    },
  });
}

export default function Make({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { runId, now, did, left, stages, stage } = loaderData;
  const busy = useSending();
  return (
    <Workplace>
      <Stack>
        {did && (
          <Said
            kind={did.have === undefined ? 'done' : 'mind'}
            word={did.have === undefined ? 'Done' : 'Too few'}
            live
            action={
              <Form method="post">
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="copy" value={did.copyId} />
                <input type="hidden" name="step" value={did.step} />
                <Button type="submit" quiet isPending={busy}>
                  Take it back
                </Button>
              </Form>
            }
          >
            {showTag(did.tag)}:{' '}
            {countedBy(did.step)
              ? did.have === undefined
                ? `${partsOf(catalogue, did.step, did.quantity)} counted.`
                : `${did.have} of ${partsOf(catalogue, did.step, did.quantity)}.`
              : `${STAGES[stageOf(did.step)].done}.`}
          </Said>
        )}
        {actionData && 'problem' in actionData && (
          <Said
            kind="stop"
            word="Look again"
            live
            action={
              actionData.material ? (
                <ButtonLink quiet href={`/fill/store/count?of=${actionData.material}`}>
                  Count it in the store
                </ButtonLink>
              ) : undefined
            }
          >
            {actionData.problem}
          </Said>
        )}
        {now && !now.settled && !now.ready ? (
          <MakingStep key={`${now.copyId} ${now.step}`} {...loaderData} now={now} />
        ) : (
          <>
            <Heading title={now ? 'This is done already' : 'One thing after the other'}>
              {count(left, 'copy is', 'copies are')} not made yet.
            </Heading>
            <Form method="post" action={`/fill/runs/${runId}/make`}>
              <input type="hidden" name="intent" value="next" />
              {stage && <input type="hidden" name="stage" value={stage} />}
              <Row>
                <Button type="submit" autoFocus isPending={busy}>
                  Show me the next thing
                </Button>
              </Row>
            </Form>
            {now?.settled && now.have !== undefined && !now.ready && (
              <Form method="post">
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="copy" value={now.copyId} />
                <input type="hidden" name="step" value={now.step} />
                <Stack $gap="0.5rem">
                  <p>
                    {showTag(now.tag)}: {now.have} of {partsOf(catalogue, now.step, now.quantity)} were
                    counted.
                  </p>
                  <Row>
                    <Button type="submit" quiet isPending={busy}>
                      Count them again
                    </Button>
                  </Row>
                </Stack>
              </Form>
            )}
          </>
        )}
      </Stack>
      <Stack>
        <Panel aria-labelledby="else">
          <Stack $gap="0.6rem">
            <h2 id="else">Something else</h2>
            {stages.length === 0 ? (
              <Faint>Nothing else can be begun now.</Faint>
            ) : (
              stages.map((one) => (
                <Form key={one.stage} method="post" action={`/fill/runs/${runId}/make`}>
                  <input type="hidden" name="intent" value="next" />
                  <input type="hidden" name="stage" value={one.stage} />
                  <Button type="submit" quiet isPending={busy}>
                    {`${one.stage.charAt(0).toUpperCase()}${one.stage.slice(1)}: ${one.open} to do`}
                  </Button>
                </Form>
              ))
            )}
            <Row>
              <ButtonLink quiet href={`/fill/runs/${runId}`}>
                Stop here: see the whole run
              </ButtonLink>
            </Row>
            <Faint>What is done stays done; anybody can take over.</Faint>
          </Stack>
        </Panel>
      </Stack>
    </Workplace>
  );
}
