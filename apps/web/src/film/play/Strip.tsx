import { frameAt, inRecording, onSetClock, type Alignment, type Span } from '@orthokin/core/film';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { useMemo, type PointerEvent, type ReactElement } from 'react';
import styled from 'styled-components';
import { Band } from '../../parts/ribbon/Band.js';
import type { Scale } from '../../parts/ribbon/scale.js';
import { segmentsOf } from '../../parts/ribbon/segments.js';
import { colour, MONO } from '../../parts/tokens.js';
import { useWidth } from '../../parts/useWidth.js';
import { say } from '../../words/film.js';
import { Picture } from '../screen/Picture.js';

/** Number of pictures along the strip. */
export const THUMBS = 8;
export const THUMB_HEIGHT = 54;
const BAND = 30;

const Box = styled.div`
  position: relative;
  cursor: ew-resize;
  touch-action: none;
  user-select: none;
  .pictures {
    display: flex;
    height: ${THUMB_HEIGHT}px;
    background: ${colour('rule')};
  }
  .pictures canvas {
    flex: 1 1 0;
    min-width: 0;
    height: 100%;
    object-fit: cover;
    border-right: 1px solid ${colour('paper')};
  }
  svg {
    display: block;
    width: 100%;
  }
  text {
    font: 14px ${MONO};
    fill: ${colour('ink')};
  }
  .head {
    position: absolute;
    top: -4px;
    bottom: 22px;
    width: 3px;
    margin-left: -1.5px;
    background: ${colour('here')};
    pointer-events: none;
  }
`;

/** The time span a strip shows, ms from the rep's cue. */
export interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
}

/** The frames pictured along a strip, each from the middle of its share. */
export const thumbFrames = (
  framesMs: readonly number[],
  alignment: Alignment,
  cueMs: number,
  { fromMs, toMs }: Stretch,
): number[] =>
  Array.from({ length: THUMBS }, (_, i) =>
    frameAt(
      framesMs,
      inRecording(alignment, cueMs + fromMs + ((i + 0.5) / THUMBS) * (toMs - fromMs)),
    ),
  );

const SECOND = 1000;

/** A rep's frames on the cue's time axis, above the ribbon made from them. */
export function Strip({
  pictures,
  events,
  stretch,
  index,
  framesMs,
  alignment,
  hint,
  label,
  onGo,
}: {
  pictures: readonly ImageBitmap[];
  /** Of the rep, cue included. */
  events: readonly TimedEvent[];
  stretch: Stretch;
  index: number;
  framesMs: readonly number[];
  alignment: Alignment;
  /** Where to look for an event, ms from the cue. */
  hint: Span | null;
  label: string;
  onGo: (index: number) => void;
}): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const cueMs = eventOf(events, 'cue')?.atMs ?? 0;
  const { fromMs, toMs } = stretch;
  const scale = useMemo(
    (): Scale => ({
      startMs: fromMs,
      endMs: toMs,
      x: (ms) => ((ms - fromMs) / (toMs - fromMs)) * width,
    }),
    [fromMs, toMs, width],
  );
  const nowMs = onSetClock(alignment, framesMs[index] ?? 0) - cueMs;
  const go = ({ currentTarget, clientX, buttons }: PointerEvent) => {
    if (buttons === 0) return;
    const { left } = currentTarget.getBoundingClientRect();
    const ms = fromMs + ((clientX - left) / width) * (toMs - fromMs);
    onGo(frameAt(framesMs, inRecording(alignment, cueMs + ms)));
  };
  const marks = events.filter(({ name }) => name !== 'cue');
  const whole = Array.from({ length: Math.floor(toMs / SECOND) + 1 }, (_, i) => i * SECOND).filter(
    (ms) => ms > 0,
  );
  return (
    <Box
      ref={ref}
      role="slider"
      tabIndex={0}
      aria-label={say('frames')}
      aria-valuemin={0}
      aria-valuemax={framesMs.length - 1}
      aria-valuenow={index}
      onPointerDown={go}
      onPointerMove={go}
    >
      <div className="pictures">
        {pictures.map((bitmap, i) => (
          <Picture key={i} bitmap={bitmap} />
        ))}
      </div>
      <svg height={BAND + 26} aria-label={label} role="img">
        {segmentsOf(events).map((segment) => (
          <Band key={segment.fromMs} segment={segment} scale={scale} height={BAND} />
        ))}
        {[0, ...marks.map(({ atMs }) => atMs - cueMs)].map((ms, i) => (
          <line
            key={i}
            x1={scale.x(ms)}
            x2={scale.x(ms)}
            y1={0}
            y2={BAND + 6}
            stroke={colour('ink')}
            strokeWidth={2}
          />
        ))}
        {hint && (
          <rect
            x={scale.x(hint.fromMs)}
            y={1}
            width={scale.x(hint.toMs) - scale.x(hint.fromMs)}
            height={BAND + 4}
            fill="none"
            stroke={colour('here')}
            strokeWidth={2}
            strokeDasharray="5 4"
          />
        )}
        <text x={scale.x(0) - 4} y={BAND + 21} textAnchor="end">
          {say('cue').toLowerCase()}
        </text>
        {whole.map((ms) => (
          <text key={ms} x={scale.x(ms)} y={BAND + 21} textAnchor="middle">
            {ms / SECOND} s
          </text>
        ))}
      </svg>
      <div
        className="head"
        style={{ left: Math.min(width, Math.max(0, scale.x(nowMs))) }}
        aria-hidden
      />
    </Box>
  );
}
