/** Copies that were built by an earlier version of the kit, and what brings them up to date. */
import { Form } from '~/app/ui/sending';
import { showTag } from '~/core/kits/tag';
import { showDay } from '~/core/lending/due';
import { count } from '~/core/words/numbers';
import { Button, useSending } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Panel, Stack } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

export interface Behind {
  id: string;
  builtOn: string;
  home: string[];
  out: number;
  says: string[];
}

export function KitVersions({
  behind,
  problem,
}: {
  behind: readonly Behind[];
  problem?: string | undefined;
}) {
  const busy = useSending();
  if (behind.length === 0) return null;
  return (
    <Panel aria-labelledby="behind">
      <Stack $gap="0.7rem">
        <h2 id="behind">Copies of an earlier version</h2>
        {problem && (
          <Said kind="stop" word="Not changed" live>
            {problem}
          </Said>
        )}
        <Table
          rows={behind}
          rowKey={({ id }) => id}
          columns={[
            {
              head: 'Copies',
              cell: ({ builtOn, home, out }) => (
                <>
                  Built on {showDay(builtOn)}
                  {home.length > 0 && `: ${home.map(showTag).join(', ')}`}
                  {out > 0 && `; ${out} with families`}
                </>
              ),
            },
            {
              head: 'What brings each up to date',
              cell: ({ says }) => (
                <ul>
                  {says.map((one) => (
                    <li key={one}>{one}</li>
                  ))}
                </ul>
              ),
            },
            {
              head: <span className="visually-hidden">Action</span>,
              cell: ({ id, home }) =>
                home.length > 0 && (
                  <Form method="post">
                    <input type="hidden" name="intent" value="upToDate" />
                    <input type="hidden" name="batch" value={id} />
                    <Button type="submit" quiet isPending={busy}>
                      {`Done for ${count(home.length, 'copy', 'copies')} at school`}
                    </Button>
                  </Form>
                ),
            },
          ]}
        />
        <Faint>
          Press when it is done: what is put in is taken from the store, what comes out goes back there, and
          their packs wait under Print where they are new. Copies with families wait until they are home.
        </Faint>
      </Stack>
    </Panel>
  );
}
