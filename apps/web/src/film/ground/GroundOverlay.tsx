import { inPicture, lineInPicture, type Ground } from '@orthokin/core/film';
import { courtOf, courtOnFloor, type Point } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { measuredWords, say } from '../../words/film.js';
import { PictureSurface } from '../screen/PictureSurface.js';
import type { GroundWork } from './useGround.js';

const pointsOf = (points: readonly Point[]): string =>
  points.map(({ x, y }) => `${x},${y}`).join(' ');

/** The court as the fitted camera sees it: where it does not match the picture, the fit is wrong. */
const Court = ({
  ground,
  floor,
  unit,
}: {
  ground: Ground;
  floor: Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;
  unit: number;
}): ReactElement => {
  const { lines } = courtOnFloor(courtOf(floor.court, floor.sizeM), floor.home.onCourt);
  return (
    <g fill="none" stroke={colour('here')} strokeWidth={1.5 * unit}>
      {lines.map(({ from, to }, i) => (
        <polyline key={i} points={pointsOf(lineInPicture(ground, from, to))} />
      ))}
      {floor.targets.map(({ letter, at }) => {
        const { x, y } = inPicture(ground, at);
        return <circle key={letter} cx={x} cy={y} r={9 * unit} />;
      })}
    </g>
  );
};

/** Clicked places and measured lengths on the floor, over the picture, in film pixels. */
export function GroundOverlay({
  work,
  floor,
  widthPx,
  heightPx,
  unit,
}: {
  work: GroundWork;
  floor: Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;
  widthPx: number;
  heightPx: number;
  /** Film pixels per screen pixel. */
  unit: number;
}): ReactElement {
  const { ground, clicked, from, measured, click } = work;
  return (
    <PictureSurface label={say('pictureToClick')} {...{ widthPx, heightPx }} onPress={click}>
      {ground && <Court {...{ ground, floor, unit }} />}
      {clicked.map(({ x, y }) => (
        <path
          key={`${x} ${y}`}
          d={`M${x - 6 * unit} ${y}h${12 * unit}M${x} ${y - 6 * unit}v${12 * unit}`}
          stroke={colour('ink')}
          strokeWidth={2 * unit}
        />
      ))}
      {from && <circle cx={from.x} cy={from.y} r={5 * unit} fill={colour('here')} />}
      {measured && (
        <g>
          <line
            x1={measured.from.x}
            y1={measured.from.y}
            x2={measured.to.x}
            y2={measured.to.y}
            stroke={colour('here')}
            strokeWidth={3 * unit}
          />
          <text
            x={(measured.from.x + measured.to.x) / 2}
            y={Math.max(measured.from.y, measured.to.y) + 26 * unit}
            textAnchor="middle"
            fontSize={18 * unit}
            fill={colour('ink')}
            stroke={colour('raised')}
            strokeWidth={5 * unit}
            paintOrder="stroke"
          >
            {measuredWords(measured)}
          </text>
        </g>
      )}
    </PictureSurface>
  );
}
