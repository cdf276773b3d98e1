import type { Point } from '@orthokin/core/floor';
import type { ReactElement, ReactNode, Ref } from 'react';
import { colour } from '../tokens.js';
import { Court, HomeRing } from './Court.js';
import { MarkerShapeAt } from './Marker.js';
import { Sole } from './Sole.js';
import { viewBox, viewOfTargets, type FloorOf, type View } from './view.js';

export const MARKER_M = 0.34;
const SOLE_M = 0.46;

/** Where an athlete stands. */
export interface StandingAthlete {
  readonly at: Point;
  readonly headingDeg: number;
}

/** Two soles a stance apart. Moved through its ref during playback, without rendering. */
export const AthleteFeet = ({
  athlete,
  ref,
}: {
  athlete: StandingAthlete;
  ref?: Ref<SVGGElement>;
}): ReactElement => (
  <g ref={ref} transform={athleteTransform(athlete)}>
    <Sole foot="left" x={-0.19} y={0} headingDeg={-6} length={SOLE_M} />
    <Sole foot="right" x={0.19} y={0} headingDeg={6} length={SOLE_M} />
  </g>
);

/** SVG transform that places `AthleteFeet`: the drawing's y runs down, the floor's forward. */
export const athleteTransform = ({ at, headingDeg }: StandingAthlete): string =>
  `translate(${at.x} ${-at.y}) rotate(${headingDeg})`;

/** The floor from above: court lines, home base as a double ring, and the markers. */
export function FloorPlan({
  pattern,
  view = viewOfTargets(pattern),
  litTarget,
  inPlay,
  legend,
  label,
  isPressed = false,
  under,
  children,
}: {
  pattern: FloorOf;
  /** All targets by default. */
  view?: View;
  /** Letter of the target that is called now. */
  litTarget?: string | undefined;
  /** Letters in play; others are drawn faintly. All by default. */
  inPlay?: readonly string[] | undefined;
  /** What to write beside a target, one line each. */
  legend?: ((letter: string) => readonly string[]) | undefined;
  label: string;
  /** Whether it contains buttons; otherwise it has the role of an image. */
  isPressed?: boolean;
  /** Drawn on the floor, beneath the markers. */
  under?: ReactNode;
  children?: ReactNode;
}): ReactElement {
  const lit = pattern.targets.find(({ letter }) => letter === litTarget);
  return (
    <svg
      viewBox={viewBox(view)}
      role={isPressed ? 'group' : 'img'}
      aria-label={label}
      style={{ display: 'block', width: '100%', height: '100%' }}
    >
      <Court floor={pattern} view={view} />
      {under}
      {lit && (
        <line
          x1={0}
          y1={0}
          x2={lit.at.x}
          y2={-lit.at.y}
          stroke={colour('ink')}
          strokeWidth={0.06}
          strokeDasharray="0.14 0.14"
        />
      )}
      <HomeRing radiusM={pattern.home.radiusM} />
      {pattern.targets.map((target) => (
        <g key={target.letter} opacity={inPlay && !inPlay.includes(target.letter) ? 0.3 : 1}>
          {target.letter === litTarget && (
            <circle
              cx={target.at.x}
              cy={-target.at.y}
              r={MARKER_M * 1.5}
              fill="none"
              stroke={colour('ink')}
              strokeWidth={0.06}
            />
          )}
          <MarkerShapeAt target={target} x={target.at.x} y={-target.at.y} size={MARKER_M} />
          <TargetLegend at={target.at} lines={legend?.(target.letter) ?? []} />
        </g>
      ))}
      {children}
    </svg>
  );
}

const LEGEND_M = 0.25;

function TargetLegend({ at, lines }: { at: Point; lines: readonly string[] }): ReactElement | null {
  if (lines.length === 0) return null;
  const width = Math.max(...lines.map((line) => line.length)) * LEGEND_M * 0.6 + 0.2;
  const height = lines.length * LEGEND_M * 1.25 + 0.08;
  return (
    <g transform={`translate(${at.x} ${-at.y + MARKER_M + 0.12})`} className="mono">
      <rect
        x={-width / 2}
        width={width}
        height={height}
        rx={0.06}
        fill={colour('raised')}
        fillOpacity={0.92}
      />
      {lines.map((line, i) => (
        <text
          key={line}
          y={(i + 1) * LEGEND_M * 1.22 - 0.03}
          textAnchor="middle"
          fontSize={LEGEND_M}
          fill={colour('ink')}
        >
          {line}
        </text>
      ))}
    </g>
  );
}
