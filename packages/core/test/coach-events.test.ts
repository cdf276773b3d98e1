import fc from 'fast-check';
import {
  coachEventsMarked,
  eventFrame,
  isMarked,
  isTimedByMarks,
  markedEvents,
  NOTHING_MARKED,
  withCoachMark,
  withMark,
  type Alignment,
  type Marks,
} from '@orthokin/core/film';
import { checkPattern, raisedBy, USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import { asksTheSame, judgeSet, limitingGate } from '@orthokin/core/progress';
import { coachEventFigures } from '@orthokin/core/stats';
import {
  checkCoachEventName,
  coachDuration,
  coachEventNames,
  LONGEST_EVENT_NAME,
  readRep,
  type CoachEvent,
  type RepReading,
  type TimedEvent,
} from '@orthokin/core/timing';
import { bare, laid } from './patterns.js';

const SETTINGS = { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] } as const;

/** A rep with the arrival 800 ms after its cue, prepared so long after the cue. */
function reading(ordinal: number, preparedMs: number | null, sdMs = 0): RepReading {
  const at = (name: TimedEvent['name'], atMs: number): TimedEvent => ({
    ...{ name, atMs: 1000 * ordinal + atMs, source: 'film' },
    sdMs: name === 'cue' ? 0 : sdMs,
  });
  const prepared: CoachEvent[] =
    preparedMs === null
      ? []
      : [{ name: 'prepared', atMs: 1000 * ordinal + preparedMs, sdMs, source: 'film' }];
  return readRep(
    {
      ...{ ordinal, target: 'A', seenFaults: [], struckOut: false },
      events: [at('cue', 0), at('firstMove', 250), at('arrival', 800)],
      marks: { coachEvents: prepared },
    },
    SETTINGS,
  );
}

const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Mixed', targets: ['A'], limitsMs: { response: 900 } },
  coachLimits: [{ event: 'prepared', from: 'arrival', limitMs: -100 }],
};
const setOf = (...prepared: (number | null)[]) => prepared.map((ms, i) => reading(i + 1, ms));
const times = (n: number, ms: number) => Array.from({ length: n }, () => ms);

describe('the name of an event of the coach’s own', () => {
  test('is taken without the blanks around it', () => {
    expect(checkCoachEventName('  let go ')).toEqual({ ok: true, value: 'let go' });
  });

  test.each(['', '   ', 'x'.repeat(LONGEST_EVENT_NAME + 1), 'Arrival', 'first move', 'recovery'])(
    '%p is refused: empty, too long, or what every rep has',
    (name) => expect(checkCoachEventName(name).ok).toBe(false),
  );

  test('is refused twice, however it is written', () => {
    expect(checkCoachEventName('Bounce', ['bounce']).ok).toBe(false);
  });
});

describe('when it came', () => {
  test('is counted from the cue or from the arrival, with the error of both ends', () => {
    const { rep } = reading(1, 650, 3);
    const own = rep.marks?.coachEvents ?? [];
    expect(coachDuration(rep.events, own, 'prepared', 'cue')).toEqual({ ms: 650, sdMs: 3 });
    const before = coachDuration(rep.events, own, 'prepared', 'arrival');
    expect(before?.ms).toBe(-150);
    expect(before?.sdMs).toBeCloseTo(3 * Math.SQRT2);
  });

  test('does not exist where it, or what it is held against, was not timed', () => {
    const { rep } = reading(1, null);
    expect(coachDuration(rep.events, [], 'prepared', 'cue')).toBeNull();
    const own = reading(1, 650).rep.marks?.coachEvents ?? [];
    expect(coachDuration(rep.events.slice(0, 2), own, 'prepared', 'arrival')).toBeNull();
  });

  test('is summarised over the reps that count, against both', () => {
    const [fromCue, fromArrival] = coachEventFigures(setOf(600, 650, 700, null));
    expect(fromCue).toMatchObject({ event: 'prepared', from: 'cue', summary: { n: 3 } });
    expect(fromCue?.summary.medianMs).toBe(650);
    expect(fromArrival?.summary.medianMs).toBe(-150);
    const struck = setOf(600).map((one) => ({ ...one, leftOut: 'struck out' as const }));
    expect(coachEventFigures(struck)).toEqual([]);
    expect(coachEventNames(setOf(600, null).map(({ rep }) => rep))).toEqual(['prepared']);
  });
});

