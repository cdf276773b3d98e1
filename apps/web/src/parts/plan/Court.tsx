import { courtOf, courtOnFloor, headed, offset, type Arc } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import { useId, type ReactElement } from 'react';
import { colour } from '../tokens.js';
import type { View } from './view.js';

const BOARD_M = 0.4;

/** An arc as an SVG path, y down. */
function arcPath({ centre, radiusM, fromDeg, toDeg }: Arc): string {
  const at = (degrees: number) => {
    const { x, y } = offset(centre, headed(degrees), radiusM);
    return `${x} ${-y}`;
  };
  const half = fromDeg + (toDeg - fromDeg) / 2;
  const r = `${radiusM} ${radiusM}`;
  // As two halves, because SVG cannot draw a full circle as one arc.
  return `M${at(fromDeg)}A${r} 0 0 1 ${at(half)}A${r} 0 0 1 ${at(toDeg)}`;
}

/** Gaps between floor boards. Lines instead of a pattern fill, which browsers draw slowly during a drag. */
function boardsPath({ x, y, width, height }: View): string {
  const first = Math.ceil(x / BOARD_M) * BOARD_M;
  const gaps = Math.max(0, Math.ceil((x + width - first) / BOARD_M));
  return Array.from(
    { length: gaps },
    (_, i) => `M${(first + i * BOARD_M).toFixed(2)} ${y}v${height}`,
  ).join('');
}

/** Floor boards and court lines, in home-base coordinates, clipped to the view. */
export function Court({
  floor,
  view,
}: {
  floor: Pick<Pattern, 'court' | 'sizeM' | 'home'>;
  view: View;
}): ReactElement {
  const id = useId();
  const { backLeft, frontRight, lines, arcs, edged } = courtOnFloor(
    courtOf(floor.court, floor.sizeM),
    floor.home.onCourt,
  );
  return (
    <>
      <defs>
        <clipPath id={`${id}view`}>
          <rect {...view} />
        </clipPath>
      </defs>
      {/* Where the drawing does not fill its place, no court line runs on. */}
      <g clipPath={`url(#${id}view)`}>
        <rect {...view} fill={colour('floor')} />
        <path d={boardsPath(view)} stroke={colour('board')} strokeWidth={0.02} fill="none" />
        <g stroke={colour('floorLine')} strokeWidth={0.045} fill="none" opacity={0.75}>
          {lines.map(({ from, to }, i) => (
            <line key={i} x1={from.x} y1={-from.y} x2={to.x} y2={-to.y} />
          ))}
          {arcs.map((arc, i) => (
            <path key={i} d={arcPath(arc)} />
          ))}
          <rect
            x={backLeft.x}
            y={-frontRight.y}
            width={frontRight.x - backLeft.x}
            height={frontRight.y - backLeft.y}
            strokeWidth={edged ? 0.09 : 0.03}
            strokeDasharray={edged ? undefined : '0.1 0.2'}
          />
        </g>
      </g>
    </>
  );
}

/** Home base: a double ring. */
export const HomeRing = ({ radiusM }: { radiusM: number }): ReactElement => (
  <g fill="none" stroke={colour('ink')} strokeWidth={0.045}>
    <circle r={radiusM} fill={colour('raised')} fillOpacity={0.55} />
    <circle r={Math.max(0.05, radiusM - 0.1)} />
  </g>
);
