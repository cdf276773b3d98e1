import {
  courtMarks,
  lengthWords,
  snapped,
  type Point,
  type SnapLines,
  type Target,
} from '@orthokin/core/floor';
import { withTarget, type Pattern } from '@orthokin/core/pattern';
import { useState, type KeyboardEvent, type ReactElement } from 'react';
import { MARKER_M } from '../../parts/plan/FloorPlan.js';
import { MarkerShapeAt } from '../../parts/plan/Marker.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { useSelection } from '../state/selection.js';
import { useUnit } from '../state/unit.js';
import { targetWords } from '../../words/marker.js';
import { nudged } from '../../parts/plan/floor-place.js';
import { useFloorDrag, type Surface } from './useFloorDrag.js';
import { say } from '../../words/studio.js';
import { Handle, Ring } from './Handle.js';

const MARKER_SCALE_ON_LEG = 0.75;

/** The court's named lines, in home-base coordinates. */
function courtLines({ court, sizeM, home: { onCourt } }: Pattern): SnapLines {
  const { across, along } = courtMarks(court, sizeM);
  return {
    across: across.map(({ atM }) => atM - onCourt.y),
    along: along.map(({ atM }) => atM - onCourt.x),
  };
}

/** A marker that can be dragged and nudged; fixed while a leg is open. */
export function MarkerHandle({
  target,
  surface,
}: {
  target: Target;
  surface: Surface;
}): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit } = useUnit();
  const { letter, open } = useSelection();
  const [held, setHeld] = useState(false);
  const move = (at: Point, gesture: string) =>
    edit((now) => withTarget(now, { ...target, at }), gesture);
  const others = pattern.targets.filter((other) => other.letter !== target.letter);
  const drag = useFloorDrag(surface, {
    at: target.at,
    fall: (pointer, free) =>
      free
        ? pointer
        : snapped(
            pointer,
            others.map(({ at }) => at),
            courtLines(pattern),
          ),
    put: move,
    onTake: () => setHeld(true),
    onDrop: () => setHeld(false),
  });
  const { x, y } = target.at;
  const onFloor = letter === null;
  const size = onFloor ? MARKER_M : MARKER_M * MARKER_SCALE_ON_LEG;
  const press = (event: KeyboardEvent) => {
    const to = nudged(target.at, event.key, event.shiftKey);
    if (to) {
      event.preventDefault();
      move(to, `nudge ${target.letter}`);
    } else if (event.key === 'Enter') open(target.letter);
  };
  return (
    <Handle
      style={onFloor ? undefined : { cursor: 'pointer' }}
      role="button"
      tabIndex={0}
      aria-label={say('markerTargetwordsArrowKeysMoveEnter', {
        targetWords: targetWords(target, unit),
      })}
      opacity={letter !== null && letter !== target.letter ? 0.55 : 1}
      {...(onFloor ? drag : {})}
      onDoubleClick={() => open(target.letter)}
      onKeyDown={press}
    >
      <Ring cx={x} cy={-y} r={size * 1.35} fill="none" stroke={colour('ink')} strokeWidth={0.04} />
      {held && (
        <line
          x1={0}
          y1={0}
          x2={x}
          y2={-y}
          stroke={colour('ink')}
          strokeWidth={0.025}
          strokeDasharray="0.1 0.08"
        />
      )}
      <MarkerShapeAt target={target} x={x} y={-y} size={size} />
      {onFloor && (
        <text
          x={x}
          y={-y + MARKER_M + 0.26}
          textAnchor="middle"
          fontSize={0.2}
          fill={colour('ink')}
          stroke={colour('floor')}
          strokeWidth={0.06}
          paintOrder="stroke"
          className="mono"
        >
          {lengthWords(Math.hypot(x, y), unit)}
        </text>
      )}
    </Handle>
  );
}
