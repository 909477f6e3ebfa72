/** The picture of an afternoon, and a card for each helper: shared by the afternoon of a kit and by a build run. */
import styled from 'styled-components';
import type { FieldErrors } from '~/core/check/check';
import { handsSchema, RUN_FINISHES } from '~/core/kits/forms';
import { STAGE_IDS, STAGES, stageOf } from '~/core/kits/making';
import type { RunPlan } from '~/core/kits/run-plan';
import { clock, jobsOf, type AfternoonAsked, type Batch, type Job } from '~/core/pack/afternoon';
import { count } from '~/core/words/numbers';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick as Choose } from '~/app/ui/fields/Pick';
import { Entered, Entries, Faint, Margin, Panel } from '~/app/ui/Page';
import { color, type } from '~/app/ui/theme';

const HUES: Record<Job['stage'], string> = {
  setUp: '#E7E2D3',
  print: '#8FB3C9',
  laminate: '#B4532F',
  cut: '#E3B64B',
  count: '#2F6B4A',
  bag: '#9CBF8B',
  label: '#C9A6A0',
  check: '#D9C79A',
};

const Card = styled(Panel)`
  @media print {
    break-before: page;
  }
`;
/** What is not printed with the cards. */
export const OnScreen = styled.div`
  @media print {
    display: none;
  }
`;

const did = ({ stage, of, from, to }: Job, names: readonly string[]): string =>
  stage === 'setUp'
    ? `make the ${of} ready`
    : `${STAGES[stage].does} ${from === to ? `copy ${from}` : `copies ${from} to ${to}`}${names.length > 1 ? ` of ${names[Number(of) - 1]!}` : ''}`;

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
              <g key={`${job.stage} ${job.of} ${job.from}`}>
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
                    {job.stage === 'setUp' ? 'ready' : job.stage}
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

/** The plan as a picture and as cards that print on a sheet each. `names` says the kits of its batches. */
export function AfternoonPlan({
  plan,
  helpers,
  names,
}: {
  plan: RunPlan;
  helpers: number;
  names: readonly string[];
}) {
  const cards = Array.from({ length: helpers }, (_, i) => jobsOf(plan.tasks, i + 1));
  return (
    <>
      <Panel aria-label="The plan">
        <Picture cards={cards} end={Math.max(1, plan.makespanSeconds)} />
      </Panel>
      {cards.map((jobs, i) => (
        <Card key={i} aria-labelledby={`card-${i}`}>
          <h2 id={`card-${i}`}>Helper {i + 1}</h2>
          {jobs.length === 0 ? (
            <p>Nothing is left to do: fewer helpers are as fast.</p>
          ) : (
            <ol style={{ display: 'grid', gap: '0.35rem', paddingInlineStart: '1.4rem' }}>
              {jobs.map((job) => (
                <li key={`${job.stage} ${job.of} ${job.from}`}>
                  <strong>
                    {clock(job.startSeconds)} to {clock(job.endSeconds)}
                  </strong>{' '}
                  {did(job, names)}
                </li>
              ))}
            </ol>
          )}
          {[
            ...new Set(
              jobs.map(({ stage }) => (stage === 'setUp' ? '' : STAGES[stage].caution)).filter(Boolean),
            ),
          ].map((caution) => (
            <Faint key={caution}>{caution} Your district’s rules decide.</Faint>
          ))}
        </Card>
      ))}
    </>
  );
}

/** When it is over, and what each stage of a copy takes. */
export function AfternoonMargin({
  plan,
  batches,
  names,
  printed = false,
}: {
  plan: RunPlan;
  batches: readonly Batch[];
  names: readonly string[];
  /** The cards stand beside it. */
  printed?: boolean;
}) {
  const over = plan.makespanSeconds / plan.lowerBoundSeconds - 1;
  return (
    <Margin label="Reckonings">
      <Entries>
        <Entered
          label="Done after"
          number={clock(plan.makespanSeconds)}
          unit="hours and minutes"
          reason={
            over < 0.005
              ? 'No plan can be shorter.'
              : `No plan can be shorter than ${clock(plan.lowerBoundSeconds)}; this one is ${Math.ceil(over * 100)} in 100 longer at most.`
          }
        />
        {STAGE_IDS.map((stage) => {
          // One line for a stage: what it takes of each kit.
          const each = batches.map(({ steps }) =>
            Math.ceil(
              steps.filter(({ id }) => stageOf(id) === stage).reduce((sum, { seconds }) => sum + seconds, 0) /
                60,
            ),
          );
          const most = Math.max(0, ...each);
          if (most === 0) return null;
          const differ = new Set(each).size > 1;
          return (
            <Entered
              key={stage}
              label={`To ${STAGES[stage].does} one copy`}
              number={differ ? `${Math.min(...each)} to ${most}` : String(most)}
              unit={most === 1 ? 'minute' : 'minutes'}
              reason={`${differ ? `${names.map((name, i) => `${name} ${each[i]!}`).join(', ')}. ` : ''}From your prices and times.`}
            />
          );
        })}
      </Entries>
      {printed && <Faint>Print this page: each helper’s card is a sheet of its own.</Faint>}
    </Margin>
  );
}

/** Who and what there is to make copies with, and in which finish: the boxes of the forms that plan it. */
export const HandBoxes = ({
  how,
  errors,
}: {
  how: Pick<AfternoonAsked, 'helpers' | 'laminators' | 'cutters' | 'finish'>;
  errors: FieldErrors;
}) => (
  <>
    {(['helpers', 'laminators', 'cutters'] as const).map((name) => {
      const { title, minimum, maximum } = handsSchema.properties[name];
      return (
        <NumberBox
          key={name}
          name={name}
          label={title!}
          min={minimum!}
          max={maximum!}
          defaultValue={how[name]}
          error={errors[name]}
        />
      );
    })}
    <Choose
      name="finish"
      label="Finish"
      defaultValue={how.finish}
      options={Object.entries(RUN_FINISHES).map(([value, label]) => ({ value, label }))}
      error={errors.finish}
    />
  </>
);
