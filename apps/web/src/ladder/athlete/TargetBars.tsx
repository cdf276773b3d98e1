import type { AthleteLadderReply } from '@orthokin/contract';
import type { Rung, TargetedDuration } from '@orthokin/core/pattern';
import { targetGauges, type TargetGauge } from '@orthokin/core/progress';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { Explained } from '../../parts/explained/Explained.js';
import { phaseFill } from '../../parts/phases.js';
import { Marker } from '../../parts/plan/Marker.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { VERDICT_LOOK } from '../../parts/verdict-look.js';
import { capital, seconds } from '../../words/format.js';
import { say } from '../../words/ladder.js';
import { usePooledReps } from '../usePooledReps.js';

const Bars = styled.ul`
  display: grid;
  gap: 7px;
  margin: 6px 0 18px;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: 30px minmax(120px, 1fr) minmax(190px, 0.7fr);
    align-items: center;
    gap: 4px 14px;
  }
  svg.bar {
    display: block;
    width: 100%;
    height: 26px;
  }
  .figures {
    font-family: ${MONO};
    font-size: 15px;
  }
  small {
    display: block;
    font-size: 14px;
    color: ${colour('quiet')};
  }
  @media (max-width: 520px) {
    li {
      grid-template-columns: 30px minmax(0, 1fr);
    }
    .figures {
      grid-column: 2;
    }
  }
`;

const WIDTH = 300;
/** The longest limit's place on the bars. */
const LIMIT_AT = 0.8;

/** Each target against its own limit: the median as a bar, the interquartile range as a line. */
export function TargetBars({
  ladder: { athlete, pattern, evidence },
  rung,
}: {
  ladder: AthleteLadderReply;
  rung: Rung;
}): ReactElement | null {
  const reps = usePooledReps(athlete.id, pattern.id, 'recovery');
  const gauges = useMemo(
    () =>
      reps
        ? targetGauges(
            reps,
            rung,
            evidence.map(({ setId }) => setId),
          )
        : [],
    [reps, evidence, rung],
  );
  if (gauges.length === 0) return null;
  return (
    <section>
      <Heading>{say('eachTargetAgainstItsLimit')}</Heading>
      <Quiet style={{ fontSize: 15, marginBottom: 10 }}>
        {say('eachTargetHow', { sets: evidence.length })}
      </Quiet>
      {gauges.map(({ gate, targets }) => (
        <div key={gate}>
          <strong style={{ fontWeight: 650 }}>
            <Explained what={gate}>{capital(gate)}</Explained>
          </strong>
          <Bars aria-label={say('gateByTarget', { gate })}>
            {targets.map((gauge) => (
              <Line
                key={gauge.target}
                gauge={gauge}
                fill={FILL[gate]}
                mostMs={Math.max(...targets.map(({ limitMs }) => limitMs)) / LIMIT_AT}
                marker={pattern.targets.find(({ letter }) => letter === gauge.target)}
              />
            ))}
          </Bars>
        </div>
      ))}
    </section>
  );
}

const FILL: Readonly<Record<TargetedDuration, string>> = {
  response: phaseFill('travel'),
  recovery: phaseFill('recovery'),
};

/** Clearly over if the whole range is, too close if the limit lies within it. */
const lookOf = ([low, high]: readonly [number, number], limitMs: number) =>
  VERDICT_LOOK[low > limitMs ? 'fail' : high > limitMs ? 'too close to call' : 'pass'];

function Line({
  gauge: { n, medianMs, middle, limitMs },
  fill,
  mostMs,
  marker,
}: {
  gauge: TargetGauge;
  fill: string;
  mostMs: number;
  marker: AthleteLadderReply['pattern']['targets'][number] | undefined;
}): ReactElement {
  const x = (ms: number) => WIDTH * Math.min(1, ms / mostMs);
  const overMs = medianMs - limitMs;
  const look = lookOf(middle, limitMs);
  return (
    <li>
      {marker && <Marker target={marker} size={26} />}
      <svg className="bar" viewBox={`0 0 ${WIDTH} 26`} preserveAspectRatio="none" aria-hidden>
        <rect y={8} width={WIDTH} height={10} fill={colour('rule')} opacity={0.55} />
        <rect y={8} width={x(medianMs)} height={10} fill={fill} />
        <rect
          x={x(middle[0])}
          y={12}
          width={Math.max(1, x(middle[1]) - x(middle[0]))}
          height={2.5}
          fill={colour('ink')}
        />
        <rect x={x(limitMs) - 1.5} y={1} width={3} height={24} fill={colour('ink')} />
      </svg>
      <span className="figures">
        <span style={{ color: colour(look.ink) }}>
          {look.glyph}{' '}
          {say(overMs > 0 ? 'targetOver' : 'targetInside', {
            median: seconds(medianMs),
            by: seconds(Math.abs(overMs)),
          })}
        </span>
        <small>{say('targetLimit', { limit: seconds(limitMs), n })}</small>
      </span>
    </li>
  );
}
