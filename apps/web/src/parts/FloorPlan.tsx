import { COURTS, courtOnFloor, type Point } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import { useId, type ReactElement, type ReactNode, type Ref } from 'react';
import { MarkerShapeAt } from './Marker.js';
import { Sole } from './Sole.js';
import { colour } from './tokens.js';

type Drawn = Pick<Pattern, 'court' | 'home' | 'targets'>;

const MARGIN_M = 0.9;
const BOARD_M = 0.4;
const MARKER_M = 0.34;
const SOLE_M = 0.46;

interface View {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The part of the floor that matters: home and targets with room round them, inside the court. */
function viewOf({ court, home, targets }: Drawn): View {
  const { backLeft, frontRight } = courtOnFloor(COURTS[court], home.onCourt);
  const xs = [0, ...targets.map(({ at }) => at.x)];
  const ys = [0, ...targets.map(({ at }) => at.y)];
  const left = Math.max(backLeft.x, Math.min(...xs) - MARGIN_M);
  const right = Math.min(frontRight.x, Math.max(...xs) + MARGIN_M);
  const back = Math.max(backLeft.y, Math.min(...ys) - MARGIN_M - 0.3);
  const front = Math.min(frontRight.y, Math.max(...ys) + MARGIN_M);
  return { left, top: -front, width: right - left, height: front - back };
}

/** Where an athlete's two feet are drawn. */
export interface StandingAthlete {
  readonly at: Point;
  readonly headingDeg: number;
}

/** Two soles a stance apart; moved by its ref while a rep plays, without drawing the page anew. */
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

/** Places `AthleteFeet` on the floor: the drawing's y runs down, the floor's forward. */
export const athleteTransform = ({ at, headingDeg }: StandingAthlete): string =>
  `translate(${at.x} ${-at.y}) rotate(${headingDeg})`;

/** The floor from above: court lines, home base as a double ring, and the markers. */
export function FloorPlan({
  pattern,
  litTarget,
  inPlay,
  legend,
  label,
  children,
}: {
  pattern: Drawn;
  /** Letter of the target that is called now. */
  litTarget?: string | undefined;
  /** Letters in play; others are drawn faintly. All by default. */
  inPlay?: readonly string[] | undefined;
  /** What to write beside a target, one line each. */
  legend?: ((letter: string) => readonly string[]) | undefined;
  label: string;
  children?: ReactNode;
}): ReactElement {
  const boards = useId();
  const view = viewOf(pattern);
  const box = { x: view.left, y: view.top, width: view.width, height: view.height };
  const court = courtOnFloor(COURTS[pattern.court], pattern.home.onCourt);
  const lit = pattern.targets.find(({ letter }) => letter === litTarget);
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={label}
      style={{ display: 'block', width: '100%', height: '100%' }}
    >
      <defs>
        <pattern id={boards} width={BOARD_M} height={40} patternUnits="userSpaceOnUse">
          <rect width={BOARD_M} height={40} fill={colour('floor')} />
          <rect width={0.02} height={40} fill={colour('board')} />
        </pattern>
      </defs>
      {/* Its own window: where the drawing does not fill its place, no court line runs on. */}
      <svg {...box} viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}>
        <rect {...box} fill={`url(#${boards})`} />
        <g stroke={colour('floorLine')} strokeWidth={0.045} fill="none" opacity={0.75}>
          {court.lines.map(({ from, to }) => (
            <line
              key={`${from.x} ${from.y} ${to.x} ${to.y}`}
              x1={from.x}
              y1={-from.y}
              x2={to.x}
              y2={-to.y}
            />
          ))}
          <rect
            x={court.backLeft.x}
            y={-court.frontRight.y}
            width={court.frontRight.x - court.backLeft.x}
            height={court.frontRight.y - court.backLeft.y}
            strokeWidth={0.09}
          />
        </g>
      </svg>
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
      <g fill="none" stroke={colour('ink')} strokeWidth={0.045}>
        <circle r={pattern.home.radiusM} fill={colour('raised')} fillOpacity={0.55} />
        <circle r={pattern.home.radiusM - 0.1} />
      </g>
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
