import {
  GATED_DURATIONS,
  limitRange,
  stepUp,
  type Pattern,
  type Rung,
} from '@orthokin/core/pattern';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { PhaseSwatch } from '../parts/phases.js';
import { Sole } from '../parts/plan/Sole.js';
import { colour, MONO, NARROW } from '../parts/tokens.js';
import { percent } from '../words/format.js';
import { say } from '../words/ladder.js';
import { shortLimit } from '../words/limit.js';
import { stepWords } from '../words/rung.js';
import { RungFloor } from './RungFloor.js';

const Rails = styled.ol`
  display: flex;
  flex-direction: column-reverse;
  margin: 18px 0 8px;
  padding: 14px 0 18px;
  list-style: none;
  border-left: 4px solid ${colour('ink')};
  border-right: 4px solid ${colour('ink')};
  margin-left: 46px;
  @media (max-width: ${NARROW}) {
    margin-left: 40px;
  }
`;

const RungLine = styled.li`
  position: relative;
  display: grid;
  grid-template-columns: 24px 88px minmax(0, 1fr);
  align-items: center;
  gap: 2px 14px;
  padding: 9px 12px 8px;
  border-bottom: 3px solid ${colour('rule')};
  color: ${colour('quiet')};
  .number {
    font-weight: 750;
    font-size: 22px;
    line-height: 1.15;
  }
  .top {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 2px 8px;
  }
  .name {
    font-size: 17px;
    line-height: 1.25;
  }
  .asks {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 1px 12px;
    margin-top: 4px;
    font-size: 15px;
  }
  .asks span:first-child {
    flex-basis: 100%;
    white-space: normal;
  }
  .asks span {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    white-space: nowrap;
  }
  b {
    font: 450 15px ${MONO};
  }
  .step {
    padding: 1px 10px;
    border: 1px solid ${colour('rule')};
    border-radius: 12px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font-size: 14px;
    line-height: 1.4;
  }
  .when {
    margin-left: auto;
    font-size: 15px;
  }
  &[data-reached='true'] {
    border-bottom-color: ${colour('ink')};
    color: ${colour('ink')};
  }
  &[data-here='true'] {
    border-bottom: 6px solid ${colour('bad')};
    color: ${colour('ink')};
  }
  &[data-here='true'] .name,
  &[data-here='true'] .number {
    font-weight: 750;
  }
  &[data-here='true'] .number {
    color: ${colour('bad')};
  }
  .feet {
    position: absolute;
    left: -50px;
    bottom: 14px;
    color: ${colour('bad')};
  }
  .who {
    grid-column: 3;
  }
  @media (max-width: ${NARROW}) {
    gap: 2px 8px;
    padding-inline: 8px;
    .who {
      grid-column: 2 / -1;
    }
  }
`;

/** A rung's limits, each in its phase's column. */
const Limits = ({ rung }: { rung: Rung }): ReactElement[] =>
  GATED_DURATIONS.flatMap((gate) => {
    const limitMs = rung.limitsMs[gate];
    if (limitMs === undefined) return [];
    return [
      <span key={gate}>
        {gate === 'reaction' || gate === 'recovery' ? <PhaseSwatch phase={gate} /> : gate}
        <b>{shortLimit(limitMs, limitRange(rung, gate))}</b>
      </span>,
    ];
  });

/** The ladder, easiest rung at the bottom, with a place on it. */
export function LadderDrawing({
  pattern,
  here = null,
  label,
  when,
  who,
}: {
  pattern: Pattern;
  /** The athlete's rung; `null` if it is everybody's ladder. */
  here?: number | null;
  label: string;
  when?: (rung: Rung) => ReactNode;
  who?: (rung: Rung) => ReactNode;
}): ReactElement {
  const { rungs } = pattern;
  return (
    <Rails aria-label={label}>
      {rungs.map((rung, i) => {
        const isHere = rung.number === here;
        const below = rungs[i - 1];
        const step = below && stepWords(stepUp(below, rung));
        return (
          <RungLine
            key={rung.number}
            data-here={isHere}
            data-reached={here === null || rung.number < here}
            aria-current={isHere ? 'step' : undefined}
          >
            {isHere && (
              <svg className="feet" width={38} height={40} viewBox="-0.6 -0.6 1.2 1.2" aria-hidden>
                <Sole foot="left" x={-0.26} y={0} headingDeg={-5} length={0.95} />
                <Sole foot="right" x={0.26} y={0} headingDeg={5} length={0.95} />
              </svg>
            )}
            <span className="number">{rung.number}</span>
            <RungFloor pattern={pattern} rung={rung} />
            <span>
              <span className="top">
                <span className="name">{rung.name}</span>
                {step && <span className="step">{step}</span>}
              </span>
              <span className="asks">
                <span>{say('timeOfMatch', { share: percent(rung.timeFactor) })}</span>
                <Limits rung={rung} />
                {when && <span className="when">{when(rung)}</span>}
              </span>
            </span>
            {who && <span className="who">{who(rung)}</span>}
          </RungLine>
        );
      })}
    </Rails>
  );
}
