import { contactsOf, phaseSpans, playSpan } from '@orthokin/core/footwork';
import type { Side } from '@orthokin/core/floor';
import { changeLeg, changePlacement, type Leg, type PlacementPhase } from '@orthokin/core/pattern';
import { memo, useEffect, useRef, type ReactElement } from 'react';
import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { PHASE_COLOURS, phaseFill } from '../../parts/phases.js';
import { colour } from '../../parts/tokens.js';
import { useDrag } from '../../parts/useDrag.js';
import { useWidth } from '../../parts/useWidth.js';
import { useEditor, type Editor } from '../state/editor.js';
import { usePlayer } from './player-context.js';
import { useSelection, type Selection } from '../state/selection.js';
import { say } from '../../words/studio.js';

const Frame = styled.div`
  position: relative;
  min-width: 0;
  svg {
    display: block;
    overflow: visible;
  }
  .block {
    cursor: ew-resize;
  }
  .scrub {
    position: absolute;
    top: 0;
    height: 26px;
  }
  .react-aria-SliderTrack {
    height: 26px;
  }
  .react-aria-SliderThumb {
    top: 13px;
    width: 24px;
    height: 24px;
    display: grid;
    place-items: center;
    cursor: ew-resize;
  }
  .react-aria-SliderThumb[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    border-radius: 50%;
  }
`;

const NAMES_PX = 62;
const AXIS_PX = 26;
const LANE_PX = 34;
const BAR_PX = 18;
const HEIGHT_PX = AXIS_PX + 2 * LANE_PX + BAR_PX + 12;
const TICK_MS = 200;

interface Scale {
  readonly fromMs: number;
  readonly toMs: number;
  readonly x: (ms: number) => number;
  readonly msPerPx: number;
}

function scaleOf(leg: Leg, width: number): Scale {
  const { fromMs, toMs } = playSpan(leg);
  const room = Math.max(100, width - NAMES_PX - 8);
  return {
    fromMs,
    toMs,
    x: (ms) => NAMES_PX + (room * (ms - fromMs)) / (toMs - fromMs),
    msPerPx: (toMs - fromMs) / room,
  };
}

