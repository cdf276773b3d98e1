import type { Target } from '@orthokin/core/floor';
import type { GatedDuration } from '@orthokin/core/pattern';
import { endsOf, eventOf, type RepReading, type TimedEvent } from '@orthokin/core/timing';
import { Flag } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { MarkerShapeAt } from './Marker.js';
import { PhaseSwatch, PHASE_COLOURS, phaseFill, type Phase } from './phases.js';
import { seconds } from './format.js';
import { LONGEST_MARGIN_MS, segmentsOf, STANCE_MS, type Segment } from './segments.js';
import { colour, MONO, NARROW } from './tokens.js';
import { useWidth } from './useWidth.js';

type Limits = Readonly<Partial<Record<GatedDuration, number>>>;

const BAND = 20;
const ROW = 36;
const AXIS = 34;
/** Room for number and marker on the left of the bands. */
const LEFT = 68;
/** Room for the two figures and a flag on the right; without it flags go under their band. */
const RIGHT = 250;
const WIDE_ENOUGH = 640;
const TICK_MS = 500;

interface Scale {
  readonly x: (ms: number) => number;
  readonly endMs: number;
}

function scaleFor(
  readings: readonly RepReading[],
  limitsMs: Limits,
  from: number,
  to: number,
): Scale {
  const ends = readings.flatMap(({ rep }) => segmentsOf(rep.events).map(({ toMs }) => toMs));
  const ticks = readings.flatMap(({ rep }) =>
    limitsOf(rep.events, limitsMs).map(({ atMs }) => atMs),
  );
  const endMs = Math.max(1500, ...ends, ...ticks) + 60;
  const startMs = -STANCE_MS - 130;
  return { endMs, x: (ms) => from + ((ms - startMs) / (endMs - startMs)) * (to - from) };
}

/** Where each limit of a rep falls, counted from its cue. */
const limitsOf = (events: readonly TimedEvent[], limitsMs: Limits) =>
  Object.entries(limitsMs).flatMap(([name, limit]) => {
    const start = sinceCue(events, endsOf(name as GatedDuration)[0]);
    return start === undefined ? [] : [{ name, atMs: start + limit }];
  });

const sinceCue = (events: readonly TimedEvent[], name: Parameters<typeof eventOf>[1]) => {
  const cue = eventOf(events, 'cue');
  const event = eventOf(events, name);
  return cue && event ? event.atMs - cue.atMs : undefined;
};

function Band({ segment, scale }: { segment: Segment; scale: Scale }): ReactElement {
  const x = scale.x(segment.fromMs);
  const height = BAND / segment.phases.length;
  return (
    <>
      {segment.phases.map((phase, i) => (
        <rect
          key={phase}
          x={x}
          y={i * height}
          width={Math.max(0, scale.x(segment.toMs) - x)}
          height={height}
          fill={phaseFill(phase)}
        />
      ))}
    </>
  );
}

/** The split-step as a hop above the band: take-off to landing. */
function SplitNotch({ events, scale }: { events: readonly TimedEvent[]; scale: Scale }) {
  const [takeoff, landing] = [sinceCue(events, 'splitTakeoff'), sinceCue(events, 'splitLanding')];
  if (landing === undefined) return null;
  const [x1, x2] = [scale.x(takeoff ?? landing - 60), scale.x(landing)];
  return (
    <g stroke={PHASE_COLOURS.split} fill="none" strokeWidth={2}>
      <path d={`M${x1} -2Q${(x1 + x2) / 2} -12 ${x2} -2`} />
      <circle cx={x2} cy={-2} r={2.6} fill={PHASE_COLOURS.split} stroke="none" />
    </g>
  );
}

/** A tick where each limit would end: the band must stop before it. */
const LimitTicks = ({
  events,
  limitsMs,
  scale,
}: {
  events: readonly TimedEvent[];
  limitsMs: Limits;
  scale: Scale;
}): ReactElement => (
  <>
    {limitsOf(events, limitsMs).map(({ name, atMs }) => {
      const x = scale.x(atMs);
      return (
        <g key={name} stroke={colour('ink')} strokeWidth={2.5}>
          <line x1={x} x2={x} y1={-5} y2={BAND + 5} stroke={colour('paper')} strokeWidth={5} />
          <line x1={x} x2={x} y1={-5} y2={BAND + 5} />
        </g>
      );
    })}
  </>
);

