import {
  alignCues,
  type Alignment,
  betterRep,
  checkSeen,
  checksHeld,
  cueInRecording,
  eventFrame,
  isMarked,
  markedEvents,
  markedTwice,
  mirrorRep,
  type Marks,
  NOTHING_MARKED,
  type RepMarks,
  cueKnown,
  tiedByHand,
  tieOfRep,
  withCheck,
  withCoachMark,
  withFault,
  withMark,
  withMissed,
} from '@orthokin/core/film';
import type { RepReply, SetReviewReply } from '@orthokin/contract';
import { blankPattern } from '@orthokin/core/footwork';
import { layoutTargets } from '@orthokin/core/pattern';
import { durationsOf, type TimedEvent } from '@orthokin/core/timing';
import { calledReps, correctionsFrom, type CalledRep } from '../src/film/mark/marks.js';
import { vttMarks } from '../src/film/mark/vtt-marks.js';
import { subjectOfPattern } from '../src/film/subject.js';
import { fromCue, tieSentences } from '../src/words/film.js';
import { setBody } from '../src/drill/requests.js';
import { runOf } from './played.js';

const CUES_MS = [2000, 6000, 11_000];
const cueAt = (atMs: number): TimedEvent => ({ name: 'cue', atMs, sdMs: 3, source: 'sensor' });
const rep = (ordinal: number, change: Partial<RepReply> = {}): RepReply => ({
  ...{ id: `r${ordinal}`, ordinal, target: ordinal % 2 ? 'A' : 'B' },
  events: [cueAt(CUES_MS[ordinal - 1] ?? NaN)],
  ...{ seenFaults: [], struckOut: false, replaces: null, marks: null, corrected: null },
  ...change,
});
const REPS = [rep(1), rep(2), rep(3)];
const set = { ...setBody(runOf([])), id: 'set', endedAt: null, endReason: null };
const reviewOf = (reps: RepReply[]) => ({ reps, set }) as Pick<SetReviewReply, 'reps' | 'set'>;
const CALLED = calledReps(reviewOf(REPS));
const [FIRST] = CALLED as [CalledRep, CalledRep, CalledRep];
const ownOf = (marks: Marks, ordinal: number): RepMarks => marks[ordinal] ?? NOTHING_MARKED;

/** A film at 120 frames a second that begins half a second into the set, slowed so many times. */
const filmed = (rate = 1) => {
  const framesMs = Array.from({ length: 1600 }, (_, i) => (i * 1000 * rate) / 120);
  const found = alignCues(
    CUES_MS,
    CUES_MS.map((ms) => (ms - 500) * rate),
  );
  if (!found.ok) throw new Error('heard');
  return { framesMs, alignment: { ...found.value, sdMs: 4 } satisfies Alignment };
};
/** The first frame at or after a moment of the set. */
const frameOf = (setMs: number): number => Math.ceil(((setMs - 500) * 120) / 1000);

