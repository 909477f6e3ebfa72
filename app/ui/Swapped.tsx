import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import { useDragAndDrop } from 'react-aria-components';
import { Grip, OneRow, Rows } from './Ordered';

/** Rows of which two change places when one is dropped on another; by keyboard: Enter on the grip, the arrows, Enter. */
export function Swapped({
  label,
  items,
  onSwap,
}: {
  label: string;
  items: readonly { id: string; name: string; shown: ReactNode }[];
  onSwap: (moved: string, with_: string) => void;
}) {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({ 'text/plain': items.find(({ id }) => id === key)?.name ?? '' })),
    getAllowedDropOperations: () => ['move'],
    shouldAcceptItemDrop: () => true,
    getDropOperation: (target) =>
      target.type === 'item' && target.dropPosition === 'on' ? 'move' : 'cancel',
    onItemDrop: ({ target }) => {
      const moved = dragged;
      if (moved !== undefined && moved !== String(target.key)) onSwap(moved, String(target.key));
    },
    onDragStart: ({ keys }) => {
      dragged = String([...keys][0]);
    },
  });
  return (
    <Rows aria-label={label} dragAndDropHooks={dragAndDropHooks}>
      {items.map(({ id, name, shown }) => (
        <OneRow key={id} id={id} textValue={name}>
          <Grip slot="drag" aria-label={`Give the bag of ${name} to another family`}>
            <GripVertical size={18} aria-hidden />
          </Grip>
          {shown}
        </OneRow>
      ))}
    </Rows>
  );
}
/** What is being dragged: there is one pointer, and one thing under it. */
let dragged: string | undefined;
