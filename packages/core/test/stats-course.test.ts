import { travelTime } from '@orthokin/core/budget';
import { normal, seededRandom } from '@orthokin/core/cue';
import { layoutTargets } from '@orthokin/core/pattern';
import { fitTravel } from '@orthokin/core/budget';
import {
  byDay,
  curveAt,
  dayForm,
  daysOfRungs,
  fadeOf,
  forecast,
  isItBetter,
  likenessOf,
  mirroredLetters,
  setFigures,
  isNotSeenLately,
  LATELY_DAYS,
  speedAgainstTechnique,
  tradeOf,
  squadForm,
  standardTest,
  standingOf,
  targetFigures,
  travelLine,
  usualSpans,
  type Better,
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
  expect(fade?.words).toBe('faded');
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
  expect(fadeOf(fresh, 'recovery')?.words).toBe('no clear change');
  const warming = Array.from({ length: 18 }, (_, i) =>
    reading({ target: 'A', recovery: 1200 - 12 * i + normal(random, 0, 15) }, i),
  );
  expect(fadeOf(warming, 'recovery')?.words).toBe('sped up');
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

const betterOf = (...given: Parameters<typeof isItBetter>): Better => {
  const better = isItBetter(...given);
  if (typeof better === 'string') throw new Error(better);
  return better;
};

describe('is it better?', () => {
  const split = (sets: CourseSet[]) => [sets.slice(0, 8), sets.slice(-8)] as const;

  test('a planted change is called clear, a planted non-change is not', () => {
    const faster = course(12, (day) => 1900 - 20 * day);
    expect(betterOf(...split(faster), faster, 'cycle').change).toMatchObject({
      ...{ words: 'clearly faster', daysBefore: 4, daysAfter: 4, moreDays: 0 },
    });
    const same = course(12, () => 1900);
    expect(betterOf(...split(same), same, 'cycle').change.words).toBe('no clear change');
    const slower = course(12, (day) => 1900 + 20 * day);
    expect(betterOf(...split(slower), slower, 'cycle').change.words).toBe('clearly slower');
  });

  test('one day’s form is not taken for a change: days count, however many sets they had', () => {
    const oneDay = course(4, (day) => (day === 3 ? 1850 : 1900));
    const many = [...oneDay, ...oneDay.slice(-2), ...oneDay.slice(-2)];
    const better = betterOf(many.slice(0, 6), many.slice(6), many, 'cycle');
    expect(better.change).toMatchObject({ daysBefore: 3, daysAfter: 1, words: 'no clear change' });
    // So small a change three days before will never make a clear one, however many come after.
    expect(better.change.moreDays).toBeNull();
    const larger = course(6, (day) => (day > 3 ? 1838 : 1900));
    const hopeful = betterOf(larger.slice(0, 8), larger.slice(8), larger, 'cycle').change;
    expect(hopeful.moreDays).toBeGreaterThan(0);
  });

  test('sets that are not alike, or of one day, are not compared', () => {
    const sets = course(12, () => 1900);
    const other = sets.map((set) => ({ ...set, rung: set.atMs > (sets[12]?.atMs ?? 0) ? 3 : 2 }));
    expect(isItBetter(...split(other), other, 'cycle')).toBe('no sets alike');
    expect(isItBetter(sets.slice(0, 1), sets.slice(1, 2), sets, 'cycle')).toBe('a day in both');
    expect(isItBetter([], [], sets, 'cycle')).toBe('no sets alike');
  });

  test('what the squad says is used where it is known', () => {
    const sets = course(12, (day) => 1900 - 3 * day);
    const [likeness] = sets.map(likenessOf);
    const own = betterOf(...split(sets), sets, 'cycle');
    expect(own).toMatchObject({ worthwhileFrom: 'the athlete', formFrom: 'what is usual' });
    const squad = betterOf(...split(sets), sets, 'cycle', {
      dayForm: { cycle: { share: 0.04, df: 20 } },
      worthwhileMs: { [likeness ?? '']: { cycle: 400 } },
    });
    expect(squad).toMatchObject({ worthwhileFrom: 'the squad', formFrom: 'the squad' });
    expect(squad.change.words).toBe('no clear change');
    expect(squad.form.between.ms2).toBeGreaterThan(own.form.between.ms2);
  });
});

describe('what a squad says is usual', () => {
  const formed = (share: number, seed: number) => {
    const random = seededRandom(100 + seed);
    const days = Array.from({ length: 14 }, () => normal(random, 0, share));
    return course(14, (day) => 1900 * (1 + (days[day] ?? 0)), seed);
  };

  test('a day form is found again from twelve athletes, and needs five', () => {
    const squad = Array.from({ length: 12 }, (_, i) => formed(0.03, i + 1));
    const { dayForm: form, worthwhileMs } = squadForm(squad);
    expect(form.cycle?.share).toBeGreaterThan(0.024);
    expect(form.cycle?.share).toBeLessThan(0.036);
    expect(form.cycle?.df).toBe(20);
    expect(Object.keys(worthwhileMs)).toHaveLength(1);
    expect(squadForm(squad.slice(0, 4))).toEqual({ dayForm: {}, worthwhileMs: {} });
  });

  test('where days do not differ the form is next to none', () => {
    const squad = Array.from({ length: 12 }, (_, i) => formed(0, i + 1));
    expect(squadForm(squad).dayForm.cycle?.share).toBeLessThan(0.006);
  });

  test('steady learning is no day form', () => {
    const days = (slope: number) =>
      daysOfRungs(
        course(14, (day) => 1900 - slope * day, 3),
        'cycle',
      );
    const [still, learning] = [dayForm(days(0)), dayForm(days(40))];
    expect(learning.between.ms2 / learning.medianMs ** 2).toBeCloseTo(
      still.between.ms2 / still.medianMs ** 2,
      4,
    );
  });
});

describe('the spans nobody chose', () => {
  test('are thirds of the days; of the newest rung where an athlete climbed in between', () => {
    const sets = course(9, () => 1900);
    expect(usualSpans(sets)).toMatchObject({ basis: 'first and last weeks' });
    expect(usualSpans(sets).before.map(({ setId }) => setId)).toEqual([
      '0',
      '1',
      '2',
      '3',
      '4',
      '5',
    ]);
    const climbed = sets.map((set, i) => ({ ...set, rung: i < 10 ? 2 : 3 }));
    const { before, after } = usualSpans(climbed);
    expect([...before, ...after].every(({ rung }) => rung === 3)).toBe(true);
    expect(usualSpans([])).toMatchObject({ before: [], after: [] });
  });

  test('are the first and last day of a standard test where there is one', () => {
    const sets = course(6, () => 1900).map((set, i) => ({ ...set, seed: i % 11 === 0 ? 77 : i }));
    const spans = usualSpans(sets);
    expect(spans.basis).toBe('the standard test');
    expect([...spans.before, ...spans.after].map(({ setId }) => setId)).toEqual(['0', '11']);
  });
});

describe('how an athlete stands', () => {
  test('a standing tells the change, the lean of days, and when they were last timed', () => {
    const leaning = course(12, (day) => 1900 - 20 * day).map((set) => ({
      ...set,
      figures: { ...set.figures, sidesPercent: set.atMs > Date.UTC(2026, 1, 3) ? 9 : 0.5 },
    }));
    const standing = standingOf(leaning);
    expect(standing).toMatchObject({ whyNot: null, lastTimedMs: leaning.at(-1)?.atMs });
    expect(standing.change?.words).toBe('clearly faster');
    expect(standing.leanChange?.nowPercent).toBeGreaterThan(6);
    expect(standing.lean?.days).toBe(12);
    expect(standingOf([])).toMatchObject({ change: null, whyNot: 'no sets alike', lean: null });
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

describe('whether speed costs technique', () => {
  test.each([
    ['speed costs technique', { tau: 0.6, p: 0.01, n: 12 }],
    ['both together', { tau: -0.6, p: 0.01, n: 12 }],
    ['no sign', { tau: 0.3, p: 0.2, n: 12 }],
    ['unknown', { tau: 1, p: 0.01, n: 5 }],
  ] as const)('%s', (trade, found) => {
    expect(tradeOf(found)).toBe(trade);
  });
});

describe('who has not been seen lately', () => {
  const nowMs = Date.UTC(2026, 5, 30);
  const ago = (days: number) => ({ lastTimedMs: nowMs - days * 86_400_000 });
  test('is told from the newest timed set', () => {
    expect(isNotSeenLately(ago(LATELY_DAYS), nowMs)).toBe(false);
    expect(isNotSeenLately(ago(LATELY_DAYS + 0.1), nowMs)).toBe(true);
    expect(isNotSeenLately({ lastTimedMs: null }, nowMs)).toBe(true);
  });
});
