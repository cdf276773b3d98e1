import { BODY_LINES, BODY_POINTS, LEAST_SEEN, type BodyPointName } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import type { KeyboardEvent, PointerEvent, ReactElement } from 'react';
import { arrowWay } from '../../parts/arrow-way.js';
import { colour } from '../../parts/tokens.js';
import { useDrag } from '../../parts/useDrag.js';
import { bodyPointWords, say } from '../../words/film.js';
import { OWN_KEYS } from '../screen/own-keys.js';
import { placeInPicture } from '../screen/place-in-picture.js';
import { PictureSurface } from '../screen/PictureSurface.js';
import type { BodyWork } from './useBody.js';

const FAINT = 0.4;

/** A landmark of the body that can be dragged or moved with the arrow keys. */
function Handle({
  name,
  at,
  isSeen,
  unit,
  widthPx,
  onMove,
}: {
  name: BodyPointName;
  at: Point;
  isSeen: boolean;
  unit: number;
  widthPx: number;
  onMove: (at: Point) => void;
}): ReactElement {
  const placeOf = (event: PointerEvent): Point =>
    placeInPicture(event.currentTarget.closest('svg'), widthPx, event);
  const drag = useDrag<Point>({
    take: (event) => {
      const taken = placeOf(event);
      return { x: at.x - taken.x, y: at.y - taken.y };
    },
    move: (grip, event) => {
      const now = placeOf(event);
      onMove({ x: now.x + grip.x, y: now.y + grip.y });
    },
  });
  const nudge = (event: KeyboardEvent) => {
    const by = arrowWay(event.key);
    if (!by) return;
    event.preventDefault();
    onMove({ x: at.x + by.x * unit, y: at.y + by.y * unit });
  };
  return (
    <g
      {...drag}
      {...{ [OWN_KEYS]: '' }}
      role="button"
      tabIndex={0}
      aria-label={say('movePoint', { point: bodyPointWords(name) })}
      style={{ cursor: 'grab' }}
      onKeyDown={nudge}
    >
      {/* Taken by a finger, yet not over the joint it stands for. */}
      <circle cx={at.x} cy={at.y} r={9 * unit} fill="transparent" />
      <circle
        cx={at.x}
        cy={at.y}
        r={3 * unit}
        fill={colour(isSeen ? 'raised' : 'paper')}
        fillOpacity={isSeen ? 1 : FAINT}
        stroke={colour('here')}
        strokeWidth={1.5 * unit}
      />
    </g>
  );
}

/** The body's landmarks over the picture, each movable. */
export function BodyOverlay({
  work,
  widthPx,
  heightPx,
  unit,
}: {
  work: BodyWork;
  widthPx: number;
  heightPx: number;
  /** Film pixels per screen pixel. */
  unit: number;
}): ReactElement {
  const { body, hips, isConfirmed } = work;
  return (
    <PictureSurface
      label={say(body ? 'pictureWithBody' : 'pictureForBody')}
      {...{ widthPx, heightPx }}
      holdsButtons={body !== null}
      onPress={work.click}
    >
      {hips && <circle cx={hips.x} cy={hips.y} r={5 * unit} fill={colour('here')} />}
      {body && (
        <>
          <g
            stroke={colour('here')}
            strokeWidth={2.5 * unit}
            strokeLinecap="round"
            strokeDasharray={isConfirmed ? undefined : `${6 * unit} ${5 * unit}`}
          >
            {BODY_LINES.map(([from, to]) => (
              <line
                key={`${from} ${to}`}
                x1={body[from].x}
                y1={body[from].y}
                x2={body[to].x}
                y2={body[to].y}
                opacity={Math.min(body[from].seen, body[to].seen) < LEAST_SEEN ? FAINT : 1}
              />
            ))}
          </g>
          {BODY_POINTS.map((name) => (
            <Handle
              key={name}
              {...{ name, unit, widthPx }}
              at={body[name]}
              isSeen={body[name].seen >= LEAST_SEEN}
              onMove={(at) => work.move(name, at)}
            />
          ))}
        </>
      )}
    </PictureSurface>
  );
}
