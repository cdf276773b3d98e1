import { trialOf } from '@orthokin/core/cue';
import { rungOf, targetOf } from '@orthokin/core/pattern';
import { judgeRep } from '@orthokin/core/progress';
import { readRep } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Marker } from '../../parts/plan/Marker.js';
import { seconds } from '../../words/format.js';
import { Unseen } from '../../parts/Text.js';
import { VERDICT_LOOK } from '../../parts/verdict-look.js';
import { colour, MONO } from '../../parts/tokens.js';
import { finishedReps, lastRep, settingsOf } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { say } from '../../words/floor.js';

const Table = styled.table`
  width: 100%;
  align-self: start;
  border-collapse: collapse;
  font-size: 17px;
  caption,
  th {
    padding: 0 0 5px;
    font-size: 15px;
    font-weight: 450;
    text-align: right;
    color: ${colour('quiet')};
  }
  th:first-child {
    text-align: left;
  }
  td {
    padding: 5px 0;
    border-top: 1px solid ${colour('rule')};
    text-align: right;
    font: 600 19px ${MONO};
  }
  td:first-child {
    width: 74px;
  }
  td.words {
    font: 600 17px/1.2 inherit;
    font-family: inherit;
    color: ${colour('bad')};
  }
  .who {
    display: flex;
    align-items: center;
    gap: 8px;
    color: ${colour('quiet')};
  }
`;

/** The last finished reps, newest first: reaction, recovery, or why a rep does not count. */
export function LastReps({ run, most }: { run: Run; most: number }): ReactElement | null {
  const { plan } = run;
  const limits = rungOf(plan.pattern, plan.rung) ?? { limitsMs: {} };
  const newest = lastRep(run)?.id;
  const reps = finishedReps(run)
    .sort((a, b) => Number(b.id === newest) - Number(a.id === newest) || b.ordinal - a.ordinal)
    .slice(0, most);
  if (reps.length === 0) return null;
  return (
    <Table aria-live="polite">
      <thead>
        <tr>
          <th scope="col">{say('lastReps')}</th>
          <th scope="col">{say('reactionS')}</th>
          <th scope="col">{say('recoveryS')}</th>
        </tr>
      </thead>
      <tbody>
        {reps.map((rep) => {
          const cue = plan.cues.find(({ ordinal }) => ordinal === rep.ordinal);
          const reading = readRep(rep, settingsOf(plan), cue && trialOf(cue));
          const { durations, leftOut } = reading;
          const verdicts = judgeRep(reading, limits);
          const target = targetOf(plan.pattern, rep.target);
          return (
            <tr key={rep.ordinal}>
              <td>
                <span className="who">
                  {rep.ordinal} {target && <Marker target={target} size={26} />}
                </span>
              </td>
              {leftOut ? (
                <td className="words" colSpan={2}>
                  {leftOut}
                </td>
              ) : (
                (['reaction', 'recovery'] as const).map((name) => {
                  const duration = durations[name];
                  const look = VERDICT_LOOK[verdicts[name]?.verdict ?? 'pass'];
                  return (
                    <td key={name} style={{ color: colour(look.ink) }}>
                      {look.glyph && <span aria-hidden>{look.glyph} </span>}
                      {duration ? seconds(duration.ms) : '–'}
                      {look.glyph && <Unseen> {look.words}</Unseen>}
                    </td>
                  );
                })
              )}
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
