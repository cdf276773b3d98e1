import {
  cueInRecording,
  eventFrame,
  filmTogether,
  frameAt,
  inRecording,
  isMarked,
  type Marked,
  MARKED,
  markedEvents,
  NOTHING_MARKED,
  tieOfRep,
  type Alignment,
} from '@orthokin/core/film';
import type { TimedEvent } from '@orthokin/core/timing';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { usePeople } from '../../api/people.js';
import { useWidth } from '../../parts/useWidth.js';
import { say } from '../../words/film.js';
import { useBeside } from '../beside/useBeside.js';
import { filmKeyOf } from '../film-key.js';
import type { CalledRep } from '../mark/marks.js';
import { useBody } from '../body/useBody.js';
import { useDrawing } from '../draw/useDrawing.js';
import { useGround } from '../ground/useGround.js';
import { useFilm } from '../read/useFilm.js';
import { THUMB_HEIGHT, thumbFrames, type Stretch } from '../play/Strip.js';
import { useFilmKeys } from '../play/useFilmKeys.js';
import { usePictureZoom } from '../screen/usePictureZoom.js';
import { useCameraMoved } from '../motion/useCameraMoved.js';
import { useFirstMove } from '../motion/useFirstMove.js';
import { useSeenPositions } from '../positions/useSeenPositions.js';
import { useCoachEventNames } from '../mark/useCoachEventNames.js';
import { useMarking } from '../mark/useMarking.js';
import { useOwnSd } from '../mark/useOwnSd.js';
import { usePlay } from '../play/usePlay.js';
import type { FilmSubject } from '../subject.js';
import { useTie } from '../tie/useTie.js';
import { MARK_KEYS } from '../mark/MarkKeys.js';
import { useSteps } from '../steps/useSteps.js';

/** How long before its cue a strip begins, and the most of a rep it shows. */
const BEFORE_MS = 400;
const LONGEST_MS = 5000;
const MANY = 10;
const USUAL_RATIO = 16 / 9;

