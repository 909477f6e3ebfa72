import { Link, useSearchParams } from 'react-router';
import { buy, packsIn } from '~/core/kits/buy';
import { storable } from '~/core/kits/store';
import { count, money } from '~/core/words/numbers';
import { catalogueNow } from '~/data/queries/materials';
import { listMoves, listStock, offersOf, reservedNow } from '~/data/queries/store';
import { showTime } from '~/server/changes';
import { requireRole } from '~/server/people/session';
import { useCatalogue } from '~/app/ui/catalogue';
import { ButtonLink } from '~/app/ui/Button';
import {
  Empty,
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Workplace,
} from '~/app/ui/Page';
import { Said } from '~/app/ui/Notices';
import { Table } from '~/app/ui/Table';
import { moveWords } from '~/app/desk/moves';
import type { Route } from './+types/store';

export const meta: Route.MetaFunction = () => [{ title: 'The store · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const [stock, moves, reserved, catalogue] = await Promise.all([
    listStock(at),
    listMoves(at, undefined, 8),
    reservedNow(at),
    catalogueNow(at),
  ]);
  const known = new Map(stock.map((item) => [item.material, item]));
  const items = storable(catalogue)
    .filter(({ id }) => !catalogue.putAway.has(id) || typeof known.get(id)?.onHand === 'number')
    .map(({ id, plural }) => ({
      material: id,
      plural,
      onHand: known.has(id) ? known.get(id)!.onHand : undefined,
      reserved: reserved[id] ?? 0,
      place: known.get(id)?.place ?? '',
      reorderAt: known.get(id)?.reorderAt ?? 0,
    }));
  const low = items.filter(({ onHand, reorderAt }) => typeof onHand === 'number' && onHand < reorderAt);
  const offers = await offersOf(
    at,
    low.map(({ material }) => material),
  );
  return {
    items,
    low: low.map(({ material, plural, onHand, reorderAt }) => {
      const mine = offers.filter((one) => one.material === material);
      const bought = buy({ need: reorderAt, onHand: onHand!, offers: mine });
      return {
        material,
        plural,
        short: bought.short,
        costCents: 'packs' in bought ? bought.costCents : undefined,
        packs: 'packs' in bought ? packsIn(bought, mine) : [],
      };
    }),
    moves: moves.map((move) => ({ ...move, at: showTime(at, move.at) })),
    mayImport: role === 'coordinator',
    putAway: storable(catalogue)
      .filter(({ id }) => catalogue.putAway.has(id))
      .map(({ id, plural }) => ({ material: id, plural })),
  };
}

export default function Store({ loaderData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { items, low, moves, mayImport, putAway } = loaderData;
  const [search] = useSearchParams();
  const there = items.filter(({ onHand }) => onHand !== undefined);
  const others = items.filter(({ onHand }) => onHand === undefined);
  const places = [...new Set(there.map(({ place }) => place))].sort((a, b) => a.localeCompare(b));
  return (
    <Workplace>
      <Stack>
        <Heading
          title="The store"
          action={
            <Row>
              <ButtonLink href="/fill/store/count">Count what is there</ButtonLink>
              {mayImport && (
                <>
                  <ButtonLink quiet href="/fill/store/import">
                    Bring a list in
                  </ButtonLink>
                  <ButtonLink quiet href="/fill/store/add">
                    Add a kind of part
                  </ButtonLink>
                </>
              )}
            </Row>
          }
        >
          What is on hand, and where it stands. Every change is a move that can be undone.
        </Heading>
        {search.has('brought') && (
          <Said kind="done" word="The list was brought in" live>
            What differs from before is a count in the ledger.
          </Said>
        )}
        {there.length === 0 ? (
          <Empty
            title="Nothing has been counted yet"
            action={<ButtonLink href="/fill/store/count">Count what is there</ButtonLink>}
          >
            Begin with one shelf: each number you type is a move in the ledger.
          </Empty>
        ) : (
          places.map((place) => (
            <Panel key={place} aria-label={place || 'Without a place'}>
              <h2>{place || 'Without a place'}</h2>
              <Table
                rows={there.filter((item) => item.place === place)}
                rowKey={({ material }) => material}
                columns={[
                  {
                    head: 'Part',
                    cell: ({ material, plural }) => <Link to={`/fill/store/${material}`}>{plural}</Link>,
                  },
                  {
                    head: 'On hand',
                    cell: ({ onHand, reserved }) =>
                      onHand === null ? (
                        <State tone="wait">not counted yet</State>
                      ) : (
                        <>
                          <strong>{onHand}</strong>
                          {reserved > 0 && `, ${reserved} of them spoken for`}
                        </>
                      ),
                  },
                  {
                    head: 'Buy more below',
                    cell: ({ onHand, reorderAt }) =>
                      reorderAt === 0 ? (
                        ''
                      ) : (
                        <>
                          {reorderAt}{' '}
                          {typeof onHand === 'number' && onHand < reorderAt && <State tone="hand">buy</State>}
                        </>
                      ),
                  },
                ]}
              />
            </Panel>
          ))
        )}
        {others.length > 0 && (
          <Panel aria-labelledby="others">
            <h2 id="others">Not in the store yet</h2>
            <p>
              {others.map(({ material, plural }, i) => (
                <span key={material}>
                  {i > 0 && ', '}
                  <Link to={`/fill/store/${material}`}>{plural}</Link>
                </span>
              ))}
            </p>
          </Panel>
        )}
        {mayImport && putAway.length > 0 && (
          <Panel aria-labelledby="away">
            <h2 id="away">Put away</h2>
            <p>
              {putAway.map(({ material, plural }, i) => (
                <span key={material}>
                  {i > 0 && ', '}
                  <Link to={`/fill/store/${material}/about`}>{plural}</Link>
                </span>
              ))}
            </p>
          </Panel>
        )}
        {moves.length > 0 && (
          <Panel aria-labelledby="moves">
            <h2 id="moves">Moved last</h2>
            <Table
              rows={moves}
              rowKey={({ id }) => id}
              columns={[
                { head: 'When', cell: ({ at }) => at },
                { head: 'Part', cell: ({ material }) => catalogue.of(material).plural },
                { head: 'What', cell: (move) => moveWords(move) },
                { head: 'Leaves', cell: ({ leaves }) => leaves },
                { head: 'By', cell: ({ by }) => by ?? '' },
              ]}
            />
          </Panel>
        )}
      </Stack>
      <Stack>
        <Margin label="Reckonings">
          <Entries>
            <Entered
              label="Kinds of parts"
              number={String(there.length)}
              unit={`of ${items.length}`}
              reason="With at least one move, or noted as being there."
            />
            {low.map((one) => (
              <Entered
                key={one.material}
                label={`Buy ${one.plural}`}
                number={one.costCents === undefined ? String(one.short) : money(one.costCents)}
                reason={`${count(one.short, 'piece')} short of what should be there${one.packs.length ? `: ${one.packs.join(', ')} is the cheapest` : ''}.`}
              />
            ))}
          </Entries>
        </Margin>
        <Faint>
          <a href="/fill/store.csv" download>
            Take the list out (CSV)
          </a>
        </Faint>
      </Stack>
    </Workplace>
  );
}