const isOver = ({ durations }: RepReading, name: GatedDuration, limitsMs: Limits): boolean => {
  const [duration, limit] = [durations[name], limitsMs[name]];
  return duration !== undefined && limit !== undefined && duration.ms > limit;
};

function Figure({
  reading,
  name,
  limitsMs,
  x,
}: {
  reading: RepReading;
  name: GatedDuration;
  limitsMs: Limits;
  x: number;
}): ReactElement {
  const duration = reading.durations[name];
  const over = isOver(reading, name, limitsMs);
  return (
    <text
      x={x}
      y={BAND / 2}
      dy="0.35em"
      textAnchor="end"
      fontFamily={MONO}
      fontSize={16}
      fontWeight={over ? 700 : 450}
      fill={colour(over ? 'bad' : 'ink')}
    >
      {duration ? seconds(duration.ms) : '–'}
    </text>
  );
}

const describe = ({ rep, durations, faults, leftOut }: RepReading): string => {
  const times = (['reaction', 'response', 'recovery'] as const).flatMap((name) => {
    const duration = durations[name];
    return duration ? [`${name} ${seconds(duration.ms)} seconds`] : [];
  });
  const notes = [...faults, leftOut ? 'left out' : ''].filter(Boolean);
  return `Rep ${rep.ordinal}, ${rep.target}: ${[...times, ...notes].join(', ')}`;
};

/** What the flag of a rep says; a strike-out says so first. */
const flagWords = ({ faults, leftOut }: RepReading): string =>
  (leftOut === 'struck out' ? ['struck out', ...faults] : faults).join(', ');

function Row({
  reading,
  target,
  limitsMs,
  scale,
  width,
  roomy,
}: {
  reading: RepReading;
  target: Target | undefined;
  limitsMs: Limits;
  scale: Scale;
  width: number;
  roomy: boolean;
}): ReactElement {
  const { rep, leftOut } = reading;
  const flag = flagWords(reading);
  return (
    <g role="img" aria-label={describe(reading)}>
      <text
        x={22}
        y={BAND / 2}
        dy="0.35em"
        textAnchor="end"
        fontFamily={MONO}
        fontSize={15}
        fill={colour('quiet')}
      >
        {rep.ordinal}
      </text>
      {target && <MarkerShapeAt target={target} x={46} y={BAND / 2} size={13} />}
      <g opacity={leftOut ? 0.45 : 1}>
        {segmentsOf(rep.events).map((segment) => (
          <Band key={segment.fromMs} segment={segment} scale={scale} />
        ))}
      </g>
      <SplitNotch events={rep.events} scale={scale} />
      {!leftOut && <LimitTicks events={rep.events} limitsMs={limitsMs} scale={scale} />}
      {roomy && (
        <>
          <Figure reading={reading} name="reaction" limitsMs={limitsMs} x={width - 192} />
          <Figure reading={reading} name="recovery" limitsMs={limitsMs} x={width - 124} />
        </>
      )}
      {flag && (
        <g
          transform={
            roomy ? `translate(${width - 110} ${BAND / 2 - 7})` : `translate(${LEFT} ${BAND + 4})`
          }
          fill={colour('bad')}
        >
          <Flag width={13} height={13} color={colour('bad')} fill={colour('bad')} />
          <text x={18} y={12} fontSize={roomy ? 14 : 13} fontWeight={650}>
            {flag}
          </text>
        </g>
      )}
    </g>
  );
}

