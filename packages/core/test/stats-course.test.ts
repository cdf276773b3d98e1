import { travelTime } from '@orthokin/core/budget';
import { normal, seededRandom } from '@orthokin/core/cue';
import { layoutTargets } from '@orthokin/core/pattern';
import { fitTravel } from '@orthokin/core/budget';
import {
  byDay,
  curveAt,
  fadeOf,
  forecast,
  isItBetter,
  mirroredLetters,
  setFigures,
  speedAgainstTechnique,
  standardTest,
  targetFigures,
  travelLine,
  type CourseSet,
} from '@orthokin/core/stats';
import { readRep, type Fault, type RepReading } from '@orthokin/core/timing';

const DAY_MS = 86_400_000;
const STAR = layoutTargets('star', 3);
const MODEL = { acceleration: 9, topSpeed: 3.4 };

interface Way {
  readonly target: string;
  readonly reaction?: number;
  readonly travel?: number;
  readonly recovery?: number;
  readonly faults?: readonly Fault[];
}

const reading = (
  { target, reaction = 250, travel = 700, recovery = 900, faults = [] }: Way,
  i: number,
): RepReading => {
  const events = Object.entries({
    cue: 0,
    firstMove: reaction,
    arrival: reaction + travel,
    action: reaction + travel + 130,
    home: reaction + travel + 130 + recovery,
  });
  return readRep(
    {
      ordinal: i + 1,
      target,
      events: events.map(([name, atMs]) => ({
        name: name as 'cue',
        atMs,
        sdMs: 0,
        source: 'simulated',
      })),
      seenFaults: faults,
      struckOut: false,
    },
    { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
  );
};

test('a set that grows slower fades; one with a far target at its end does not', () => {
  const random = seededRandom(1);
  const tired = Array.from({ length: 18 }, (_, i) =>
    reading({ target: i % 2 ? 'A' : 'B', recovery: 900 + 12 * i + normal(random, 0, 15) }, i),
  );
  const fade = fadeOf(tired, 'recovery');
  expect(fade?.isFading).toBe(true);
  expect(fade?.msPerRep).toBeGreaterThan(6);
  expect(fade?.lastThirdMs).toBeGreaterThan(fade?.firstThirdMs ?? Infinity);
  const fresh = Array.from({ length: 18 }, (_, i) =>
    reading(
      i < 9
        ? { target: 'A', recovery: 900 + normal(random, 0, 15) }
        : { target: 'B', recovery: 1300 + normal(random, 0, 15) },
      i,
    ),
  );
  expect(fadeOf(fresh, 'recovery')?.isFading).toBe(false);
  expect(fadeOf(fresh.slice(0, 5), 'recovery')).toBeNull();
});

test('only targets with a partner across the middle are compared by side', () => {
  const { left, right } = mirroredLetters(STAR);
  expect(left).toHaveLength(3);
  expect(right).toHaveLength(3);
  const moved = STAR.map((target) =>
    target.letter === left[0] ? { ...target, at: { x: -4, y: 3 } } : target,
  );
  expect(mirroredLetters(moved).left).not.toContain(left[0]);
});

describe('the travel line', () => {
  const ways = Array.from({ length: 36 }, (_, i) => reading({ target: i % 2 ? 'A' : 'B' }, i));

  test('a target that is slow for this athlete lies above it, beyond its doubt', () => {
    const spread = STAR.map((target, i) => ({
      ...target,
      at: { x: target.at.x * (1 + i / 10), y: target.at.y * (1 + i / 10) },
    }));
    const random = seededRandom(7);
    const readings = Array.from({ length: 60 }, (_, i) => {
      const target = spread[i % spread.length];
      if (!target) throw new Error('A star has targets.');
      const seconds = travelTime(Math.hypot(target.at.x, target.at.y), MODEL);
      const slow = target.letter === spread[2]?.letter ? 150 : 0;
      return reading(
        { target: target.letter, travel: 1000 * seconds + slow + normal(random, 0, 12) },
        i,
      );
    });
    const line = travelLine(readings, spread);
    if (!line.ok) throw new Error(line.problem.allowed);
    const worst = [...line.value.residualsMs].sort((a, b) => b[1] - a[1])[0];
    expect(worst?.[0]).toBe(spread[2]?.letter);
    expect(worst?.[1]).toBeGreaterThan(line.value.sureToMs.get(worst?.[0] ?? '') ?? Infinity);
  });

  test('one distance, or few ways, make no line', () => {
    const near = STAR.slice(0, 2).map((target) => ({ ...target, at: { x: 2, y: 0 } }));
    expect(travelLine(ways, near)).toMatchObject({ ok: false, problem: { field: 'distances' } });
    expect(fitTravel([])).toMatchObject({ ok: false, problem: { field: 'pairs' } });
  });

  test('what is left out does not count, a target nobody was called to is not listed', () => {
    const readings = [reading({ target: 'A', reaction: 20 }, 0), reading({ target: 'A' }, 1)];
    expect(targetFigures(readings, STAR)).toMatchObject([{ letter: 'A', n: 1, travelMs: 700 }]);
  });
});

test('figures of a set: what counts, what is clean, what was held', () => {
  const readings = [
    reading({ target: 'A' }, 0),
    reading({ target: 'B', faults: ['lean'] }, 1),
    reading({ target: 'A', reaction: 40 }, 2),
    reading({ target: 'B', faults: ['detour'] }, 3),
  ];
  expect(setFigures(readings, STAR, ['lean'])).toMatchObject({
    counted: 3,
    cued: 4,
    falseStarts: 1,
    clean: 3,
    catchOf: 0,
    mediansMs: { reaction: 250, cycle: 1980 },
  });
  expect(setFigures(readings, STAR, []).clean).toBe(2);
  expect(setFigures([], STAR, [])).toMatchObject({ counted: 0, sidesPercent: null });
});

/** Two sets a training day, twice a week, each with a median that `cycleOf` its day says. */
function course(days: number, cycleOf: (day: number) => number, seed = 1): CourseSet[] {
  const random = seededRandom(seed);
  return Array.from({ length: days * 2 }, (_, i) => {
    const day = Math.floor(i / 2);
    const atMs = Date.UTC(2026, 0, 5) + day * 3.5 * DAY_MS + (i % 2) * 600_000;
    return {
      setId: String(i),
      atMs,
      day: new Date(atMs).toISOString().slice(0, 10),
      ...{ patternId: 'p', patternVersion: 1, rung: 2, source: 'hand', sense: 'heard', seed: i },
      figures: {
        ...setFigures([], [], []),
        cued: 10,
        clean: 8,
        mediansMs: { cycle: cycleOf(day) + normal(random, 0, 18) },
      },
    };
  });
}

describe('is it better?', () => {
  const split = (sets: CourseSet[]) => [sets.slice(0, 4), sets.slice(-4)] as const;

  test('a planted change is called clear, a planted non-change is not', () => {
    const faster = course(12, (day) => 1900 - 12 * day);
    const real = isItBetter(...split(faster), faster, 'cycle');
    expect(real).toMatchObject({ ok: true, value: { change: { words: 'clearly faster' } } });
    const same = course(12, () => 1900);
    const none = isItBetter(...split(same), same, 'cycle');
    expect(none).toMatchObject({ ok: true, value: { change: { words: 'no clear change' } } });
    const slower = course(12, (day) => 1900 + 12 * day);
    expect(isItBetter(...split(slower), slower, 'cycle')).toMatchObject({
      value: { change: { words: 'clearly slower' } },
    });
  });

  test('steady athletes are seldom called faster', () => {
    const called = Array.from({ length: 200 }, (_, seed) => {
      const sets = course(12, () => 1900, seed + 1);
      const better = isItBetter(...split(sets), sets, 'cycle');
      return better.ok ? better.value.change.words : '';
    });
    const wrongly = called.filter((words) => words.startsWith('clearly'));
    expect(wrongly.length / called.length).toBeLessThan(0.06);
  });

  test('sets that are not alike are not compared; few repeats have no typical error', () => {
    const sets = course(12, () => 1900);
    const other = sets.map((set) => ({ ...set, rung: set.atMs > (sets[12]?.atMs ?? 0) ? 3 : 2 }));
    expect(isItBetter(...split(other), other, 'cycle')).toMatchObject({
      ok: false,
      problem: { field: 'spans' },
    });
    const few = course(2, () => 1900);
    expect(isItBetter(few.slice(0, 2), few.slice(2), few, 'cycle')).toMatchObject({
      ok: false,
      problem: { field: 'repeats', given: '3' },
    });
  });

  test('the squad’s worthwhile change is used where it is known', () => {
    const sets = course(12, (day) => 1900 - 3 * day);
    const own = isItBetter(...split(sets), sets, 'cycle');
    const squad = isItBetter(...split(sets), sets, 'cycle', 400);
    expect(own).toMatchObject({ value: { worthwhileFrom: 'the athlete' } });
    expect(squad).toMatchObject({
      value: { worthwhileFrom: 'the squad', change: { words: 'no clear change' } },
    });
  });
});

test('the standard test is the newest set of cues run on several days', () => {
  const sets = course(6, () => 1900).map((set, i) => ({ ...set, seed: i % 11 === 0 ? 77 : i }));
  expect(standardTest(sets).map(({ setId }) => setId)).toEqual(['0', '11']);
  expect(standardTest(course(6, () => 1900))).toEqual([]);
});

test('speed bought with technique shows, and speed that is not does not', () => {
  const sets = course(10, (day) => 2000 - 20 * day);
  const trading = sets.map((set, i) => ({
    ...set,
    figures: { ...set.figures, cued: 40, clean: 40 - i },
  }));
  expect(speedAgainstTechnique(trading).tau).toBeGreaterThan(0.6);
  expect(speedAgainstTechnique(sets)).toMatchObject({ tau: 0, p: 1 });
});

describe('forecast', () => {
  const sessions = Array.from({ length: 14 }, (_, i) => i + 1);
  const random = seededRandom(2);
  const values = sessions.map(
    (session) => 700 + 400 * Math.exp(-0.2 * (session - 1)) + normal(random, 0, 8),
  );
  const ahead = (thresholdMs: number) => {
    const made = forecast(sessions, values, {
      ...{ thresholdMs, horizon: 40, resamples: 200, random: seededRandom(3) },
    });
    if (!made.ok) throw new Error(made.problem.allowed);
    return made.value;
  };

  test('a threshold on the way is met about where the planted curve meets it', () => {
    // 700 + 400·e^(−0.2·(s − 1)) = 720 at s = 15.98
    const { metAt, likely, chance } = ahead(720);
    expect(metAt).not.toBeNull();
    expect(likely.low).toBeLessThanOrEqual(16);
    expect(likely.high ?? Infinity).toBeGreaterThanOrEqual(16);
    expect(chance).toBeGreaterThan(0.5);
  });

  test('a threshold under the floor is not met on this course', () => {
    const { metAt, chance, likely } = ahead(600);
    expect(metAt).toBeNull();
    expect(chance).toBeLessThan(0.1);
    expect(likely.high).toBeNull();
  });

  test('the band holds the fitted curve; few sessions are refused', () => {
    const { curve, bands } = ahead(720);
    for (const [i, { low, high }] of bands.slice(0, 14).entries()) {
      expect(low).toBeLessThanOrEqual(curveAt(curve, i + 1) + 2);
      expect(high).toBeGreaterThanOrEqual(curveAt(curve, i + 1) - 2);
    }
    expect(
      forecast([1, 2, 3, 4], [4, 3, 2, 1], {
        ...{ thresholdMs: 1, horizon: 9, resamples: 10, random },
      }),
    ).toMatchObject({ ok: false, problem: { field: 'sessions', given: '4' } });
  });
});

test('a training day is one point, the median of its sets', () => {
  const days = byDay(
    course(3, (day) => 1900 - day),
    'cycle',
  );
  expect(days.map(({ session }) => session)).toEqual([1, 2, 3]);
});
