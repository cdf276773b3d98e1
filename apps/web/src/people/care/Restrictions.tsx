import type { CareReply } from '@orthokin/contract';
import { holdsOn, LONGEST_NAME, painRestrictions } from '@orthokin/core/people';
import { ShieldPlus } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Lines } from '../../parts/Lines.js';
import { Button } from '../../parts/Button.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { painWords, restrictionTitle, untilWords } from '../../words/care.js';
import { commaList, longDay } from '../../words/format.js';
import { say } from '../../words/people.js';
import { today } from '../today.js';
import { RestrictionForm } from './RestrictionForm.js';
import { useSaying } from './useSaying.js';

/** How many recent go-aheads are shown. */
const MOST_WENT = 3;

const List = styled(Lines)`
  margin-bottom: 14px;
  li {
    border-bottom: 1px solid ${colour('rule')};
  }
  .what {
    flex: 1 1 320px;
  }
  small {
    display: block;
    font-size: 15px;
    color: ${colour('quiet')};
  }
`;

/** Current restrictions, and who may lift them. */
export function Restrictions({
  athleteId,
  said,
}: {
  athleteId: string;
  said: readonly CareReply[];
}): ReactElement {
  const saying = useSaying(athleteId);
  const [isAdding, setAdding] = useState(false);
  const [lifted, setLifted] = useState<CareReply | null>(null);
  const day = today();
  const given = said.filter(({ restriction }) => restriction && (restriction.until ?? day) >= day);
  const went = said.filter(({ goAhead }) => goAhead && goAhead.reason !== '').slice(-MOST_WENT);
  const pain = painRestrictions(said.flatMap(({ check }) => check ?? []));
  return (
    <section aria-label={say('mayNot')}>
      <Heading>{say('mayNot')}</Heading>
      {given.length + pain.length === 0 && <Quiet>{say('noRestriction')}</Quiet>}
      <List>
        {given.map((one) => (
          <Given
            key={one.id}
            said={one}
            day={day}
            onLift={(by) => {
              saying.takeBack(one, by);
              setLifted(one);
            }}
          />
        ))}
        {pain.map((restriction) => (
          <li key={`${restriction.kind} ${String(restriction.leg)}`}>
            <span className="what">
              <strong>{restrictionTitle(restriction)}</strong>
              <small>{painWords(restriction.from)}</small>
            </span>
            <Link to={`/people/${athleteId}/checks`}>{say('lookAgain')}</Link>
          </li>
        ))}
      </List>
      {went.map(
        ({ id, by, goAhead }) =>
          goAhead && (
            <Quiet key={id} style={{ marginBottom: 8 }}>
              {say('wentAhead', {
                ...{ by, day: longDay(goAhead.day), reason: goAhead.reason },
                against: commaList(goAhead.against),
              })}
            </Quiet>
          ),
      )}
      {saying.error && <Notice>{saying.error.message}</Notice>}
      {lifted?.restriction && (
        <Quiet role="status">
          {say('isLifted', { what: restrictionTitle(lifted.restriction) })}{' '}
          <Button
            onPress={() => {
              saying.putBack(lifted);
              setLifted(null);
            }}
          >
            {say('putBack')}
          </Button>
        </Quiet>
      )}
      {isAdding ? (
        <RestrictionForm
          isPending={saying.isPending}
          onCancel={() => setAdding(false)}
          onSave={(restriction) =>
            saying.write({ kind: 'restriction', restriction }, () => setAdding(false))
          }
        />
      ) : (
        <Button onPress={() => setAdding(true)}>
          <ShieldPlus size={18} aria-hidden /> {say('addRestriction')}
        </Button>
      )}
    </section>
  );
}

function Given({
  said: { restriction, by },
  day,
  onLift,
}: {
  said: CareReply;
  day: string;
  onLift: (by: string) => void;
}) {
  const [word, setWord] = useState<string | null>(null);
  if (!restriction) return null;
  const { note, from, clinician } = restriction;
  const title = restrictionTitle(restriction);
  return (
    <li>
      <span className="what">
        <strong>{title}</strong>, {untilWords(restriction)}
        <small>
          {[
            holdsOn(restriction, day) ? null : say('fromDay', { day: longDay(from) }),
            note,
            clinician && say('clinicianLifts'),
            say('writtenBy', { by }),
          ]
            .filter(Boolean)
            .join(' · ')}
        </small>
      </span>
      {word === null ? (
        <Button aria-label={say('liftWhat', { what: title })} onPress={() => setWord('')}>
          {say('lift')}
        </Button>
      ) : (
        <>
          <OpenField
            label={clinician ? say('onClinicians') : say('onWhoseWord')}
            value={word}
            maxLength={LONGEST_NAME}
            autoFocus
            onChange={setWord}
          />
          <Button isDisabled={word.trim() === ''} onPress={() => onLift(word.trim())}>
            {say('liftIt')}
          </Button>
          <Button onPress={() => setWord(null)}>{say('leave')}</Button>
        </>
      )}
    </li>
  );
}
