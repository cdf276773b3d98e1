import type { Side } from '@orthokin/core/floor';
import type { Need, ReadinessCheck } from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { SHOE_M, Sole } from '../../parts/plan/Sole.js';
import { colour } from '../../parts/tokens.js';

interface Foot {
  readonly foot: Side;
  readonly x: number;
  readonly y: number;
  readonly headingDeg?: number;
  /** A foot's starting place, drawn pale. */
  readonly before?: true;
}

interface Drawing {
  readonly feet: readonly Foot[];
  /** Movements, from and to, m. */
  readonly ways: readonly (readonly [x1: number, y1: number, x2: number, y2: number])[];
}

const WIDE_M = 0.27;
const stance = (y = 0, before?: true): Foot[] => [
  { foot: 'left', x: -WIDE_M, y, headingDeg: -10, ...(before && { before }) },
  { foot: 'right', x: WIDE_M, y, headingDeg: 10, ...(before && { before }) },
];

/** Metres: x to the athlete's right, y forward. */
const DRAWINGS: Readonly<Record<ReadinessCheck, Drawing>> = {
  'squat and hold': { feet: stance(), ways: [] },
  'move in a squat': {
    feet: [...stance(-0.35, true), ...stance(0.3)],
    ways: [[0, -0.3, 0, 0.25]],
  },
  'side-step': {
    feet: [
      { foot: 'left', x: -0.6, y: 0, before: true },
      { foot: 'right', x: -0.15, y: 0, before: true },
      { foot: 'left', x: 0.2, y: 0 },
      { foot: 'right', x: 0.65, y: 0 },
    ],
    ways: [[-0.4, 0.35, 0.45, 0.35]],
  },
  'stop on one leg': {
    feet: [
      { foot: 'left', x: -0.12, y: -0.45, before: true },
      { foot: 'right', x: 0.1, y: 0.25 },
    ],
    ways: [[0, -0.6, 0, -0.1]],
  },
  'hop and stick': {
    feet: [
      { foot: 'right', x: 0, y: -0.35, before: true },
      { foot: 'right', x: 0, y: 0.3 },
    ],
    ways: [[-0.25, -0.3, -0.25, 0.3]],
  },
  'split-step landing': {
    feet: [
      { foot: 'left', x: -0.13, y: -0.05, before: true },
      { foot: 'right', x: 0.13, y: -0.05, before: true },
      ...stance(0.1),
    ],
    ways: [],
  },
  'turn and run': {
    feet: [
      { foot: 'left', x: -WIDE_M, y: 0.35, before: true },
      { foot: 'right', x: 0.2, y: -0.1, headingDeg: 130 },
      { foot: 'left', x: 0.05, y: -0.5, headingDeg: 180 },
    ],
    ways: [[0.5, 0.3, 0.5, -0.6]],
  },
  backpedal: {
    feet: [...stance(0.35, true), ...stance(-0.3)],
    ways: [[0, 0.3, 0, -0.25]],
  },
};

const HALF_M = { x: 0.95, y: 0.72 } as const;
const HEAD_M = 0.09;

/** Feet before (pale) and after a check, to scale; for a one-legged check the given leg's. */
export function CheckDrawing({ check, leg }: Need): ReactElement {
  const { feet, ways } = DRAWINGS[check];
  const mirror = leg === 'left' ? -1 : 1;
  return (
    <svg
      width={150}
      viewBox={`${-HALF_M.x} ${-HALF_M.y} ${2 * HALF_M.x} ${2 * HALF_M.y}`}
      aria-hidden
      style={{ flex: 'none' }}
    >
      <rect
        x={-HALF_M.x}
        y={-HALF_M.y}
        width={2 * HALF_M.x}
        height={2 * HALF_M.y}
        fill={colour('floor')}
        fillOpacity={0.55}
      />
      {ways.map(([x1, y1, x2, y2]) => {
        const angle = Math.atan2(y1 - y2, mirror * (x2 - x1));
        const tip = { x: mirror * x2, y: -y2 };
        const side = (turn: number) =>
          `${tip.x - HEAD_M * Math.cos(angle + turn)},${tip.y - HEAD_M * Math.sin(angle + turn)}`;
        return (
          <g key={`${x1} ${y1}`} stroke={colour('ink')} strokeWidth={0.022} fill="none">
            <line x1={mirror * x1} y1={-y1} x2={tip.x} y2={tip.y} />
            <polyline points={`${side(0.5)} ${tip.x},${tip.y} ${side(-0.5)}`} />
          </g>
        );
      })}
      {feet.map(({ foot, x, y, headingDeg = 0, before }) => (
        <g key={`${foot} ${x} ${y}`} opacity={before ? 0.35 : 1}>
          <Sole
            foot={mirror === 1 ? foot : foot === 'left' ? 'right' : 'left'}
            x={mirror * x}
            y={-y}
            headingDeg={mirror * headingDeg}
            length={SHOE_M}
          />
        </g>
      ))}
    </svg>
  );
}
