import type { ReactElement } from 'react';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { PictureSurface } from '../screen/PictureSurface.js';
import type { StepWork } from './useSteps.js';

/** Feet older than this many frames are drawn faintly. */
const FAINT_AFTER = 12;

/** The clicked feet over the picture: left outlined, right filled, numbered. */
export function StepsOverlay({
  work,
  frame,
  widthPx,
  heightPx,
  unit,
}: {
  work: StepWork;
  /** The current frame. */
  frame: number;
  widthPx: number;
  heightPx: number;
  /** Film pixels per screen pixel. */
  unit: number;
}): ReactElement {
  return (
    <PictureSurface
      label={say('pictureForFeet')}
      {...{ widthPx, heightPx }}
      onPress={(at, { shiftKey }) => (shiftKey ? work.clickToe(at) : work.click(at, frame))}
    >
      {work.clicks.map(({ at, toe, foot, frame: landed }, i) => (
        <g key={i} opacity={Math.abs(frame - landed) > FAINT_AFTER ? 0.45 : 1}>
          {toe && (
            <line
              x1={at.x}
              y1={at.y}
              x2={toe.x}
              y2={toe.y}
              stroke={colour('here')}
              strokeWidth={3 * unit}
            />
          )}
          <circle
            cx={at.x}
            cy={at.y}
            r={9 * unit}
            fill={foot === 'left' ? colour('raised') : colour('ink')}
            stroke={colour(foot === 'left' ? 'ink' : 'raised')}
            strokeWidth={2 * unit}
          />
          <text
            x={at.x}
            y={at.y + 4.5 * unit}
            textAnchor="middle"
            fontSize={12 * unit}
            fill={foot === 'left' ? colour('ink') : colour('raised')}
          >
            {i + 1}
          </text>
        </g>
      ))}
    </PictureSurface>
  );
}
