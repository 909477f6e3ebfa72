import { data, Form, redirect, useNavigation } from 'react-router';
import { count } from '~/core/words/numbers';
import { LANGUAGES } from '~/core/words/languages';
import { familyNames, importFamilies } from '~/data/queries/families';
import { MAX_CSV_BYTES, readText } from '~/server/csv';
import type { ReadRow } from '~/server/families/csv';
import { requireRole } from '~/server/people/session';
import { readFamilies } from '~/server/threads';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/families-import';

export const meta: Route.MetaFunction = () => [{ title: 'Import families · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return null;
}

/** So many rows are shown, those with a problem first. */
const MOST_SHOWN = 200;

interface Preview {
  problem?: string;
  text: string;
  rows: ReadRow[];
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const file = form.get('file');
  const refuse = (problem: string) => data<Preview>({ problem, text: '', rows: [] }, { status: 400 });
  if (file instanceof File && file.size > MAX_CSV_BYTES)
    return refuse('This file is larger than one megabyte, so it is hardly a list of families.');
  const text = file instanceof File && file.size > 0 ? await readText(file) : String(form.get('text') ?? '');
  if (text === undefined)
    return refuse(
      'This file is not written in UTF-8, so its accents would be lost. Save it as “CSV UTF-8” and choose it again.',
    );
  if (!text.trim()) return refuse('Choose a file first.');
  if (text.length > MAX_CSV_BYTES) return refuse('This list is too long to be read at once.');
  const existing = await familyNames(at);
  const read = await readFamilies(text, existing);
  if (!read.ok) return refuse(read.problem);
  if (form.get('intent') !== 'import') return data<Preview>({ text, rows: read.rows });
  const added = await importFamilies(
    at,
    read.rows.flatMap((row) => row.family ?? []),
    person.id,
  );
  throw redirect(`/lend/families?imported=${added}`);
}

export default function ImportFamilies({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  const rows = actionData?.rows ?? [];
  const good = rows.filter((row) => row.family);
  const bad = rows.filter((row) => row.problem);
  return (
    <Wide>
      <Stack>
        <Heading title="Import families">
          Choose a list saved as CSV. You see every row first; nothing is added until you say so.
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
              <Faint>
                First line: name,language,reach,underThree,allergens. The last three may be missing.
                Languages:{' '}
                {Object.values(LANGUAGES)
                  .map((one) => one.name)
                  .join(', ')}
                .
              </Faint>
              <Row>
                <Button type="submit" isPending={busy} quiet={good.length > 0}>
                  Show what is in it
                </Button>
                <ButtonLink quiet href="/lend/families">
                  Back to the families
                </ButtonLink>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {rows.length > 0 && (
          <>
            <Said
              kind={bad.length ? 'mind' : 'know'}
              word={`${count(good.length, 'family', 'families')} can be added`}
              live
            >
              {bad.length === 0
                ? 'Every row is right.'
                : `${count(bad.length, 'row has', 'rows have')} a problem and will be left out; mend the file and import it again for them.`}
            </Said>
            {good.length > 0 && (
              <Form method="post" encType="multipart/form-data">
                <input type="hidden" name="intent" value="import" />
                <textarea name="text" hidden readOnly value={actionData?.text} />
                <Button type="submit" isPending={busy}>
                  Add {count(good.length, 'family', 'families')}
                </Button>
              </Form>
            )}
            <Table
              rows={[...bad, ...good].slice(0, MOST_SHOWN)}
              rowKey={(row) => row.row}
              columns={[
                { head: 'Row', cell: (row) => row.row },
                { head: 'Family', cell: (row) => row.name || <Faint as="span">no name</Faint> },
                {
                  head: 'What will happen',
                  cell: (row) =>
                    row.problem ? (
                      <>
                        <State tone="hand">left out</State> {row.problem}
                      </>
                    ) : (
                      <>
                        <State tone="calm">will be added</State>{' '}
                        {row.family && LANGUAGES[row.family.language].name}
                      </>
                    ),
                },
              ]}
            />
            {rows.length > MOST_SHOWN && (
              <Faint>
                {count(rows.length - MOST_SHOWN, 'more row')}{' '}
                {bad.length > MOST_SHOWN ? '' : 'that are right '}
                are not shown.
              </Faint>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
