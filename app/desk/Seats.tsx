import { GripVertical } from 'lucide-react';
import { GridListItem, GridList, useDragAndDrop, isTextDropItem, type DropItem } from 'react-aria-components';
import styled from 'styled-components';
import { Grip } from '~/app/ui/Ordered';
import { color, cut } from '~/app/ui/theme';

const Grid = styled.div<{ $rounds: number }>`
  display: grid;
  grid-template-columns: 6.5rem repeat(${({ $rounds }) => $rounds}, minmax(9rem, 1fr));
  gap: 0.35rem;
  overflow-x: auto;
  .head {
    color: ${color.faint};
    text-align: center;
  }
  .table {
    align-self: center;
  }
`;
const Cell = styled(GridList)`
  ${cut}
  min-height: 52px;
  padding: 0.15rem;
  border: 1px solid ${color.line};
  background: ${color.paper};
  &[data-drop-target] {
    background: ${color.sprout};
    outline: 3px solid ${color.fern};
    outline-offset: -2px;
  }
`;
const Chip = styled(GridListItem)`
  display: flex;
  align-items: center;
  min-height: 44px;
  padding-inline-end: 0.6rem;
  border-radius: 4px 12px 5px 10px;
  background: ${color.sheet};
  outline: none;
  & + & {
    margin-top: 0.15rem;
  }
  &[data-dragging] {
    opacity: 0.5;
  }
  &[data-drop-target] {
    background: ${color.sprout};
    outline: 3px solid ${color.fern};
  }
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
  }
  small {
    margin-inline-start: 0.4rem;
    color: ${color.faint};
  }
`;

export interface Seat {
  group: string;
  size: number;
  /** Somebody said so: it stays whatever is planned around it. */
  held: boolean;
}
interface Moves {
  onMove: (group: string, round: number, table: string) => void;
  onSwap: (group: string, round: number, other: string) => void;
}
/** A group is moved within its round only. */
const kindOf = (round: number): string => `fern-basket-seat-${round}`;
async function groupIn(items: readonly DropItem[], round: number): Promise<string | undefined> {
  const item = items.find(isTextDropItem);
  return item?.getText(kindOf(round));
}

function TableInRound({
  table,
  round,
  seats,
  onMove,
  onSwap,
}: { table: string; round: number; seats: readonly Seat[] } & Moves) {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ [kindOf(round)]: String(key), 'text/plain': String(key) })),
    acceptedDragTypes: [kindOf(round)],
    getAllowedDropOperations: () => ['move'],
    getDropOperation: (target, types) =>
      types.has(kindOf(round)) && (target.type === 'root' || target.dropPosition === 'on')
        ? 'move'
        : 'cancel',
    shouldAcceptItemDrop: () => true,
    onRootDrop: (event) =>
      void groupIn(event.items, round).then((group) => {
        if (group !== undefined && !seats.some((one) => one.group === group)) onMove(group, round, table);
      }),
    onItemDrop: (event) =>
      void groupIn(event.items, round).then((group) => {
        const other = String(event.target.key);
        if (group === undefined || group === other) return;
        if (!seats.some((one) => one.group === group)) onSwap(group, round, other);
      }),
  });
  return (
    <Cell
      aria-label={`${table}, round ${round}`}
      dragAndDropHooks={dragAndDropHooks}
      renderEmptyState={() => <span className="visually-hidden">nobody</span>}
    >
      {seats.map(({ group, size, held }) => (
        <Chip key={group} id={group} textValue={group}>
          <Grip slot="drag" aria-label={`Move ${group} in round ${round}`}>
            <GripVertical size={18} aria-hidden />
          </Grip>
          {group}
          <small>
            {size}
            {held && ', held'}
          </small>
        </Chip>
      ))}
    </Cell>
  );
}

/**
 * Tables in rows, rounds in columns, groups in the cells. Dropped on a table a group plays there in this round; dropped
 * on another group the two change places. By keyboard: Enter on the grip, Tab to where it goes, Enter.
 */
export function Seats({
  tables,
  rounds,
  seatsAt,
  ...moves
}: {
  tables: readonly string[];
  rounds: readonly number[];
  seatsAt: (table: string, round: number) => readonly Seat[];
} & Moves) {
  return (
    <Grid $rounds={rounds.length} role="group" aria-label="Seats">
      <span />
      {rounds.map((round) => (
        <span key={round} className="head">
          round {round}
        </span>
      ))}
      {tables.map((table) => [
        <span key={table} className="table">
          {table}
        </span>,
        ...rounds.map((round) => (
          <TableInRound
            key={`${table} ${round}`}
            table={table}
            round={round}
            seats={seatsAt(table, round)}
            {...moves}
          />
        )),
      ])}
    </Grid>
  );
}
