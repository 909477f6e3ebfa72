import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import {
  printingSchema,
  SUPPLIES,
  SUPPLY_IDS,
  USUAL_PRINTING,
  type Printing,
  type Supply,
} from '~/core/pack/cost';
import { centsIn, plain } from '~/core/words/numbers';
import type { FieldErrors } from '~/core/check/check';
import { schoolPrinting, schoolVersions, setSchoolPrinting } from '~/data/queries/schools';
import { changesOf, lateOf } from '~/server/changes';
import { UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { requireRole } from '~/server/people/session';
import { readPrices } from '~/server/print/prices';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Changes, DraftNote, TooLate, type FieldWords, type Late } from '~/app/ui/Changes';
import { TextBox } from '~/app/ui/fields/TextBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Entered, Entries, Heading, Margin, Row, Panel, Stack, TableFrame, Workplace } from '~/app/ui/Page';
import { useDraft } from '~/app/ui/remember';
import type { Route } from './+types/prices';

export const meta: Route.MetaFunction = () => [{ title: 'Prices and times of printing · Fern Basket' }];

/** The page to go back to: the same pack. */
const packAt = (request: Request): string => `/print${new URL(request.url).search}`;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [printing, versions, changes] = await Promise.all([
    schoolPrinting(at),
    schoolVersions(at),
    changesOf(at, 'prices', 'school'),
  ]);
  return { printing, version: versions.printing, back: packAt(request), changes };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const refuse = (status: number, errors: FieldErrors, late?: Late<Typed>) =>
    data({ errors, late }, { status });
  const checked = readPrices(form);
  if (!checked.ok) return refuse(400, checked.errors);
  const openedOn = versionIn(form);
  if (!openedOn)
    return refuse(400, {
      '': UNKNOWN_VERSION,
    });
  const saved = await setSchoolPrinting(at, checked.value, openedOn, person.id);
  if (!saved.ok) {
    const { clashes, merged, taken, ...late } = lateOf(at, saved.stale);
    return refuse(
      409,
      {},
      {
        ...late,
        merged: shown(merged),
        clashes: clashes.map((one) => ({
          field: one.field,
          base: one.base === undefined ? undefined : typed(one.field, one.base),
          mine: typed(one.field, one.mine),
          theirs: typed(one.field, one.theirs),
        })),
        taken: taken.map(({ field, from, to }) => ({
          field,
          from: typed(field, from),
          to: typed(field, to),
        })),
      },
    );
  }
  throw redirect(packAt(request));
}

/** Columns that stay where they are when a mistake is named in one of them. */
const Supplies = styled(TableFrame)`
  table {
    table-layout: fixed;
  }
  tbody th {
    vertical-align: top;
    padding-top: 1.1rem;
  }
`;

type Name = keyof Printing;
type Typed = Record<Name, string>;
const NAMES = Object.keys(printingSchema.properties) as Name[];
const TIMES: readonly Name[] = NAMES.filter((name) => name.endsWith('Seconds'));

/** A number as it stands in its box: prices in dollars. */
const typed = (name: string, value: unknown): string =>
  name.endsWith('Cents') ? (Number(value) / 100).toFixed(2) : String(value);
/** What stands in the boxes. */
const shown = (printing: Printing): Typed =>
  Object.fromEntries(NAMES.map((name) => [name, typed(name, printing[name])])) as Typed;

const LABELS = printingSchema.properties as Record<string, { title?: string } | undefined>;
const BOXES: FieldWords = { label: (name) => LABELS[name]?.title ?? name, show: (_, value) => String(value) };
const STORED: FieldWords = { ...BOXES, show: typed };

/** Cents of one, from what is typed so far; undefined while it cannot be read. */
function eachOf(typed: Typed, supply: Supply): number | undefined {
  const cents = centsIn(typed[`${supply}Cents`]);
  const size = Number(typed[`${supply}Size`]);
  return cents !== undefined && size >= 1 ? cents / size : undefined;
}

export default function Prices(props: Route.ComponentProps) {
  return <Boxes key={props.loaderData.version} {...props} />;
}

function Boxes({ loaderData, actionData }: Route.ComponentProps) {
  const late = actionData?.late;
  const draft = useDraft<Typed>(
    'printing prices',
    { value: shown(loaderData.printing), version: loaderData.version },
    late,
    actionData?.errors,
  );
  const { value, set } = draft;
  const busy = useSending();
  const errors = actionData?.errors ?? {};
  const box = (name: Name, labelHidden?: boolean) => (
    <TextBox
      key={name}
      name={name}
      label={printingSchema.properties[name].title!}
      // What was kept by an earlier edition of the form knows fewer boxes.
      value={value[name] ?? typed(name, USUAL_PRINTING[name])}
      onChange={(text) => set((old) => ({ ...old, [name]: text }))}
      error={errors[name]}
      labelHidden={labelHidden}
    />
  );
  return (
    <Workplace>
      <Stack>
        <Heading title="What does printing cost you?">
          Every pack and every build run is reckoned with these prices and times. Look at your last bills and
          at a clock; an estimate will do.
        </Heading>
        {late ? (
          <TooLate late={late} draft={draft} words={BOXES} what="these prices" />
        ) : (
          Object.keys(errors).length === 0 && <DraftNote draft={draft} words={BOXES} />
        )}
        <Form method="post" onSubmit={draft.sent}>
          <input type="hidden" name="version" value={draft.version} />
          <Panel>
            <Stack>
              <NotSaved errors={errors} />
              <Supplies>
                <table>
                  <thead>
                    <tr>
                      <th scope="col">What is bought</th>
                      <th scope="col">Costs, in dollars</th>
                      <th scope="col">For so many</th>
                    </tr>
                  </thead>
                  <tbody>
                    {SUPPLY_IDS.map((supply) => (
                      <tr key={supply}>
                        <th scope="row">{SUPPLIES[supply].name}</th>
                        <td>{box(`${supply}Cents`, true)}</td>
                        <td>{box(`${supply}Size`, true)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Supplies>
              <Row $gap="0.8rem 1.6rem">
                {TIMES.map((name) => box(name))}
                {box('durableLoans')}
                {box('plainLoans')}
                {box('partLoans')}
                {box('cleanAfter')}
                {box('hourCents')}
              </Row>
              <Row>
                <Button type="submit" isPending={busy}>
                  Save these prices and times
                </Button>
                <Button type="button" quiet onPress={() => set(shown(USUAL_PRINTING))}>
                  Fill in the usual ones
                </Button>
                <ButtonLink quiet href={loaderData.back} onClick={draft.drop}>
                  Back to the pack
                </ButtonLink>
              </Row>
            </Stack>
          </Panel>
        </Form>
        <Changes rows={loaderData.changes} words={STORED} />
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          {SUPPLY_IDS.map((supply) => {
            const { name, unit } = SUPPLIES[supply];
            const cents = eachOf(value, supply);
            return (
              <Entered
                key={supply}
                label={name}
                number={cents === undefined ? '…' : plain(cents)}
                unit={`cents a ${unit}`}
              />
            );
          })}
        </Entries>
      </Margin>
    </Workplace>
  );
}
