/** What a copy of a kit costs, and what one loan of it costs with wear. */
import { Link } from 'react-router';
import type { CopyCost } from '~/core/kits/cost';
import { FINISHES, type Finish } from '~/core/paper/sheet';
import { count, money } from '~/core/words/numbers';
import { ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Faint, Panel, Row, Stack } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

export function KitCost({
  kitId,
  cost,
  finish,
}: {
  kitId: string;
  cost?:
    | (CopyCost & { problem?: undefined; paperLoans: number; partLoans: number; expected: number })
    | { problem: string }
    | undefined;
  finish: Finish;
}) {
  return (
    <Panel aria-labelledby="cost">
      <Stack $gap="0.7rem">
        <h2 id="cost">What it costs</h2>
        {cost === undefined ? (
          <Row>
            <ButtonLink quiet href={`/fill/${kitId}?cost=1#cost`}>
              Reckon what a copy costs
            </ButtonLink>
          </Row>
        ) : cost.problem !== undefined ? (
          <Said kind="stop">{cost.problem}</Said>
        ) : (
          <>
            <Table
              rows={[
                {
                  what: 'Parts',
                  cents: cost.partsCents,
                  why: 'At the cheapest of your offers for each; the catalogue’s where you have none.',
                },
                {
                  what: 'Paper',
                  cents: cost.paperCents,
                  why: `${FINISHES[finish]}. Everything a bag needs, at your prices of printing.`,
                },
                ...(cost.wipingCents > 0
                  ? [
                      {
                        what: 'Marker and cloth',
                        cents: cost.wipingCents,
                        why: 'To write on what is laminated.',
                      },
                    ]
                  : []),
                {
                  what: 'Work',
                  cents: cost.labourCents,
                  why:
                    cost.labourCents === 0
                      ? 'Nobody is paid; an hour’s pay can be noted with the prices.'
                      : 'All steps of one person, at the pay noted with the prices.',
                },
                { what: 'One copy', cents: cost.copyCents, why: 'All of it together.' },
                {
                  what: 'One loan',
                  cents: cost.loanCents,
                  why: `With wear, if it goes out ${cost.expected} times: a bought part is taken to last ${count(cost.partLoans, 'loan')}, a ${finish === 'durable' ? 'laminated' : 'plain'} page ${cost.paperLoans}; what is used up counts whole.`,
                },
              ]}
              rowKey={({ what }) => what}
              columns={[
                { head: 'What', cell: ({ what }) => what },
                { head: 'Price', cell: ({ cents }) => <strong>{money(cents)}</strong> },
                { head: 'How', cell: ({ why }) => why },
              ]}
            />
            <Faint>
              <Link to="/print/prices">Prices and times</Link> are your own. What a batch costs with what is
              on hand already is told where a build run is planned.
            </Faint>
          </>
        )}
      </Stack>
    </Panel>
  );
}
