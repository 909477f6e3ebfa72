import { Form, useNavigation } from 'react-router';
import styled from 'styled-components';
import { checkForm, type FieldErrors } from '~/core/check/check';
import {
  afternoonSchema,
  ASSUMED,
  clock,
  jobsOf,
  STAGES,
  type AfternoonAsked,
  type Job,
  type StageId,
} from '~/core/pack/afternoon';
import { FINISHES } from '~/core/paper/sheet';
import { count } from '~/core/words/numbers';
import { findKit, planOf } from '~/data/queries/kits';
import { findSchool, schoolPrinting } from '~/data/queries/schools';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { afternoonOf, recipeOf } from '~/server/threads';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NumberBox, Pick } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { color, type } from '~/app/ui/theme';
import type { Route } from './+types/afternoon';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `An afternoon with ${loaderData?.kitName ?? 'a kit'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const kit = isId(params.kitId) ? await findKit(at, params.kitId) : undefined;
  if (!kit) throw notFound('This kit');
  const search = new URL(request.url).searchParams;
  const usual = checkForm(afternoonSchema, {});
  const checked = checkForm(afternoonSchema, Object.fromEntries(search));
  const errors: FieldErrors = checked.ok ? {} : checked.errors;
  const asked: AfternoonAsked = checked.ok ? checked.value : (usual as { value: AfternoonAsked }).value;
  const plan = planOf(kit);
  const [recipe, printing, school] = await Promise.all([recipeOf(plan), schoolPrinting(at), findSchool(at)]);
  const planned =
    checked.ok && kit.variants.length
      ? await afternoonOf({
          order: {
            kitName: kit.name,
            schoolName: school.name,
            plan,
            parts: recipe.parts,
            copies: [{ tag: '22222', link: 'https://localhost/p/plan' }],
            items: ['instructions', 'parts', 'records'],
            scope: 'each',
            labels: {},
            checked: {},
          },
          context: {
            paper: kit.paper,
            languages: ['es', 'en'],
            seed: 1,
            finish: asked.finish,
            cuts: 'shared',
            fill: false,
          },
          how: { ...asked, printing },
        })
      : undefined;
  return { kitId: kit.id, kitName: kit.name, empty: kit.variants.length === 0, asked, errors, planned };
}

const HUES: Record<StageId, string> = {
  print: '#8FB3C9',
  laminate: '#B4532F',
  cut: '#E3B64B',
  count: '#2F6B4A',
  bag: '#9CBF8B',
  check: '#D9C79A',
};

const Card = styled(Panel)`
  @media print {
    break-before: page;
  }
`;
const OnScreen = styled.div`
  @media print {
    display: none;
  }