describe('marks of a film', () => {
  test.each([1, 4])(
    'become events on the set’s clock, each with its error, slowed %i times',
    (rate) => {
      const { framesMs, alignment } = filmed(rate);
      const marks = (
        [
          ['firstMove', 240],
          ['action', 1100],
          ['home', 2300],
        ] as const
      ).reduce<Marks>((all, [name, ms]) => withMark(all, 1, name, frameOf(2000 + ms)), {});
      const read = markedEvents(FIRST, ownOf(marks, 1), framesMs, alignment);
      if (!read.ok) throw new Error(read.problem.field);
      expect(read.value.map(({ name, source }) => [name, source])).toEqual([
        ['cue', 'sensor'],
        ['firstMove', 'film'],
        ['action', 'film'],
        ['home', 'film'],
      ]);
      const { reaction, recovery } = durationsOf(read.value);
      expect(Math.abs((reaction?.ms ?? NaN) - 240)).toBeLessThan(1000 / 120);
      expect(Math.abs((recovery?.ms ?? NaN) - 1200)).toBeLessThan(1000 / 120);
      // The tie to the set is in the cue: it counts once in a reaction, not at all in a recovery.
      expect(read.value[0]?.sdMs).toBe(5);
      expect(cueInRecording(FIRST, alignment)).toBeCloseTo(1500 * rate, 3);
    },
  );

  test('a cue marked in the picture is when that rep begins, with the error of the mark', () => {
    const { framesMs, alignment } = filmed(4);
    const seen = withMark(withMark({}, 1, 'cue', frameOf(2050)), 1, 'firstMove', frameOf(2290));
    const tie = tieOfRep(FIRST, ownOf(seen, 1), framesMs, alignment);
    expect(Math.abs(cueInRecording(FIRST, tie) - (2050 - 500) * 4)).toBeLessThan(4000 / 120);
    const read = markedEvents(FIRST, ownOf(seen, 1), framesMs, alignment);
    if (!read.ok) throw new Error(read.problem.field);
    const [cue] = read.value;
    // The set's clock stands: it is the rep that is laid onto it anew.
    expect(cue?.atMs).toBe(2000);
    expect(cue?.sdMs).toBeCloseTo(Math.hypot(1000 / 120 / Math.sqrt(12), 8), 1);
    expect(Math.abs((durationsOf(read.value).reaction?.ms ?? NaN) - 240)).toBeLessThan(1000 / 120);
    // Of the others nothing changes, and tied by that mark once more it is the same.
    expect(tieOfRep(FIRST, ownOf(seen, 2), framesMs, alignment)).toBe(alignment);
    expect(tieOfRep(FIRST, ownOf(seen, 1), framesMs, tie)).toEqual(tie);
    expect([
      cueKnown(0, ownOf(seen, 1), alignment),
      cueKnown(1, ownOf(seen, 2), alignment),
    ]).toEqual(['marked', 'heard']);
    expect(cueKnown(7, NOTHING_MARKED, alignment)).toBe('reckoned');
  });

  test('an event out of its order is a problem that names both', () => {
    const { framesMs, alignment } = filmed();
    const marks = withMark(withMark({}, 1, 'home', frameOf(2500)), 1, 'action', frameOf(3000));
    expect(markedEvents(FIRST, ownOf(marks, 1), framesMs, alignment)).toMatchObject({ ok: false });
    expect(correctionsFrom(CALLED, marks, framesMs, alignment, 'Mara')).toEqual([]);
  });

  test('a mark at the same frame is taken back; a rep may be missed', () => {
    const once = withMark({}, 2, 'home', 77);
    expect(isMarked(ownOf(once, 2))).toBe(true);
    expect(isMarked(ownOf(withMark(once, 2, 'home', 77), 2))).toBe(false);
    expect(withMark(once, 2, 'home', 78)[2]?.frames.home).toBe(78);
    expect(isMarked(ownOf(withMissed({}, 2), 2))).toBe(true);
    expect(isMarked(ownOf(withMark({}, 2, 'cue', 5), 2))).toBe(false);
    expect(isMarked(NOTHING_MARKED)).toBe(false);
  });

  test('a rep that was run again is looked for at its last cue, whatever was corrected since', () => {
    const again = rep(2, { id: 'r2b', replaces: 'r2', events: [cueAt(8400)] });
    const corrected = rep(2, {
      ...{ id: 'c2', replaces: 'r2b', events: [{ ...cueAt(8400), sdMs: 40 }] },
      corrected: { by: 'Mara', at: '2026-03-02T10:00:00.000Z' },
    });
    const [, second] = calledReps(reviewOf([...REPS, again, corrected]));
    expect(second).toMatchObject({ id: 'c2', cue: { atMs: 8400, sdMs: 3 } });
  });

  test('only what is not kept yet is kept, and marked again the tie counts no second time', () => {
    const { framesMs, alignment } = filmed();
    const marks = withMissed(withMark({}, 1, 'firstMove', frameOf(2240)), 2);
    const [first, second, ...none] = correctionsFrom(CALLED, marks, framesMs, alignment, 'Mara');
    expect(none).toEqual([]);
    expect(first).toMatchObject({ replaces: 'r1', corrected: { by: 'Mara' } });
    expect(second).toMatchObject({ replaces: 'r2', seenFaults: ['missed'] });
    const kept = [...REPS, { ...first, id: 'c1' }, { ...second, id: 'c2' }] as RepReply[];
    const now = calledReps(reviewOf(kept));
    expect(now.map(({ id }) => id)).toEqual(['c1', 'c2', 'r3']);
    expect(correctionsFrom(now, marks, framesMs, alignment, 'Mara')).toEqual([]);
    const moved = withMark(marks, 1, 'firstMove', frameOf(2300));
    const [again] = correctionsFrom(now, moved, framesMs, alignment, 'Mara');
    expect(again).toMatchObject({ replaces: 'c1' });
    expect(again?.events[0]?.sdMs).toBe(5);
  });

  test('an event of the coach’s own is kept beside the times a rep has, and changes none of them', () => {
    const { framesMs, alignment } = filmed();
    const timed = REPS.map((each) =>
      each.ordinal === 1
        ? { ...each, events: [...each.events, { ...cueAt(2900), name: 'arrival' as const }] }
        : each,
    );
    const called = calledReps(reviewOf(timed));
    const marks = withCoachMark({}, 1, 'prepared', frameOf(2700));
    const [body, ...none] = correctionsFrom(called, marks, framesMs, alignment, 'Mara');
    expect(none).toEqual([]);
    expect(body?.events).toEqual(timed[0]?.events);
    const [prepared] = body?.marks?.coachEvents ?? [];
    expect(prepared).toMatchObject({ name: 'prepared', source: 'film' });
    expect(Math.abs((prepared?.atMs ?? NaN) - 2700)).toBeLessThan(1000 / 120);

    const kept = calledReps(reviewOf([...timed, { ...body, id: 'c1' } as RepReply]));
    expect(correctionsFrom(kept, marks, framesMs, alignment, 'Mara')).toEqual([]);
    // Taken back on film, it is taken back from the rep; what else was noted stays.
    const noted = kept.map((each) =>
      each.ordinal === 1 ? { ...each, marks: { ...each.marks, lateRight: true } } : each,
    );
    const back = withCoachMark(marks, 1, 'prepared', frameOf(2700));
    const [without] = correctionsFrom(noted, back, framesMs, alignment, 'Mara');
    expect(without?.marks).toEqual({ lateRight: true, coachEvents: [] });
  });

  test('a film of a pattern has a rep to each target; its times count from the cue that was marked', () => {
    const { framesMs } = filmed();
    const targets = layoutTargets('cross', 2.5);
    const pattern = { ...blankPattern('Cross'), id: 'p', targets };
    const { reps, review, coachLimits, cueHz } = subjectOfPattern(pattern);
    expect(reps.map(({ target }) => target)).toEqual(targets.map(({ letter }) => letter));
    expect([review, coachLimits]).toEqual([null, []]);
    expect(cueHz.every((hz) => hz === null)).toBe(true);
    const clock: Alignment = { offsetMs: 0, rate: 1, sdMs: 0, heard: new Map(), strays: [] };
    const marks = withMark(
      withCoachMark(withMark({}, 2, 'cue', 120), 2, 'let go', 180),
      ...([2, 'arrival', 240] as const),
    );
    const [second] = vttMarks(reps.slice(1, 2), marks, framesMs, clock).map(({ atMs }) => atMs);
    expect(second).toBeCloseTo(((120 - 0.5) * 1000) / 120, 0);
    const words = vttMarks(reps.slice(1, 2), marks, framesMs, clock).map((each) => each.words);
    expect(words).toContain('let go +0.500 s');
    expect(words).toContain('Arrived +1.000 s');
  });

  test('events marked again, blind, tell how surely this person marks, and that goes into the reps', () => {
    const { framesMs, alignment } = filmed(4);
    const names = ['firstMove', 'arrival', 'action', 'home'] as const;
    const at = (off: number): Marks =>
      [1, 2].reduce<Marks>(
        (all, ordinal) =>
          names.reduce(
            (some, name, i) =>
              withMark(
                some,
                ordinal,
                name,
                frameOf(3000 * ordinal) + 20 * i + ((i + ordinal) % 2) * off,
              ),
            all,
          ),
        {},
      );
    const { events, sdMs } = markedTwice(at(0), at(2), framesMs, alignment.rate);
    expect(events).toBe(8);
    // Half of them two frames later: sd of the differences over √2.
    expect(sdMs).toBeCloseTo((2 * (1000 / 120) * Math.sqrt(8 / 7)) / 2 / Math.SQRT2, 3);
    expect(markedTwice(at(0), withMark({}, 1, 'home', 5), framesMs, 1)).toEqual({
      ...{ events: 1, sdMs: null },
    });
    const surer = markedEvents(FIRST, ownOf(at(0), 1), framesMs, alignment, 0);
    const usual = markedEvents(FIRST, ownOf(at(0), 1), framesMs, alignment);
    if (!surer.ok || !usual.ok) throw new Error('marked');
    expect(surer.value[1]?.sdMs).toBeLessThan(usual.value[1]?.sdMs ?? 0);
  });

  test('beside a rep stands one to the same target that was home sooner, if there is one', () => {
    const { framesMs, alignment } = filmed();
    const homes = withMark(
      withMark({}, 1, 'home', frameOf(2000 + 2600)),
      3,
      'home',
      frameOf(11_000 + 2300),
    );
    const [first, second, third] = CALLED as [CalledRep, CalledRep, CalledRep];
    const better = (marks: Marks, rep: CalledRep) =>
      betterRep(CALLED, marks, framesMs, alignment, rep)?.ordinal ?? null;
    expect(better(homes, first)).toBe(3);
    expect(better(homes, third)).toBeNull();
    // To another target nothing is better; unmarked, nobody knows.
    expect(better(homes, second)).toBeNull();
    expect(better({}, first)).toBeNull();
  });

  test('without sound two cues that were marked tie film and set', () => {
    const { framesMs } = filmed();
    const one = withMark({}, 1, 'cue', frameOf(2000));
    expect(tiedByHand(CALLED, one, framesMs)).toBeNull();
    const tied = tiedByHand(CALLED, withMark(one, 3, 'cue', frameOf(11_000)), framesMs);
    expect(tied?.rate).toBeCloseTo(1, 2);
    expect(tied?.sdMs).toBeGreaterThan(10);
  });
});

