import type { SquadLineReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { ArrowUp, Play } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { MayLink } from '../api/ForWhom.js';
import { useMay } from '../api/me.js';
import { ButtonLink } from '../parts/Button.js';
import { Explained } from '../parts/explained/Explained.js';
import { RungMeter } from '../parts/RungMeter.js';
import { ShortCourse } from '../parts/ShortCourse.js';
import { colour, MIDDLE, NARROW } from '../parts/tokens.js';
import { dayWords } from '../words/format.js';
import { courseCaption, needSentence, say } from '../words/squad.js';

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(240px, 1.5fr) 216px auto;
  grid-template-areas: 'who why course go';
  align-items: center;
  gap: 6px 28px;
  padding: 10px 0;
  border-bottom: 1px solid ${colour('rule')};
  content-visibility: auto;
  contain-intrinsic-size: auto 76px;
  .who {
    grid-area: who;
  }
  .who strong {
    display: block;
    font-size: 19px;
  }
  .why {
    grid-area: why;
  }
  .course {
    grid-area: course;
  }
  .go {
    grid-area: go;
    justify-self: end;
  }
  small {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .restricted {
    display: block;
    font-weight: 650;
    color: ${colour('bad')};
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr) auto;
    grid-template-areas: 'who why go' 'who course go';
    gap: 2px 20px;
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: minmax(0, 1fr) auto;
    grid-template-areas: 'who go' 'why why' 'course course';
    gap: 6px 12px;
  }
`;

/** An athlete's line: why they are here, their newest days, and where to go from here. */
export function SquadLine({ line }: { line: SquadLineReply }): ReactElement {
  const { athlete, patternId, patternName, rung, rungName, lastSet, course } = line;
  const mayMove = useMay(ROUTES.move);
  const ladder = `/ladder/${patternId}/${athlete.id}`;
  return (
    <Line>
      <div className="who">
        <strong>
          <MayLink asks={ROUTES.loads} to={`/people/${athlete.id}`}>
            {athlete.name}
          </MayLink>
        </strong>
        <small>
          {line.restricted && <span className="restricted">{say('restrictedNow')}</span>}
          <RungMeter rung={rung} of={line.rungs} />
          <MayLink asks={ROUTES.athleteLadder} to={ladder}>
            {say('patternRung', { pattern: patternName, rung, name: rungName })}
          </MayLink>
        </small>
      </div>
      <div className="why">
        {lastSet ? (
          <MayLink asks={ROUTES.review} to={`/review/${lastSet.id}`}>
            {needSentence(line)}
          </MayLink>
        ) : (
          needSentence(line)
        )}
        {lastSet && (
          <>
            <br />
            <small>
              {say('startedatRungRung', {
                startedAt: dayWords(lastSet.startedAt),
                rung: lastSet.rung,
              })}
            </small>
          </>
        )}
      </div>
      <div className="course">
        {course && (
          <>
            <ShortCourse course={course} />
            <small>
              <Explained what="shortCourse">{courseCaption(course)}</Explained>
            </small>
          </>
        )}
      </div>
      <div className="go">
        {line.need === 'can move up' && mayMove ? (
          <ButtonLink
            to={ladder}
            $weight="main"
            aria-label={say('toMoveUpAthlete', { athlete: athlete.name })}
          >
            <ArrowUp size={17} aria-hidden /> {say('toMoveUp')}
          </ButtonLink>
        ) : (
          <ButtonLink
            to={`/floor/${athlete.id}`}
            aria-label={say('startDrillAthlete', { athlete: athlete.name })}
          >
            <Play size={17} aria-hidden /> {say('startDrill')}
          </ButtonLink>
        )}
      </div>
    </Line>
  );
}
