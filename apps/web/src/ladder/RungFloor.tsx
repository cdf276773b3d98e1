import type { Pattern, Rung } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { HomeRing } from '../parts/plan/Court.js';
import { MarkerShapeAt } from '../parts/plan/Marker.js';
import { viewOfTargets } from '../parts/plan/view.js';
import { colour } from '../parts/tokens.js';

const [WIDTH, HEIGHT] = [88, 74];
/** Half a marker's width as a share of the drawing, so that letters stay readable. */
const MARKER_SHARE = 0.115;

/** A thumbnail of a rung's targets; a known order is drawn as a path. */
export function RungFloor({
  pattern,
  rung,
}: {
  pattern: Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;
  rung: Pick<Rung, 'targets' | 'order' | 'floorScale'>;
}): ReactElement {
  const all = viewOfTargets(pattern);
  const scale = Math.max(all.width / WIDTH, all.height / HEIGHT);
  const [width, height] = [WIDTH * scale, HEIGHT * scale];
  const view = {
    ...{ width, height },
    x: all.x - (width - all.width) / 2,
    y: all.y - (height - all.height) / 2,
  };
  const inPlay = rung.targets.flatMap(
    (letter) => pattern.targets.find((target) => target.letter === letter) ?? [],
  );
  const at = ({ at: { x, y } }: (typeof inPlay)[number]) =>
    `${rung.floorScale * x} ${-rung.floorScale * y}`;
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`${view.x} ${view.y} ${width} ${height}`}
      aria-hidden
      style={{ display: 'block' }}
    >
      <rect {...view} fill={colour('floor')} />
      {rung.order === 'known' && inPlay.length > 1 && (
        <path
          d={`M${inPlay.map(at).join('L')}`}
          fill="none"
          stroke={colour('ink')}
          strokeWidth={1.2 * scale}
          strokeDasharray={`${3 * scale} ${3 * scale}`}
        />
      )}
      <HomeRing radiusM={Math.max(pattern.home.radiusM, 6 * scale)} />
      {inPlay.map((target) => (
        <MarkerShapeAt
          key={target.letter}
          target={target}
          x={rung.floorScale * target.at.x}
          y={-rung.floorScale * target.at.y}
          size={MARKER_SHARE * Math.min(width, height)}
        />
      ))}
    </svg>
  );
}
