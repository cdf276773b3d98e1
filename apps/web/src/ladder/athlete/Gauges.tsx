import type { LimitSources } from '@orthokin/core/pattern';
import type { CoachGate, SetJudgement, TimeGate } from '@orthokin/core/progress';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { lackWords } from '../../words/decision.js';
import { capital, orList, percent } from '../../words/format.js';
import { Explained } from '../../parts/explained/Explained.js';
import { phaseFill, type Phase } from '../../parts/phases.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { coachLimitWords, limitWords, sourceWords } from '../../words/limit.js';
import { say } from '../../words/ladder.js';
import type { Quantity } from '../../words/quantity.js';

const Rows = styled.ul`
  margin: 0;
  padding: 0;
  list-style: none;
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: 130px minmax(120px, 1fr) minmax(220px, 1.3fr);
  align-items: center;
  gap: 4px 22px;
  min-height: 56px;
  padding: 8px 0;
  border-top: 1px solid ${colour('rule')};
  strong {
    font-weight: 650;
  }
  .why {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .met {
    color: ${colour('good')};
    font-weight: 700;
  }
  .not {
    color: ${colour('bad')};
    font-weight: 700;
  }
  svg {
    display: block;
    width: 100%;
    height: 30px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 110px minmax(0, 1fr);
    .says {
      grid-column: 1 / -1;
    }
  }
`;

const WIDTH = 300;

/** A bar and its limit's tick, as shares of the gauge's length. */
function Bar({ share, tick, fill }: { share: number; tick: number; fill: string }): ReactElement {
  const at = (value: number) => WIDTH * Math.min(1, Math.max(0, value));
  return (
    <svg viewBox={`0 0 ${WIDTH} 30`} preserveAspectRatio="none" aria-hidden>
      <rect y={10} width={WIDTH} height={10} fill={colour('rule')} opacity={0.55} />
      <rect y={10} width={at(share)} height={10} fill={fill} />
      <rect x={at(tick) - 1.5} y={2} width={3} height={26} fill={colour('ink')} />
    </svg>
  );
}

function Gauge({
  name,
  what,
  share,
  tick,
  fill,
  met,
  says,
  why,
}: {
  name: string;
  what: Quantity;
  share: number;
  tick: number;
  fill: string;
  /** `null` if it is too close to call, or unknown. */
  met: boolean | null;
  says: string;
  why?: string | undefined;
}): ReactElement {
  return (
    <Row>
      <strong>
        <Explained what={what}>{name}</Explained>
      </strong>
      <Bar share={share} tick={tick} fill={fill} />
      <span className="says">
        {met !== null && <span className={met ? 'met' : 'not'}>{met ? 'met' : say('notYet')}</span>}
        {met !== null && ' · '}
        {says}
        {why && (
          <>
            <br />
            <span className="why">{why}</span>
          </>
        )}
      </span>
    </Row>
  );
}

/** The limit's place on a gauge. */
const LIMIT_AT = 0.8;

const PHASE_OF: Readonly<Partial<Record<TimeGate['gate'], Phase>>> = {
  reaction: 'reaction',
  recovery: 'recovery',
};

function TimeGauge({
  gate,
  of,
  source,
}: {
  gate: TimeGate;
  of: number;
  source: string;
}): ReactElement {
  const { gate: name, limitMs, range, overMs, passes, needed, tooClose, verdict } = gate;
  const phase = PHASE_OF[name];
  const close = tooClose > 0 ? say('toocloseTooCloseCall', { tooClose }) : '';
  return (
    <Gauge
      name={capital(name)}
      what={name}
      share={(LIMIT_AT * (limitMs + overMs)) / limitMs}
      tick={LIMIT_AT}
      fill={phase ? phaseFill(phase) : colour('ink')}
      met={verdict === 'too close to call' ? null : verdict === 'pass'}
      says={say('passesInsideLimitmsCloseNeededNeeded', {
        passes,
        of,
        limitMs: limitWords(limitMs, range),
        close,
        needed,
      })}
      why={source}
    />
  );
}

