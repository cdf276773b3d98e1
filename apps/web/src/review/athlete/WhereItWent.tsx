import { isClear, type PhaseChange } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Explained } from '../../parts/explained/Explained.js';
import { phaseFill } from '../../parts/phases.js';
import { Heading } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { phaseChangeWords, say, seasonPhase } from '../../words/season.js';

const LONGEST = 110;

const Part = styled.section`
  dl {
    margin: 10px 0 0;
  }
  dt {
    margin-top: 12px;
  }
  dd {
    display: flex;
    align-items: center;
    gap: 8px;
    margin: 2px 0 0;
    font-family: ${MONO};
    white-space: nowrap;
  }
  .unclear {
    color: ${colour('quiet')};
  }
`;

/** In which phases time was gained or lost; unclear changes are only called unclear. */
export function WhereItWent({ phases }: { phases: readonly PhaseChange[] }): ReactElement | null {
  if (phases.length === 0) return null;
  const most = Math.max(...phases.map(({ change }) => Math.abs(change.changeMs)));
  return (
    <Part>
      <Heading>{say('whereItWent')}</Heading>
      <dl>
        {phases.map((one) => {
          const { phase, change } = one;
          const isSure = isClear(change.words);
          return (
            <div key={phase}>
              <dt>
                <Explained what={phase}>{seasonPhase(phase)}</Explained>
              </dt>
              <dd className={isSure ? '' : 'unclear'}>
                {isSure && (
                  <svg
                    width={Math.max(3, (LONGEST * Math.abs(change.changeMs)) / most)}
                    height={16}
                    aria-hidden
                  >
                    <rect width="100%" height={16} fill={phaseFill(phase)} />
                  </svg>
                )}
                {phaseChangeWords(one)}
              </dd>
            </div>
          );
        })}
      </dl>
    </Part>
  );
}
