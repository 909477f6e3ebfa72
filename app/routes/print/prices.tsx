import { data, Form, redirect, useNavigation } from 'react-router';
import styled from 'styled-components';
import {
  printingSchema,
  SUPPLIES,
  SUPPLY_IDS,
  USUAL_PRINTING,
  type Printing,
  type Supply,
} from '~/core/print/cost';
import { centsIn, plain } from '~/core/words/numbers';
import { schoolPrinting, setSchoolPrinting } from '~/data/queries/people';
import { requireRole } from '~/server/people/session';
import { readPrices } from '~/server/print/prices';
import { Button, ButtonLink } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Entered, Entries, Heading, Margin, Row, Sheet, Stack, TableFrame, Workplace } from '~/app/ui/Page';
import { useRemembered } from '~/app/ui/remember';
import type { Route } from './+types/prices';

export const meta: Route.MetaFunction = () => [{ title: 'Prices and times of printing · Fern Basket' }];

/** The page to go back to: the same pack. */
const packAt = (request: Request): string => `/print${new URL(request.url).search}`;

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return { printing: await schoolPrinting(), back: packAt(request) };
}

export async function action({ request }: Route.ActionArgs) {
  await requireRole(request, 'coordinator');
  const checked = readPrices(await request.formData());
  if (!checked.ok) return data({ errors: checked.errors }, { status: 400 });
  await setSchoolPrinting(checked.value);
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

/** What stands in the boxes: prices in dollars. */
const shown = (printing: Printing): Typed =>
  Object.fromEntries(
    NAMES.map((name) => [
      name,
      name.endsWith('Cents') ? (printing[name] / 100).toFixed(2) : String(printing[name]),
    ]),
  ) as Typed;

/** Cents of one, from what is typed so far; undefined while it cannot be read. */
function eachOf(typed: Typed, supply: Supply): number | undefined {
  const cents = centsIn(typed[`${supply}Cents`]);
  const size = Number(typed[`${supply}Size`]);
  return cents !== undefined && size >= 1 ? cents / size : undefined;
}

export default function Prices({ loaderData, actionData }: Route.ComponentProps) {
  const { value, set, forget, restored } = useRemembered('printing prices', shown(loaderData.printing));
  const busy = useNavigation().state !== 'idle';
  const errors = actionData?.errors ?? {};
  const box = (name: Name, labelHidden?: boolean) => (
    <TextBox
      key={name}
      name={name}
      label={printingSchema.properties[name].title!}
      value={value[name]}
      onChange={(text) => set((old) => ({ ...old, [name]: text }))}
      error={errors[name]}
      labelHidden={labelHidden}
    />
  );
  return (
    <Workplace>
      <Stack>
        <Heading title="What does printing cost you?">
          Every pack is reckoned with these prices and times. Look at your last bills; an estimate will do.
        </Heading>
        {restored && Object.keys(errors).length === 0 && (
          <Said kind="know" word="Still here">
            These are numbers that were typed before and not saved.
          </Said>
        )}
        <Form method="post" onSubmit={forget}>
          <Sheet>
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
              </Row>
              <Row>
                <Button type="submit" isPending={busy}>
                  Save these prices and times
                </Button>
                <Button type="button" quiet onPress={() => set(shown(USUAL_PRINTING))}>
                  Fill in the usual ones
                </Button>
                <ButtonLink quiet href={loaderData.back} onPress={forget}>
                  Back to the pack
                </ButtonLink>
              </Row>
            </Stack>
          </Sheet>
        </Form>
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
