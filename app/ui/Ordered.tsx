import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button, DropIndicator, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import { color, cut } from './theme';

export const Rows = styled(GridList)`
  ${cut}
  display: grid;
  border: 1px solid ${color.line};
  background: ${color.sheet};
`;
export const OneRow = styled(GridListItem)`
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 44px;
  padding: 0.2rem 0.8rem 0.2rem 0.2rem;
  border-block-end: 1px solid ${color.line};
  outline: none;
  &:last-child {
    border: 0;
  }
  &[data-dragging] {
    opacity: 0.5;
  }
  &[data-drop-target] {
    background: ${color.sprout};
    outline: 3px solid ${color.fern};
    outline-offset: -3px;
  }
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
    outline-offset: -3px;
  }
  .place {
    min-width: 1.6rem;
    text-align: end;
    color: ${color.faint};
    font-variant-numeric: tabular-nums;
  }
`;
export const Grip = styled(Button)`
  width: 44px;
  min-height: 40px;
  border: 0;
  background: none;
  color: ${color.deepFern};
  display: grid;
  place-items: center;
  cursor: grab;
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
  }
`;
const Here = styled(DropIndicator)`
  height: 3px;
  background: ${color.fern};
  outline: none;
`;

/** The list with `moved` taken to before or after another one. */
export function reordered<K>(
  all: readonly K[],
  moved: ReadonlySet<K>,
  at: K,
  where: 'before' | 'after',
): K[] {
  const rest = all.filter((one) => !moved.has(one));
  const place = rest.indexOf(at) + (where === 'after' ? 1 : 0);
  return [...rest.slice(0, place), ...all.filter((one) => moved.has(one)), ...rest.slice(place)];
}

/** Things in an order that is changed by dragging, or by keyboard: Enter on the grip, the arrows, Enter. */
export function Ordered({
  label,
  items,
  onOrder,
}: {
  label: string;
  items: readonly { id: string; name: string; more?: ReactNode }[];
  onOrder: (ids: string[]) => void;
}) {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({ 'text/plain': items.find(({ id }) => id === key)?.name ?? '' })),
    renderDropIndicator: (target) => <Here target={target} />,
    onReorder: ({ keys, target }) => {
      if (target.dropPosition === 'on') return;
      const moved = new Set([...keys].map(String));
      onOrder(
        reordered(
          items.map(({ id }) => id),
          moved,
          String(target.key),
          target.dropPosition,
        ),
      );
    },
  });
  return (
    <Rows aria-label={label} dragAndDropHooks={dragAndDropHooks}>
      {items.map(({ id, name, more }, i) => (
        <OneRow key={id} id={id} textValue={name}>
          <Grip slot="drag" aria-label={`Move ${name}`}>
            <GripVertical size={18} aria-hidden />
          </Grip>
          <span className="place">{i + 1}</span>
          <span>{name}</span>
          {more}
        </OneRow>
      ))}
    </Rows>
  );
}
