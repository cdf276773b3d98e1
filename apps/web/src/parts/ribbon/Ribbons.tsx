import type { Target } from '@orthokin/core/floor';
import type { RepReading } from '@orthokin/core/timing';
import { useContext, useDeferredValue, type ReactElement } from 'react';
import styled from 'styled-components';
import { colour } from '../tokens.js';
import { FaultNames } from '../fault-names.js';
import { useWidth } from '../useWidth.js';
import { Axis, AXIS } from './Axis.js';
import { FIGURES_BEFORE_FLAGS, flagRoom, LEFT, Ribbon, rowHeight } from './Ribbon.js';
import { ReferenceTicks } from './ReferenceTicks.js';
import { scaleFor, shifted, zeroOf, type AlignAt, type RibbonLimits } from './scale.js';
import { say } from '../../words/parts.js';

/** Space for two figures to the right of the bands; without it flags go below their bands. */
const FIGURES = 140;
const WIDE_ENOUGH = 640;
const FIRST_DRAWN = 30;

const Frame = styled.div`
  overflow: hidden;
  svg {
    display: block;
  }
`;

/**
 * A set's reps as ribbons on one axis, aligned at the cue or another event. With a reference rep, its phases are
 * ticked below each rep.
 */
export function Ribbons({
  readings,
  targets,
  limits,
  at = 'cue',
  reference,
  drawnBeside = [],
}: {
  readings: readonly RepReading[];
  targets: readonly Target[];
  limits: RibbonLimits;
  at?: AlignAt;
  reference?: RepReading | undefined;
  /** Reps of another drawing that must share the scale. */
  drawnBeside?: readonly RepReading[];
}): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const roomy = width >= WIDE_ENOUGH;
  const nameOf = useContext(FaultNames);
  const flagsAt = roomy ? width - flagRoom(readings, nameOf) : null;
  const scale = scaleFor(
    [...readings, ...drawnBeside],
    limits,
    LEFT,
    flagsAt === null ? width - 6 : flagsAt - FIGURES,
    at,
  );
  const tops = readings.reduce<number[]>(
    (all, reading) => [...all, (all.at(-1) ?? 0) + rowHeight(reading, roomy)],
    [0],
  );
  const height = AXIS + (tops.at(-1) ?? 0) + 8;
  // The first screenful is drawn at once, the rest afterwards.
  const drawn = useDeferredValue(readings, readings.slice(0, FIRST_DRAWN));
  return (
    <Frame ref={ref}>
      <svg width={width} height={height}>
        <Axis scale={scale} height={height - 8} limitsMs={limits.limitsMs} at={at} />
        {flagsAt !== null && (
          <g fontSize={14} textAnchor="end" fill={colour('quiet')}>
            <text x={flagsAt - FIGURES_BEFORE_FLAGS.reaction} y={AXIS - 12}>
              {say('reaction')}
            </text>
            <text x={flagsAt - FIGURES_BEFORE_FLAGS.recovery} y={AXIS - 12}>
              {say('recovery')}
            </text>
          </g>
        )}
        {drawn.map((reading, i) => {
          const own = shifted(scale, zeroOf(reading.rep.events, at) ?? 0);
          return (
            <g key={reading.rep.ordinal} transform={`translate(0 ${AXIS + 10 + (tops[i] ?? 0)})`}>
              <Ribbon
                reading={reading}
                target={targets.find(({ letter }) => letter === reading.rep.target)}
                limits={limits}
                scale={own}
                flagsAt={flagsAt}
              />
              {reference && (
                <ReferenceTicks
                  events={reference.rep.events}
                  scale={shifted(scale, zeroOf(reference.rep.events, at) ?? 0)}
                />
              )}
            </g>
          );
        })}
      </svg>
    </Frame>
  );
}
