import type { RepMarks } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { lastRep } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { colour } from '../../parts/tokens.js';
import { KeyRow } from '../../parts/KeyRow.js';
import { say } from '../../words/floor.js';

const Row = styled(KeyRow)`
  margin-bottom: 12px;
  button[aria-pressed='true'] {
    box-shadow: inset 0 0 0 2px ${colour('ink')};
  }
`;

/** Marks whether the late cue was answered correctly, for the current rep or the last. */
export function LateMark({
  run,
  onMark,
}: {
  run: Run;
  onMark: (marks: RepMarks) => void;
}): ReactElement {
  const isOpen = run.open.repId !== null;
  const marks = isOpen ? run.open.marks : lastRep(run)?.marks;
  const ordinal = isOpen ? run.ordinal : lastRep(run)?.ordinal;
  const show = run.plan.cues.find((cue) => cue.ordinal === ordinal)?.late?.show;
  return (
    <Row role="group" aria-label={say('whatAppearedArrival')}>
      <span>{say('arrivalWhich', { which: show ? `, ${show}` : '' })}</span>
      {([true, false] as const).map((right) => (
        <button
          key={String(right)}
          type="button"
          aria-pressed={marks?.lateRight === right}
          onClick={() => onMark({ lateRight: right })}
        >
          {right ? 'correct' : 'wrong'} <kbd>{right ? 'Y' : 'N'}</kbd>
        </button>
      ))}
    </Row>
  );
}
