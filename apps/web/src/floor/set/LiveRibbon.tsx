import { limitsAt, rungOf } from '@orthokin/core/pattern';
import { currentCue } from '@orthokin/core/run';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { useCallback, useEffect, useRef, type ReactElement } from 'react';
import { phaseFill, type Phase } from '../../parts/phases.js';
import { segmentsOf } from '../../parts/ribbon/segments.js';
import { colour, MONO } from '../../parts/tokens.js';
import { seconds } from '../../words/format.js';
import { useWidth } from '../../parts/useWidth.js';
import type { Run } from '../../drill/plan.js';
import type { SetClock } from '../../drill/set-clock.js';
import { say } from '../../words/floor.js';

const HEIGHT = 72;
const BAND_Y = 14;
const BAND = 26;
const FROM_MS = -300;
/** The ribbon stops growing here, though the rep goes on. */
const TO_MS = 3200;

/** The phase after the newest event. */
function phaseNow(events: readonly TimedEvent[]): Phase {
  const has = (name: TimedEvent['name']) => eventOf(events, name) !== undefined;
  if (has('action')) return 'recovery';
  if (has('arrival')) return 'load';
  return has('firstMove') ? 'travel' : 'reaction';
}

/** Growing the ribbon more often would only load a small tablet. */
const DRAW_EVERY_MS = 50;

/** The current phase, which grows by itself so that nothing else has to be rendered. */
function GrowingBand({
  phase,
  fromMs,
  cueMs,
  clock,
  x,
}: {
  phase: Phase;
  /** Milliseconds after the cue. */
  fromMs: number;
  cueMs: number;
  clock: SetClock;
  x: (ms: number) => number;
}): ReactElement {
  const band = useRef<SVGRectElement>(null);
  useEffect(() => {
    const grow = () => {
      const width = x(Math.max(fromMs, clock.now() - cueMs)) - x(fromMs);
      band.current?.setAttribute('width', width.toFixed(1));
    };
    grow();
    const timer = setInterval(grow, DRAW_EVERY_MS);
    return () => clearInterval(timer);
  }, [fromMs, cueMs, clock, x]);
  return <rect ref={band} x={x(fromMs)} y={BAND_Y} height={BAND} fill={phaseFill(phase)} />;
}

/** The current rep as a growing ribbon. */
export function LiveRibbon({ run, clock }: { run: Run; clock: SetClock }): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(300);
  const x = useCallback(
    (ms: number) => ((Math.min(ms, TO_MS) - FROM_MS) / (TO_MS - FROM_MS)) * width,
    [width],
  );
  const { events } = run.open;
  const cueMs = eventOf(events, 'cue')?.atMs;
  const rung = rungOf(run.plan.pattern, run.plan.rung);
  const target = run.open.called ?? currentCue(run)?.target;
  const limits = rung ? limitsAt(rung, target ?? '') : {};
  const segments = segmentsOf(events);
  const drawnTo = Math.max(0, ...segments.map(({ toMs }) => toMs));
  const action = eventOf(events, 'action');
  const ticks = [
    limits.reaction,
    action && cueMs !== undefined && limits.recovery !== undefined
      ? action.atMs - cueMs + limits.recovery
      : limits.cycle,
  ].filter((ms) => ms !== undefined);
  return (
    <div ref={ref} style={{ overflow: 'hidden' }}>
      <svg width={width} height={HEIGHT} style={{ display: 'block' }} aria-hidden>
        <line x1={0} x2={width} y1={BAND_Y + BAND} y2={BAND_Y + BAND} stroke={colour('rule')} />
        {segments.map(({ phases, fromMs, toMs }) => (
          <rect
            key={fromMs}
            x={x(fromMs)}
            y={BAND_Y}
            width={Math.max(0, x(toMs) - x(fromMs))}
            height={BAND}
            fill={phaseFill(phases[0] ?? 'stance')}
          />
        ))}
        {cueMs !== undefined && (
          <GrowingBand phase={phaseNow(events)} fromMs={drawnTo} {...{ cueMs, clock, x }} />
        )}
        <g fontFamily={MONO} fontSize={15} fill={colour('quiet')} textAnchor="middle">
          <line x1={x(0)} x2={x(0)} y1={4} y2={BAND_Y + BAND + 6} stroke={colour('ink')} />
          <text x={x(0)} y={HEIGHT - 10}>
            {say('cue')}
          </text>
          {ticks.map((ms) => (
            <g key={ms}>
              <line
                x1={x(ms)}
                x2={x(ms)}
                y1={4}
                y2={BAND_Y + BAND + 6}
                stroke={colour('ink')}
                strokeWidth={2.5}
              />
              <text x={Math.max(x(ms), x(0) + 38)} y={HEIGHT - 10}>
                {seconds(ms)}
              </text>
            </g>
          ))}
        </g>
      </svg>
    </div>
  );
}
