import { Link } from 'react-router';
import { Form } from '~/app/ui/sending';
import { lackOf } from '~/core/kits/lacking';
import { showTag } from '~/core/kits/tag';
import { Button } from '~/app/ui/Button';
import { useCatalogue } from '~/app/ui/catalogue';
import { Said } from '~/app/ui/Notices';
import { Empty, Panel, Row, Stack, State, Tag } from '~/app/ui/Page';
import { Pager, Table } from '~/app/ui/Table';

interface Short {
  copyId: string;
  tag: string;
  kitName: string;
  material: string;
  expected: number;
  counted: number;
  lacks?: string[];
  inStore: boolean;
}
export interface Mended {
  said: 'mended' | 'undone' | 'tooLate' | 'storeLacks' | 'nothing';
  copyId: string;
}
/** Copies on one page. */
export const SIZE = 40;

/** Copies that lack parts, and the press that puts them back. */
export function Mending({
  shortages,
  first,
  short,
  said,
}: {
  shortages: readonly Short[];
  first: number;
  short: number;
  said?: Mended | undefined;
}) {
  const catalogue = useCatalogue();
  const copies = [...new Map(shortages.map((one) => [one.copyId, one])).values()];
  return (
    <>
      {said?.said === 'mended' && (
        <Said
          kind="done"
          word="Mended"
          live
          action={
            <Form method="post">
              <input type="hidden" name="intent" value="undo" />
              <input type="hidden" name="copy" value={said.copyId} />
              <Button type="submit" quiet>
                Undo this mending
              </Button>
            </Form>
          }
        >
          The copy counts as complete again.
        </Said>
      )}
      {said?.said === 'undone' && (
        <Said kind="done" word="Undone" live>
          The parts count as missing again.
        </Said>
      )}
      {said?.said === 'storeLacks' && (
        <Said kind="stop" word="Not mended" live>
          The store has not got all of them any more. Count what is there; nothing was changed.
        </Said>
      )}
      {said?.said === 'tooLate' && (
        <Said kind="stop" word="Not undone" live>
          This copy was counted again meanwhile. Nothing was changed.
        </Said>
      )}
      <Panel aria-labelledby="mend">
        <Stack $gap="0.6rem">
          <h2 id="mend">Copies that lack parts</h2>
          {copies.length === 0 ? (
            <Empty title="Nothing to mend">
              Every copy that came home was complete, or its parts were put back.
            </Empty>
          ) : (
            <>
              <Table
                rows={copies}
                rowKey={({ copyId }) => copyId}
                columns={[
                  {
                    head: 'Tag',
                    cell: ({ copyId, tag }) => (
                      <Link to={`/copies/${copyId}`}>
                        <Tag>{showTag(tag)}</Tag>
                      </Link>
                    ),
                  },
                  { head: 'Kit', cell: ({ kitName }) => kitName },
                  {
                    head: 'Missing',
                    cell: ({ copyId }) =>
                      shortages
                        .filter((one) => one.copyId === copyId)
                        .map((one) => (
                          <div key={one.material}>
                            <State tone="hand">missing</State> {lackOf(one, catalogue)}
                          </div>
                        )),
                  },
                  {
                    head: <span className="visually-hidden">Action</span>,
                    cell: ({ copyId, tag, inStore }) => (
                      <Row $gap="0.5rem">
                        {inStore && (
                          <Form method="post">
                            <input type="hidden" name="intent" value="store" />
                            <input type="hidden" name="copy" value={copyId} />
                            <Button
                              type="submit"
                              quiet
                              aria-label={`Put them in from the store: ${showTag(tag)}`}
                            >
                              Put them in from the store
                            </Button>
                          </Form>
                        )}
                        <Form method="post">
                          <input type="hidden" name="copy" value={copyId} />
                          <Button type="submit" quiet aria-label={`The parts are back in ${showTag(tag)}`}>
                            The parts are back in
                          </Button>
                        </Form>
                      </Row>
                    ),
                  },
                ]}
              />
              <Pager first={first} shown={copies.length} found={short} size={SIZE} />
            </>
          )}
        </Stack>
      </Panel>
    </>
  );
}
