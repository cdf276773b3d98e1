import { Maximize, Minus, Plus } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { IconButton } from '../parts/IconButton.js';
import { colour } from '../parts/tokens.js';
import { say } from '../words/film.js';
import type { PictureZoom } from './usePictureZoom.js';

const Frame = styled.div`
  position: relative;
  overflow: hidden;
  background: ${colour('rule')};
  border: 1.5px solid ${colour('ink')};
  touch-action: none;
  .picture {
    position: relative;
    transform-origin: 0 0;
  }
  canvas {
    display: block;
    width: 100%;
  }
  .zoom {
    position: absolute;
    right: 8px;
    bottom: 8px;
    display: flex;
    border-radius: 20px;
    background: ${colour('raised')};
  }
`;

const CLOSER = 1.5;

/** What the film is shown on: its picture, zoomed and moved under what is drawn over it. */
export function Screen({
  zoom: { frame, transform, by, fit },
  picture,
  children,
}: {
  zoom: PictureZoom;
  /** The picture and what lies on it. */
  picture: ReactNode;
  /** What stays where it is. */
  children: ReactNode;
}): ReactElement {
  const { x, y, k } = transform;
  return (
    <Frame ref={frame}>
      <div className="picture" style={{ transform: `translate(${x}px, ${y}px) scale(${k})` }}>
        {picture}
      </div>
      {children}
      <div className="zoom">
        <IconButton aria-label={say('closer')} onPress={() => by(CLOSER)}>
          <Plus size={18} />
        </IconButton>
        <IconButton aria-label={say('farther')} onPress={() => by(1 / CLOSER)}>
          <Minus size={18} />
        </IconButton>
        <IconButton aria-label={say('wholePicture')} onPress={fit}>
          <Maximize size={17} />
        </IconButton>
      </div>
    </Frame>
  );
}
