import type { PlanReply } from '@orthokin/contract';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { Lines } from '../parts/Lines.js';
import { Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { dateWords } from '../words/format.js';
import { say } from '../words/plan.js';

const List = styled(Lines)`
  max-width: 860px;
  margin-top: 12px;
  li {
    min-height: 56px;
    border-top: 1px solid ${colour('rule')};
  }
  a {
    font-weight: 650;
  }
  .end {
    display: flex;
    gap: 8px;
    margin-left: auto;
  }
`;

const NEWEST = 8;

/** Planned sessions in order: the first few, or all. */
export function PlanList({
  plans,
  onCopy,
  onTakeAway,
}: {
  plans: readonly PlanReply[];
  onCopy: (plan: PlanReply) => void;
  onTakeAway: (plan: PlanReply) => void;
}): ReactElement {
  const [isWhole, setWhole] = useState(false);
  return (
    <>
      <List>
        {(isWhole ? plans : plans.slice(0, NEWEST)).map((plan) => (
          <li key={plan.id}>
            <Link to={`/plan/${plan.id}`}>{plan.name}</Link>
            <Quiet as="span">
              {say('planLine', {
                ...{ day: dateWords(plan.day), time: plan.startsAt, minutes: plan.minutes },
                count: plan.athleteIds.length,
              })}
            </Quiet>
            <span className="end">
              <Button
                aria-label={say('copyOfPlan', { name: plan.name })}
                onPress={() => onCopy(plan)}
              >
                {say('copyPlan')}
              </Button>
              <Button
                aria-label={say('takePlanAway', { name: plan.name })}
                onPress={() => onTakeAway(plan)}
              >
                {say('takeAway')}
              </Button>
            </span>
          </li>
        ))}
      </List>
      {!isWhole && plans.length > NEWEST && (
        <Button onPress={() => setWhole(true)}>{say('allOf', { count: plans.length })}</Button>
      )}
    </>
  );
}
