import { trainedBy, type PlacedBlock } from '@orthokin/core/plan';
import { Copy, GripVertical, SplitSquareVertical, X } from 'lucide-react';
import type { ReactElement } from 'react';
import {
  Button,
  ButtonContext,
  DropIndicator,
  GridListItem,
  ListLayout,
  useDragAndDrop,
  Virtualizer,
} from 'react-aria-components';
import styled from 'styled-components';
import { DragList } from '../parts/DragList.js';
import type { Drop } from '../parts/dropped.js';
import { IconButton } from '../parts/IconButton.js';
import { Quiet } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import { blockName, howWords, minutesOf, say, trainsWords, wallClock } from '../words/plan.js';

const List = styled(DragList)`
  .react-aria-GridListItem {
    display: grid;
    grid-template-columns: 38px 54px minmax(0, 1fr) auto;
    min-height: 58px;
    cursor: pointer;
  }
  .react-aria-GridListItem[data-selected] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1px ${colour('ink')};
  }
  .at {
    font: 500 15px ${MONO};
  }
  b {
    font-weight: 650;
  }
  .ways {
    display: flex;
  }
`;

/** The list is virtual: dragging in one of forty rows would otherwise render all of them in each frame. */
const ROWS = { estimatedRowSize: 62, gap: 6, dropIndicatorThickness: 4 };

/** React Aria's item context changes constantly while something is dragged; only the grip has to follow it. */
const OF_NO_ITEM = {};

/** A session's blocks in order; can be dragged with pointer, finger or keys. */
export function BlockList({
  blocks,
  startsAt,
  chosen,
  onChoose,
  onMove,
  onCopy,
  onSplit,
  onRemove,
}: {
  blocks: readonly PlacedBlock[];
  startsAt: string;
  chosen: string | null;
  onChoose: (id: string) => void;
  onMove: (drop: Drop) => void;
  onCopy: (id: string) => void;
  onSplit: (id: string) => void;
  onRemove: (id: string) => void;
}): ReactElement {
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ 'text/plain': String(key) })),
    getDropOperation: () => 'move',
    renderDropIndicator: (target) => <DropIndicator target={target} />,
    onReorder: ({ keys, target }) =>
      onMove({
        ids: [...keys].map(String),
        beside: { id: String(target.key), after: target.dropPosition === 'after' },
      }),
  });
  return (
    <Virtualizer layout={ListLayout} layoutOptions={ROWS} shouldObserveItemSize>
      <List
        aria-label={say('blocks')}
        items={blocks.map((placed) => ({ ...placed, id: placed.block.id }))}
        selectionMode="single"
        selectionBehavior="replace"
        disallowEmptySelection
        selectedKeys={chosen === null ? [] : [chosen]}
        onSelectionChange={(keys) => {
          if (keys !== 'all') for (const key of keys) onChoose(String(key));
        }}
        dragAndDropHooks={dragAndDropHooks}
        renderEmptyState={() => <Quiet>{say('noBlocks')}</Quiet>}
      >
        {(item) => {
          const { block, fromS, toS } = item as PlacedBlock;
          const name = blockName(block);
          return (
            <GridListItem id={block.id} textValue={name}>
              <Button slot="drag" className="grip" aria-label={say('moveBlock', { name })}>
                <GripVertical size={18} />
              </Button>
              <span className="at">{wallClock(startsAt, fromS)}</span>
              <span>
                <b>{name}</b>
                <small>
                  {say('minute', { n: minutesOf(toS - fromS) })}
                  {block.how === 'turns' && `, ${howWords(block)}`}
                  {`, ${trainsWords(trainedBy(block.kind))}`}
                </small>
              </span>
              <ButtonContext.Provider value={OF_NO_ITEM}>
                <span className="ways">
                  <IconButton
                    aria-label={say('copyBlock', { name })}
                    onPress={() => onCopy(block.id)}
                  >
                    <Copy size={17} />
                  </IconButton>
                  {block.how === 'together' && block.minutes > 1 && (
                    <IconButton
                      aria-label={say('splitBlock', { name })}
                      onPress={() => onSplit(block.id)}
                    >
                      <SplitSquareVertical size={17} />
                    </IconButton>
                  )}
                  <IconButton
                    aria-label={say('takeBlockOut', { name })}
                    onPress={() => onRemove(block.id)}
                  >
                    <X size={18} />
                  </IconButton>
                </span>
              </ButtonContext.Provider>
            </GridListItem>
          );
        }}
      </List>
    </Virtualizer>
  );
}
