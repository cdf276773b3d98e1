import { EVENT_ANCHORS, type Rung } from '@orthokin/core/pattern';
import { coachEventFigures } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { Explained } from '../../parts/explained/Explained.js';
import { colour, MONO } from '../../parts/tokens.js';
import { signedSeconds } from '../../words/format.js';
import { coachLimitWords } from '../../words/limit.js';
import { say } from '../../words/review.js';

const Table = styled.table`
  width: 100%;
  margin-top: 18px;
  border-collapse: collapse;
  caption {
    padding-bottom: 6px;
    font-weight: 650;
    text-align: left;
  }
  th {
    font-weight: 450;
    text-align: left;
  }
  thead th {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  td,
  thead th + th {
    text-align: right;
  }
  tbody td,
  tbody th {
    padding-block: 8px;
    border-top: 1px solid ${colour('rule')};
    vertical-align: top;
  }
  td {
    padding-left: 12px;
    font: 700 18px ${MONO};
    white-space: nowrap;
  }
  small {
    display: block;
    font: 15px ${MONO};
    color: ${colour('quiet')};
  }
  th small {
    font-family: inherit;
  }
`;

/** Times of the coach's own events from the cue and from arrival: median and interquartile range. */
export function CoachEventTable({
  readings,
  rung,
}: {
  readings: readonly RepReading[];
  rung: Rung | undefined;
}): ReactElement | null {
  const figures = useMemo(() => coachEventFigures(readings), [readings]);
  const events = [...new Set(figures.map(({ event }) => event))];
  if (events.length === 0) return null;
  return (
    <Table>
      <caption>
        <Explained what="coachEvent">{say('ownEventsSeconds')}</Explained>
      </caption>
      <thead>
        <tr>
          <th scope="col">{say('event')}</th>
          {EVENT_ANCHORS.map((from) => (
            <th key={from} scope="col">
              {say('eventFrom', { from })}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {events.map((event) => (
          <tr key={event}>
            <th scope="row">
              {event}
              {rung?.coachLimits
                ?.filter((limit) => limit.event === event)
                .map((limit) => (
                  <small key={limit.from}>
                    {say('eventAsked', { limit: coachLimitWords(limit) })}
                  </small>
                ))}
            </th>
            {EVENT_ANCHORS.map((from) => {
              const found = figures.find((each) => each.event === event && each.from === from);
              if (!found) return <td key={from} />;
              const { medianMs, lowerQuartileMs, upperQuartileMs } = found.summary;
              return (
                <td key={from}>
                  {signedSeconds(medianMs)}
                  <small>
                    {say('fromTo', {
                      from: signedSeconds(lowerQuartileMs),
                      to: signedSeconds(upperQuartileMs),
                    })}
                  </small>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
