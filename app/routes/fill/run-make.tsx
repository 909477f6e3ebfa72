import { useState } from 'react';
import { data, Form, redirect } from 'react-router';
import styled from 'styled-components';
import {
  countedBy,
  isSettled,
  STAGE_IDS,
  STAGES,
  stageOf,
  type StageId,
  type StepId,
} from '~/core/kits/making';
import { readTag, showTag } from '~/core/kits/tag';
import { LANGUAGES } from '~/core/words/languages';
import type { Catalogue } from '~/core/materials/school';
import { count } from '~/core/words/numbers';
import { findMaking } from '~/data/queries/making';
import { doStep, undoStep } from '~/data/queries/steps';
import { listStock, weightOf } from '~/data/queries/store';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { claimNext } from '~/server/kits/making';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { OnTheScale } from '~/app/desk/OnTheScale';
import { Tray } from '~/app/desk/Tray';
import { useCatalogue } from '~/app/desk/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox, TextBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, State, Tag, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { color } from '~/app/ui/theme';
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
  const [copyId, step] = [form.get('copy'), String(form.get('step') ?? '')];
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
    const text = String(form.get('tag') ?? '').trim();
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
      const have = String(form.get('have') ?? '').trim();
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

const Large = styled.p`
  font-size: clamp(1.5rem, 3.4vw, 2.3rem);
  line-height: 1.25;
  color: ${color.deepFern};
  code {
    font-size: 1.1em;
  }
`;

const partsOf = (catalogue: Catalogue, step: StepId, quantity: number): string => {
  const material = countedBy(step);
  if (!material) return '';
  const { name, plural } = catalogue.of(material);
  return count(quantity, name, plural);
};

/** What is to be done, in one sentence. */
function Says({ step, quantity, tag }: { step: StepId; quantity: number; tag: string }) {
  const catalogue = useCatalogue();
  const bag = <Tag>{showTag(tag)}</Tag>;
  switch (stageOf(step)) {
    case 'laminate':
      return (
        <>
          Laminate {count(quantity, 'pouch', 'pouches')} for the bag {bag}
        </>
      );
    case 'cut':
      return (
        <>
          Make {count(quantity, 'cut')} for the bag {bag}
        </>
      );
    case 'count':
      return (
        <>
          Count {partsOf(catalogue, step, quantity)} into the bag {bag}
        </>
      );
    case 'bag':
      return <>Put the sheets and cut parts into the bag {bag}</>;
    case 'label':
      return <>Put the label {bag} on the bag, and scan it</>;
    default:
      return <>Open the bag {bag} and look whether all is there</>;
  }
}
const DONE: Record<StageId, string> = {
  print: 'It is printed',
  laminate: 'They are laminated',
  cut: 'All is cut',
  count: 'They are in the bag',
  bag: 'All is in the bag',
  label: 'The label is on',
  check: 'All is there: this copy is ready',
};

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
          <Now key={`${now.copyId} ${now.step}`} {...loaderData} now={now} />
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

function Now({
  now,
  place,
  unit,
  contents,
  stage,
}: Pick<Route.ComponentProps['loaderData'], 'place' | 'unit' | 'contents' | 'stage'> & {
  now: NonNullable<Route.ComponentProps['loaderData']['now']>;
}) {
  const catalogue = useCatalogue();
  const busy = useSending();
  const { step, quantity, tag } = now;
  const material = countedBy(step);
  const [have, setHave] = useState(Math.max(0, quantity - 1));
  const caution = STAGES[stageOf(step)].caution;
  const about = (
    <>
      <input type="hidden" name="copy" value={now.copyId} />
      <input type="hidden" name="step" value={step} />
      {stage && <input type="hidden" name="stage" value={stage} />}
    </>
  );
  return (
    <Stack>
      <h1 className="visually-hidden">Making</h1>
      <Large>
        <Says step={step} quantity={quantity} tag={tag} />
      </Large>
      <p>
        {now.kitName}
        {now.language && `, with instructions in English and ${LANGUAGES[now.language].name}`}
        {place && (
          <>
            . They stand in: <strong>{place}</strong>
          </>
        )}
        .
      </p>
      {now.inHandOf && <Said kind="mind">{now.inHandOf} has begun this a moment ago.</Said>}
      {now.waits && <Said kind="mind">Something that comes before it is not done yet.</Said>}
      {now.trouble === 'wrongLabel' && (
        <Said
          kind="mind"
          word="Wrong label"
          action={
            <ButtonLink quiet href={`/print?copy=${now.copyId}&item=labels`}>
              Print its label again
            </ButtonLink>
          }
        >
          The label that was scanned belongs to another bag.
        </Said>
      )}
      {now.trouble === 'broken' && (
        <Said kind="know">One broke and was taken out of the store. Take another.</Said>
      )}
      {material && (
        <div style={{ width: quantity > 40 ? 300 : 170 }}>
          <Tray parts={[{ material, quantity, reasons: [] }]} />
        </div>
      )}
      {contents.length > 0 && (
        <Panel aria-label="What belongs in it">
          <Table
            rows={contents}
            rowKey={(one) => one.material}
            columns={[
              {
                head: 'Part',
                cell: (one) =>
                  one.quantity === 1 ? catalogue.of(one.material).name : catalogue.of(one.material).plural,
              },
              { head: 'How many', cell: (one) => one.have ?? one.quantity },
              {
                head: 'So',
                cell: (one) =>
                  one.have === undefined ? (
                    <State tone="calm">as it should be</State>
                  ) : (
                    <State tone="hand">{`${one.quantity - one.have} too few`}</State>
                  ),
              },
            ]}
          />
          {contents.some((one) => one.have !== undefined) && (
            <Faint>
              It can go out so: what is missing is noted, and the desk says which games play with it.
            </Faint>
          )}
        </Panel>
      )}
      <Form method="post">
        {about}
        <input type="hidden" name="intent" value="done" />
        <Row $gap="1rem">
          <TextBox
            key={step}
            name="tag"
            label={step === 'label' ? 'Scan the label' : 'Scan the bag, or press Enter'}
            autoComplete="off"
            autoFocus
          />
          <Button type="submit" isPending={busy}>
            {DONE[stageOf(step)]}
          </Button>
        </Row>
      </Form>
      {material && (
        <Panel aria-labelledby="not-so">
          <Form method="post">
            {about}
            <Stack $gap="0.7rem">
              <h2 id="not-so">Not so?</h2>
              <Row $gap="1rem">
                <NumberBox
                  name="have"
                  label="Only so many are there"
                  min={0}
                  max={Math.max(0, quantity - 1)}
                  value={have}
                  onChange={setHave}
                />
                <Button type="submit" quiet name="intent" value="tooFew" isPending={busy}>
                  There are too few
                </Button>
                <Button type="submit" quiet name="intent" value="broken" isPending={busy}>
                  One is broken
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
      )}
      {step === 'label' && (
        <Row>
          <ButtonLink quiet href={`/print?copy=${now.copyId}&item=labels`}>
            Print its label again
          </ButtonLink>
        </Row>
      )}
      {caution && <Faint>{caution} Your district’s rules decide.</Faint>}
      {material && (
        <Panel aria-labelledby="scale">
          <Stack $gap="0.7rem">
            <h2 id="scale">On the scale</h2>
            <OnTheScale
              unit={unit}
              material={{
                id: material,
                name: catalogue.of(material).name,
                plural: catalogue.of(material).plural,
              }}
              wanted={quantity}
              onCount={(counted) => counted < quantity && setHave(counted)}
            />
          </Stack>
        </Panel>
      )}
    </Stack>
  );
}
