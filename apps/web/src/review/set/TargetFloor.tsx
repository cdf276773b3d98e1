import type { Rung } from '@orthokin/core/pattern';
import type { PatternReply } from '@orthokin/contract';
import { targetFigures, travelLine } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { commaList, seconds, semicolonList } from '../../words/format.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { viewOfTargets } from '../../parts/plan/view.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { residualSentence, signed } from '../../words/set.js';
import { slowestHome } from '../../words/verdict.js';
import { say } from '../../words/review.js';

const Section = styled.section`
  svg {
    max-height: 430px;
  }
`;

/** Floor added for four lines of text below the nearest targets, m. */
const LEGEND_ROOM_M = 0.7;

/** Targets on the floor with response and recovery, and the residual from the athlete's travel line. */
export function TargetFloor({
  readings,
  pattern,
  rung,
  errorSdMs,
}: {
  readings: readonly RepReading[];
  pattern: PatternReply;
  rung: Rung | undefined;
  errorSdMs: number;
}): ReactElement {
  const figures = targetFigures(readings, pattern.targets);
  const line = travelLine(readings, pattern.targets);
  const residual = (letter: string) => (line.ok ? line.value.residualsMs.get(letter) : undefined);
  const legend = (letter: string): string[] => {
    const own = figures.find((each) => each.letter === letter);
    if (!own) return [];
    const out =
      own.responseMs === null ? '' : say('outResponsems', { responseMs: seconds(own.responseMs) });
    const home =
      own.recoveryMs === null ? '' : say('homeRecoveryms', { recoveryMs: seconds(own.recoveryMs) });
    const off = residual(letter);
    const faulty = readings.filter(({ rep, faults }) => rep.target === letter && faults.length > 0);
    return [
      out,
      home,
      off === undefined || signed(off) === '0.00'
        ? ''
        : say(off > 0 ? 'slowBy' : 'quickBy', { by: seconds(Math.abs(off)) }),
      faulty.length > 0 ? say('seenFaults', { faults: faulty.length }) : '',
    ].filter((words) => words !== '');
  };
  const view = viewOfTargets(pattern);
  const slowest = slowestHome(figures, pattern.targets, errorSdMs);
  return (
    <Section>
      <Heading>{say('targetSecondsMedian')}</Heading>
      <FloorPlan
        pattern={pattern}
        view={{ ...view, height: view.height + LEGEND_ROOM_M }}
        inPlay={rung?.targets}
        legend={legend}
        label={semicolonList(
          figures.map(({ letter }) => `${letter}: ${commaList(legend(letter)) || say('notTimed')}`),
        )}
      />
      {slowest && <p style={{ margin: '10px 0 0' }}>{slowest}</p>}
      <Quiet style={{ marginTop: 6, fontSize: 16 }}>
        {line.ok
          ? residualSentence(line.value, pattern.targets)
          : say('noTravelLineFromThisSet', {
              given: line.problem.given,
              field: line.problem.field,
              allowed: line.problem.allowed,
            })}{' '}
        <HowKnown what="slowTarget" />
      </Quiet>
    </Section>
  );
}
