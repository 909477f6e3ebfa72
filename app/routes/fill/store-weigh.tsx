import { useState } from 'react';
import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { storable } from '~/core/kits/store';
import { learnUnit, weigh } from '~/core/kits/weigh';
import { count } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { catalogueNow } from '~/data/queries/materials';
import { learnWeight, weightOf } from '~/data/queries/store';
import { byIntent, textIn } from '~/server/forms';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { OnTheScale, ReadScale } from '~/app/desk/OnTheScale';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/store-weigh';

export const meta: Route.MetaFunction = () => [{ title: 'Learn a weight · Fern Basket' }];

const partOf = async (at: SchoolHandle, id: string) => {
  const found = storable(await catalogueNow(at)).find((one) => one.id === id);
  if (!found) throw notFound('This part');
  return found;
};

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const { id, name, plural, massG } = await partOf(at, params.material);
  return { id, name, plural, massG, unit: await weightOf(at, id) };
}

const MOST = 20;
/** Readings of a line of text: "39.8 40.1 40", each of so many pieces. */
function readingsIn(text: string): number[] | undefined {
  const words = text.split(/[\s;]+/).filter(Boolean);
  const list = words.map((word) =>
    /^\d{1,5}([.,]\d{1,3})?$/.test(word) ? Number(word.replace(',', '.')) : Number.NaN,
  );
  return words.length >= 2 && words.length <= MOST && list.every((n) => n > 0) ? list : undefined;
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const { id } = await partOf(at, params.material);
  const form = await request.formData();
  const number = (name: string): number => {
    const text = textIn(form, name).trim();
    return /^\d{1,6}(\.\d{1,3})?$/.test(text) ? Number(text) : Number.NaN;
  };
  return byIntent(form, {
    forget: async () => {
      await learnWeight(at, id, null);
      throw redirect(`/fill/store/${id}/weigh`);
    },
    '': async () => {
      const [pieces, tareG, resolutionG] = [number('pieces'), number('tareG'), number('resolutionG')];
      const readings = readingsIn(textIn(form, 'readings'));
      const errors: Record<string, string> = {};
      if (!(pieces >= 1 && pieces <= 500 && Number.isInteger(pieces)))
        errors.pieces = 'A whole number from 1 to 500.';
      if (!(tareG >= 0)) errors.tareG = 'What the scale shows with nothing in the cup, in grams.';
      if (!(resolutionG > 0 && resolutionG <= 50)) errors.resolutionG = 'Such as 1, or 0.1.';
      if (!readings)
        errors.readings = `From 2 to ${MOST} readings in grams, such as 39.8 40.1 40.2: each with other pieces.`;
      if (Object.keys(errors).length) return data({ errors }, { status: 400 });
      try {
        await learnWeight(
          at,
          id,
          learnUnit(
            readings!.map((readingG) => ({ pieces, readingG })),
            { tareG, resolutionG },
          ),
        );
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        errors.readings = 'These pieces weigh nothing on this scale: is the empty cup subtracted already?';
        return data({ errors }, { status: 400 });
      }
      throw redirect(`/fill/store/${id}/weigh?learned=1`);
    },
  });
}

export default function Weigh({ loaderData, actionData }: Route.ComponentProps) {
  const { id, name, plural, massG, unit } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: Record<string, string> = actionData?.errors ?? {};
  const [readings, setReadings] = useState('');
  const [resolutionG, setResolution] = useState(1);
  const upTo =
    unit &&
    weigh({
      unitG: unit.unitG,
      unitSdG: unit.unitSdG,
      sample: unit.sample,
      tareG: 0,
      tareSdG: 0,
      resolutionG,
      readingG: 0,
      most: 999,
    }).countableUpTo;
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`What does one ${name} weigh?`}
          action={
            <ButtonLink quiet href={`/fill/store/${id}`}>
              Back to {plural}
            </ButtonLink>
          }
        >
          Weigh a few of them several times, each time others: then the scale counts them for you.
        </Heading>
        {search.has('learned') && unit && (
          <Said kind="done" word="Learned" live>
            One {name} weighs {unit.unitG.toFixed(2)} g, and they differ by {unit.unitSdG.toFixed(2)} g.
          </Said>
        )}
        <Panel aria-labelledby="learn">
          <Form method="post">
            <Stack $gap="0.8rem">
              <h2 id="learn">Weigh a sample</h2>
              <Row $gap="1rem">
                <NumberBox
                  name="pieces"
                  label="Pieces each time"
                  min={1}
                  max={500}
                  defaultValue={10}
                  error={errors.pieces}
                />
                <NumberBox
                  name="tareG"
                  label="The empty cup (g)"
                  min={0}
                  max={5000}
                  step={0.1}
                  defaultValue={0}
                  error={errors.tareG}
                />
                <NumberBox
                  name="resolutionG"
                  label="It shows steps of (g)"
                  min={0.1}
                  max={50}
                  step={0.1}
                  value={resolutionG}
                  onChange={setResolution}
                  error={errors.resolutionG}
                />
              </Row>
              <TextBox
                name="readings"
                label="What it showed, one after the other (g)"
                hint={`Such as ${[0, 1, 2].map((i) => (massG * 10 + i * 0.2).toFixed(1)).join(' ')}; five times is good.`}
                value={readings}
                onChange={setReadings}
                error={errors.readings}
                maxLength={200}
              />
              <Row>
                <ReadScale
                  onRead={(grams, step) => {
                    setReadings((old) => `${old} ${grams}`.trim());
                    setResolution(step);
                  }}
                />
                <Button type="submit" isPending={busy}>
                  Learn this weight
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {unit && (
          <Panel aria-labelledby="try">
            <Stack $gap="0.7rem">
              <h2 id="try">Try it</h2>
              <OnTheScale unit={unit} material={{ id, name, plural }} wanted={10} />
              <Form method="post">
                <input type="hidden" name="intent" value="forget" />
                <Button type="submit" quiet isPending={busy}>
                  Forget this weight
                </Button>
              </Form>
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        {unit ? (
          <Entries>
            <Entered
              label="One weighs"
              number={unit.unitG.toFixed(2)}
              unit="grams"
              reason={`From ${count(unit.sample, 'piece')}; single ones differ by ${unit.unitSdG.toFixed(2)} g.`}
            />
            <Entered
              label="Counted up to"
              number={String(upTo)}
              unit={upTo === 1 ? 'piece' : 'pieces'}
              reason={`On a scale that shows steps of ${resolutionG} g, a weight is off by less than half a piece in 99 of 100.`}
            />
          </Entries>
        ) : (
          <Faint>Nothing is learned yet. As packed, one weighs about {massG} g.</Faint>
        )}
      </Margin>
    </Workplace>
  );
}
