import { LONGEST_REASON, type BeforeDrill } from '@orthokin/core/people';
import { rungOf } from '@orthokin/core/pattern';
import { Footprints } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { Button, ButtonLink } from '../../parts/Button.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useAddress } from '../../parts/useAddress.js';
import { checkList, restrictionTitle, stopLines, untilWords } from '../../words/care.js';
import { commaList, longDay, percent } from '../../words/format.js';
import { say } from '../../words/floor.js';
import { easedParts } from './eased-address.js';
import type { FloorSetup } from '../plan-drill.js';

const Stopped = styled.section`
  margin: 18px 0;
  padding: 14px 18px;
  border: 1.5px solid ${colour('rule')};
  border-left: 5px solid ${colour('bad')};
  background: ${colour('raised')};
  ul {
    margin: 8px 0 14px;
    padding: 0;
    list-style: none;
  }
  li {
    margin: 6px 0;
  }
  p {
    margin: 0 0 8px;
  }
`;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  margin-bottom: 12px;
`;

const Line = styled(Quiet)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  margin: 10px 0;
  max-width: 70ch;
`;

/** Whether something must be settled before anybody may start. */
export const isStopped = ({ stops, tooMuch }: BeforeDrill): boolean =>
  stops.length > 0 || tooMuch.length > 0;

/** What the athlete may not or cannot do yet, or lacks agreement for, and what is possible instead. */
export function CarePart({
  asked,
  before,
  onReps,
  onOverrule,
}: {
  asked: FloorSetup;
  before: BeforeDrill;
  onReps: (reps: number) => void;
  onOverrule: (reason: string) => void;
}): ReactElement {
  const [, change] = useAddress();
  const { athlete, eased } = asked;
  return (
    <>
      {isStopped(before) && <Stop {...{ asked, before, onReps, onOverrule }} />}
      {eased && (
        <Line as="div">
          {say('made')}
          <Button onPress={() => change(easedParts(null))}>{say('askAll')}</Button>
        </Line>
      )}
      <Unready asked={asked} before={before} />
      {before.agreement && (
        <Line as="div">
          <span>
            {before.agreement.state === 'ran out'
              ? say('agreementRanOut', {
                  athlete: athlete.name,
                  day: longDay(before.agreement.until),
                })
              : say('noAgreement', { athlete: athlete.name })}
          </span>
          <ButtonLink to={`/people/${athlete.id}#papers`}>{say('writeItDown')}</ButtonLink>
        </Line>
      )}
    </>
  );
}

function Unready({ asked: { athlete }, before }: { asked: FloorSetup; before: BeforeDrill }) {
  const { unready } = before;
  if (unready.length === 0) return null;
  const never = unready.filter(({ result }) => result === null);
  const notYet = unready.filter(({ result }) => result !== null);
  return (
    <Line as="div">
      <span>
        {never.length > 0 &&
          say('neverLookedAt', { athlete: athlete.name, checks: checkList(never) })}{' '}
        {notYet.length > 0 && say('notPassed', { checks: checkList(notYet) })}{' '}
        {!isStopped(before) && say('startingGoesAhead')}
      </span>
      <ButtonLink to={`/people/${athlete.id}/checks`}>{say('lookFirst')}</ButtonLink>
    </Line>
  );
}

function Stop({
  asked,
  before,
  onReps,
  onOverrule,
}: {
  asked: FloorSetup;
  before: BeforeDrill;
  onReps: (reps: number) => void;
  onOverrule: (reason: string) => void;
}) {
  const [, change] = useAddress();
  const { pathname, search } = useLocation();
  const [reason, setReason] = useState<string | null>(null);
  const { athlete, pattern } = asked;
  const { instead, left, tooMuch, mayOverrule } = before;
  const rung = rungOf(pattern, instead?.rungs[0] ?? NaN);
  const isLess = tooMuch.length > 0 && (left.splits ?? 0) > 0;
  const hasWay =
    isLess ||
    (instead &&
      (instead.targets.length > 0 || rung || instead.floorScale !== null || instead.walk));
  return (
    <Stopped aria-label={say('whatStopsIt')}>
      <ul>
        {stopLines(before).map(([restriction, why]) => (
          <li key={`${restriction.kind} ${String(restriction.leg)} ${restriction.from}`}>
            <strong>{restrictionTitle(restriction)}</strong>, {untilWords(restriction)}. {why}
          </li>
        ))}
      </ul>
      {hasWay && <p>{say('doInstead')}</p>}
      <Ways>
        {instead && instead.targets.length > 0 && (
          <Button weight="main" onPress={() => change(easedParts({ targets: instead.targets }))}>
            {say('onlyTargets', { targets: commaList(instead.targets) })}
          </Button>
        )}
        {isLess && (
          <Button weight="main" onPress={() => onReps(left.splits ?? 0)}>
            {say('onlyReps', { count: left.splits ?? 0 })}
          </Button>
        )}
        {rung && (
          <Button onPress={() => change({ rung: String(rung.number), ...easedParts(null) })}>
            {say('rungInstead', { number: rung.number, name: rung.name })}
          </Button>
        )}
        {instead?.floorScale != null && (
          <Button onPress={() => change(easedParts({ floorShare: instead.floorScale ?? 1 }))}>
            {say('smallerFloor', { share: percent(instead.floorScale) })}
          </Button>
        )}
        {instead?.walk && (
          <ButtonLink to={`${pathname}/rehearse${search}`}>
            <Footprints size={18} aria-hidden /> {say('walkThrough')}
          </ButtonLink>
        )}
      </Ways>
      {!mayOverrule && <p>{say('clinicianClears', { athlete: athlete.name })}</p>}
      {mayOverrule && reason === null && (
        <Button onPress={() => setReason('')}>{say('startAllTheSame')}</Button>
      )}
      {mayOverrule && reason !== null && (
        <Ways>
          <div style={{ flex: '1 1 260px' }}>
            <OpenField
              label={say('whyAllTheSame')}
              value={reason}
              maxLength={LONGEST_REASON}
              autoFocus
              onChange={setReason}
            />
          </div>
          <Button isDisabled={reason.trim() === ''} onPress={() => onOverrule(reason.trim())}>
            {say('startForThisReason')}
          </Button>
        </Ways>
      )}
    </Stopped>
  );
}
