import { GripVertical, X } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import {
  Button,
  DropIndicator,
  GridListItem,
  isTextDropItem,
  useDragAndDrop,
  type DropItem,
} from 'react-aria-components';
import styled from 'styled-components';
import { DragList } from '../../parts/DragList.js';
import type { Drop } from '../../parts/dropped.js';
import { IconButton } from '../../parts/IconButton.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/people.js';

const KIND = 'orthokin-athlete';

const List = styled(DragList)`
  align-content: start;
  min-height: 62px;
  padding: 8px;
  border: 1.5px solid ${colour('rule')};
  border-radius: 5px;
  &[data-drop-target] {
    border-color: ${colour('accent')};
    background: ${colour('raised')};
  }
  .react-aria-GridListItem {
    display: flex;
    min-height: 46px;
    cursor: grab;
  }
  .who {
    flex: 1;
  }
`;

/** Somebody in a list that can be dragged about. */
export interface Member {
  readonly id: string;
  readonly name: string;
  /** Said below the name. */
  readonly about: string;
}

/** People in order; dragged with the pointer, a finger or by key, within the list or from another. */
export function MemberList({
  label,
  members,
  empty,
  onDrop,
  onRemove,
}: {
  label: string;
  members: readonly Member[];
  empty: ReactNode;
  onDrop: (drop: Drop) => void;
  onRemove?: (id: string) => void;
}): ReactElement {
  const takeFrom = async (items: readonly DropItem[], beside: Drop['beside']) =>
    onDrop({
      ids: await Promise.all(items.filter(isTextDropItem).map((item) => item.getText(KIND))),
      beside,
    });
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({
        [KIND]: String(key),
        'text/plain': members.find(({ id }) => id === key)?.name ?? '',
      })),
    acceptedDragTypes: [KIND],
    getDropOperation: () => 'move',
    renderDropIndicator: (target) => <DropIndicator target={target} />,
    onReorder: ({ keys, target }) =>
      onDrop({
        ids: [...keys].map(String),
        beside: { id: String(target.key), after: target.dropPosition === 'after' },
      }),
    onInsert: ({ items, target }) =>
      void takeFrom(items, { id: String(target.key), after: target.dropPosition === 'after' }),
    onRootDrop: ({ items }) => void takeFrom(items, null),
  });
  return (
    <List
      aria-label={label}
      items={members}
      dragAndDropHooks={dragAndDropHooks}
      renderEmptyState={() => empty}
    >
      {(item) => {
        const { id, name, about } = item as Member;
        return (
          <GridListItem id={id} textValue={name}>
            <Button slot="drag" className="grip">
              <GripVertical size={18} />
            </Button>
            <span className="who">
              {name}
              <small>{about}</small>
            </span>
            {onRemove && (
              <IconButton aria-label={say('takeOutOf', { name })} onPress={() => onRemove(id)}>
                <X size={18} />
              </IconButton>
            )}
          </GridListItem>
        );
      }}
    </List>
  );
}
