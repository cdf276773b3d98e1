import { differencesFrom, PHASE_DURATIONS } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { PhaseSwatch } from '../../parts/phases.js';
import { Quiet } from '../../parts/Text.js';
import { FiguresTable, WordsCell, WordsHead } from '../../parts/FiguresTable.js';
import { differenceSentence, signed } from '../../words/set.js';
import { say } from '../../words/review.js';

const Sure = styled.strong<{ $longer: boolean }>`
  color: var(--${({ $longer }) => ($longer ? 'bad' : 'good')});
`;

/** Each rep's phases compared with the reference rep's. */
export function Differences({
  readings,
  reference,
}: {
  readings: readonly RepReading[];
  reference: RepReading;
}): ReactElement {
  const words =
    reference.rep.ordinal === 0
      ? say('middleSet')
      : say('repOrdinal', { ordinal: reference.rep.ordinal });
  const rows = readings
    .filter((reading) => reading.rep.ordinal !== reference.rep.ordinal)
    .map((reading) => ({ reading, differences: differencesFrom(reading, reference) }));
  return (
    <section aria-label={say('differences')}>
      <FiguresTable caption={say('secondsLongerShorterThanWords', { words })}>
        <thead>
          <tr>
            <th scope="col">{say('rep2')}</th>
            {PHASE_DURATIONS.map((name) => (
              <th key={name} scope="col">
                {name !== 'cycle' && <PhaseSwatch phase={name} />} {name}
              </th>
            ))}
            <WordsHead scope="col">{say('most')}</WordsHead>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ reading: { rep }, differences }) => (
            <tr key={rep.ordinal}>
              <th scope="row">
                {rep.ordinal} {rep.target}
              </th>
              {PHASE_DURATIONS.map((name) => {
                const own = differences.find((each) => each.name === name);
                return (
                  <td key={name}>
                    {own?.isSure && signed(own.ms) !== '0.00' ? (
                      <Sure $longer={own.ms > 0}>{signed(own.ms)}</Sure>
                    ) : own ? (
                      signed(own.ms)
                    ) : (
                      '–'
                    )}
                  </td>
                );
              })}
              <WordsCell>{differenceSentence(differences)}</WordsCell>
            </tr>
          ))}
        </tbody>
      </FiguresTable>
      <Quiet style={{ fontSize: 15, marginTop: 6 }}>{say('boldMoreThanTwiceTimingsOwn')}</Quiet>
    </section>
  );
}
