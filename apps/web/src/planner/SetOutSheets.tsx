import type { PlanReply } from '@orthokin/contract';
import { patternsOf } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { useClub } from '../api/club.js';
import { useLibrary } from '../api/patterns.js';
import { useSquad } from '../api/squad.js';
import { Failed } from '../parts/Notice.js';
import { PrintPage } from '../parts/PrintPage.js';
import { SetOut } from '../parts/SetOut.js';
import { Quiet } from '../parts/Text.js';
import { say } from '../words/plan.js';
import { OnPlan } from './OnPlan.js';
import { asLeft } from './planned.js';

const OnePage = styled.section`
  & + & {
    margin-top: 12mm;
    break-before: page;
  }
`;

/** Printed pages for setting out the floor, one per pattern of a session. */
export const SetOutSheets = (): ReactElement => <OnPlan>{(plan) => <Papers plan={plan} />}</OnPlan>;

function Papers({ plan: read }: { plan: PlanReply }): ReactElement {
  const { name, blocks, athleteIds } = { ...read, ...asLeft(read).planned };
  const { unit } = useClub();
  const library = useLibrary();
  const squad = useSquad();
  const failed = [library, squad].find(({ error, data }) => error && !data);
  const own = new Map(squad.data?.map(({ athlete, patternId }) => [athlete.id, patternId]));
  const patterns = patternsOf(blocks, athleteIds, (id) => own.get(id)).flatMap(
    (id) => library.data?.find((one) => one.id === id) ?? [],
  );
  return (
    <PrintPage name={say('setOutOf', { name })} back={`/plan/${read.id}`} backWords={name}>
      {patterns.map(({ id, pattern }) => (
        <OnePage key={id} aria-label={pattern.name}>
          <SetOut pattern={pattern} unit={unit} />
        </OnePage>
      ))}
      {failed?.error ? (
        <Failed error={failed.error} again={() => void failed.refetch()} />
      ) : (
        patterns.length === 0 && (
          <Quiet>{say(library.data && squad.data ? 'noFloors' : 'readingPlans')}</Quiet>
        )
      )}
    </PrintPage>
  );
}
