import type { Point } from '@orthokin/core/floor';
import type { PointerEvent, ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { MONO } from '../../parts/tokens.js';
import { KEEPS_PRESSES } from './usePictureZoom.js';

const Over = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  cursor: crosshair;
  touch-action: none;
  text {
    font-family: ${MONO};
    font-weight: 700;
  }
`;

/** Something drawn over the picture that is clicked; places are pixels of the film. */
export function PictureSurface({
  label,
  widthPx,
  heightPx,
  holdsButtons = false,
  onPress,
  children,
}: {
  label: string;
  widthPx: number;
  heightPx: number;
  /** What is drawn can be taken hold of by itself. */
  holdsButtons?: boolean;
  onPress: (at: Point, event: PointerEvent) => void;
  children: ReactNode;
}): ReactElement {
  const press = (event: PointerEvent<SVGSVGElement>) => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    onPress(
      {
        x: ((event.clientX - left) / width) * widthPx,
        y: ((event.clientY - top) / height) * heightPx,
      },
      event,
    );
  };
  return (
    <Over
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      preserveAspectRatio="none"
      role={holdsButtons ? 'group' : 'img'}
      aria-label={label}
      onPointerDown={press}
      {...{ [KEEPS_PRESSES]: '' }}
    >
      {children}
    </Over>
  );
}
