import type { Rung } from '@orthokin/core/pattern';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Sole } from '../parts/plan/Sole.js';
import { colour, NARROW } from '../parts/tokens.js';

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
  grid-template-columns: 34px minmax(0, 1fr) auto;
  align-items: end;
  gap: 2px 8px;
  min-height: 54px;
  padding: 8px 10px 7px 12px;
  border-bottom: 3px solid ${colour('rule')};
  color: ${colour('quiet')};
  .number {
    font-weight: 750;
    font-size: 21px;
    line-height: 1.15;
  }
  .when {
    font-size: 15px;
    white-space: nowrap;
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
    font-size: 18px;
  }
  &[data-here='true'] .number {
    color: ${colour('bad')};
    font-size: 23px;
  }
  .feet {
    position: absolute;
    left: -50px;
    bottom: -2px;
    color: ${colour('bad')};
  }
  .who {
    grid-column: 2 / -1;
  }
`;

/** The ladder from its easiest rung at the foot to its hardest, with a place on it. */
export function LadderDrawing({
  rungs,
  here = null,
  label,
  when,
  who,
}: {
  rungs: readonly Rung[];
  /** Where the one athlete stands; `null` where it is everyone's. */
  here?: number | null;
  label: string;
  when?: (rung: Rung) => ReactNode;
  who?: (rung: Rung) => ReactNode;
}): ReactElement {
  return (
    <Rails aria-label={label}>
      {rungs.map((rung) => {
        const isHere = rung.number === here;
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
            <span className="name">{rung.name}</span>
            <span className="when">{when?.(rung)}</span>
            {who && <span className="who">{who(rung)}</span>}
          </RungLine>
        );
      })}
    </Rails>
  );
}
