import type { Rung } from '@orthokin/core/pattern';
import { GATED_DURATIONS, raisedBy } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { capital } from '../../words/format.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { sourceWords } from '../../words/limit.js';
import { changesBetween, raisesWords } from '../../words/rung.js';
import { say } from '../../words/ladder.js';

const Changes = styled.dl`
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 18px;
  margin: 8px 0;
  dt {
    color: ${colour('quiet')};
  }
  dd {
    margin: 0;
  }
  .to {
    font-weight: 650;
  }
`;

/** What the next rung changes, and where its limits come from. */
export function NextRung({ from, to }: { from: Rung; to: Rung }): ReactElement {
  const sources = GATED_DURATIONS.filter((gate) => to.limitsMs[gate] !== undefined);
  return (
    <section>
      <Heading>
        {say('rungNumberRaiseswords', {
          number: to.number,
          raisesWords: raisesWords(raisedBy(from, to)),
        })}
      </Heading>
      <Changes>
        {changesBetween(from, to).map((change) => (
          <div key={change.what} style={{ display: 'contents' }}>
            <dt>{change.what}</dt>
            <dd>
              {change.from} → <span className="to">{change.to}</span>
            </dd>
          </div>
        ))}
      </Changes>
      {sources.map((gate) => (
        <Quiet key={gate} style={{ fontSize: 15 }}>
          {capital(gate)}: {sourceWords(to.limitSources[gate])}.
        </Quiet>
      ))}
    </section>
  );
}
