import { Maximize, Minus, Plus } from 'lucide-react';
import { memo, type ReactElement } from 'react';
import styled from 'styled-components';
import { say } from '../words/parts.js';
import { IconButton } from './IconButton.js';
import { colour } from './tokens.js';

const Corner = styled.div`
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  border-radius: 20px;
  background: ${colour('raised')};
`;

const CLOSER = 1.4;

/** Closer, farther, all of it: in the corner of what is zoomed. */
export const ZoomButtons = memo(function ZoomButtons({
  by,
  fit,
}: {
  by: (factor: number) => void;
  fit: () => void;
}): ReactElement {
  return (
    <Corner className="no-print">
      <IconButton aria-label={say('closer')} onPress={() => by(CLOSER)}>
        <Plus size={18} />
      </IconButton>
      <IconButton aria-label={say('farther')} onPress={() => by(1 / CLOSER)}>
        <Minus size={18} />
      </IconButton>
      <IconButton aria-label={say('wholeView')} onPress={fit}>
        <Maximize size={17} />
      </IconButton>
    </Corner>
  );
});
