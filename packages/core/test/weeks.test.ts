import fc from 'fast-check';
import {
  blocksFrom,
  daysLater,
  doneAgainstPlanned,
  endOf,
  inWeeksFrom,
  lighter,
  mondayOf,
  placed,
  programmeFindings,
  sixWeeks,
  trainingDays,
  usualWeek,
  weekdayOf,
  weekOf,
  type OfProgramme,
  type Programme,
} from '@orthokin/core/plan';

const PROGRAMME: Programme = {
  ...{ name: 'Autumn', startsOn: '2026-03-02', athleteIds: ['anna', 'ben'], weeks: sixWeeks() },
};
let next = 0;
const newId = () => `block ${next++}`;
const session = (day: string, change: Partial<OfProgramme> = {}): OfProgramme => ({
  ...{ id: day, day, minutes: 60, athleteIds: ['anna', 'ben'], blocks: blocksFrom('squad', newId) },
  ...change,
});
const filled = (): OfProgramme[] => trainingDays(PROGRAMME, [3, 0]).map(({ day }) => session(day));

describe('days of weeks', () => {
  test('a Monday is the first day of a week, also across a year and a leap day', () => {
    expect(mondayOf('2026-03-04')).toBe('2026-03-02');
    expect(mondayOf('2026-03-02')).toBe('2026-03-02');
    expect(mondayOf('2027-01-01')).toBe('2026-12-28');
    expect(daysLater('2028-02-28', 2)).toBe('2028-03-01');
    expect(['2026-03-02', '2026-03-08'].map(weekdayOf)).toEqual([0, 6]);
  });

  test('a programme trains on its weekdays, in order, but for weeks that are off', () => {
    const weeks = [usualWeek('test'), { ...usualWeek('other'), kind: 'off' as const }];
    const days = trainingDays(
      { startsOn: '2026-03-02', weeks: [...weeks, usualWeek('test')] },
      [3, 0],
    );
    expect(days.map(({ day }) => day)).toEqual([
      ...['2026-03-02', '2026-03-05', '2026-03-16', '2026-03-19'],
    ]);
  });

  test('every training day lies in its own week', () => {
    const weekdays = fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { maxLength: 7 });
    fc.assert(
      fc.property(weekdays, fc.integer({ min: 0, max: 5000 }), (on, after) => {
        const startsOn = mondayOf(daysLater('2026-01-01', after));
        const programme = { ...PROGRAMME, startsOn };
        for (const { day, week } of trainingDays(programme, on)) {
          expect(programme.weeks[weekOf(programme, day) ?? -1]).toBe(week);
          expect(on).toContain(weekdayOf(day));
        }
        const later = daysLater(startsOn, 35);
        for (const { day } of trainingDays(programme, on))
          expect(inWeeksFrom(programme, later, day)).toBe(daysLater(day, 35));
        expect(inWeeksFrom(programme, later, daysLater(startsOn, -1))).toBeNull();
        expect(weekOf(programme, daysLater(startsOn, -1))).toBeNull();
        expect(weekOf(programme, daysLater(startsOn, 42))).toBeNull();
      }),
    );
  });
});

test('a session of a lighter week is shorter and warms up as long', () => {
  const usual = {
    ...{ name: 'Thursday', day: '2026-03-26', startsAt: '17:00', minutes: 60 },
    ...{ athleteIds: ['anna', 'ben'], blocks: blocksFrom('squad', newId) },
  };
  const less = lighter(usual);
  expect(less.minutes).toBe(36);
  expect(endOf(placed(less))).toBeLessThanOrEqual(36 * 60);
  expect(less.blocks[0]).toEqual(usual.blocks[0]);
});

describe('what to look at again', () => {
  test('six weeks filled with the same sessions say nothing', () =>
    expect(programmeFindings(PROGRAMME, filled())).toEqual([]));

  test('tests that differ, weeks without a session, sessions in a week that is off', () => {
    const sessions = filled();
    const last = sessions.at(-1);
    const changed = last && { ...last, blocks: blocksFrom('match day', newId) };
    expect(
      programmeFindings(PROGRAMME, [...sessions.slice(0, -1), ...(changed ? [changed] : [])]),
    ).toEqual([{ finding: 'tests differ', days: ['2026-03-02', '2026-04-09'] }]);
    expect(programmeFindings(PROGRAMME, sessions.slice(2))).toEqual([
      { finding: 'nothing in it', place: 0 },
    ]);
    const weeks = PROGRAMME.weeks.map((week, i) =>
      i === 1 ? { ...week, kind: 'off' as const } : week,
    );
    expect(programmeFindings({ ...PROGRAMME, weeks }, sessions)).toEqual([
      { finding: 'trains while off', day: '2026-03-09' },
      { finding: 'trains while off', day: '2026-03-12' },
    ]);
    const untested = PROGRAMME.weeks.map((week) => ({ ...week, theme: 'other' as const }));
    expect(programmeFindings({ ...PROGRAMME, weeks: untested }, sessions)).toEqual([
      { finding: 'no test first' },
      { finding: 'no test last' },
    ]);
  });
});

test('done against planned counts a session once, for those it was planned for and who came', () => {
  const sessions = [session('2026-03-02'), session('2026-03-05', { athleteIds: ['ben'] })];
  const there = (planId: string, ...who: [string, number][]) => ({
    planId,
    attended: who.map(([athleteId, minutes]) => ({ athleteId, minutes })),
  });
  const held = [
    there('2026-03-02', ['anna', 40], ['ben', 20]),
    there('2026-03-02', ['ben', 30]),
    there('another', ['ben', 60]),
  ];
  const practised = [
    { athleteId: 'anna', day: '2026-03-03', minutes: 15 },
    { athleteId: 'anna', day: '2026-03-08', minutes: 10 },
    { athleteId: 'ben', day: '2026-03-09', minutes: 20 },
  ];
  const home = PROGRAMME.weeks.map(({ homeMinutes }) => homeMinutes);
  const done = doneAgainstPlanned(PROGRAMME, sessions, held, practised);
  expect(done.get('anna')?.[0]).toEqual({
    ...{ planned: 1, done: 1, plannedMinutes: 60, doneMinutes: 40 },
    ...{ homePlanned: home[0], homeDone: 25 },
  });
  expect(done.get('ben')?.[0]).toEqual({
    ...{ planned: 2, done: 1, plannedMinutes: 120, doneMinutes: 50 },
    ...{ homePlanned: home[0], homeDone: 0 },
  });
  expect(done.get('anna')?.[1]).toEqual({
    ...{ planned: 0, done: 0, plannedMinutes: 0, doneMinutes: 0 },
    ...{ homePlanned: home[1], homeDone: 0 },
  });
  expect(done.get('ben')?.[1]?.homeDone).toBe(20);
});
