import {
  isItBetter,
  mostly,
  NO_SQUAD,
  SEASON_PHASES,
  seasonOf,
  whereItWent,
  type CourseSet,
  type SetFigures,
} from '@orthokin/core/stats';
import fc from 'fast-check';

const DAY_MS = 86_400_000;
const FIRST = Date.parse('2026-09-01T16:00:00Z');

/** A set so many days after the first of September. */
function setOn(
  dayAfter: number,
  mediansMs: SetFigures['mediansMs'],
  more: Partial<CourseSet> = {},
): CourseSet {
  const atMs = FIRST + dayAfter * DAY_MS;
  return {
    ...{ setId: `set ${dayAfter} ${JSON.stringify(more)}`, atMs, rung: 1, seed: dayAfter },
    day: new Date(atMs).toISOString().slice(0, 10),
    ...{ patternId: 'star', patternVersion: 1, source: 'sensor', sense: 'heard' },
    figures: {
      ...{ counted: 10, cued: 10, falseStarts: 0, clean: 10, catchHeld: 0, catchOf: 0 },
      ...{ mediansMs, sidesPercent: null },
    },
    ...more,
  };
}
const times = (reaction: number, travel: number, recovery: number) => ({
  ...{ reaction, travel, recovery, response: reaction + travel },
  cycle: reaction + travel + 140 + recovery,
});

describe('the season', () => {
  test('a day’s stretches meet, from the cue to home', () => {
    const [day] = seasonOf([
      setOn(0, times(250, 900, 1200)),
      setOn(0, times(270, 900, 1240), { setId: 'b' }),
    ]);
    expect(day?.stretches).toEqual([
      { phases: ['reaction'], fromMs: 0, toMs: 260 },
      { phases: ['travel'], fromMs: 260, toMs: 1160 },
      { phases: ['load'], fromMs: 1160, toMs: 1300 },
      { phases: ['recovery'], fromMs: 1300, toMs: 2520 },
    ]);
    expect(day?.spreadMs).toEqual([2490, 2550]);
  });

  test('phases that no event parts share a stretch; what was not timed home has no spread', () => {
    const byHand = seasonOf([setOn(0, { reaction: 300, recovery: 1200, cycle: 2500 })]);
    expect(byHand[0]?.stretches.map(({ phases }) => phases)).toEqual([
      ['reaction'],
      ['travel', 'load'],
      ['recovery'],
    ]);
    const [out] = seasonOf([setOn(0, { reaction: 300, response: 1100 })]);
    expect(out?.stretches.at(-1)).toMatchObject({ phases: ['travel'], toMs: 1100 });
    expect(out?.spreadMs).toBeNull();
    expect(seasonOf([setOn(0, {})])[0]?.stretches).toEqual([]);
  });

  test('two rungs on a day are two; days off are counted between days', () => {
    const usual = times(250, 900, 1200);
    const days = seasonOf([
      setOn(9, usual, { rung: 2 }),
      setOn(0, usual),
      setOn(9, usual, { rung: 3, atMs: FIRST + 9 * DAY_MS + 60_000 }),
      setOn(10, usual, { rung: 3 }),
    ]);
    expect(days.map(({ day, rung, daysOff }) => [day, rung, daysOff])).toEqual([
      ['2026-09-01', 1, 0],
      ['2026-09-10', 2, 8],
      ['2026-09-10', 3, 0],
      ['2026-09-11', 3, 0],
    ]);
  });

  test('the standard test of a day stands by itself', () => {
    const usual = times(250, 900, 1200);
    const days = seasonOf([
      setOn(0, usual, { seed: 77 }),
      setOn(0, usual, { seed: 5 }),
      setOn(20, usual, { seed: 77 }),
    ]);
    expect(days.map(({ isTest, sets }) => [isTest, sets.length])).toEqual([
      [true, 1],
      [false, 1],
      [true, 1],
    ]);
  });

  test('whatever was timed, stretches meet and never run backwards, and no set is lost', () => {
    const ms = fc.option(fc.integer({ min: 0, max: 5000 }), { nil: undefined });
    const medians = fc.record({ reaction: ms, response: ms, recovery: ms, cycle: ms, travel: ms });
    const one = fc.tuple(fc.nat(30), fc.integer({ min: 1, max: 3 }), medians);
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (given) => {
        const sets = given.map(([day, rung, some], i) =>
          setOn(day, JSON.parse(JSON.stringify(some)) as SetFigures['mediansMs'], {
            ...{ rung, setId: `${i}` },
          }),
        );
        const days = seasonOf(sets);
        expect(days.flatMap((day) => day.sets.map(({ setId }) => setId)).sort()).toEqual(
          sets.map(({ setId }) => setId).sort(),
        );
        for (const { stretches } of days) {
          const phases = stretches.flatMap((stretch) => stretch.phases);
          expect(phases).toEqual(SEASON_PHASES.slice(0, phases.length));
          let before = 0;
          for (const { fromMs, toMs } of stretches) {
            expect(fromMs).toBe(before);
            expect(toMs).toBeGreaterThanOrEqual(fromMs);
            before = toMs;
          }
        }
      }),
    );
  });
});

describe('where the time went', () => {
  const weeks = (of: (day: number) => ReturnType<typeof times>) =>
    Array.from({ length: 16 }, (_, i) => 3 * i).flatMap((day) => [
      setOn(day, of(day), { setId: `${day} a` }),
      setOn(day, of(day), { setId: `${day} b` }),
    ]);
  const spansOf = (sets: readonly CourseSet[]) => ({
    before: sets.slice(0, 8),
    after: sets.slice(-8),
  });
  const cycleOf = (sets: readonly CourseSet[]) => {
    const { before, after } = spansOf(sets);
    const better = isItBetter(before, after, sets, 'cycle', NO_SQUAD);
    if (typeof better === 'string') throw new Error(better);
    return better.change;
  };

  test('it is the way home that got quicker', () => {
    const sets = weeks((day) => times(250, 900, day < 24 ? 1500 : 1200));
    const phases = whereItWent(spansOf(sets), sets, NO_SQUAD);
    expect(phases.map(({ phase }) => phase)).toEqual(['reaction', 'travel', 'recovery']);
    const most = mostly(cycleOf(sets), phases);
    expect(most?.phase).toBe('recovery');
    expect(most?.change.changeMs).toBeCloseTo(-300);
  });

  test('nothing made most of it where all gave alike, or one is not clear', () => {
    const alike = weeks((day) => (day < 24 ? times(300, 1000, 1300) : times(200, 900, 1200)));
    expect(mostly(cycleOf(alike), whereItWent(spansOf(alike), alike, NO_SQUAD))).toBeNull();
    const restless = weeks((day) => times(250, 900, 1200 + 150 * ((day / 3) % 2) - day / 2));
    expect(
      mostly(cycleOf(restless), whereItWent(spansOf(restless), restless, NO_SQUAD)),
    ).toBeNull();
  });

  test('a phase that was not timed in both is not asked for', () => {
    const sets = weeks(() => times(250, 900, 1200)).map((set, i) =>
      i < 16 ? set : { ...set, figures: { ...set.figures, mediansMs: { cycle: 2490 } } },
    );
    expect(whereItWent(spansOf(sets), sets, NO_SQUAD)).toEqual([]);
  });
});
