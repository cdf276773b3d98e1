import type { AthleteCourseReply } from '@orthokin/contract';
import { seasonOf, type PhaseChange } from '@orthokin/core/stats';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { useAddress } from '../../parts/useAddress.js';
import { say } from '../../words/season.js';
import type { Kind } from '../course-view.js';
import { keyOfDay, Season } from './Season.js';
import { SeasonDayPart } from './SeasonDayPart.js';
import { WhereItWent } from './WhereItWent.js';

const Columns = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 10px 34px;
  margin-top: 18px;
  max-width: 1240px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** The season of a kind of sets, the day that is open, and which phases gave the time away. */
export function Weeks({
  course,
  kind,
  phases,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  phases: readonly PhaseChange[];
}): ReactElement {
  const days = useMemo(() => seasonOf(kind.sets), [kind.sets]);
  const [address, change] = useAddress();
  const open = address.get('day') ?? '';
  const openDay = days.find((day) => keyOfDay(day) === open);
  const onOpen = (key: string) => change({ day: key === '' ? null : key });
  return (
    <Columns aria-label={say('season')}>
      <div>
        <Season {...{ course, days, open, onOpen }} pattern={kind.pattern} />
        {openDay && <SeasonDayPart course={course} day={openDay} onClose={() => onOpen('')} />}
      </div>
      <WhereItWent phases={phases} />
    </Columns>
  );
}
