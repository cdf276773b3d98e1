import type { PlanReply } from '@orthokin/contract';
import { useRemembered } from '../device/useRemembered.js';
import { placed, thoseIn } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button, ButtonLink } from '../parts/Button.js';
import { PrintPage } from '../parts/PrintPage.js';
import { colour, MONO } from '../parts/tokens.js';
import { commaList, dateWords } from '../words/format.js';
import { OnPlan } from './OnPlan.js';
import { WhatToBring } from './WhatToBring.js';
import { useNames } from './useNames.js';
import { asLeft } from './planned.js';
import {
  blockName,
  clockWords,
  howWords,
  minutesOf,
  objectWords,
  roleWords,
  say,
  wallClock,
} from '../words/plan.js';

const Block = styled.section<{ $large: boolean }>`
  font-size: ${({ $large }) => ($large ? 24 : 15)}px;
  margin-top: 12px;
  padding-top: 6px;
  border-top: 1.5px solid ${colour('ink')};
  break-inside: avoid;
  h2 {
    display: flex;
    gap: 12px;
    margin: 0;
    font-size: 1.15em;
  }
  .at,
  td:first-child {
    font-family: ${MONO};
  }
  table {
    border-collapse: collapse;
    margin-top: 4px;
    font-size: 0.93em;
  }
  th,
  td {
    padding: 1px 14px 1px 0;
    text-align: left;
    vertical-align: top;
  }
  p {
    margin: 2px 0;
    font-size: 1em;
  }
`;

/** A session on one printed page: what happens when, and who works where in each turn. */
export const PlanSheet = (): ReactElement => <OnPlan>{(plan) => <Paper plan={plan} />}</OnPlan>;

function Paper({ plan: read }: { plan: PlanReply }): ReactElement {
  const plan = { ...read, ...asLeft(read).planned };
  const nameOf = useNames();
  const [isLarge, setLarge] = useRemembered('plan-print-large', false);
  return (
    <PrintPage
      name={plan.name}
      back={`/plan/${plan.id}`}
      backWords={plan.name}
      ways={
        <>
          <Button onPress={() => setLarge(!isLarge)}>
            {say(isLarge ? 'forThePocket' : 'forTheWall')}
          </Button>
          <ButtonLink to={`/plan/${plan.id}/set-out`}>{say('floorsSetOut')}</ButtonLink>
        </>
      }
    >
      <h1>{plan.name}</h1>
      <p>
        {say('planLine', {
          ...{ day: dateWords(plan.day), time: plan.startsAt, minutes: plan.minutes },
          count: plan.athleteIds.length,
        })}
      </p>
      <p>{commaList(plan.athleteIds.map(nameOf))}</p>
      <WhatToBring blocks={plan.blocks} athleteIds={plan.athleteIds} />
      {placed(plan).map(({ block, fromS, toS, rounds }) => (
        <Block key={block.id} $large={isLarge}>
          <h2>
            <span className="at">{wallClock(plan.startsAt, fromS)}</span>
            {blockName(block)}
          </h2>
          <p>
            {commaList([
              say('minute', { n: minutesOf(toS - fromS) }),
              block.how === 'turns' ? howWords(block) : '',
              block.object === 'none' ? '' : objectWords(block.object),
              block.needs,
              block.who ? commaList(thoseIn(block, plan.athleteIds).map(nameOf)) : '',
            ])}
          </p>
          {block.note && <p>{block.note}</p>}
          {rounds.length > 0 && (
            <table>
              <thead>
                <tr>
                  <th scope="col">{say('from')}</th>
                  {rounds[0]?.stations.map((_, i) => (
                    <th key={i} scope="col">
                      {say('station', { n: i + 1 })}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rounds.map((round) => (
                  <tr key={round.fromS}>
                    <td>{clockWords(round.fromS)}</td>
                    {round.stations.map((turn, i) => (
                      <td key={i}>
                        {turn && (
                          <>
                            <b>{nameOf(turn.works)}</b>{' '}
                            {commaList(
                              turn.helps.map(({ athleteId, role }) =>
                                say('helpsWith', {
                                  name: nameOf(athleteId),
                                  role: roleWords(role),
                                }),
                              ),
                            )}
                          </>
                        )}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Block>
      ))}
    </PrintPage>
  );
}
