import { eventOf, type RepReading } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { PHASE_COLOURS, PhaseSwatch, type Phase } from '../phases.js';
import { colour, NARROW } from '../tokens.js';
import { LONGEST_MARGIN_MS, segmentsOf } from './segments.js';
import { say } from '../../words/parts.js';

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

/** A legend of bands and ticks, for the phases that occur. */
export function RibbonLegend({ readings }: { readings: readonly RepReading[] }): ReactElement {
  const segments = readings.flatMap(({ rep }) => segmentsOf(rep.events));
  const present = new Set<Phase>(segments.flatMap(({ phases }) => phases));
  const shares = segments.some(({ phases }) => phases.length > 1);
  const hasSplit = readings.some(({ rep }) => eventOf(rep.events, 'splitLanding'));
  return (
    <LegendList aria-label={say('whatBandsMean')}>
      {[...present].map((phase) => (
        <li key={phase}>
          <PhaseSwatch phase={phase} />{' '}
          {phase === 'ready margin'
            ? say('leftBeforeNextCue', { mostS: LONGEST_MARGIN_MS / 1000 })
            : phase}
        </li>
      ))}
      {hasSplit && (
        <li>
          <svg width={20} height={14} aria-hidden>
            <path d="M1 11Q9 -3 17 11" stroke={PHASE_COLOURS.split} strokeWidth={2} fill="none" />
            <circle cx={17} cy={11} r={2.6} fill={PHASE_COLOURS.split} />
          </svg>
          {say('splitStep')}
        </li>
      )}
      <li>
        <svg width={6} height={16} aria-hidden>
          <line x1={3} x2={3} y1={0} y2={16} stroke={colour('ink')} strokeWidth={2.5} />
        </svg>
        {say('limit')}
      </li>
      {shares && <li>{say('stackedBandsMomentBetweenThemWas')}</li>}
    </LegendList>
  );
}