function Axis({ scale }: { scale: Scale }): ReactElement {
  const every = scale.msPerPx > 5 ? 2 * TICK_MS : TICK_MS;
  const first = Math.ceil(scale.fromMs / every) * every;
  const ticks = Array.from(
    { length: Math.floor((scale.toMs - first) / every) + 1 },
    (_, i) => first + i * every,
  );
  return (
    <g fontSize={13} fill={colour('quiet')} className="mono">
      {ticks.map((ms) => (
        <g key={ms} transform={`translate(${scale.x(ms)} 0)`}>
          <line
            y1={AXIS_PX}
            y2={HEIGHT_PX}
            stroke={colour(ms === 0 ? 'ink' : 'rule')}
            strokeWidth={ms === 0 ? 1.5 : 1}
          />
          <text y={15} textAnchor="middle">
            {ms === 0 ? 'cue' : (ms / 1000).toFixed(1)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** A block is at least as wide as its number. */
const LEAST_PX = 14;
const WIDE_PX = 18;

/** Step of landing times, ms. */
const GRAIN_MS = 5;

/**
 * A step as a block for its time on the floor; dragging it changes its landing. Given plain values, so that only
 * blocks whose times change are rendered.
 */
const Block = memo(function Block({
  letter,
  index,
  foot,
  phase,
  atMs,
  leastMs,
  mostMs,
  left,
  width,
  msPerPx,
  picked,
  edit,
  pick,
}: {
  letter: string;
  index: number;
  foot: Side;
  phase: PlacementPhase;
  atMs: number;
  /** Bounds: the previous and the next landing. */
  leastMs: number;
  mostMs: number;
  left: number;
  width: number;
  msPerPx: number;
  picked: boolean;
  edit: Editor['edit'];
  pick: Selection['pick'];
}): ReactElement {
  const ink = PHASE_COLOURS[phase];
  const drag = useDrag({
    take: ({ clientX }) => {
      pick(index);
      return { x: clientX, atMs };
    },
    move: (from, { clientX }, gesture) => {
      const exact = from.atMs + (clientX - from.x) * msPerPx;
      const grain = Math.round(exact / GRAIN_MS) * GRAIN_MS;
      const to = Math.min(mostMs, Math.max(leastMs, grain));
      edit(
        (now) => changeLeg(now, letter, (leg) => changePlacement(leg, index, { atMs: to })),
        gesture,
      );
    },
  });
  return (
    <g
      className="block"
      transform={`translate(${left} ${AXIS_PX + 4 + (foot === 'left' ? 0 : LANE_PX)})`}
      {...drag}
    >
      <rect
        width={width}
        height={LANE_PX - 8}
        rx={3}
        fill={foot === 'left' ? colour('raised') : ink}
        stroke={ink}
        strokeWidth={picked ? 4 : 2}
      />
      <text
        x={Math.min(width / 2, 30)}
        y={(LANE_PX - 8) / 2}
        dy="0.36em"
        textAnchor="middle"
        fontSize={width >= WIDE_PX ? 13 : 11}
        fontWeight={650}
        fill={foot === 'left' ? colour('ink') : colour('sheet')}
        className="mono"
      >
        {index + 1}
      </text>
    </g>
  );
});

/** All steps, each in its foot's lane. */
function Blocks({ leg, scale }: { leg: Leg; scale: Scale }): ReactElement {
  const { edit } = useEditor();
  const { step, pick } = useSelection();
  return (
    <>
      {contactsOf(leg).map(({ index, foot, fromMs, toMs }) => {
        const left = scale.x(fromMs);
        return (
          <Block
            key={index}
            {...{ index, foot, left, edit, pick }}
            letter={leg.target}
            phase={leg.placements[index]?.phase ?? 'travel'}
            atMs={fromMs}
            leastMs={leg.placements[index - 1]?.atMs ?? -Infinity}
            mostMs={leg.placements[index + 1]?.atMs ?? Infinity}
            width={Math.max(LEAST_PX, scale.x(toMs) - left - 2)}
            msPerPx={scale.msPerPx}
            picked={step === index}
          />
        );
      })}
    </>
  );
}

/** A line at the current time. */
function Playhead({ scale }: { scale: Scale }): ReactElement {
  const player = usePlayer();
  const line = useRef<SVGGElement>(null);
  useEffect(
    () =>
      player.watch((ms) => line.current?.setAttribute('transform', `translate(${scale.x(ms)} 0)`)),
    [player, scale],
  );
  return (
    <g ref={line} pointerEvents="none">
      <path d={`M-6 17H6L0 26Z`} fill={colour('here')} />
      <line y1={24} y2={HEIGHT_PX} stroke={colour('here')} strokeWidth={2} />
    </g>
  );
}

/** A slider for the playhead, which follows while the leg plays. */
function Scrub({ scale }: { scale: Scale }): ReactElement {
  const player = usePlayer();
  const [from, to] = [scale.x(scale.fromMs), scale.x(scale.toMs)];
  return (
    <Slider
      className="scrub"
      style={{ left: from, width: to - from }}
      aria-label={say('momentLeg')}
      minValue={Math.round(scale.fromMs)}
      maxValue={Math.round(scale.toMs)}
      step={20}
      defaultValue={Math.round(scale.fromMs)}
      onChange={(ms) => player.seek(ms)}
    >
      <SliderTrack>
        <SliderThumb />
      </SliderTrack>
    </Slider>
  );
}

/** A leg in time: one lane per foot, its positions below, and the playhead. */
export function Score({ leg }: { leg: Leg }): ReactElement {
  const [frame, width] = useWidth<HTMLDivElement>(900);
  const scale = scaleOf(leg, width);
  const barTop = AXIS_PX + 2 * LANE_PX + 4;
  return (
    <Frame ref={frame}>
      <svg
        width="100%"
        height={HEIGHT_PX}
        role="group"
        aria-label={say('stepScore')}
        id="studio-score"
      >
        <Axis scale={scale} />
        {(['left', 'right', 'phase'] as const).map((name, i) => (
          <text
            key={name}
            y={AXIS_PX + i * LANE_PX + (i === 2 ? 18 : 22)}
            fontSize={15}
            fontWeight={i === 2 ? 450 : 700}
            fill={colour(i === 2 ? 'quiet' : 'ink')}
          >
            {name}
          </text>
        ))}
        <Blocks leg={leg} scale={scale} />
        {phaseSpans(leg).map(({ phase, fromMs, toMs }) => (
          <rect
            key={phase}
            x={scale.x(fromMs)}
            y={barTop}
            width={scale.x(toMs) - scale.x(fromMs)}
            height={BAR_PX}
            fill={phaseFill(phase)}
          >
            <title>
              {phase}, {((toMs - fromMs) / 1000).toFixed(2)} s
            </title>
          </rect>
        ))}
        <Playhead scale={scale} />
      </svg>
      <Scrub scale={scale} />
    </Frame>
  );
}