function Axis({ scale, height, limitsMs }: { scale: Scale; height: number; limitsMs: Limits }) {
  const ticks = Array.from(
    { length: Math.floor(scale.endMs / TICK_MS) + 1 },
    (_, i) => i * TICK_MS,
  );
  const reaction = limitsMs.reaction;
  return (
    <g fontFamily={MONO} fontSize={13} textAnchor="middle" fill={colour('quiet')}>
      {ticks.map((ms) => (
        <g key={ms}>
          <line
            x1={scale.x(ms)}
            x2={scale.x(ms)}
            y1={AXIS - 6}
            y2={height}
            stroke={colour(ms === 0 ? 'ink' : 'rule')}
            strokeWidth={ms === 0 ? 2 : 1}
          />
          <text x={scale.x(ms)} y={AXIS - 12}>
            {ms === 0 ? 'cue' : `${(ms / 1000).toFixed(1)}${ms === TICK_MS ? ' s' : ''}`}
          </text>
        </g>
      ))}
      {reaction !== undefined && (
        <line
          x1={scale.x(reaction)}
          x2={scale.x(reaction)}
          y1={AXIS - 6}
          y2={height}
          stroke={colour('ink')}
          strokeDasharray="2 4"
        />
      )}
    </g>
  );
}

const Frame = styled.div`
  overflow: hidden;
  svg {
    display: block;
  }
`;

/** The reps of a set as ribbons on one axis whose zero is the cue. */
export function Ribbons({
  readings,
  targets,
  limitsMs,
}: {
  readings: readonly RepReading[];
  targets: readonly Target[];
  limitsMs: Limits;
}): ReactElement {
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const roomy = width >= WIDE_ENOUGH;
  const row = (reading: RepReading) => ROW + (!roomy && flagWords(reading) ? 16 : 0);
  const scale = scaleFor(readings, limitsMs, LEFT, width - (roomy ? RIGHT : 6));
  const tops = readings.reduce<number[]>(
    (all, reading) => [...all, (all.at(-1) ?? 0) + row(reading)],
    [0],
  );
  const height = AXIS + (tops.at(-1) ?? 0) + 8;
  return (
    <Frame ref={ref}>
      <svg width={width} height={height}>
        <Axis scale={scale} height={height - 8} limitsMs={limitsMs} />
        {roomy && (
          <g fontSize={14} textAnchor="end" fill={colour('quiet')}>
            <text x={width - 192} y={AXIS - 12}>
              reaction
            </text>
            <text x={width - 124} y={AXIS - 12}>
              recovery
            </text>
          </g>
        )}
        {readings.map((reading, i) => (
          <g key={reading.rep.ordinal} transform={`translate(0 ${AXIS + 10 + (tops[i] ?? 0)})`}>
            <Row
              reading={reading}
              target={targets.find(({ letter }) => letter === reading.rep.target)}
              limitsMs={limitsMs}
              scale={scale}
              width={width}
              roomy={roomy}
            />
          </g>
        ))}
      </svg>
    </Frame>
  );
}

const LegendList = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 15px;
  color: ${colour('quiet')};
  li {
    display: flex;
    align-items: center;
    gap: 7px;
  }
  @media (max-width: ${NARROW}) {
    column-gap: 14px;
  }
`;

/** What the bands and ticks of ribbons mean, for the phases that occur. */
export function RibbonLegend({ readings }: { readings: readonly RepReading[] }): ReactElement {
  const segments = readings.flatMap(({ rep }) => segmentsOf(rep.events));
  const present = new Set<Phase>(segments.flatMap(({ phases }) => phases));
  const shares = segments.some(({ phases }) => phases.length > 1);
  const hasSplit = readings.some(({ rep }) => eventOf(rep.events, 'splitLanding'));
  return (
    <LegendList aria-label="What the bands mean">
      {[...present].map((phase) => (
        <li key={phase}>
          <PhaseSwatch phase={phase} /> {phase}
          {phase === 'ready margin' && ` (at most ${LONGEST_MARGIN_MS / 1000} s drawn)`}
        </li>
      ))}
      {hasSplit && (
        <li>
          <svg width={20} height={14} aria-hidden>
            <path d="M1 11Q9 -3 17 11" stroke={PHASE_COLOURS.split} strokeWidth={2} fill="none" />
            <circle cx={17} cy={11} r={2.6} fill={PHASE_COLOURS.split} />
          </svg>
          split-step
        </li>
      )}
      <li>
        <svg width={6} height={16} aria-hidden>
          <line x1={3} x2={3} y1={0} y2={16} stroke={colour('ink')} strokeWidth={2.5} />
        </svg>
        limit
      </li>
      {shares && <li>Stacked bands: the moment between them was not timed.</li>}
    </LegendList>
  );
}