describe('as a gate of a rung', () => {
  test('a set passes when enough reps had it in time, and says how late it was when not', () => {
    const passed = judgeSet(setOf(...times(8, 690), ...times(2, 790)), rung);
    expect(passed.outcome).toBe('passed');
    expect(passed.coach).toMatchObject([{ event: 'prepared', passes: 8, fails: 2, needed: 8 }]);
    const late = judgeSet(setOf(...times(7, 690), ...times(3, 740)), rung);
    expect(late.outcome).toBe('not passed');
    expect(limitingGate(late)).toMatchObject({
      gate: 'coach event',
      event: 'prepared',
      overMs: 40,
    });
  });

  test('reps in which nobody marked it are not judged, and are counted', () => {
    const judged = judgeSet(setOf(...times(5, 690), ...times(0, 0), null, null, null), rung);
    expect(judged.outcome).toBe('too few reps');
    expect(judged.validReps).toMatchObject({ reps: 5, untimed: { prepared: 3 } });
  });

  test('what the marks cannot tell is too close to call', () => {
    const unsure = Array.from({ length: 10 }, (_, i) => reading(i + 1, 700, 20));
    expect(judgeSet(unsure, rung).coach?.[0]?.tooClose).toBe(10);
  });

  test('a later limit is never harder to keep', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 300, max: 1100 }), { minLength: 8, maxLength: 15 }),
        fc.integer({ min: -400, max: 300 }),
        fc.integer({ min: 0, max: 300 }),
        fc.integer({ min: 0, max: 40 }),
        (prepared, limitMs, laterMs, sdMs) => {
          const readings = prepared.map((ms, i) => reading(i + 1, ms, sdMs));
          const chance = (ms: number) =>
            judgeSet(readings, {
              ...rung,
              coachLimits: [{ event: 'prepared', from: 'arrival', limitMs: ms }],
            }).together.probability;
          expect(chance(limitMs + laterMs)).toBeGreaterThanOrEqual(chance(limitMs) - 1e-9);
        },
      ),
    );
  });

  test('a rung without such limits judges as before, whatever was marked', () => {
    const { coachLimits: _, ...plain } = rung;
    expect(judgeSet(setOf(...times(10, 2000)), plain)).not.toHaveProperty('coach');
    expect(judgeSet(setOf(...times(10, 2000)), plain).outcome).toBe('passed');
  });

  test('sooner is faster; another limit asks something else; twice the same is refused', () => {
    const sooner = {
      ...rung,
      coachLimits: [{ event: 'prepared', from: 'arrival', limitMs: -150 }] as const,
    };
    expect(raisedBy(rung, sooner)).toEqual(['speed']);
    expect(raisedBy(sooner, rung)).toEqual([]);
    const pattern = laid(bare('star', 2.5));
    expect(asksTheSame({ rung, pattern }, { rung: sooner, pattern })).toBe(false);
    const twice = { ...rung, coachLimits: [...(rung.coachLimits ?? []), ...sooner.coachLimits] };
    const checked = checkPattern({ ...pattern, rungs: [twice] });
    expect(checked).toMatchObject({ problem: { field: 'rungs[0].coachLimits[1].event' } });
  });
});

describe('marked on film', () => {
  const framesMs = Array.from({ length: 240 }, (_, i) => (i * 1000) / 120);
  const film: Alignment = { offsetMs: 100, rate: 1, sdMs: 4, heard: new Map(), strays: [] };
  const rep = { cue: { name: 'cue', atMs: 500, sdMs: 0, source: 'simulated' } } as const;
  const prepared = (marks: Marks) => marks[1] ?? NOTHING_MARKED;

  test('it lies in the middle of its gap, on the set’s clock; pressed again it is taken back', () => {
    const marks = withCoachMark({}, 1, 'prepared', 120);
    const [event] = coachEventsMarked(rep, prepared(marks), framesMs, film);
    expect(event).toMatchObject({ name: 'prepared', source: 'film' });
    expect(event?.atMs).toBeCloseTo(1000 - 500 / 120 - 100, 0);
    expect(isMarked(prepared(marks))).toBe(true);
    expect(isMarked(prepared(withCoachMark(marks, 1, 'prepared', 120)))).toBe(false);
  });

  test('beside what something else timed, the tie’s error is its own; beside marks the cue has it', () => {
    const alone = withCoachMark({}, 1, 'prepared', 120);
    expect(isTimedByMarks(prepared(alone))).toBe(false);
    const both = withMark(alone, 1, 'arrival', 150);
    const sdOf = (marks: Marks) =>
      coachEventsMarked(rep, prepared(marks), framesMs, film)[0]?.sdMs ?? NaN;
    expect(sdOf(alone)).toBeCloseTo(Math.hypot(sdOf(both), film.sdMs), 1);
    const events = markedEvents(rep, prepared(both), framesMs, film);
    expect(events.ok && events.value[0]).toMatchObject({ name: 'cue', sdMs: 4 });
  });

  test('stepping from event to event stops at it', () => {
    const marks = withMark(withCoachMark({}, 1, 'bounce', 90), 1, 'arrival', 150);
    expect(eventFrame(prepared(marks), 60, 60, 1)).toBe(90);
    expect(eventFrame(prepared(marks), 60, 150, -1)).toBe(90);
  });
});
