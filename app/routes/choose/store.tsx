import { data, Form, useNavigation } from 'react-router';
import styled from 'styled-components';
import { materialOf, materials, type Material } from '~/core/materials/catalogue';
import { materialsAtHand, setMaterialsAtHand } from '~/data/queries/games';
import { changesOf } from '~/server/changes';
import { requireRole } from '~/server/people/session';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Changes, plainValue, type FieldWords } from '~/app/ui/Changes';
import { TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Heading, Row, Stack, Wide } from '~/app/ui/Page';
import type { Route } from './+types/store';

export const meta: Route.MetaFunction = () => [{ title: 'In the store · Fern Basket' }];

/** What a store can have: not what is printed, and not what families find at home. */
const storable = (): Material[] =>
  materials().filter(({ kind }) => kind === 'durable' || kind === 'consumable');

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  return { atHand: await materialsAtHand(at), changes: await changesOf(at, 'store', 'school') };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const named = (field: string): string[] => {
    const there = new Set(form.getAll(field).map(String));
    return storable()
      .map(({ id }) => id)
      .filter((id) => there.has(id));
  };
  if (!form.has('opened'))
    return data(
      { saved: undefined, problem: 'Load this page again, then tick; nothing was changed.' },
      { status: 400 },
    );
  const kept = await setMaterialsAtHand(at, named('material'), named('had'), person.id);
  return data({ saved: kept.length, problem: undefined });
}

const STORE_FIELDS: FieldWords = {
  label: () => 'At hand',
  show: (_, value) => plainValue((value as string[]).map((id) => materialOf(id).plural)),
};

const Ticks = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0 1.5rem;
`;

export default function Store({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  return (
    <Wide>
      <Form method="post">
        <Stack>
          <Heading title="What is in the store?">
            Tick what there is enough of for one more basket. The shelf then shows what a game still lacks,
            and can be narrowed to what is at hand. Paper parts are not counted here.
          </Heading>
          <input type="hidden" name="opened" value="1" />
          {loaderData.atHand.map((id) => (
            <input key={id} type="hidden" name="had" value={id} />
          ))}
          {actionData?.problem && (
            <Said kind="stop" word="Not noted" live>
              {actionData.problem}
            </Said>
          )}
          {actionData?.saved !== undefined && (
            <Said kind="done" word="Noted" live>
              {actionData.saved} kinds of parts are at hand.
            </Said>
          )}
          <Ticks role="group" key={loaderData.atHand.join(' ')} aria-label="Parts at hand">
            {storable().map((material) => (
              <TickBox
                key={material.id}
                name="material"
                value={material.id}
                defaultSelected={loaderData.atHand.includes(material.id)}
              >
                {material.plural}
              </TickBox>
            ))}
          </Ticks>
          <Row>
            <Button type="submit" isPending={busy}>
              Note what is at hand
            </Button>
            <ButtonLink quiet href="/choose">
              Back to the shelf
            </ButtonLink>
          </Row>
        </Stack>
      </Form>
      <Changes rows={loaderData.changes} words={STORE_FIELDS} />
    </Wide>
  );
}
