import { showDay } from '~/core/lending/due';
import { findMaking } from '~/data/queries/making';
import { isId } from '~/server/ids';
import { leftOf, planOfLeft } from '~/server/kits/left';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { AfternoonMargin, AfternoonPlan } from '~/app/desk/Afternoon';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Heading, Stack, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/run-afternoon';

export const meta: Route.MetaFunction = () => [{ title: 'Who does what when · Fern Basket' }];

/** The copies of a run that are not made yet, laid out for its helpers: what is left of each. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const run = isId(params.runId) ? await findMaking(at, params.runId) : undefined;
  if (!run) throw notFound('This build run');
  const left = leftOf(run);
  return {
    id: run.id,
    startedOn: run.startedOn,
    helpers: run.helpers,
    names: left.map(({ name }) => name),
    batches: left.map(({ batch }) => batch),
    plan: await planOfLeft(at, run, left),
  };
}

export default function RunAfternoon({ loaderData }: Route.ComponentProps) {
  const { id, startedOn, helpers, names, batches, plan } = loaderData;
  return (
    <Workplace>
      <Stack>
        <Heading
          title="Who does what when"
          action={
            <ButtonLink quiet href={`/fill/runs/${id}`}>
              Back to the run
            </ButtonLink>
          }
        >
          The build run of {showDay(startedOn)}, for what is left to do of copies that are not made yet.
        </Heading>
        {plan ? (
          <AfternoonPlan plan={plan} helpers={helpers} names={names} />
        ) : (
          <Said kind="done" word="Over">
            Every copy of this run is made.
          </Said>
        )}
      </Stack>
      {plan && <AfternoonMargin printed plan={plan} batches={batches} names={names} />}
    </Workplace>
  );
}
