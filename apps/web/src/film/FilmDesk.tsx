import {
  cueInRecording,
  eventFrame,
  frameAt,
  inRecording,
  isMarked,
  type Marked,
  MARKED,
  markedEvents,
  NOTHING_MARKED,
  onSetClock,
  tieOfRep,
  type Alignment,
  cueKnown,
} from '@orthokin/core/film';
import type { SetReviewReply } from '@orthokin/contract';
import type { Pattern } from '@orthokin/core/pattern';
import { problemSentence } from '@orthokin/core/result';
import type { TimedEvent } from '@orthokin/core/timing';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { usePeople } from '../api/people.js';
import { useWidth } from '../parts/useWidth.js';
import { CheckField } from '../parts/form/CheckField.js';
import { Notice } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { MIDDLE } from '../parts/tokens.js';
import { say } from '../words/film.js';
import { calledReps, type CalledRep } from './mark/marks.js';
import { BodyPart } from './body/BodyPart.js';
import { useBody } from './body/useBody.js';
import { DrawPart } from './draw/DrawPart.js';
import { useDrawing } from './draw/useDrawing.js';
import { GroundPart } from './ground/GroundPart.js';
import { useGround } from './ground/useGround.js';
import { useFilm } from './read/useFilm.js';
import { Strip, THUMB_HEIGHT, thumbFrames, type Stretch } from './play/Strip.js';
import { useFilmKeys } from './play/useFilmKeys.js';
import { ClipPart } from './take-along/ClipPart.js';
import { FaultsPart } from './mark/FaultsPart.js';
import { FrameTime } from './screen/FrameTime.js';
import { Screen } from './screen/Screen.js';
import { usePictureZoom } from './screen/usePictureZoom.js';
import { FirstMovePart } from './motion/FirstMovePart.js';
import { useCameraMoved } from './motion/useCameraMoved.js';
import { useFirstMove } from './motion/useFirstMove.js';
import { KeepPart } from './mark/KeepPart.js';
import { TieNote } from './tie/TieNote.js';
import { OverPicture } from './screen/OverPicture.js';
import { Positions } from './positions/Positions.js';
import { useSeenPositions } from './positions/useSeenPositions.js';
import { Row } from './Row.js';
import { RepsRow } from './play/RepsRow.js';
import { Transport } from './play/Transport.js';
import { useMarking } from './mark/useMarking.js';
import { useOwnSd } from './mark/useOwnSd.js';
import { HowFilmedPart } from './tie/HowFilmedPart.js';
import { BlindPart } from './mark/BlindPart.js';
import { PagePart } from './take-along/PagePart.js';
import { usePlay } from './play/usePlay.js';
import { useTie } from './tie/useTie.js';
import { MARK_KEYS, MarkKeys } from './mark/MarkKeys.js';
import { StepsPart } from './steps/StepsPart.js';
import { useSteps } from './steps/useSteps.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(300px, 1fr);
  gap: 16px 32px;
  align-items: start;
  margin-top: 14px;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** A strip begins so long before its cue, and shows at most so much of a rep. */
const BEFORE_MS = 400;
const LONGEST_MS = 5000;
const MANY = 10;
const USUAL_RATIO = 16 / 9;

