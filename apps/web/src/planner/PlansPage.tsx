import { parseDate } from '@internationalized/date';
import type { PlanBody, PlanReply } from '@orthokin/contract';
import { blocksFrom, TEMPLATE_NAMES, type TemplateName } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { usePlans, useRemovePlan, useSavePlan } from '../api/plans.js';
import { localDay } from '../device/local-day.js';
import { Button } from '../parts/Button.js';
import { Lines } from '../parts/Lines.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { dateWords } from '../words/format.js';
import { say, templateWords } from '../words/plan.js';
import { HeldLately } from './held/HeldLately.js';
import { plannedOf, type Planned } from './planned.js';

const Templates = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 14px 22px;
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    align-content: start;
    gap: 6px;
    padding-top: 10px;
    border-top: 2px solid ${colour('ink')};
  }
  button {
    justify-self: start;
  }
`;

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

const [USUAL_START, USUAL_MINUTES] = ['17:00', 60];

/** A plan anew, the first change of its own. */
const anew = (planned: Planned): PlanBody => ({ ...planned, revision: 1 });

/** The sessions that are planned, and what a new one begins with. */
export function PlansPage(): ReactElement {
  const plans = usePlans();
  const save = useSavePlan();
  const remove = useRemovePlan();
  const navigate = useNavigate();
  const [removed, setRemoved] = useState<PlanReply | null>(null);
  const begin = (name: TemplateName | null) => {
    const planId = v7();
    const body = anew({
      name: name ? templateWords(name)[0] : say('empty'),
      ...{ day: localDay(new Date()), startsAt: USUAL_START, minutes: USUAL_MINUTES },
      ...{ athleteIds: [], blocks: name ? blocksFrom(name, v7) : [] },
    });
    save.mutate({ planId, body }, { onSuccess: () => void navigate(`/plan/${planId}`) });
  };
  const failed = save.error ?? remove.error;
  return (
    <Page name={say('plan')}>
      <Headline>{say('planned')}</Headline>
      {plans.error && !plans.data && (
        <Failed error={plans.error} again={() => void plans.refetch()} />
      )}
      {plans.isPending && <Quiet>{say('readingPlans')}</Quiet>}
      {failed && <Notice>{failed.message}</Notice>}
      {removed && (
        <Quiet role="status" style={{ marginTop: 12 }}>
          {say('planGone', { name: removed.name })}{' '}
          <Button
            onPress={() => {
              save.mutate({ planId: removed.id, body: anew(plannedOf(removed)) });
              setRemoved(null);
            }}
          >
            {say('putBack')}
          </Button>
        </Quiet>
      )}
      {plans.data && plans.data.length > 0 && (
        <List>
          {plans.data.map((plan) => (
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
                  onPress={() =>
                    save.mutate({
                      planId: v7(),
                      body: anew({
                        ...plannedOf(plan),
                        day: parseDate(plan.day).add({ weeks: 1 }).toString(),
                      }),
                    })
                  }
                >
                  {say('copyPlan')}
                </Button>
                <Button
                  aria-label={say('takePlanAway', { name: plan.name })}
                  onPress={() => remove.mutate(plan.id, { onSuccess: () => setRemoved(plan) })}
                >
                  {say('takeAway')}
                </Button>
              </span>
            </li>
          ))}
        </List>
      )}
      <HeldLately />
      {plans.data && (
        <section style={{ marginTop: 30 }}>
          <Heading>{say('beginWith')}</Heading>
          <Quiet>{say(plans.data.length === 0 ? 'nothingPlanned' : 'beginWithMeans')}</Quiet>
          <Templates>
            {TEMPLATE_NAMES.map((name) => {
              const [title, means] = templateWords(name);
              return (
                <li key={name}>
                  <Button isDisabled={save.isPending} onPress={() => begin(name)}>
                    {title}
                  </Button>
                  <Quiet>{means}</Quiet>
                </li>
              );
            })}
            <li>
              <Button isDisabled={save.isPending} onPress={() => begin(null)}>
                {say('empty')}
              </Button>
              <Quiet>{say('emptyMeans')}</Quiet>
            </li>
          </Templates>
        </section>
      )}
    </Page>
  );
}