describe('what is said of a film', () => {
  const said = { cues: 3, marked: 1, tones: 3, heard: true };

  test('how many cues were heard, how surely, and that it is slowed', () => {
    expect(tieSentences(filmed(4).alignment, said)).toEqual([
      '3 of 3 cues heard in the film (sure to ±0.004 s), 1 rep marked.',
      'The film is slowed 4 times: times are as they were filmed.',
    ]);
  });

  test('that its file lies, and that what somebody said of it does not fit', () => {
    const lied = { ...said, tagged: 8, capturedPerS: 240.01 } as const;
    expect(tieSentences(filmed(4).alignment, lied)[2]).toContain('says 240 frames a second');
    const true4 = { ...lied, tagged: 4 } as const;
    expect(tieSentences(filmed(4).alignment, true4)).toHaveLength(2);
    expect(tieSentences(null, { ...said, slowed: 1 })[1]).toContain('a film that is not slowed');
    expect(tieSentences(null, { ...said, slowed: 4 })[1]).toContain('slowed 4 times');
  });

  test('what to do where they were not', () => {
    const [first] = tieSentences(null, { ...said, tones: 1 });
    expect(first).toContain('(one tone found)');
    expect(first).toContain('Mark the cue');
  });

  test('a moment from the cue has its sign, and nothing is minus nothing', () => {
    expect([-120, -0.2, 0, 1383].map(fromCue)).toEqual(['−0.120', '+0.000', '+0.000', '+1.383']);
  });

  test('a check point turns from not looked at to holding, not holding and back; what was looked at is kept', () => {
    const { framesMs, alignment } = filmed();
    const turn = (marks: Marks) => withCheck(marks, 1, 'load', 'knee over toes');
    const holds = turn({});
    expect(checkSeen(ownOf(holds, 1), 'load', 'knee over toes')).toBe(true);
    const both = withCheck(turn(holds), 1, 'recovery', 'both feet down');
    expect(checkSeen(ownOf(both, 1), 'load', 'knee over toes')).toBe(false);
    expect(checksHeld(ownOf(both, 1))).toEqual({ held: 1, of: 2 });
    expect(checksHeld(ownOf(turn(turn(holds)), 1))).toBeNull();
    // The rep's times stay as they were; what was seen goes with it, once.
    const [body, ...none] = correctionsFrom(CALLED, both, framesMs, alignment, 'Mara');
    expect(none).toEqual([]);
    expect(body).toMatchObject({ events: FIRST.events, marks: { checked: { held: 1, of: 2 } } });
    const kept = [{ ...FIRST, marks: { checked: { held: 1, of: 2 } } }];
    expect(correctionsFrom(kept, both, framesMs, alignment, 'Mara')).toEqual([]);
  });

  test('a fault seen on film counts, with or without times, and can be taken back', () => {
    const { framesMs, alignment } = filmed();
    const marks = withFault({}, 1, 'narrow base', FIRST.seenFaults);
    const [body, ...none] = correctionsFrom(CALLED, marks, framesMs, alignment, 'Mara');
    expect(none).toEqual([]);
    expect(body).toMatchObject({ ordinal: 1, seenFaults: ['narrow base'], events: FIRST.events });
    // What is kept already makes no correction; taken back, it makes one again.
    const kept = CALLED.map((each) =>
      each.ordinal === 1 ? { ...each, seenFaults: ['narrow base' as const] } : each,
    );
    expect(correctionsFrom(kept, marks, framesMs, alignment, 'Mara')).toEqual([]);
    const back = withFault(marks, 1, 'narrow base', ['narrow base']);
    expect(ownOf(back, 1).faults).toEqual([]);
    expect(correctionsFrom(kept, back, framesMs, alignment, 'Mara')[0]?.seenFaults).toEqual([]);
    // Times marked as well: both are in the one correction.
    const timed = withMark(marks, 1, 'firstMove', frameOf(2240));
    const [both] = correctionsFrom(CALLED, timed, framesMs, alignment, 'Mara');
    expect(both?.events).toHaveLength(2);
    expect(both?.seenFaults).toEqual(['narrow base']);
  });

  test('a rep is stepped through by its events, from the cue to the last', () => {
    const own: RepMarks = { frames: { home: 90, firstMove: 20, arrival: 60 }, missed: false };
    const walk = [0, 1, 2, 3].reduce<number[]>(
      (at) => [...at, eventFrame(own, 5, at.at(-1) ?? 0, 1) ?? -1],
      [],
    );
    expect(walk).toEqual([5, 20, 60, 90]);
    expect(eventFrame(own, 5, 90, 1)).toBeNull();
    expect(eventFrame(own, 5, 60, -1)).toBe(20);
    expect(eventFrame({ ...own, frames: { cue: 7 } }, 5, 6, 1)).toBe(7);
  });

  test('the mirror is a rep to the target across, the one with most marks', () => {
    const across = { targets: layoutTargets('line', 3) };
    const marks = withMark(withMark({}, 2, 'home', 9), 2, 'arrival', 5);
    expect(mirrorRep(CALLED, marks, across, FIRST)?.ordinal).toBe(2);
    expect(mirrorRep(CALLED, {}, across, FIRST)).toBeNull();
    expect(mirrorRep(CALLED, marks, { targets: [] }, FIRST)).toBeNull();
  });
});
