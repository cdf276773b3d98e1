import type { EvidenceReply } from '@orthokin/contract';
import type { Decision, RuleState, SetOutcome } from '@orthokin/core/progress';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { dayWords, secondsWithUnit } from '../../words/format.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/ladder.js';

const Boxes = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
  a {
    display: grid;
    place-items: center;
    gap: 2px;
    min-width: 92px;
    min-height: 62px;
    padding: 6px 10px;
    border: 2px solid ${colour('ink')};
    border-radius: 4px;
    font-size: 15px;
    text-decoration: none;
    color: ${colour('ink')};
  }
  a[data-outcome='passed'] {
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
  a[data-outcome='too few reps'],
  a[data-seen='false'] {
    border-style: dashed;
    border-color: ${colour('quiet')};
  }
`;

const MOST_BOXES = 8;
const OUTCOME_SIGNS: Readonly<Record<SetOutcome, string>> = {
  passed: say('passed'),
  'not passed': say('notPassed'),
  'too close to call': say('tooClose'),
  'too few reps': say('tooFewReps'),
};

const Sets = ({
  evidence,
  seen,
}: {
  evidence: readonly EvidenceReply[];
  seen: number;
}): ReactElement => (
  <Boxes aria-label={say('setsThisRungOldestFirst')}>
    {evidence.slice(-MOST_BOXES).map(({ setId, startedAt, judgement }, i, shown) => (
      <li key={setId}>
        <Link
          to={`/review/${setId}`}
          data-outcome={judgement.outcome}
          data-seen={i >= shown.length - seen}
        >
          {OUTCOME_SIGNS[judgement.outcome]}
          <small>{dayWords(startedAt)}</small>
        </Link>
      </li>
    ))}
  </Boxes>
);

const WIDTH = 620;
const HEIGHT = 170;
const PAD = 22;

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 760px;
  height: auto;
  text {
    font-size: 14px;
    fill: ${colour('quiet')};
  }
`;

/** The sequential test's evidence rep by rep, between its two bounds. */
function SequentialPath({
  state,
}: {
  state: Extract<RuleState, { kind: 'sequential' }>;
}): ReactElement {
  const { path, upper, lower } = state;
  const y = (value: number) => PAD + ((HEIGHT - 2 * PAD) * (upper - value)) / (upper - lower);
  const step = (WIDTH - 2 * PAD) / Math.max(12, path.length);
  const points = path.map((value, i) => ({
    x: PAD + (i + 1) * step,
    y: y(Math.max(lower, Math.min(upper, value))),
    passed: value > (path[i - 1] ?? 0),
  }));
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say('evidenceAfterPathRepsReadyUpper', {
        path: path.length,
        at: (path.at(-1) ?? 0).toFixed(1),
        upper: upper.toFixed(1),
        lower: lower.toFixed(1),
      })}
    >
      {[
        [upper, 'ready', colour('good')] as const,
        [lower, say('notReadyStartAnew'), colour('bad')] as const,
      ].map(([bound, words, ink]) => (
        <g key={words}>
          <line
            x1={PAD}
            x2={WIDTH - PAD}
            y1={y(bound)}
            y2={y(bound)}
            stroke={ink}
            strokeWidth={2.5}
            strokeDasharray="7 5"
          />
          <text x={WIDTH - PAD} y={y(bound) + (bound > 0 ? -6 : 17)} textAnchor="end">
            {words}
          </text>
        </g>
      ))}
      <line x1={PAD} x2={WIDTH - PAD} y1={y(0)} y2={y(0)} stroke={colour('rule')} />
      <polyline
        points={[`${PAD},${y(0)}`, ...points.map((at) => `${at.x},${at.y}`)].join(' ')}
        fill="none"
        stroke={colour('ink')}
        strokeWidth={2}
      />
      {points.map((at, i) => (
        <circle
          key={i}
          cx={at.x}
          cy={at.y}
          r={4}
          fill={colour(at.passed ? 'ink' : 'paper')}
          stroke={colour(at.passed ? 'ink' : 'bad')}
          strokeWidth={2}
        />
      ))}
    </Drawing>
  );
}

/** A staircase set's pace rep by rep, against the limit of the cycle. */
function StaircasePath({
  state: { reading, wantedMs },
}: {
  state: Extract<RuleState, { kind: 'staircase' }>;
}): ReactElement {
  if (!reading) return <Quiet>{say('noSetPaceMovesItselfYet')}</Quiet>;
  const paces = [...reading.pacesMs, reading.nextMs];
  const all = wantedMs === null ? paces : [...paces, wantedMs];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const y = (ms: number) => PAD + ((HEIGHT - 2 * PAD) * (most - ms)) / Math.max(1, most - least);
  const step = (WIDTH - 2 * PAD) / Math.max(12, paces.length);
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say('paceOverPacesmsRepsFromPaces', {
        pacesMs: reading.pacesMs.length,
        paces: secondsWithUnit(paces[0] ?? 0),
        nextMs: secondsWithUnit(reading.nextMs),
      })}
    >
      {wantedMs !== null && (
        <g>
          <line
            x1={PAD}
            x2={WIDTH - PAD}
            y1={y(wantedMs)}
            y2={y(wantedMs)}
            stroke={colour('good')}
            strokeWidth={2.5}
            strokeDasharray="7 5"
          />
          <text x={WIDTH - PAD} y={y(wantedMs) - 6} textAnchor="end">
            {say('wantedWantedms', { wantedMs: secondsWithUnit(wantedMs) })}
          </text>
        </g>
      )}
      <path
        d={paces
          .map(
            (ms, i) =>
              `${i === 0 ? 'M' : 'V'}${i === 0 ? `${PAD},` : ''}${y(ms)}H${PAD + (i + 1) * step}`,
          )
          .join('')}
        fill="none"
        stroke={colour('ink')}
        strokeWidth={2}
      />
    </Drawing>
  );
}

/** The rule's progress, drawn as the rule counts it. */
export function RulePath({
  decision: { state },
  evidence,
}: {
  decision: Decision;
  evidence: readonly EvidenceReply[];
}): ReactElement {
  switch (state.kind) {
    case 'count':
      return evidence.length > 0 ? (
        <Sets evidence={evidence} seen={state.setsSeen} />
      ) : (
        <Quiet>{say('noSetThisRungYetAsked')}</Quiet>
      );
    case 'sequential':
      return <SequentialPath state={state} />;
    case 'staircase':
      return <StaircasePath state={state} />;
  }
}
