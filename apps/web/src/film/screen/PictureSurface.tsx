import type { Point } from '@orthokin/core/floor';
import {
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type ReactElement,
  type ReactNode,
} from 'react';
import styled from 'styled-components';
import { arrowWay } from '../../parts/arrow-way.js';
import { Unseen } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { KEEPS_PRESSES } from './keeps-presses.js';
import { OWN_KEYS } from './own-keys.js';
import { placeInPicture } from './place-in-picture.js';

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

/** How many steps cross the picture: with the arrow keys, and with Shift held. */
const [STEPS, FINE_STEPS] = [60, 640];
const CROSS = 1 / 40;

/**
 * A layer over the picture that takes clicks, by pointer or by keys: the arrows move a cross, Enter clicks at it.
 * Places are film pixels.
 */
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
  /** The layer contains things that can be dragged, which take presses for themselves. */
  holdsButtons?: boolean;
  onPress: (at: Point, how: { readonly shiftKey: boolean }) => void;
  children: ReactNode;
}): ReactElement {
  const [cross, setCross] = useState<Point>({ x: widthPx / 2, y: heightPx / 2 });
  const [hasKeys, setHasKeys] = useState(false);
  const press = (event: PointerEvent<SVGSVGElement>) =>
    onPress(placeInPicture(event.currentTarget, widthPx, event), event);
  const key = (event: KeyboardEvent) => {
    const way = arrowWay(event.key);
    if (way) {
      const by = widthPx / (event.shiftKey ? FINE_STEPS : STEPS);
      setCross({
        x: Math.min(widthPx, Math.max(0, cross.x + way.x * by)),
        y: Math.min(heightPx, Math.max(0, cross.y + way.y * by)),
      });
    } else if (event.key === 'Enter') onPress(cross, event);
    else return;
    event.preventDefault();
  };
  const arm = widthPx * CROSS;
  return (
    <>
      <Unseen
        as="button"
        type="button"
        {...{ [OWN_KEYS]: '' }}
        aria-label={say('clickByKeys')}
        onKeyDown={key}
        onFocus={() => setHasKeys(true)}
        onBlur={() => setHasKeys(false)}
      />
      <Over
        viewBox={`0 0 ${widthPx} ${heightPx}`}
        preserveAspectRatio="none"
        role={holdsButtons ? 'group' : 'img'}
        aria-label={label}
        onPointerDown={press}
        {...{ [KEEPS_PRESSES]: '' }}
      >
        {children}
        {hasKeys && (
          <path
            d={`M${cross.x - arm} ${cross.y}h${2 * arm}M${cross.x} ${cross.y - arm}v${2 * arm}`}
            stroke={colour('here')}
            strokeWidth={widthPx / 320}
            pointerEvents="none"
          />
        )}
      </Over>
    </>
  );
}
