import { GridList } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from './tokens.js';

/** A list whose items are dragged about by a grip, with the pointer, a finger or by key. */
export const DragList = styled(GridList)`
  display: grid;
  gap: 6px;
  outline: none;
  .react-aria-GridListItem {
    align-items: center;
    gap: 8px;
    padding: 4px 6px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 5px;
    background: ${colour('raised')};
    outline: none;
  }
  .react-aria-GridListItem[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
  }
  .react-aria-GridListItem[data-dragging] {
    opacity: 0.5;
  }
  small {
    display: block;
    font-size: 14px;
    color: ${colour('quiet')};
  }
  .grip {
    display: grid;
    place-items: center;
    width: 38px;
    height: 44px;
    border: 0;
    background: none;
    color: ${colour('quiet')};
    cursor: grab;
  }
  .react-aria-DropIndicator[data-drop-target] {
    outline: 2px solid ${colour('accent')};
  }
`;

/** One of several such lists: what is dragged out of one is put down in another. */
export const DropList = styled(DragList)`
  align-content: start;
  border: 1.5px solid ${colour('rule')};
  border-radius: 5px;
  &[data-drop-target] {
    border-color: ${colour('accent')};
    background: ${colour('raised')};
  }
`;
