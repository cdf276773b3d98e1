import type { Rung } from '@orthokin/core/pattern';
import { judgeRep, type RepVerdict } from '@orthokin/core/progress';
import {
  coachDuration,
  coachEventNames,
  type DurationName,
  type RepReading,
} from '@orthokin/core/timing';
import { useContext, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { seconds, signedSeconds } from '../../words/format.js';
import { timedBy } from '../../words/verdict.js';
import { Explained } from '../../parts/explained/Explained.js';
import { FaultNames } from '../../parts/fault-names.js';
import { Unseen } from '../../parts/Text.js';
import { VERDICT_LOOK } from '../../parts/verdict-look.js';
import { colour, MONO } from '../../parts/tokens.js';
import { say } from '../../words/review.js';

const Details = styled.details`
  margin-top: 18px;
  summary {
    cursor: pointer;
    font-weight: 650;
    padding: 8px 0;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
    white-space: nowrap;
    width: 100%;
    font-size: 16px;
  }
  th {
    font-weight: 450;
    color: ${colour('quiet')};
    text-align: right;
  }
  td,
  th {
    padding: 6px 0 6px 16px;
    border-bottom: 1px solid ${colour('rule')};
  }
  td {
    font-family: ${MONO};
    text-align: right;
  }
  td.words {
    font-family: inherit;
    text-align: left;
  }
`;

const COLUMNS = [
  'splitOffset',
  'reaction',
  'travel',
  'load',
  'recovery',
  'response',
  'cycle',
  'readyMargin',
] as const satisfies readonly DurationName[];

const words = (name: (typeof COLUMNS)[number]): string => {
  if (name === 'splitOffset') return say('splitLanding');
  return name === 'readyMargin' ? say('leftBeforeNextCue') : name;
};

/** All reps with all durations and their errors. */
export function RepTable({
  readings,
  rung,
}: {
  readings: readonly RepReading[];
  rung: Rung | undefined;
}): ReactElement {
  const [isOpen, setOpen] = useState(false);
  const nameOf = useContext(FaultNames);
  const coachEvents = coachEventNames(readings.map(({ rep }) => rep));
  const present = COLUMNS.filter((name) => readings.some(({ durations }) => durations[name]));
  return (
    <Details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{say('everyRepFigures')}</summary>
      {isOpen && (
        <div className="scroll" tabIndex={0} role="region" aria-label={say('everyRepFigures')}>
          <table>
            <thead>
              <tr>
                <th scope="col">{say('rep2')}</th>
                <th scope="col">{say('target')}</th>
                {present.map((name) => (
                  <th key={name} scope="col">
                    <Explained what={name}>{`${words(name)}, s`}</Explained>
                  </th>
                ))}
                {coachEvents.map((event) => (
                  <th key={event} scope="col">
                    <Explained what="coachEvent">{`${event}, s`}</Explained>
                  </th>
                ))}
                <th scope="col" style={{ textAlign: 'left' }}>
                  {say('timed')}
                </th>
                <th scope="col" style={{ textAlign: 'left' }}>
                  {say('faults')}
                </th>
              </tr>
            </thead>
            <tbody>
              {readings.map((reading) => {
                const { rep, durations, faults, leftOut } = reading;
                const verdicts: Readonly<Partial<Record<DurationName, RepVerdict>>> = rung
                  ? judgeRep(reading, rung)
                  : {};
                return (
                  <tr key={rep.ordinal}>
                    <th scope="row">{rep.ordinal}</th>
                    <td>{rep.target}</td>
                    {present.map((name) => {
                      const duration = durations[name];
                      const look = VERDICT_LOOK[verdicts[name]?.verdict ?? 'pass'];
                      return (
                        <td key={name} style={{ color: colour(look.ink) }}>
                          {look.glyph && (
                            <span title={look.words}>
                              <span aria-hidden>{look.glyph} </span>
                              <Unseen>{look.words} </Unseen>
                            </span>
                          )}
                          {duration ? seconds(duration.ms) : '–'}
                          {duration && duration.sdMs > 0 && ` ± ${seconds(duration.sdMs)}`}
                        </td>
                      );
                    })}
                    {coachEvents.map((event) => {
                      const own = rep.marks?.coachEvents ?? [];
                      const time = coachDuration(rep.events, own, event, 'cue');
                      return (
                        <td key={event}>
                          {time ? `${signedSeconds(time.ms)} ± ${seconds(time.sdMs)}` : '–'}
                        </td>
                      );
                    })}
                    <td className="words">{timedBy(reading)}</td>
                    <td className="words">
                      {[
                        ...faults.map(nameOf),
                        ...(leftOut === 'struck out' ? [say('struckOut')] : []),
                      ].join(', ')}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </Details>
  );
}
