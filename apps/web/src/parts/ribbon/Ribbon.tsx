import type { Target } from '@orthokin/core/floor';
import { limitsAt, type GatedDuration } from '@orthokin/core/pattern';
import { judgeRep, type RepVerdicts } from '@orthokin/core/progress';
import type { RepReading, TimedEvent } from '@orthokin/core/timing';
import { Flag } from 'lucide-react';
import { useContext, type ReactElement } from 'react';
import { commaList, seconds } from '../../words/format.js';
import { codeOf, FaultNames, type NameOfFault } from '../fault-names.js';
import { MarkerShapeAt } from '../plan/Marker.js';
import { PHASE_COLOURS } from '../phases.js';
import { colour, MONO } from '../tokens.js';
import { VERDICT_LOOK } from '../verdict-look.js';
import { limitsOf, sinceCue, type Limits, type RibbonLimits, type Scale } from './scale.js';
import { segmentsOf } from './segments.js';
import { Band, LimitTick } from './Band.js';
import { say } from '../../words/parts.js';

const BAND = 20;
const ROW = 36;
/** A flag under its band, where there is no room beside it. */
const FLAG = 16;
/** Space for number and marker to the left of the bands. */
export const LEFT = 68;
/** Right edges of the two figures, measured from where flags begin. */
export const FIGURES_BEFORE_FLAGS = { reaction: 82, recovery: 14 } as const;
const FLAG_ROOM = { least: 110, most: 260, icon: 22, letter: 7.4 } as const;

/** Width of the longest flag among some reps. */
export const flagRoom = (readings: readonly RepReading[], nameOf: NameOfFault): number => {
  const longest = Math.max(0, ...readings.map((reading) => flagWords(reading, nameOf).length));
  const { least, most, icon, letter } = FLAG_ROOM;
  return Math.min(most, Math.max(least, icon + letter * longest));
};

/** How high a rep's row is. */
export const rowHeight = (reading: RepReading, roomy: boolean): number =>
  ROW + (!roomy && flagWords(reading, codeOf) ? FLAG : 0);

/** The split-step as an arc above the band, from take-off to landing. */
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

/** Ticks where the limits of a rep end. */
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
    {limitsOf(events, limitsMs).map(({ name, atMs }) => (
      <LimitTick key={name} x={scale.x(atMs)} height={BAND} />
    ))}
  </>
);

function Figure({
  reading,
  name,
  verdicts,
  x,
}: {
  reading: RepReading;
  name: GatedDuration;
  verdicts: RepVerdicts;
  x: number;
}): ReactElement {
  const duration = reading.durations[name];
  const verdict = verdicts[name]?.verdict ?? 'pass';
  const { glyph, ink } = VERDICT_LOOK[verdict];
  return (
    <text
      x={x}
      y={BAND / 2}
      dy="0.35em"
      textAnchor="end"
      fontFamily={MONO}
      fontSize={16}
      fontWeight={verdict === 'fail' ? 700 : 450}
      fill={colour(ink)}
    >
      {glyph && `${glyph} `}
      {duration ? seconds(duration.ms) : '–'}
    </text>
  );
}

const describe = (
  { rep, durations, faults, leftOut }: RepReading,
  verdicts: RepVerdicts,
  nameOf: NameOfFault,
): string => {
  const times = (['reaction', 'response', 'recovery'] as const).flatMap((name) => {
    const duration = durations[name];
    const verdict = verdicts[name]?.verdict;
    return duration
      ? [
          say('nameMsSeconds', {
            ...{ name, ms: seconds(duration.ms) },
            verdict: verdict ? ` ${VERDICT_LOOK[verdict].words}` : '',
          }),
        ]
      : [];
  });
  const notes = [...faults.map(nameOf), leftOut ? say('leftOut') : ''].filter(Boolean);
  return say('repOrdinalTargetValue', {
    ordinal: rep.ordinal,
    target: rep.target,
    value: commaList([...times, ...notes]),
  });
};

/** A rep's flag; a strike-out comes first. */
const flagWords = ({ faults, leftOut }: RepReading, nameOf: NameOfFault): string => {
  const names = faults.map(nameOf);
  return commaList(leftOut === 'struck out' ? [say('struckOut'), ...names] : names);
};

/** One rep: number, marker, bands, limits, and what there is to say about it. */
export function Ribbon({
  reading,
  target,
  limits,
  scale,
  flagsAt,
}: {
  reading: RepReading;
  target: Target | undefined;
  limits: RibbonLimits;
  scale: Scale;
  /** Where flags begin; `null` if there is no space beside the bands. */
  flagsAt: number | null;
}): ReactElement {
  const { rep, leftOut } = reading;
  const limitsMs = limitsAt(limits, rep.target);
  const verdicts = judgeRep(reading, limits);
  const nameOf = useContext(FaultNames);
  const flag = flagWords(reading, nameOf);
  return (
    <g role="img" aria-label={describe(reading, verdicts, nameOf)}>
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
          <Band key={segment.fromMs} segment={segment} scale={scale} height={BAND} />
        ))}
      </g>
      <SplitNotch events={rep.events} scale={scale} />
      {!leftOut && <LimitTicks events={rep.events} limitsMs={limitsMs} scale={scale} />}
      {flagsAt !== null && (
        <>
          <Figure
            reading={reading}
            name="reaction"
            verdicts={verdicts}
            x={flagsAt - FIGURES_BEFORE_FLAGS.reaction}
          />
          <Figure
            reading={reading}
            name="recovery"
            verdicts={verdicts}
            x={flagsAt - FIGURES_BEFORE_FLAGS.recovery}
          />
        </>
      )}
      {flag && (
        <g
          transform={
            flagsAt === null
              ? `translate(${LEFT} ${BAND + 4})`
              : `translate(${flagsAt} ${BAND / 2 - 7})`
          }
          fill={colour('bad')}
        >
          <Flag width={13} height={13} color={colour('bad')} fill={colour('bad')} />
          <text x={18} y={12} fontSize={flagsAt === null ? 13 : 14} fontWeight={650}>
            {flag}
          </text>
        </g>
      )}
    </g>
  );
}
