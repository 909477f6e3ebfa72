/** One step of a build run as a helper sees it: what to do, and what can be pressed. */
import { useState } from 'react';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { countedBy, STAGES, stageOf, type StageId, type StepId } from '~/core/kits/making';
import { showTag } from '~/core/kits/tag';
import type { Catalogue } from '~/core/materials/school';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { OnTheScale } from '~/app/desk/OnTheScale';
import { Tray } from '~/app/desk/Tray';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Panel, Row, Stack, State, Tag } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { color } from '~/app/ui/theme';
import type { Route } from './+types/run-make';

type Loaded = Route.ComponentProps['loaderData'];

const Large = styled.p`
  font-size: clamp(1.5rem, 3.4vw, 2.3rem);
  line-height: 1.25;
  color: ${color.deepFern};
  code {
    font-size: 1.1em;
  }
`;

/** "83 cubes", of a step that counts them. */
export const partsOf = (catalogue: Catalogue, step: StepId, quantity: number): string => {
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

export function MakingStep({
  now,
  place,
  unit,
  contents,
  stage,
}: Pick<Loaded, 'place' | 'unit' | 'contents' | 'stage'> & { now: NonNullable<Loaded['now']> }) {
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
        {now.language && `, with instructions in English and ${aboutLanguage(now.language).name}`}
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
