import { coachEventsMarked, cueKnown, onSetClock } from '@orthokin/core/film';
import { problemSentence } from '@orthokin/core/result';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import { BodyPart } from '../body/BodyPart.js';
import { DrawPart } from '../draw/DrawPart.js';
import { GroundPart } from '../ground/GroundPart.js';
import { ClipPart } from '../take-along/ClipPart.js';
import { FaultsPart } from '../mark/FaultsPart.js';
import { FirstMovePart } from '../motion/FirstMovePart.js';
import { KeepPart } from '../mark/KeepPart.js';
import { VttPart } from '../mark/VttPart.js';
import { TieNote } from '../tie/TieNote.js';
import { Row } from '../Row.js';
import { HowFilmedPart } from '../tie/HowFilmedPart.js';
import { BlindPart } from '../mark/BlindPart.js';
import { PagePart } from '../take-along/PagePart.js';
import { CoachEvents } from '../mark/CoachEvents.js';
import { MarkKeys } from '../mark/MarkKeys.js';
import { StepsPart } from '../steps/StepsPart.js';
import type { Desk } from './useDesk.js';

/** The tools: tying, marking, measuring, drawing, keeping and exporting. */
export function DeskTools({ desk }: { desk: Desk }): ReactElement {
  const { subject, film, tie, rep, place, reps, alignment, framesMs, cueMs } = desk;
  const { index, play, marking, marker, own, timed, events, faultsSeen, marked } = desk;
  const { seenPositions, ground, steps, drawing, body, cameraMoved, firstMove, reading } = desk;
  const { mark, miss, lastFrame, shoulderM, title } = desk;
  const { info, heard, hearing, unreadable } = film;
  const { marks } = marking;
  const { review, floor, watched } = subject;
  return (
    <div>
      <TieNote
        {...{ info, unreadable, hearing, heard }}
        alignment={tie.alignment}
        cues={reps.length}
        marked={marked.length}
        isByHand={tie.isByHand}
        slowed={tie.slowed}
        isOfSet={review !== null}
      />
      {tie.setByHand && (
        <CheckField isSelected={tie.isByHand} onChange={tie.setByHand}>
          {say('tieByHand')}
        </CheckField>
      )}
      {info && <HowFilmedPart tie={tie} />}
      <MarkKeys
        {...{ own, events, cueMs }}
        isTied={alignment !== null}
        cueIs={alignment && cueKnown(place, own, alignment)}
        onMark={mark}
        onMiss={miss}
      />
      {rep && (
        <CoachEvents
          names={desk.coachEvents}
          {...{ rep, own }}
          timing={alignment && { framesMs, alignment, ownSdMs: marker.ownSdMs }}
          onMark={desk.markOwn}
        />
      )}
      {rep && alignment && <FirstMovePart work={firstMove} />}
      {rep && (
        <FaultsPart
          watched={watched}
          seen={faultsSeen}
          onFault={(fault) => marking.fault(rep.ordinal, fault, rep.seenFaults)}
        />
      )}
      {timed && !timed.ok && <Notice>{problemSentence(timed.problem)}</Notice>}
      {tie.alignment && review && (
        <KeepPart {...{ review, reps, marks, framesMs, marker }} alignment={tie.alignment} />
      )}
      {tie.alignment && (
        <VttPart
          name={subject.name}
          {...{ reps: review ? reps : marked, marks, framesMs }}
          alignment={tie.alignment}
        />
      )}
      {info && <DrawPart work={drawing} />}
      {info && <GroundPart work={ground} cameraMoved={cameraMoved} shoulderM={shoulderM} />}
      {info && (
        <BodyPart
          work={body}
          positions={seenPositions.seen}
          loads={marked.flatMap(({ ordinal }) => {
            const load = marks[ordinal]?.frames.arrival;
            return load === undefined ? [] : (body.confirmed[load] ?? []);
          })}
          onFollow={body.follow && lastFrame > index ? () => body.follow?.(lastFrame) : null}
        />
      )}
      {info && rep && (
        <StepsPart
          work={steps}
          {...{ reading, events }}
          seen={body.body}
          frame={index}
          pattern={floor}
          letter={rep.target}
          title={title}
        />
      )}
      {rep && alignment && (
        <Row>
          <ClipPart
            film={film}
            clipped={{
              ...{ events, framesMs, alignment, title },
              coachEvents: coachEventsMarked(rep, own, framesMs, alignment),
              drawnAt: drawing.drawnAt,
            }}
            speed={play.speed}
          />
        </Row>
      )}
      {rep && alignment && (
        <PagePart
          {...{ film }}
          seen={seenPositions.seen}
          seenFaults={faultsSeen}
          drawnAt={drawing.drawnAt}
          fromCueMs={(frame) => onSetClock(alignment, framesMs[frame] ?? 0) - cueMs}
          title={title}
        />
      )}
      {tie.alignment && (
        <BlindPart
          {...{ marking, framesMs }}
          alignment={tie.alignment}
          ownSdMs={marker.ownSdMs}
          onKnown={marker.keep}
        />
      )}
      <Quiet style={{ marginTop: 18, fontSize: 15 }}>
        {say(review ? 'staysHere' : 'marksStayHere')}
      </Quiet>
    </div>
  );
}
