import { headed, heading, offset } from '@orthokin/core/floor';
import { changeLeg, changePlacement, type Placement } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import type { Editor } from '../state/editor.js';
import { useFloorDrag, type Surface } from './useFloorDrag.js';
import { Handle } from './Handle.js';

/** Distance of the handle from the foot's centre, m. */
const AHEAD_M = 0.34;
/** Step of headings when turning by hand, degrees. */
const GRAIN_DEG = 5;

/** A handle in front of the selected foot that turns it; the keys [ and ] do the same. */
export function TurnHandle({
  letter,
  index,
  placement,
  surface,
  edit,
}: {
  letter: string;
  index: number;
  placement: Placement;
  surface: Surface;
  edit: Editor['edit'];
}): ReactElement {
  const { at, headingDeg } = placement;
  const handle = offset(at, headed(headingDeg), AHEAD_M);
  const drag = useFloorDrag(surface, {
    at: handle,
    fall: (pointer) => pointer,
    put: (to, gesture) => {
      const turned = Math.round(heading(at, to) / GRAIN_DEG) * GRAIN_DEG;
      edit(
        (now) =>
          changeLeg(now, letter, (leg) => changePlacement(leg, index, { headingDeg: turned })),
        gesture,
      );
    },
  });
  return (
    <>
      <line
        x1={at.x}
        y1={-at.y}
        x2={handle.x}
        y2={-handle.y}
        stroke={colour('ink')}
        strokeWidth={0.015}
      />
      <Handle data-testid="turn" {...drag}>
        <circle cx={handle.x} cy={-handle.y} r={0.14} fill="transparent" />
        <circle
          cx={handle.x}
          cy={-handle.y}
          r={0.05}
          fill={colour('raised')}
          stroke={colour('ink')}
          strokeWidth={0.025}
        />
      </Handle>
    </>
  );
}