`;

const did = ({ stage, from, to }: Job): string =>
  `${STAGES[stage].does} ${from === to ? `copy ${from}` : `copies ${from} to ${to}`}`;

/** Every helper a row, every job a bar along the time; the same is told on the cards below. */
function Picture({ cards, end }: { cards: readonly Job[][]; end: number }) {
  const [left, width, row] = [74, 820, 40];
  const at = (seconds: number): number => left + (seconds / end) * width;
  const step = [300, 600, 900, 1800, 3600, 7200].find((one) => end / one <= 12) ?? 14_400;
  const marks = Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step);
  return (
    <svg
      viewBox={`0 0 ${left + width + 30} ${cards.length * row + 34}`}
      width="100%"
      role="img"
      aria-label={`${count(cards.length, 'helper')} over ${clock(end)}: the cards below tell the same.`}
      style={{ display: 'block' }}
    >
      {marks.map((seconds) => (
        <g key={seconds}>
          <line x1={at(seconds)} y1={4} x2={at(seconds)} y2={cards.length * row + 6} stroke="#DDD3B8" />
          <text
            x={at(seconds)}
            y={cards.length * row + 26}
            fontFamily={type.body}
            fontSize="14"
            fill={color.ink}
            textAnchor="middle"
          >
            {clock(seconds)}
          </text>
        </g>
      ))}
      {cards.map((jobs, i) => (
        <g key={i}>
          <text x={0} y={i * row + 28} fontFamily={type.body} fontSize="15" fill={color.ink}>
            Helper {i + 1}
          </text>
          {jobs.map((job) => {
            const wide = at(job.endSeconds) - at(job.startSeconds);
            return (
              <g key={`${job.stage} ${job.from}`}>
                <rect
                  x={at(job.startSeconds)}
                  y={i * row + 8}
                  width={Math.max(1, wide - 1)}
                  height={row - 12}
                  rx={3}
                  fill={HUES[job.stage]}
                  stroke={color.ink}
                  strokeWidth="0.6"
                />
                {wide > 46 && (
                  <text
                    x={at(job.startSeconds) + wide / 2}
                    y={i * row + 27}
                    fontFamily={type.body}
                    fontSize="13"
                    textAnchor="middle"
                    fill={job.stage === 'count' || job.stage === 'laminate' ? '#FFFFFF' : color.ink}
                  >
                    {job.stage}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      ))}
    </svg>
  );
}

export default function Afternoon({ loaderData }: Route.ComponentProps) {
  const { kitId, kitName, empty, asked, errors, planned } = loaderData;
  const busy = useNavigation().state !== 'idle';
  const made = planned && planned.problem === undefined ? planned : undefined;
  const cards = made ? Array.from({ length: asked.helpers }, (_, i) => jobsOf(made.plan.tasks, i + 1)) : [];
  const over = made ? made.plan.makespanSeconds / made.plan.lowerBoundSeconds - 1 : 0;
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`An afternoon with ${kitName}`}
          action={
            <ButtonLink quiet href={`/fill/${kitId}`}>
              Back to the kit
            </ButtonLink>
          }
        >
          Who does what when, so that nobody waits for the laminator.
        </Heading>
        <OnScreen>
          <Panel aria-label="What there is">
            <Form method="get">
              <Row $gap="1rem">
                <NumberBox
                  name="copies"
                  label="Copies"
                  min={1}
                  max={60}
                  defaultValue={asked.copies}
                  error={errors.copies}
                />
                <NumberBox
                  name="helpers"
                  label="Helpers"
                  min={1}
                  max={12}
                  defaultValue={asked.helpers}
                  error={errors.helpers}
                />
                <NumberBox
                  name="laminators"
                  label="Laminators"
                  min={1}
                  max={4}
                  defaultValue={asked.laminators}
                  error={errors.laminators}
                />
                <NumberBox
                  name="cutters"
                  label="Cutters"
                  min={1}
                  max={8}
                  defaultValue={asked.cutters}
                  error={errors.cutters}
                />
                <Pick
                  name="finish"
                  label="Finish"
                  defaultValue={asked.finish}
                  options={Object.entries(FINISHES).map(([value, label]) => ({ value, label }))}
                  error={errors.finish}
                />
                <Button type="submit" isPending={busy}>
                  Plan it so
                </Button>
              </Row>
            </Form>
          </Panel>
        </OnScreen>
        {empty && (
          <Said kind="mind" word="No games yet">
            Put a game into this kit first; then its work can be planned.
          </Said>
        )}
        {planned?.problem !== undefined && <Said kind="stop">{planned.problem}</Said>}
        {made && (
          <>
            <Panel aria-label="The plan">
              <Picture cards={cards} end={Math.max(1, made.plan.makespanSeconds)} />
            </Panel>
            {cards.map((jobs, i) => (
              <Card key={i} aria-labelledby={`card-${i}`}>
                <h2 id={`card-${i}`}>Helper {i + 1}</h2>
                {jobs.length === 0 ? (
                  <p>Nothing is left to do: fewer helpers are as fast.</p>
                ) : (
                  <ol style={{ display: 'grid', gap: '0.35rem', paddingInlineStart: '1.4rem' }}>
                    {jobs.map((job) => (
                      <li key={`${job.stage} ${job.from}`}>
                        <strong>
                          {clock(job.startSeconds)} to {clock(job.endSeconds)}
                        </strong>{' '}
                        {did(job)}
                      </li>
                    ))}
                  </ol>
                )}
                {[...new Set(jobs.map(({ stage }) => STAGES[stage].caution).filter(Boolean))].map(
                  (caution) => (
                    <Faint key={caution}>{caution} Your district’s rules decide.</Faint>
                  ),
                )}
              </Card>
            ))}
          </>
        )}
      </Stack>
      {made && (
        <Margin label="Reckonings">
          <Entries>
            <Entered
              label="Done after"
              number={clock(made.plan.makespanSeconds)}
              unit="hours and minutes"
              reason={
                over < 0.005
                  ? 'No plan can be shorter.'
                  : `No plan can be shorter than ${clock(made.plan.lowerBoundSeconds)}; this one is ${Math.ceil(over * 100)} in 100 longer at most.`
              }
            />
            {made.stages.map((stage) => (
              <Entered
                key={stage.id}
                label={`To ${STAGES[stage.id as StageId].does} one copy`}
                number={String(Math.ceil(stage.secondsEach / 60))}
                unit={stage.secondsEach > 60 ? 'minutes' : 'minute'}
                reason={
                  stage.id === 'count'
                    ? `${ASSUMED.partSeconds} s for a kind of part and ${ASSUMED.pieceSeconds} s for a piece, as we assume.`
                    : stage.id === 'check'
                      ? 'As we assume.'
                      : 'From the times under Print, prices and times.'
                }
              />
            ))}
          </Entries>
          <Faint>Print this page: each helper’s card is a sheet of its own.</Faint>
        </Margin>
      )}
    </Workplace>
  );
}
