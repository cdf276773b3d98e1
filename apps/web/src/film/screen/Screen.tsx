import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { colour } from '../../parts/tokens.js';
import { ZoomButtons } from '../../parts/ZoomButtons.js';
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
`;

/** The picture with its layers, zoomed and panned together. */
export function Screen({
  zoom: { frame, transform, by, fit },
  picture,
  children,
}: {
  zoom: PictureZoom;
  /** What moves with the picture. */
  picture: ReactNode;
  /** What stays in place. */
  children: ReactNode;
}): ReactElement {
  const { x, y, k } = transform;
  return (
    <Frame ref={frame}>
      <div className="picture" style={{ transform: `translate(${x}px, ${y}px) scale(${k})` }}>
        {picture}
      </div>
      {children}
      <ZoomButtons by={by} fit={fit} />
    </Frame>
  );
}
