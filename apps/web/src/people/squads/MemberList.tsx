import { GripVertical, X } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import { Button, GridListItem } from 'react-aria-components';
import styled from 'styled-components';
import { DropList } from '../../parts/DragList.js';
import type { Drop } from '../../parts/dropped.js';
import { IconButton } from '../../parts/IconButton.js';
import { useDraggedAbout } from '../../parts/useDraggedAbout.js';
import { say } from '../../words/people.js';

const KIND = 'orthokin-athlete';

const List = styled(DropList)`
  min-height: 62px;
  padding: 8px;
  .react-aria-GridListItem {
    display: flex;
    min-height: 46px;
    cursor: grab;
  }
  .who {
    flex: 1;
  }
`;

/** An athlete in a list that can be reordered. */
export interface Member {
  readonly id: string;
  readonly name: string;
  /** Shown below the name. */
  readonly about: string;
}

/** Athletes in order; can be dragged by pointer, finger or keys, also between lists. */
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
  const dragAndDropHooks = useDraggedAbout({
    ...{ kind: KIND, onDrop },
    nameOf: (one) => members.find(({ id }) => id === one)?.name ?? '',
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
