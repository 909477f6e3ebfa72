import type { ReactNode } from 'react';
import { Form } from '~/app/ui/sending';
import { count } from '~/core/words/numbers';
import { Button, ButtonLink, useSending } from './Button';
import { Said } from './Notices';
import { Faint, Heading, Panel, Row, Stack, State, Wide } from './Page';
import { Table } from './Table';

/** So many rows are shown, those with a problem first. */
const MOST_SHOWN = 200;

interface ImportRow {
  row: number;
  problem?: string;
}

/** What is told of a file: the first of its rows, and how many there are of each kind. */
export interface ReadList<R extends ImportRow> {
  problem?: string;
  text: string;
  rows: R[];
  all: number;
  bad: number;
  changing: number;
}

/** A file as it is told; `changes`: whether a row without a problem changes anything. */
export function shownOf<R extends ImportRow>(
  text: string,
  rows: readonly R[],
  changes: (row: R) => boolean,
): ReadList<R> {
  const bad = rows.filter((row) => row.problem);
  const good = rows.filter((row) => !row.problem);
  return {
    text,
    rows: [...bad, ...good].slice(0, MOST_SHOWN),
    all: rows.length,
    bad: bad.length,
    changing: good.filter(changes).length,
  };
}
/** A file that cannot be read. */
export const unread = (problem: string): ReadList<never> => ({
  problem,
  text: '',
  rows: [],
  all: 0,
  bad: 0,
  changing: 0,
});

/** A list is brought in from a CSV file: first it is shown, row by row, then it is taken over. */
export function ListImport<R extends ImportRow>({
  title,
  children,
  hint,
  back,
  read,
  word,
  send,
  changes,
  named,
  willDo,
}: {
  title: string;
  children: ReactNode;
  /** What the first line of the file names. */
  hint: string;
  back: { href: string; label: string };
  /** What was in the file, once one was chosen. */
  read: ReadList<R> | undefined;
  /** What is found in it, in a few words, and what the button says that takes it over. */
  word: (changing: number) => string;
  send: (changing: number) => string;
  /** Whether this row changes anything. */
  changes: (row: R) => boolean;
  named: { head: string; cell: (row: R) => ReactNode };
  willDo: (row: R) => ReactNode;
}) {
  const busy = useSending();
  const { rows = [], all = 0, bad = 0, changing = 0 } = read ?? {};
  return (
    <Wide>
      <Stack>
        <Heading title={title}>{children}</Heading>
        {read?.problem && (
          <Said kind="stop" word="Not read" live>
            {read.problem}
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
              <Faint>{hint}</Faint>
              <Row>
                <Button type="submit" isPending={busy} quiet={changing > 0}>
                  Show what is in it
                </Button>
                <ButtonLink quiet href={back.href}>
                  {back.label}
                </ButtonLink>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {rows.length > 0 && (
          <>
            <Said kind={bad ? 'mind' : 'know'} word={word(changing)} live>
              {bad === 0
                ? 'Every row is right.'
                : `${count(bad, 'row has', 'rows have')} a problem and will be left out; mend the file and import it again for them.`}
            </Said>
            {changing > 0 && (
              <Form method="post" encType="multipart/form-data">
                <input type="hidden" name="intent" value="import" />
                <textarea name="text" hidden readOnly value={read?.text} />
                <Button type="submit" isPending={busy}>
                  {send(changing)}
                </Button>
              </Form>
            )}
            <Table
              rows={rows}
              rowKey={(row) => row.row}
              columns={[
                { head: 'Row', cell: (row) => row.row },
                named,
                {
                  head: 'What will happen',
                  cell: (row) =>
                    row.problem ? (
                      <>
                        <State tone="hand">left out</State> {row.problem}
                      </>
                    ) : changes(row) ? (
                      willDo(row)
                    ) : (
                      'stays as it is'
                    ),
                },
              ]}
            />
            {all > rows.length && (
              <Faint>
                {count(all - rows.length, 'more row')} {bad > rows.length ? '' : 'that are right '}
                are not shown.
              </Faint>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
