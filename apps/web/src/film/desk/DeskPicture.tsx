import { onSetClock } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { say } from '../../words/film.js';
import { Strip } from '../play/Strip.js';
import { FrameTime } from '../screen/FrameTime.js';
import { Screen } from '../screen/Screen.js';
import { OverPicture } from '../screen/OverPicture.js';
import { Positions } from '../positions/Positions.js';
import { RepsRow } from '../play/RepsRow.js';
import { Transport } from '../play/Transport.js';
import type { Desk } from './useDesk.js';

/** The film's picture, its strip and ways through it, and the positions of the rep. */
export function DeskPicture({ desk }: { desk: Desk }): ReactElement {
  const { onScreen, shown, strip, positions } = desk.film;
  const { floor, rep, next, place, reps, alignment, framesMs, cueMs, stretch } = desk;
  const { index, go, goToRep, goToEvent, play, zoom, screenRef, ratio, size, unit } = desk;
  const { marking, marker, made, own, events, seenPositions, firstMove, title } = desk;
  const { ground, steps, drawing, body } = desk;
  const { pattern } = desk.review;
  return (
    <div>
      <div ref={screenRef} style={{ maxWidth: `calc(50vh * ${ratio})` }}>
        <Screen
          zoom={zoom}
          picture={
            <>
              <canvas ref={onScreen} aria-hidden data-frame={shown ?? ''} />
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
        onStep={(by) => go(index + by)}
        onEvent={alignment && rep ? goToEvent : null}
        before={place > 0 ? () => goToRep(place - 1) : null}
        next={next ? () => goToRep(place + 1) : null}
      />
      <RepsRow {...{ reps, place }} marks={made} targets={pattern.targets} onGo={goToRep} />
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
