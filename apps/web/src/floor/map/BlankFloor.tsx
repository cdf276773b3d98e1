import type { Pattern } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { MARKER_M } from '../../parts/plan/FloorPlan.js';
import { Court, HomeRing } from '../../parts/plan/Court.js';
import { MarkerShapeAt } from '../../parts/plan/Marker.js';
import { viewBox, viewOfTargets } from '../../parts/plan/view.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/floor.js';

const Place = styled.g`
  cursor: pointer;
  outline: none;
  circle {
    fill: ${colour('raised')};
    stroke: ${colour('ink')};
    stroke-width: 0.04;
  }
  &:hover circle,
  &:focus-visible circle {
    stroke-width: 0.1;
  }
`;

/** The floor with covered markers, of which one at a time can be uncovered. */
export function BlankFloor({
  pattern,
  letters,
  uncovered,
  onPoint,
}: {
  pattern: Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;
  letters: readonly string[];
  /** Letters of uncovered markers. */
  uncovered: readonly string[];
  onPoint: (letter: string, pressedAt: number) => void;
}): ReactElement {
  const view = viewOfTargets(pattern);
  const places = pattern.targets.filter(({ letter }) => letters.includes(letter));
  return (
    <svg
      viewBox={viewBox(view)}
      role="group"
      aria-label={say('floorItsMarkersCovered')}
      style={{ display: 'block', width: '100%', height: '100%' }}
    >
      <Court floor={pattern} view={view} />
      <HomeRing radiusM={pattern.home.radiusM} />
      {places.map((target, i) => {
        const { letter, at } = target;
        return (
          <Place
            key={letter}
            role="button"
            tabIndex={0}
            aria-label={say('placeI', { i: i + 1 })}
            data-place={letter}
            onPointerDown={(event) => onPoint(letter, event.timeStamp)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') onPoint(letter, event.timeStamp);
            }}
          >
            {/* Wider than it looks: a finger is not a pen. */}
            <circle cx={at.x} cy={-at.y} r={2 * MARKER_M} style={{ opacity: 0 }} />
            {uncovered.includes(letter) ? (
              <MarkerShapeAt target={target} x={at.x} y={-at.y} size={MARKER_M} />
            ) : (
              <circle cx={at.x} cy={-at.y} r={MARKER_M} />
            )}
          </Place>
        );
      })}
    </svg>
  );
}
