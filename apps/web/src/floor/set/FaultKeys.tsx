import type { Fault } from '@orthokin/core/timing';
import { useContext, type ReactElement } from 'react';
import styled from 'styled-components';
import { lastRep } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { ClubContext } from '../../api/club.js';
import { colour, LOW } from '../../parts/tokens.js';
import { KeyRow } from '../../parts/KeyRow.js';
import { say } from '../../words/floor.js';
import { faultWords } from '../../words/fault.js';
import { keyedFaults } from '../acts/keyed-faults.js';

const Row = styled(KeyRow)`
  margin-bottom: 12px;
  @media ${LOW} {
    margin-bottom: 6px;
  }
  button[aria-pressed='true'] {
    border-color: ${colour('bad')};
    color: ${colour('bad')};
    box-shadow: inset 0 0 0 1.5px ${colour('bad')};
  }
`;

/** Reports faults of the current rep, or else the last. */
export function FaultKeys({
  run,
  onFault,
}: {
  run: Run;
  onFault: (fault: Fault) => void;
}): ReactElement {
  const own = useContext(ClubContext)?.faults ?? [];
  const isOpen = run.open.repId !== null;
  const said: readonly Fault[] = isOpen ? run.open.faults : (lastRep(run)?.seenFaults ?? []);
  return (
    <Row role="group" aria-label={isOpen ? say('faultsThisRep') : say('faultsLastRep')}>
      {keyedFaults(run).map((fault, i) => (
        <button
          key={fault}
          type="button"
          aria-pressed={said.includes(fault)}
          title={faultWords(fault, own).say}
          onClick={() => onFault(fault)}
        >
          {faultWords(fault, own).name} <kbd>{i + 1}</kbd>
        </button>
      ))}
    </Row>
  );
}
