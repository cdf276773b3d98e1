import type { Standing } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { SHOE_M, Sole } from './plan/Sole.js';
import { PHASE_COLOURS, type Phase } from './phases.js';
import { colour } from './tokens.js';
import { say } from '../words/parts.js';

/** Width shown, m; all stills have the same scale. */
const ACROSS_M = 1.2;

/** Added for soles around the feet's centres, m. */
const ROOM_M = 0.42;

/** A position: both feet to scale, around the point midway between them. */
export function PositionStill({
  standing,
  phase,
  width,
  height,
  label,
  goesDeg,
}: {
  standing: Standing;
  phase: Phase;
  width: number;
  height: number;
  label: string;
  /** Direction of the next movement, degrees clockwise from forward. */
  goesDeg?: number | undefined;
}): ReactElement {
  const { left, right } = standing;
  const middle = { x: (left.at.x + right.at.x) / 2, y: (left.at.y + right.at.y) / 2 };
  const tall = (ACROSS_M * height) / width;
  // A long lunge is drawn at a smaller scale rather than cut off.
  const zoom = Math.max(
    1,
    (Math.abs(left.at.x - right.at.x) + ROOM_M) / ACROSS_M,
    (Math.abs(left.at.y - right.at.y) + ROOM_M) / tall,
  );
  return (
    <svg
      width={width}
      height={height}
      viewBox={`${(-ACROSS_M / 2) * zoom} ${(-tall / 2) * zoom} ${ACROSS_M * zoom} ${tall * zoom}`}
      data-still
      role="img"
      aria-label={label}
      style={{ flex: 'none' }}
    >
      <rect
        x={(-ACROSS_M / 2) * zoom}
        y={(-tall / 2) * zoom}
        width={ACROSS_M * zoom}
        height={tall * zoom}
        fill={colour('floor')}
        fillOpacity={0.55}
      />
      <line
        x1={left.at.x - middle.x}
        y1={middle.y - left.at.y}
        x2={right.at.x - middle.x}
        y2={middle.y - right.at.y}
        stroke={colour('floorLine')}
        strokeWidth={0.012}
        strokeDasharray="0.04 0.03"
      />
      {goesDeg !== undefined && (
        <path
          d="M0 -0.08V-0.34M-0.08 -0.26 0 -0.36 0.08 -0.26"
          transform={`rotate(${goesDeg}) scale(${zoom})`}
          fill="none"
          stroke={colour('ink')}
          strokeWidth={0.028}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
      {(['left', 'right'] as const).map((foot) => (
        <Sole
          key={foot}
          foot={foot}
          x={standing[foot].at.x - middle.x}
          y={middle.y - standing[foot].at.y}
          headingDeg={standing[foot].headingDeg}
          length={SHOE_M * 1.15}
          ink={PHASE_COLOURS[phase]}
        />
      ))}
    </svg>
  );
}

const BAR_HEIGHT = 12;

/** How weight is shared: the left foot's share white, the right foot's dark. */
export function WeightBar({
  leftWeight,
  width = 130,
}: {
  leftWeight: number;
  width?: number;
}): ReactElement {
  const left = Math.round(leftWeight * 100);
  return (
    <span
      style={{
        ...{ display: 'inline-flex', alignItems: 'center', gap: 7 },
        ...{ fontSize: 14, whiteSpace: 'nowrap' },
      }}
      className="mono"
    >
      <span>{left}</span>
      <svg
        width={width}
        height={BAR_HEIGHT}
        role="img"
        aria-label={say('weightLeftLeftLeft2Right', { left, left2: 100 - left })}
      >
        <rect
          x={0.75}
          y={0.75}
          width={width - 1.5}
          height={BAR_HEIGHT - 1.5}
          fill={colour('raised')}
          stroke={colour('ink')}
          strokeWidth={1.5}
        />
        <rect
          x={width * leftWeight}
          width={width * (1 - leftWeight)}
          height={BAR_HEIGHT}
          fill={colour('ink')}
        />
      </svg>
      <span>{100 - left} %</span>
    </span>
  );
}
