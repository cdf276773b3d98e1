import type { AthleteCareReply, CareReply } from '@orthokin/contract';
import {
  beforeDrill,
  READINESS_CHECKS,
  RESTRICTION_KINDS,
  SIDED_CHECKS,
  type Restriction,
} from '@orthokin/core/people';
import { OWN_FAULTS, SEEN_FAULTS } from '@orthokin/core/timing';
import { mindedOf } from '../src/api/care.js';
import { dropped } from '../src/parts/dropped.js';
import {
  checkList,
  checkWords,
  restrictionTitle,
  stopLines,
  untilWords,
} from '../src/words/care.js';
import { faultWords, namedFaults } from '../src/words/fault.js';
import { PLAN } from './plan.js';

const DAY = '2026-11-27';
const restriction = (more: Partial<Restriction> = {}): Restriction => ({
  ...{ kind: 'no jumping', leg: null, moves: [], most: null, from: DAY, until: null },
  ...{ clinician: false, ...more },
});
const before = (more: Partial<Restriction>, splits = 10) =>
  beforeDrill(
    {
      ...{
        restrictions: [{ ...restriction(more), saidAt: 0 }],
        looks: [],
        agreements: [],
        goAheads: [],
      },
      ...{ underAge: false, done: { minutes: 0, splits: 34 } },
    },
    { patternId: 'p', pattern: PLAN.pattern, rung: 1, day: DAY, splits },
  );

describe('restrictions in words', () => {
  test('say what, on which leg, how much, and until when', () => {
    expect(restrictionTitle(restriction({ kind: 'no turning', leg: 'left' }))).toBe(
      'No turning on the left leg',
    );
    expect(restrictionTitle(restriction({ kind: 'splits a day', most: 1 }))).toBe(
      'At most 1 split-step a day',
    );
    expect(
      restrictionTitle(restriction({ kind: 'only what is listed', moves: ['run', 'lunge'] })),
    ).toBe('Only: run, lunge');
    expect(untilWords({ until: null })).toBe('until it is lifted');
    expect(untilWords({ until: '2026-12-01' })).toContain('2026');
    for (const kind of RESTRICTION_KINDS)
      expect(restrictionTitle(restriction({ kind, most: 5 }))).not.toContain('{');
  });

  test('say which targets ask for it, that no feet are laid, and what is left of the day', () => {
    const [[, why] = []] = stopLines(before({}));
    const { targets } = PLAN.pattern.rungs[0] ?? { targets: [] };
    const bare = PLAN.pattern.legs.length === 0;
    expect(why).toMatch(bare ? /no feet laid/ : /ask for it: split-step/);
    for (const letter of targets) expect(why).toContain(letter);
    const [[, left] = []] = stopLines(before({ kind: 'splits a day', most: 40 }));
    expect(left).toBe('6 are left today.');
    expect(stopLines(before({ kind: 'splits a day', most: 40 }, 6))).toEqual([]);
  });
});

test('every check says what to do and what to look for, for each leg', () => {
  for (const check of READINESS_CHECKS)
    for (const leg of SIDED_CHECKS.includes(check) ? (['left', 'right'] as const) : [null]) {
      const { title, how, look } = checkWords({ check, leg });
      expect([title, how, look].every((words) => words.length > 8)).toBe(true);
      if (leg) expect(title).toContain(leg);
    }
  expect(checkList([{ check: 'stop on one leg', leg: 'left' }])).toBe('stop on the left leg');
});

test('what was said is sorted by what it is; only the drill’s own day counts as done', () => {
  const said = (id: string, more: Partial<CareReply>): CareReply => ({
    ...{ id, athleteId: 'a', kind: 'check', by: 'Mara', at: `${DAY}T10:00:00Z` },
    ...more,
  });
  const care: AthleteCareReply = {
    said: [
      said('1', { kind: 'restriction', restriction: { ...restriction(), moves: [], note: '' } }),
      said('2', { check: { check: 'side-step', leg: null, result: 'yes', day: DAY } }),
    ],
    ...{ bornOn: '2010-01-01', emergency: null, faultsLately: [] },
    lastDay: { day: DAY, minutes: 3, splits: 12 },
  };
  const minded = mindedOf(care, 'adult', DAY);
  expect([minded.restrictions.length, minded.looks.length, minded.underAge]).toEqual([1, 1, true]);
  expect(minded.done).toMatchObject({ minutes: 3, splits: 12 });
  expect(mindedOf(care, 'adult', '2026-11-28').done).toEqual({ minutes: 0, splits: 0 });
});

test('dropped people come to where they were dropped, from the list or from elsewhere', () => {
  const list = ['a', 'b', 'c'];
  expect(dropped(list, { ids: ['c'], beside: { id: 'a', after: false } })).toEqual(['c', 'a', 'b']);
  expect(dropped(list, { ids: ['a'], beside: { id: 'b', after: true } })).toEqual(['b', 'a', 'c']);
  expect(dropped(list, { ids: ['x'], beside: null })).toEqual(['a', 'b', 'c', 'x']);
  expect(dropped([], { ids: ['x', 'y'], beside: { id: 'gone', after: true } })).toEqual(['x', 'y']);
});

test('a club’s own words stand before the usual ones; a fault without a name is not offered', () => {
  const own = [
    { fault: 'lean', name: 'tipping', say: '', mend: '' },
    { fault: 'own 2', name: 'late racket', say: 'Early.', mend: '' },
  ] as const;
  expect(faultWords('lean', own)).toMatchObject({ name: 'tipping', say: 'Land even.' });
  expect(faultWords('own 2', own)).toMatchObject({ name: 'late racket', say: 'Early.' });
  expect(faultWords('own 3', own).name).toBe('a fault without a name');
  expect(namedFaults(own)).toHaveLength(SEEN_FAULTS.length - OWN_FAULTS.length + 1);
});
