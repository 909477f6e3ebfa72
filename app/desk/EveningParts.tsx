import { Link, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import type { PartsFound } from '~/core/evening/parts';
import { count, listed, money } from '~/core/words/numbers';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Said } from '~/app/ui/Notices';
import { Panel, Row, Stack, State } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

/** What stands on the tables of an evening: from the store, from the printer, from home; set aside and counted back. */
export function EveningParts({
  parts: { tables, parts, costCents, wanted },
  setAside,
  hidden,
  errors,
}: {
  parts: PartsFound;
  setAside: Readonly<Record<string, number>> | null;
  hidden: React.ReactNode;
  errors: FieldErrors;
}) {
  const catalogue = useCatalogue();
  const busy = useSending();
  const [search] = useSearchParams();
  const pieces = (material: (typeof parts)[number]['material'], quantity: number): string => {
    const { name, plural } = catalogue.of(material);
    return `${quantity} ${quantity === 1 ? name : plural}`;
  };
  const stored = parts.filter(({ from }) => from === 'store');
  const short = stored.filter((one) => one.short > 0);
  const others = (from: 'print' | 'bring'): string =>
    listed(
      parts.filter((one) => one.from === from).map(({ material, quantity }) => pieces(material, quantity)),
    );
  const [printed, brought] = [others('print'), others('bring')];
  // In the order of the table above; what the tables need no more comes last.
  const places = stored.map(({ material }) => material as string);
  const counted = Object.entries(setAside ?? {}).sort(
    ([a], [b]) =>
      (places.indexOf(a) + 1 || Infinity) - (places.indexOf(b) + 1 || Infinity) || (a < b ? -1 : 1),
  );
  const differs =
    setAside &&
    [...new Set([...Object.keys(setAside), ...Object.keys(wanted)])].some(
      (material) => setAside[material] !== wanted[material],
    );
  return (
    <Panel aria-labelledby="parts">
      <Stack $gap="0.7rem">
        <h2 id="parts">5. What stands on the tables</h2>
        {search.has('back') && !setAside && (
          <Said kind="done" word="Counted back" live>
            What came is free in the store again; what did not come is written down there.
          </Said>
        )}
        <details>
          <summary>How often each game is set out</summary>
          <ul>
            {tables.map(({ table, people, sets, players }) => (
              <li key={table}>
                {sets === 1
                  ? `${table}: one set, for ${people}.`
                  : `${table}: ${sets} sets, each for ${players}, as ${people} sit there at once.`}
              </li>
            ))}
          </ul>
        </details>
        {stored.length > 0 && (
          <Table
            label="From the store"
            rows={stored}
            rowKey={({ material }) => material}
            columns={[
              {
                head: 'From the store',
                cell: ({ material }) => (
                  <Link to={`/fill/store/${material}`}>{catalogue.of(material).plural}</Link>
                ),
              },
              { head: 'Needed', cell: ({ quantity }) => quantity },
              { head: 'For', cell: ({ tables: at }) => listed(at) },
              ...(setAside ? [{ head: 'Set aside', cell: ({ aside }: { aside: number }) => aside }] : []),
              {
                head: 'So',
                cell: ({ short: lacks, free }) =>
                  lacks > 0 ? (
                    <State tone="hand">{`${lacks} short`}</State>
                  ) : free === null ? (
                    <State tone="wait">not counted, taken to be enough</State>
                  ) : (
                    <State tone="calm">enough</State>
                  ),
              },
              {
                head: 'Buy',
                cell: ({ packs, costCents: cents, short: lacks }) =>
                  packs.length ? `${packs.join(', ')}: ${money(cents!)}` : lacks > 0 ? 'no offer' : '',
              },
            ]}
          />
        )}
        {short.length > 0 && (
          <p>
            {costCents === undefined
              ? 'Something of what is short is not sold to you yet: add an offer in the store.'
              : `All that is short: ${money(costCents)}.`}
          </p>
        )}
        {printed && <p>To print and cut: {printed}.</p>}
        {brought && <p>To bring from kitchens and pockets: {brought}.</p>}
        {differs && (
          <Said kind="mind" word="The tables have changed">
            What was set aside is not what they need now: set it aside anew.
          </Said>
        )}
        <Form method="post">
          {hidden}
          <Row $gap="0.6rem">
            {(!setAside || differs) && stored.length > 0 && (
              <Button type="submit" name="intent" value="setAside" isPending={busy}>
                {setAside ? 'Set it aside anew' : 'Set aside in the store'}
              </Button>
            )}
            {setAside && (
              <Button type="submit" quiet name="intent" value="freeAgain" isPending={busy}>
                Nothing is needed: free it again
              </Button>
            )}
          </Row>
        </Form>
        {setAside && (
          <details open={Object.keys(errors).some((field) => field.startsWith('back '))}>
            <summary>After the evening: count it back</summary>
            <Form method="post">
              {hidden}
              <Stack $gap="0.7rem">
                <p>
                  Type how many came back of each. What is missing leaves the store; the rest is free again.
                </p>
                <Row>
                  {counted.map(([material, quantity]) => (
                    <NumberBox
                      key={material}
                      name={`back ${material}`}
                      label={catalogue.of(material as (typeof parts)[number]['material']).plural}
                      min={0}
                      max={quantity}
                      defaultValue={quantity}
                      error={errors[`back ${material}`]}
                    />
                  ))}
                </Row>
                <div>
                  <Button type="submit" name="intent" value="countBack" isPending={busy}>
                    Put {count(counted.length, 'kind')} back
                  </Button>
                </div>
              </Stack>
            </Form>
          </details>
        )}
      </Stack>
    </Panel>
  );
}