/** Scale for an event's limit, which may be zero or negative: this much too late fills the bar, ms. */
const LATE_MS = 400;

function CoachGauge({ gate, of }: { gate: CoachGate; of: number }): ReactElement {
  const { event, passes, needed, tooClose, verdict, overMs } = gate;
  return (
    <Gauge
      name={capital(event)}
      what="coachEvent"
      share={LIMIT_AT + (overMs / LATE_MS) * (1 - LIMIT_AT)}
      tick={LIMIT_AT}
      fill={colour('ink')}
      met={verdict === 'too close to call' ? null : verdict === 'pass'}
      says={say('ownEventSays', {
        ...{ passes, of, needed },
        limit: coachLimitWords(gate),
        close: tooClose > 0 ? say('toocloseTooCloseCall', { tooClose }) : '',
      })}
      why={say('markedOnFilm')}
    />
  );
}

/** Every gate of a set as a bar against its limit, with the evidence and the limit's source. */
export function Gauges({
  judgement: { times, coach = [], validReps, technique, falseStarts, held, spread },
  sources,
}: {
  judgement: SetJudgement;
  sources: LimitSources;
}): ReactElement {
  const { cuedReps } = technique;
  const isWatched = technique.watched.length > 0;
  return (
    <Rows aria-label={say('gates')}>
      {times.map((gate) => (
        <TimeGauge
          key={gate.gate}
          gate={gate}
          of={validReps.reps}
          source={sourceWords(sources[gate.gate])}
        />
      ))}
      {coach.map((gate) => (
        <CoachGauge key={`${gate.event} ${gate.from}`} gate={gate} of={validReps.reps} />
      ))}
      <Gauge
        name={say('technique')}
        what="clean"
        share={isWatched && cuedReps > 0 ? technique.clean / cuedReps : 0}
        tick={cuedReps > 0 ? technique.needed / cuedReps : LIMIT_AT}
        fill={phaseFill('load')}
        met={isWatched ? technique.met : null}
        says={
          isWatched
            ? say('cleanCuedrepsWithoutWatchedNeededNeeded', {
                clean: technique.clean,
                cuedReps,
                watched: orList(technique.watched),
                needed: technique.needed,
              })
            : say('nobodyWatchedFaultsChooseOneTwo')
        }
      />
      <Gauge
        name={say('wentEarly')}
        what="wentEarly"
        share={cuedReps > 0 ? falseStarts.falseStarts / cuedReps / 0.5 : 0}
        tick={cuedReps > 0 ? falseStarts.allowed / cuedReps / 0.5 : 0}
        fill={phaseFill('split')}
        met={falseStarts.met}
        says={say('falsestartsCuedrepsAllowedAllowed', {
          falseStarts: falseStarts.falseStarts,
          cuedReps: falseStarts.cuedReps,
          allowed: falseStarts.allowed,
        })}
      />
      {held && (
        <Gauge
          name={say('catchTrials')}
          what="catchTrials"
          share={held.held / held.trials}
          tick={held.needed / held.trials}
          fill={phaseFill('ready margin')}
          met={held.met}
          says={say('heldTrialsHeldNeededNeeded', {
            held: held.held,
            trials: held.trials,
            needed: held.needed,
          })}
        />
      )}
      {spread && (
        <Gauge
          name="Spread"
          what="spread"
          share={(LIMIT_AT * spread.share) / spread.most}
          tick={LIMIT_AT}
          fill={phaseFill('stance')}
          met={spread.met}
          says={say('shareMedianMostAllowed', {
            share: percent(spread.share),
            most: percent(spread.most),
          })}
        />
      )}
      {!validReps.met && (
        <Gauge
          name="Reps"
          what="counted"
          share={validReps.reps / validReps.needed}
          tick={1}
          fill={colour('quiet')}
          met={false}
          says={lackWords(validReps)}
        />
      )}
    </Rows>
  );
}