/** The desk's state: the film, its tie to the set, the current rep and frame, and the marks. */
export function useDesk(subject: FilmSubject, file: Blob) {
  const { pattern, floor, reps } = subject;
  const film = useFilm(file);
  const { info, ask } = film;
  // Marks are about frames, so another film of the same set has its own.
  const filmKey = filmKeyOf(subject.id, file);
  const marking = useMarking(filmKey);
  const { marks, shown: made } = marking;
  const marker = useOwnSd();
  const [place, setPlace] = useState(0);
  const [chosen, setChosen] = useState<number | null>(null);
  /** The frame gone to last. Keys may step from it or mark it before React has rendered. */
  const wanted = useRef(0);

  const framesMs = useMemo(() => info?.framesMs ?? [], [info]);
  const tie = useTie(filmKey, subject, film, marks);
  const rep = reps[place];
  const tieOf = (one: CalledRep | undefined): Alignment | null => {
    if (!one || !tie.alignment) return tie.alignment;
    const own = made[one.ordinal] ?? NOTHING_MARKED;
    // In a pattern's film a rep has no times until its cue is marked.
    if (!subject.review && own.frames.cue === undefined) return null;
    return tieOfRep(one, own, framesMs, tie.alignment, marker.ownSdMs);
  };
  const alignment = tieOf(rep);
  const next = reps[place + 1];
  const cueMs = rep?.cue.atMs ?? 0;
  // A pattern's film does not say when the next rep begins.
  const nextMs = subject.review ? next?.cue.atMs : undefined;
  const stretch: Stretch = {
    fromMs: -BEFORE_MS,
    toMs: Math.min(LONGEST_MS, nextMs === undefined ? LONGEST_MS : nextMs - cueMs),
  };
  // Until somebody moves, the first cue is shown as soon as its place is known.
  const index =
    chosen ?? (rep && alignment ? frameAt(framesMs, cueInRecording(rep, alignment)) : 0);
  useEffect(() => {
    wanted.current = index;
    if (framesMs.length > 0) ask({ ask: 'show', index });
  }, [ask, framesMs, index]);
  const go = (to: number) => {
    if (framesMs.length === 0) return;
    const within = Math.min(framesMs.length - 1, Math.max(0, to));
    // Requested before rendering: the picture need not wait for React.
    ask({ ask: 'show', index: within });
    wanted.current = within;
    setChosen(within);
  };
  const step = (by: number) => go(wanted.current + by);
  const goToRep = (to: number) => {
    const one = reps[to];
    if (!one) return;
    setPlace(to);
    const tied = tieOf(one);
    if (tied) go(frameAt(framesMs, cueInRecording(one, tied)));
  };
  const tiedAt = alignment && `${alignment.offsetMs} ${alignment.rate}`;
  const askForStrip = useEffectEvent(() => {
    if (!alignment || !rep || framesMs.length === 0) return;
    ask({
      ...{ ask: 'pictures', of: 'strip' },
      indices: thumbFrames(framesMs, alignment, cueMs, stretch),
      heightPx: THUMB_HEIGHT,
    });
  });
  useEffect(() => askForStrip(), [tiedAt, place, framesMs, ask]);
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
  const shoulderM = people.data?.find(({ id }) => id === subject.athleteId)?.shoulderM ?? null;
  const loop = alignment
    ? {
        fromMs: inRecording(alignment, cueMs + stretch.fromMs),
        toMs: inRecording(alignment, cueMs + stretch.toMs),
        rate: alignment.rate,
      }
    : { fromMs: 0, toMs: framesMs.at(-1) ?? 0, rate: 1 };
  const play = usePlay(framesMs, index, go, loop);
  const mark = (name: Marked | 'cue') => {
    if (rep) marking.mark(rep.ordinal, name, wanted.current);
  };
  const own = (rep && made[rep.ordinal]) ?? NOTHING_MARKED;
  const goToEvent = (way: 1 | -1) => {
    if (!rep || !alignment) return;
    const to = eventFrame(own, cueFrame ?? 0, wanted.current, way);
    if (to !== null) go(to);
  };
  const coachEvents = useCoachEventNames(subject.coachLimits, reps, made);
  const markOwn = (name: string) => {
    if (rep) marking.markOwn(rep.ordinal, name, wanted.current);
  };
  const miss = () => {
    if (rep) marking.miss(rep.ordinal);
  };
  useFilmKeys({
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    'Shift+ArrowLeft': () => step(-MANY),
    'Shift+ArrowRight': () => step(MANY),
    ArrowUp: () => goToEvent(-1),
    ArrowDown: () => goToEvent(1),
    Space: play.toggle,
    BracketLeft: () => goToRep(place - 1),
    BracketRight: () => goToRep(place + 1),
    KeyQ: () => mark('cue'),
    KeyM: miss,
    ...Object.fromEntries(MARKED.map((name) => [MARK_KEYS[name][0], () => mark(name)])),
    ...Object.fromEntries(
      coachEvents.names.map((name, i) => [`Digit${i + 1}`, () => markOwn(name)]),
    ),
  });

  const faultsSeen = (rep && (marks[rep.ordinal]?.faults ?? rep.seenFaults)) ?? [];
  const timed =
    rep && alignment ? markedEvents(rep, own, framesMs, alignment, marker.ownSdMs) : null;
  const events: readonly TimedEvent[] = timed?.ok ? timed.value : rep ? [rep.cue] : [];
  const seenPositions = useSeenPositions(
    rep,
    reps,
    made,
    framesMs,
    alignment && tie.alignment,
    pattern,
    ask,
  );
  const marked = reps.filter(({ ordinal }) => isMarked(marks[ordinal] ?? NOTHING_MARKED));

  const lastFrame = alignment
    ? (own.frames.home ?? frameAt(framesMs, inRecording(alignment, cueMs + stretch.toMs)))
    : framesMs.length - 1;

  const beside = useBeside();
  const together =
    rep && tie.alignment && alignment
      ? filmTogether(rep, made, framesMs, tie.alignment, beside.at)
      : null;

  const title = rep
    ? say('stillsOf', {
        athlete: subject.name,
        ordinal: rep.ordinal,
        letter: rep.target,
      })
    : '';

  return {
    ...{
      subject,
      file,
      film,
      tie,
      framesMs,
      reps,
      rep,
      place,
      next,
      cueMs,
      alignment,
      stretch,
    },
    ...{ index, go, step, goToRep, goToEvent, play, zoom, screenRef, ratio, size, unit },
    ...{ marking, marker, made, own, timed, events, faultsSeen, marked, mark, miss },
    ...{ coachEvents, markOwn },
    ...{ seenPositions, ground, steps, drawing, body, cameraMoved, firstMove, reading, shoulderM },
    ...{ lastFrame, title, beside, together },
  };
}

/** What both columns of the desk are drawn from. */
export type Desk = ReturnType<typeof useDesk>;
