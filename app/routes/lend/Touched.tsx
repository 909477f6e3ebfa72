import { Form } from '~/app/ui/sending';
import { showTag } from '~/core/kits/tag';
import { reasonOf } from '~/core/lending/calendar';
import { showDay } from '~/core/lending/due';
import type { Touched as Touches } from '~/core/lending/touched';
import { count } from '~/core/words/numbers';
import type { OutLoan } from '~/data/queries/calendar';
import { Button, useSending } from '~/app/ui/Button';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Faint, Panel, Row, Stack, Tag } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

/** Loans that are due on a day without school, to be moved together; and what was moved last, to be moved back. */
export function Touched({
  touched,
  moved,
}: {
  touched: readonly Touches<OutLoan>[];
  moved: { id: string; loans: number; at: string } | undefined;
}) {
  const busy = useSending();
  return (
    <>
      {touched.length > 0 && (
        <Panel aria-labelledby="touched">
          <Form method="post">
            <input type="hidden" name="intent" value="move" />
            <Stack>
              <h2 id="touched">
                {count(touched.length, 'loan is', 'loans are')} due on a day without school
              </h2>
              <Table
                rows={touched}
                rowKey={({ id }) => id}
                columns={[
                  {
                    head: 'Move',
                    cell: ({ move, tag }) => (
                      <TickBox name="move" value={`${move.loanId} ${move.from} ${move.to}`} defaultSelected>
                        <Tag>{showTag(tag)}</Tag>
                      </TickBox>
                    ),
                  },
                  { head: 'Kit', cell: ({ kitName }) => kitName },
                  { head: 'Family', cell: ({ familyName }) => familyName },
                  { head: 'Due now', cell: ({ dueOn }) => showDay(dueOn) },
                  {
                    head: 'Would be due',
                    cell: ({ move, why }) => `${showDay(move.to)}: ${reasonOf({ why })}`,
                  },
                ]}
              />
              <Row>
                <Button type="submit" isPending={busy}>
                  Move the ticked ones
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
      )}
      {moved && (
        <Form method="post">
          <input type="hidden" name="intent" value="undo" />
          <input type="hidden" name="moved" value={moved.id} />
          <Row>
            <Faint style={{ alignSelf: 'center' }}>
              {count(moved.loans, 'due day was', 'due days were')} moved on {moved.at}.
            </Faint>
            <Button type="submit" quiet isPending={busy}>
              Move them back
            </Button>
          </Row>
        </Form>
      )}
    </>
  );
}