/** A film beside its set: the cues heard, each rep on a strip, its events marked and kept. */
export function FilmDesk({
  review,
  floor,
  file,
}: {
  review: SetReviewReply;
  /** The pattern on the floor that the set was run on. */
  floor: Pattern;
  file: Blob;
}): ReactElement {
  const { set, pattern } = review;
  const film = useFilm(file);
  const { info, ask, heard, onScreen, shown, strip, positions, hearing, unreadable } = film;
  // Marks are of frames: another film of the same set has others.
  const filmKey = `${set.id}.${file.size}`;
  const reps = useMemo(() => calledReps(review), [review]);
  const marking = useMarking(filmKey);
  const { marks, shown: made } = marking;
  const marker = useOwnSd();
  const [place, setPlace] = useState(0);
  const [chosen, setChosen] = useState<number | null>(null);

  const framesMs = useMemo(() => info?.framesMs ?? [], [info]);
  const tie = useTie(filmKey, review, reps, film, marks);
  const rep = reps[place];
  const tieOf = (one: CalledRep | undefined): Alignment | null =>
    one && tie.alignment
      ? tieOfRep(one, made[one.ordinal] ?? NOTHING_MARKED, framesMs, tie.alignment, marker.ownSdMs)
      : tie.alignment;
  const alignment = tieOf(rep);
  const next = reps[place + 1];
  const cueMs = rep?.cue.atMs ?? 0;
  const nextMs = next?.cue.atMs;
  const stretch: Stretch = {
    fromMs: -BEFORE_MS,
    toMs: Math.min(LONGEST_MS, nextMs === undefined ? LONGEST_MS : nextMs - cueMs),
  };
  // Until somebody goes elsewhere, the first cue is on the screen as soon as it is known where that is.
  const index =
    chosen ?? (rep && alignment ? frameAt(framesMs, cueInRecording(rep, alignment)) : 0);
  useEffect(() => {
    if (framesMs.length > 0) ask({ ask: 'show', index });
  }, [ask, framesMs, index]);
  const go = (to: number) => {
    const within = Math.min(framesMs.length - 1, Math.max(0, to));
    setChosen(within);
  };
  const goToRep = (to: number) => {
    const one = reps[to];
    if (!one) return;
    setPlace(to);
    const tied = tieOf(one);
    if (tied) go(frameAt(framesMs, cueInRecording(one, tied)));
  };
  const tiedAt = alignment && `${alignment.offsetMs} ${alignment.rate}`;
  useEffect(() => {
    if (!alignment || !rep || framesMs.length === 0) return;
    ask({
      ...{ ask: 'pictures', of: 'strip' },
      indices: thumbFrames(framesMs, alignment, cueMs, stretch),
      heightPx: THUMB_HEIGHT,
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it follows from is the tie and the rep
  }, [tiedAt, place, framesMs, ask]);
  const [screenRef, screenWidth] = useWidth<HTMLDivElement>(800);
  const ratio = info ? info.widthPx / info.heightPx : USUAL_RATIO;
  const zoom = usePictureZoom();
  const size = info && { widthPx: info.widthPx, heightPx: info.heightPx };
  const unit = (info?.widthPx ?? screenWidth) / screenWidth / zoom.transform.k;
  const cueFrame = rep && alignment ? frameAt(framesMs, cueInRecording(rep, alignment)) : null;
  const ground = useGround(filmKey, floor, unit, cueFrame ?? index);
  const steps = useSteps(filmKey, rep?.ordinal ?? 0);
  const drawing = useDrawing(filmKey, index);
  const body = useBody(filmKey, index, info, film);
  const floorUnder = ground.ground;
  const cameraMoved = useCameraMoved(film, floorUnder && ground.clickedIn, cueFrame);
  const firstMove = useFirstMove(film, framesMs, reps, place, tieOf, go);
  const reading = useMemo(
    () => floorUnder && alignment && { ground: floorUnder, framesMs, alignment, cueMs },
    [floorUnder, alignment, framesMs, cueMs],
  );
  const people = usePeople();
  const shoulderM = people.data?.find(({ id }) => id === set.athleteId)?.shoulderM ?? null;
  const loop = alignment
    ? {
        fromMs: inRecording(alignment, cueMs + stretch.fromMs),
        toMs: inRecording(alignment, cueMs + stretch.toMs),
        rate: alignment.rate,
      }
    : { fromMs: 0, toMs: framesMs.at(-1) ?? 0, rate: 1 };
  const play = usePlay(framesMs, index, go, loop);
  const mark = (name: Marked | 'cue') => {
    if (rep) marking.mark(rep.ordinal, name, index);
  };
  const own = (rep && made[rep.ordinal]) ?? NOTHING_MARKED;
  const goToEvent = (way: 1 | -1) => {
    if (!rep || !alignment) return;
    const to = eventFrame(own, cueFrame ?? 0, index, way);
    if (to !== null) go(to);
  };
  const miss = () => {
    if (rep) marking.miss(rep.ordinal);
  };
  useFilmKeys({
    ArrowLeft: () => go(index - 1),
    ArrowRight: () => go(index + 1),
    'Shift+ArrowLeft': () => go(index - MANY),
    'Shift+ArrowRight': () => go(index + MANY),
    ArrowUp: () => goToEvent(-1),
    ArrowDown: () => goToEvent(1),
    Space: play.toggle,
    BracketLeft: () => goToRep(place - 1),
    BracketRight: () => goToRep(place + 1),
    KeyQ: () => mark('cue'),
    KeyM: miss,
    ...Object.fromEntries(MARKED.map((name) => [MARK_KEYS[name][0], () => mark(name)])),
  });

  const faultsSeen = (rep && (marks[rep.ordinal]?.faults ?? rep.seenFaults)) ?? [];
  const timed =
    rep && alignment ? markedEvents(rep, own, framesMs, alignment, marker.ownSdMs) : null;
  const events: readonly TimedEvent[] = timed?.ok ? timed.value : rep ? [rep.cue] : [];
  const seenPositions = useSeenPositions(rep, reps, made, framesMs, tie.alignment, pattern, ask);
  const marked = reps.filter(({ ordinal }) => isMarked(marks[ordinal] ?? NOTHING_MARKED));

  /** Frames from here to the end of the rep. */
  const lastFrame = alignment
    ? (own.frames.home ?? frameAt(framesMs, inRecording(alignment, cueMs + stretch.toMs)))
    : framesMs.length - 1;
  const ahead = Array.from({ length: Math.max(0, lastFrame - index) }, (_, i) => index + 1 + i);

  const repTitle = ({ ordinal, target }: CalledRep): string =>
    say('stillsOf', { athlete: review.athlete.name, ordinal, letter: target });

  return (
    <Columns>
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
            title={repTitle(rep)}
            onGo={go}
          />
        )}
      </div>
      <div>
        <TieNote
          {...{ info, unreadable, hearing, heard }}
          alignment={tie.alignment}
          cues={reps.length}
          marked={marked.length}
          isByHand={tie.isByHand}
          slowed={tie.slowed}
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
          cueIs={tie.alignment && cueKnown(place, own, tie.alignment)}
          onMark={mark}
          onMiss={miss}
        />
        {rep && alignment && <FirstMovePart work={firstMove} />}
        {rep && (
          <FaultsPart
            watched={set.conditions.watched}
            seen={faultsSeen}
            onFault={(fault) => marking.fault(rep.ordinal, fault, rep.seenFaults)}
          />
        )}
        {timed && !timed.ok && <Notice>{problemSentence(timed.problem)}</Notice>}
        {tie.alignment && (
          <KeepPart {...{ review, reps, marks, framesMs, marker }} alignment={tie.alignment} />
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
            onFollow={body.follow && ahead.length > 0 ? () => body.follow?.(ahead) : null}
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
            title={repTitle(rep)}
          />
        )}
        {rep && alignment && (
          <Row>
            <ClipPart
              {...{ film, events, framesMs, alignment }}
              speed={play.speed}
              title={repTitle(rep)}
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
            title={repTitle(rep)}
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
        <Quiet style={{ marginTop: 18, fontSize: 15 }}>{say('staysHere')}</Quiet>
      </div>
    </Columns>
  );
}
