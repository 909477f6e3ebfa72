import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { afternoonSchema, type AfternoonAsked } from '~/core/pack/afternoon';
import { findKit } from '~/data/queries/kits';
import { schoolPrinting } from '~/data/queries/schools';
import { isId } from '~/server/ids';
import { stepsOfKit } from '~/server/kits/making';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { afternoonOf } from '~/server/threads';
import { AfternoonMargin, AfternoonPlan, OnScreen, HandBoxes } from '~/app/desk/Afternoon';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Said } from '~/app/ui/Notices';
import { Heading, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
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
  const planned =
    checked.ok && kit.variants.length
      ? await stepsOfKit(at, kit, asked.finish === 'own' ? kit.finish : asked.finish)
      : undefined;
  const made =
    planned && planned.problem === undefined ? { steps: planned.steps, copies: asked.copies } : undefined;
  return {
    kitId: kit.id,
    kitName: kit.name,
    empty: kit.variants.length === 0,
    asked,
    errors,
    problem: planned?.problem,
    made,
    plan:
      made &&
      (await afternoonOf({
        batches: [made],
        printing: await schoolPrinting(at),
        helpers: asked.helpers,
        laminators: asked.laminators,
        cutters: asked.cutters,
      })),
  };
}

export default function Afternoon({ loaderData }: Route.ComponentProps) {
  const { kitId, kitName, empty, asked, errors, problem, made, plan } = loaderData;
  const busy = useSending();
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
                <HandBoxes how={asked} errors={errors} />
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
        {problem !== undefined && <Said kind="stop">{problem}</Said>}
        {made && plan && <AfternoonPlan plan={plan} helpers={asked.helpers} names={[kitName]} />}
      </Stack>
      {made && plan && <AfternoonMargin printed plan={plan} batches={[made]} names={[kitName]} />}
    </Workplace>
  );
}
