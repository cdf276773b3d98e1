import { GATED_DURATIONS, limitRange, type Rung } from '@orthokin/core/pattern';
import type { SetSummary } from '@orthokin/core/stats';
import type { DurationName } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Explained } from '../../parts/explained/Explained.js';
import { PhaseSwatch, type Phase } from '../../parts/phases.js';
import { seconds } from '../../words/format.js';
import { colour, MONO } from '../../parts/tokens.js';
import { say } from '../../words/review.js';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  caption {
    text-align: left;
    padding-bottom: 6px;
    font-weight: 650;
  }
  th {
    font-weight: 450;
  }
  thead th {
    padding: 0 0 6px;
    font-size: 15px;
    text-align: right;
    color: ${colour('quiet')};
  }
  thead th:first-child,
  tbody th {
    text-align: left;
  }
  tbody th svg {
    margin-right: 8px;
  }
  tbody td,
  tbody th {
    padding: 8px 0;
    border-top: 1px solid ${colour('rule')};
  }
  td {
    text-align: right;
    font-family: ${MONO};
  }
  td:nth-child(2) {
    font-weight: 700;
    font-size: 18px;
  }
`;

const ROWS = [
  ['reaction', 'reaction', 'reaction'],
  ['travel', 'travel', 'travel'],
  ['load', 'load', 'load'],
  ['recovery', 'recovery', 'recovery'],
  ['response', 'response', null],
  ['cycle', 'cycle', null],
] as const satisfies readonly (readonly [DurationName, string, Phase | null])[];

/** Median, interquartile range and limit of each duration that was timed. */
export function SummaryTable({
  summary,
  rung,
}: {
  summary: SetSummary;
  rung: Rung | undefined;
}): ReactElement {
  return (
    <Table>
      <caption>
        <Explained what="counted">{say('nCountedSeconds', { n: summary.n })}</Explained>
      </caption>
      <thead>
        <tr>
          <th scope="col">{say('duration')}</th>
          <th scope="col">
            <Explained what="median">{say('median')}</Explained>
          </th>
          <th scope="col">
            <Explained what="middleHalf">{say('middleHalf')}</Explained>
          </th>
          <th scope="col">
            <Explained what="limit">{say('limit')}</Explained>
          </th>
        </tr>
      </thead>
      <tbody>
        {ROWS.map(([name, words, phase]) => {
          const duration = summary.durations[name];
          if (!duration) return null;
          const gate = GATED_DURATIONS.find((each) => each === name);
          const limit = gate && rung?.limitsMs[gate];
          const range = rung && gate ? limitRange(rung, gate) : null;
          return (
            <tr key={name}>
              <th scope="row">
                {phase && <PhaseSwatch phase={phase} />}
                <Explained what={name}>{words}</Explained>
              </th>
              <td>{seconds(duration.medianMs)}</td>
              <td>
                {seconds(duration.lowerQuartileMs)}–{seconds(duration.upperQuartileMs)}
              </td>
              <td>
                {range
                  ? `${seconds(range[0])}–${seconds(range[1])}`
                  : limit === undefined
                    ? ''
                    : seconds(limit)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
