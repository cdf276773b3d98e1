import { onSetClock } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { NARROW } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { BesideOther, BesideSame } from '../beside/BesideFilm.js';
import { BesidePart } from '../beside/BesidePart.js';
import { THIS_FILM } from '../beside/useBeside.js';
import { Strip } from '../play/Strip.js';
import { FrameTime } from '../screen/FrameTime.js';
import { Screen } from '../screen/Screen.js';
import { Positions } from '../positions/Positions.js';
import { RepsRow } from '../play/RepsRow.js';
import { Transport } from '../play/Transport.js';
import { OverPicture } from './OverPicture.js';
import type { Desk } from './useDesk.js';

const Pictures = styled.div`
  display: grid;
  gap: 12px;
  align-items: start;
  &[data-two] {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  @media (max-width: ${NARROW}) {
    &[data-two] {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** The picture, its strip and controls, and the rep's positions. */
export function DeskPicture({
  desk,
  filmId,
}: {
  desk: Desk;
  /** The id the film is kept under, if it is. */
  filmId: string | null;
}): ReactElement {
  const { onScreen, strip, positions } = desk.film;
  const { rep, next, place, reps, alignment, framesMs, cueMs, stretch } = desk;
  const { index, go, step, goToRep, goToEvent, play, zoom, screenRef, ratio, size, unit } = desk;
  const { marking, marker, made, own, events, seenPositions, firstMove, title } = desk;
  const { ground, steps, drawing, body } = desk;
  const { beside, together, subject, file } = desk;
  const { pattern, floor } = subject;
  const isTwo = beside.filmId === THIS_FILM || beside.other !== null;
  const follows = {
    desk: { rep, together, frame: index },
    ...{ ordinal: beside.ordinal, at: beside.at, onRep: beside.chooseRep },
  };
  return (
    <div>
      <Pictures data-two={isTwo || undefined}>
        <div ref={screenRef} style={{ maxWidth: `calc(50vh * ${ratio})` }}>
          <Screen
            zoom={zoom}
            picture={
              <>
                <canvas ref={onScreen} aria-hidden />
                {size && (
                  <OverPicture
                    {...{ ground, steps, drawing, body, floor, unit }}
                    frame={index}
                    {...size}
                  />
                )}
              </>
            }
          >
            {alignment && (
              <FrameTime {...{ index, framesMs, alignment, cueMs }} ownSdMs={marker.ownSdMs} />
            )}
          </Screen>
        </div>
        {beside.filmId === THIS_FILM && (
          <BesideSame {...{ subject, file }} {...follows} tie={desk.tie.alignment} marks={made} />
        )}
        {beside.other && <BesideOther key={beside.filmId} {...beside.other} {...follows} />}
      </Pictures>
      {alignment && rep && (
        <div style={{ marginTop: 10 }}>
          <Strip
            pictures={strip}
            {...{ events, stretch, index, framesMs, alignment }}
            hint={typeof firstMove.suggested === 'object' ? firstMove.suggested : null}
            label={say('ribbonOf', { ordinal: rep.ordinal })}
            onGo={go}
          />
        </div>
      )}
      <Transport
        {...{ play }}
        onStep={step}
        onEvent={alignment && rep ? goToEvent : null}
        before={place > 0 ? () => goToRep(place - 1) : null}
        next={next ? () => goToRep(place + 1) : null}
      />
      <RepsRow {...{ reps, place }} marks={made} targets={pattern.targets} onGo={goToRep} />
      {alignment && <BesidePart choice={beside} openId={filmId} isMarked={together !== null} />}
      {rep && alignment && (
        <Positions
          positions={seenPositions}
          {...{ pattern }}
          pictures={positions}
          letter={rep.target}
          fromCueMs={(frame) => onSetClock(alignment, framesMs[frame] ?? 0) - cueMs}
          title={title}
          own={own}
          onCheck={(position, point) => marking.check(rep.ordinal, position, point)}
          onGo={go}
        />
      )}
    </div>
  );
}
