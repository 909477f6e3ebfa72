import { data, Form, redirect, useNavigation } from 'react-router';
import { materialOf } from '~/core/materials/catalogue';
import { count } from '~/core/words/numbers';
import { bringIn, listStock, type StockItem } from '~/data/queries/store';
import { MAX_CSV_BYTES, readText } from '~/server/csv';
import { storeFromCsv, type StoreRow } from '~/server/kits/store-csv';
import { requireRole } from '~/server/people/session';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/store-import';

export const meta: Route.MetaFunction = () => [{ title: 'Bring a store list in · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return null;
}

interface Preview {
  problem?: string;
  text: string;
  rows: (StoreRow & { now?: StockItem })[];
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const file = form.get('file');
  const refuse = (problem: string) => data<Preview>({ problem, text: '', rows: [] }, { status: 400 });
  if (file instanceof File && file.size > MAX_CSV_BYTES)
    return refuse('This file is larger than one megabyte, so it is hardly a list of parts.');
  const text = file instanceof File && file.size > 0 ? await readText(file) : String(form.get('text') ?? '');
  if (text === undefined)
    return refuse('This file is not written in UTF-8. Save it as “CSV UTF-8” and choose it again.');
  if (!text.trim()) return refuse('Choose a file first.');
  if (text.length > MAX_CSV_BYTES) return refuse('This list is too long to be read at once.');
  const read = storeFromCsv(text);
  if (!read.ok) return refuse(read.problem);
  const now = new Map((await listStock(at)).map((item) => [item.material, item]));
  if (form.get('intent') !== 'import')
    return data<Preview>({
      text,
      rows: read.rows.map((row) => ({ ...row, now: row.item && now.get(row.item.material) })),
    });
  await bringIn(
    at,
    read.rows.flatMap(({ item }) => item ?? []),
    person.id,
  );
  throw redirect('/fill/store?brought=1');
}

/** What a row will do to the store, in words. */
function willDo({ item, now }: Preview['rows'][number]): string {
  if (!item) return '';
  const changes = [
    ...(item.onHand !== null && item.onHand !== (now?.onHand ?? undefined)
      ? [
          `${item.onHand} on hand${now?.onHand === undefined || now.onHand === null ? '' : ` instead of ${now.onHand}`}`,
        ]
      : []),
    ...(item.place !== (now?.place ?? '') ? [item.place ? `in ${item.place}` : 'no place'] : []),
    ...(item.reorderAt !== (now?.reorderAt ?? 0) ? [`buy more below ${item.reorderAt}`] : []),
  ];
  return changes.join(', ');
}

export default function ImportStore({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  const rows = actionData?.rows ?? [];
  const good = rows.filter((row) => row.item);
  const changing = good.filter((row) => willDo(row) !== '');
  return (
    <Wide>
      <Stack>
        <Heading title="Bring a store list in">
          Choose a list saved as CSV. You see every row first; differences become counts in the ledger when
          you say so.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not read" live>
            {actionData.problem}
          </Said>
        )}
        <Panel>
          <Form method="post" encType="multipart/form-data">
            <Stack $gap="0.7rem">
              <label>
                <strong>The file</strong>
                <br />
                <input type="file" name="file" accept=".csv,text/csv" />
              </label>
              <Faint>First line: material,onHand,place,reorderAt. The last two may be missing.</Faint>
              <Row>
                <Button type="submit" isPending={busy} quiet={changing.length > 0}>
                  Show what is in it
                </Button>
                <ButtonLink quiet href="/fill/store">
                  Back to the store
                </ButtonLink>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {rows.length > 0 && (
          <>
            <Said
              kind={good.length < rows.length ? 'mind' : 'know'}
              word={`${count(changing.length, 'part')} will change`}
              live
            >
              {good.length === rows.length
                ? 'Every row is right.'
                : `${count(rows.length - good.length, 'row has', 'rows have')} a problem and will be left out.`}
            </Said>
            {changing.length > 0 && (
              <Form method="post" encType="multipart/form-data">
                <input type="hidden" name="intent" value="import" />
                <textarea name="text" hidden readOnly value={actionData?.text} />
                <Button type="submit" isPending={busy}>
                  Change {count(changing.length, 'part')}
                </Button>
              </Form>
            )}
            <Table
              rows={rows}
              rowKey={(row) => row.row}
              columns={[
                { head: 'Row', cell: (row) => row.row },
                {
                  head: 'Part',
                  cell: (row) => (row.item ? materialOf(row.item.material).plural : row.material),
                },
                {
                  head: 'What will happen',
                  cell: (row) =>
                    row.problem ? (
                      <>
                        <State tone="hand">left out</State> {row.problem}
                      </>
                    ) : willDo(row) ? (
                      <>
                        <State tone="calm">will change</State> {willDo(row)}
                      </>
                    ) : (
                      'stays as it is'
                    ),
                },
              ]}
            />
          </>
        )}
      </Stack>
    </Wide>
  );
}
