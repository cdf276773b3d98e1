import type { PlanBody, PlanReply } from '@orthokin/contract';
import { blocksFrom, daysLater, TEMPLATE_NAMES, type TemplateName } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { usePlans, useRemovePlan, useSavePlan } from '../api/plans.js';
import { localDay } from '../device/local-day.js';
import { Button } from '../parts/Button.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { say, templateWords } from '../words/plan.js';
import { HeldLately } from './held/HeldLately.js';
import { WeeksList } from './weeks/WeeksList.js';
import { PlanList } from './PlanList.js';
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

const [USUAL_START, USUAL_MINUTES] = ['17:00', 60];

/** A new plan with the same content. */
const anew = (planned: Planned): PlanBody => ({ ...planned, revision: 1 });

/** Planned sessions, and templates for a new one. */
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
  const copy = (plan: PlanReply) =>
    save.mutate({
      planId: v7(),
      body: anew({ ...plannedOf(plan), day: daysLater(plan.day, 7) }),
    });
  const takeAway = (plan: PlanReply) =>
    remove.mutate(plan.id, { onSuccess: () => setRemoved(plan) });
  const [today] = useState(() => localDay(new Date()));
  const [isLookingBack, setLookingBack] = useState(false);
  const all = plans.data ?? [];
  const coming = all.filter(({ day }) => day >= today).reverse();
  const earlier = all.filter(({ day }) => day < today);
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
      {coming.length > 0 && <PlanList plans={coming} onCopy={copy} onTakeAway={takeAway} />}
      {earlier.length > 0 && (
        <>
          <Button
            aria-expanded={isLookingBack}
            style={{ marginTop: 12 }}
            onPress={() => setLookingBack(!isLookingBack)}
          >
            {say('earlier', { count: earlier.length })}
          </Button>
          {isLookingBack && <PlanList plans={earlier} onCopy={copy} onTakeAway={takeAway} />}
        </>
      )}
      <WeeksList />
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
