import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { scaleSchema } from '~/core/kits/forms';
import { storable } from '~/core/kits/store';
import { catalogueNow } from '~/data/queries/materials';
import { putOnScale } from '~/data/queries/scale';
import { requireRole } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import { scale } from '~/server/scale';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { color, cut } from '~/app/ui/theme';
import type { Route } from './+types/scale';

export const meta: Route.MetaFunction = () => [{ title: 'The scale · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  return {
    reading: await scale.read(at),
    parts: storable(await catalogueNow(at)).map(({ id, plural }) => ({ id, plural })),
  };
}

/** Pieces differ by so much of their weight on this stand-in. */
const SPREAD = 0.02;

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  const checked = checkForm(scaleSchema, form);
  const material = storable(await catalogueNow(at)).find(({ id }) => id === form.get('material'));
  const errors: FieldErrors = checked.ok ? {} : checked.errors;
  if (!material) errors.material = 'Choose a part.';
  if (!checked.ok || !material) return data({ errors }, { status: 400 });
  const { pieces, cupG, resolutionG } = checked.value;
  const one = (): number => {
    // Twelve uniform numbers add up to nearly a normal one.
    const z =
      Array.from({ length: 12 }, () => secureRandom.whole(0, 1_000_000) / 1_000_000).reduce((a, b) => a + b) -
      6;
    return material.massG * (1 + SPREAD * z);
  };
  let grams = cupG;
  for (let i = 0; i < pieces; i++) grams += one();
  await putOnScale(at, Math.max(0, grams), resolutionG);
  throw redirect(`/fill/scale?put=${pieces}&of=${material.id}`);
}

const Display = styled.output`
  ${cut}
  display: block;
  justify-self: start;
  padding: 0.4rem 1.4rem;
  background: ${color.ink};
  color: ${color.paper};
  font-size: 3rem;
  font-variant-numeric: tabular-nums;
`;

export default function ScalePage({ loaderData, actionData }: Route.ComponentProps) {
  const { reading, parts } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const of = parts.find(({ id }) => id === search.get('of'));
  return (
    <Workplace>
      <Stack>
        <Heading
          title="The scale"
          action={
            <ButtonLink quiet href="/fill/store">
              The store
            </ButtonLink>
          }
        >
          A stand-in for a kitchen scale: lay something on it, and every “Read the scale” is told its weight.
        </Heading>
        <Display aria-label="It shows">{reading ? `${reading.grams} g` : '0 g'}</Display>
        {of && (
          <Said kind="done" word="On it now" live>
            {search.get('put')} {of.plural}, with what the cup weighs.
          </Said>
        )}
        <Panel aria-label="Lay something on it">
          <Form method="post">
            <Stack $gap="0.8rem">
              <Row $gap="1rem">
                <Pick
                  name="material"
                  label="Part"
                  defaultValue={of?.id ?? 'cube'}
                  options={parts.map(({ id, plural }) => ({ value: id, label: plural }))}
                  error={errors.material}
                />
                <NumberBox
                  name="pieces"
                  label="Pieces"
                  min={0}
                  max={2000}
                  defaultValue={10}
                  error={errors.pieces}
                />
                <NumberBox
                  name="cupG"
                  label="Cup or bag (g)"
                  min={0}
                  max={5000}
                  defaultValue={0}
                  error={errors.cupG}
                />
                <NumberBox
                  name="resolutionG"
                  label="It shows steps of (g)"
                  min={0.1}
                  max={50}
                  step={0.1}
                  defaultValue={reading?.resolutionG ?? 1}
                  error={errors.resolutionG}
                />
              </Row>
              <Row>
                <Button type="submit" isPending={busy}>
                  Lay them on the scale
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Faint>
          Pieces differ a little, each time anew: as they do. A real scale takes the place of this page behind
          the same interface; a reading can always be typed instead.
        </Faint>
      </Margin>
    </Workplace>
  );
}
