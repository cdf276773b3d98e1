import {
  DropIndicator,
  isTextDropItem,
  useDragAndDrop,
  type DropItem,
} from 'react-aria-components';
import { createElement } from 'react';
import type { Drop } from './dropped.js';

/**
 * Props for a list whose items can be dragged by pointer, finger or keys, within it or from another list of the same
 * kind.
 */
export function useDraggedAbout({
  kind,
  nameOf,
  onDrop,
}: {
  /** The kind of item; lists of other kinds refuse it. */
  kind: string;
  nameOf: (id: string) => string;
  onDrop: (drop: Drop) => void;
}) {
  const takeFrom = async (items: readonly DropItem[], beside: Drop['beside']) =>
    onDrop({
      ids: await Promise.all(items.filter(isTextDropItem).map((item) => item.getText(kind))),
      beside,
    });
  return useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({ [kind]: String(key), 'text/plain': nameOf(String(key)) })),
    acceptedDragTypes: [kind],
    getDropOperation: () => 'move',
    renderDropIndicator: (target) => createElement(DropIndicator, { target }),
    onReorder: ({ keys, target }) =>
      onDrop({
        ids: [...keys].map(String),
        beside: { id: String(target.key), after: target.dropPosition === 'after' },
      }),
    onInsert: ({ items, target }) =>
      void takeFrom(items, { id: String(target.key), after: target.dropPosition === 'after' }),
    onRootDrop: ({ items }) => void takeFrom(items, null),
  }).dragAndDropHooks;
}
