import 'reflect-metadata';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CLUB_LISTS, ImportBody, type ClubList } from '@orthokin/contract';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { blankPattern } from '@orthokin/core/footwork';
import { sixWeeks, usualBlock } from '@orthokin/core/plan';
import { USUAL_LADDER } from '@orthokin/core/progress';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import fc from 'fast-check';
import { v4, v7 } from 'uuid';
import { checkImport } from '../src/transfer/work/check-import.js';
import { checkRow, isPlainRep, isPlainSet } from '../src/transfer/work/check-row.js';
import { Unreadable } from '../src/transfer/work/unpack.js';

const NOW = '2026-03-01T10:00:00.000Z';
const [athleteId, patternId, setId] = [v7(), v7(), v7()];

/** A good row of each list. */
const GOOD: Readonly<Record<ClubList, object>> = {
  patterns: {
    ...{ id: patternId, archivedAt: null },
    versions: [
      { version: 1, savedAt: NOW, body: { ...blankPattern('Bare'), splitWindowMs: [-60, 120] } },
    ],
  },
  athletes: {
    ...{ id: athleteId, name: 'Mara', hand: 'left', ageBand: 'adult', colourVision: 'full' },
    ...{ note: null, patternId, simulated: TYPICAL_ATHLETE },
  },
  sets: {
    ...{ id: setId, athleteId, patternId, patternVersion: 1, rung: 1, source: 'hand' },
    ...{ startedAt: NOW, day: '2026-03-01', seed: 1, falseStartMs: 100, responseLimitMs: 3000 },
    ...{ conditions: PLAIN_CONDITIONS, limitsMs: null, endedAt: NOW, endReason: 'completed' },
    cues: [{ ordinal: 1, target: 'A', foreperiodMs: 1000 }],
  },
  reps: {
    ...{ id: v7(), setId, ordinal: 1, target: 'A', seenFaults: ['lean'], struckOut: false },
    ...{ marks: null, replaces: null, corrected: null },
    events: [
      { name: 'cue', atMs: 0, sdMs: 4.8, source: 'sensor' },
      { name: 'firstMove', atMs: 240, sdMs: 45, source: 'hand' },
    ],
  },
  moves: {
    ...{ id: v7(), athleteId, patternId, fromRung: 1, toRung: 2, basis: 'hand', setId: null },
    ...{ movedAt: NOW, decision: null, evidence: null },
  },
  notes: {
    ...{ id: v7(), setId, text: 'Windy.', writtenBy: 'Mara', writtenAt: NOW, removed: false },
    removedAt: null,
  },
  ladders: { id: v7(), patternId, savedAt: NOW, settings: USUAL_LADDER },
  ownLadders: { id: v7(), athleteId, patternId, savedAt: NOW, limits: [] },
  care: {
    ...{ id: v7(), athleteId, kind: 'check', by: 'Mara', at: NOW, takenBack: null },
    check: { check: 'side-step', leg: null, result: 'yes', day: '2026-03-01' },
  },
  groups: { id: v7(), name: 'Juniors', athleteIds: [athleteId] },
  plans: {
    ...{ id: v7(), name: 'Thursday', day: '2026-03-05', startsAt: '17:00', minutes: 60 },
    ...{ athleteIds: [athleteId], blocks: [usualBlock(v7(), 'cued drill')], revision: 1 },
  },
  programmes: {
    ...{ id: v7(), name: 'Autumn', startsOn: '2026-03-02', athleteIds: [athleteId] },
    ...{ weeks: sixWeeks(), revision: 1 },
  },
  sessions: {
    ...{
      id: v7(),
      planId: null,
      name: 'Thursday',
      day: '2026-03-01',
      startedAt: NOW,
      endedAt: NOW,
    },
    blocks: [{ blockId: v7(), kind: 'play', title: '', startedAt: NOW, endedAt: NOW }],
    attended: [{ athleteId, minutes: 60, effort: null, scores: [{ blockId: v7(), count: 3 }] }],
  },
  sessionNotes: {
    ...{ id: v7(), sessionId: v7(), day: '2026-03-01', athleteId: null, fault: 'lean', text: '' },
    ...{ writtenBy: 'Mara', writtenAt: NOW, removed: false },
  },
  homePractice: {
    ...{ id: v7(), athleteId, day: '2026-03-01', minutes: 15, effort: null, text: '' },
    ...{ writtenAt: NOW, removed: false },
  },
};

const LISTS = Object.keys(GOOD) as ClubList[];
/** The fields a row is refused by; `null` of one that is taken. */
function refusedBy(list: ClubList, row: unknown): string[] | null {
  const found: object = checkRow(list, row);
  return Array.isArray(found) ? found.map(({ field }: { field: string }) => field) : null;
}
const isRefused = (list: ClubList, row: unknown) => refusedBy(list, row) !== null;

describe('rows of a club’s file', () => {
  test.each(LISTS)('a good one of %s is taken', (list) => {
    expect(checkRow(list, GOOD[list])).not.toBeInstanceOf(Array);
  });

  test.each(LISTS)('one of %s with nothing in it, or something else, is refused', (list) => {
    for (const row of [{}, [], null, 'words', 7, { ...GOOD[list], colour: 'red' }])
      expect(isRefused(list, row)).toBe(true);
  });

  test.each(LISTS)(
    'one of %s without any of its required fields is refused by that field',
    (list) => {
      for (const name of Object.keys(GOOD[list])) {
        const { [name]: _, ...without } = GOOD[list] as Record<string, unknown>;
        const found = checkRow(list, without);
        if (Array.isArray(found))
          expect((found as { field: string }[]).map(({ field }) => field)).toContain(name);
      }
    },
  );

  test.each<[ClubList, object, string]>([
    ['athletes', { hand: 'both' }, 'hand'],
    ['athletes', { name: '' }, 'name'],
    ['athletes', { simulated: { ...TYPICAL_ATHLETE, loadMs: -1 } }, 'simulated.loadMs'],
    ['sets', { rung: 0 }, 'rung'],
    ['sets', { conditions: [] }, 'conditions'],
    ['sets', { endedAt: '9999-99-99' }, 'endedAt'],
    ['reps', { target: 'AB' }, 'target'],
    [
      'reps',
      { events: [{ name: 'cue', atMs: Infinity, sdMs: 0, source: 'hand' }] },
      'events[0].atMs',
    ],
    ['reps', { corrected: { by: '', at: NOW } }, 'corrected.by'],
    ['moves', { toRung: 99 }, 'toRung'],
    ['notes', { text: '' }, 'text'],
    ['ladders', { settings: [] }, 'settings'],
    ['ownLadders', { limits: [[]] }, 'limits[0]'],
    ['patterns', { versions: [] }, 'versions'],
  ])('one of %s with %j is refused by its field', (list, change, field) => {
    expect(refusedBy(list, { ...GOOD[list], ...change })).toContain(field);
  });
});

test('a move is taken with the evidence of long sets', () => {
  const judgement = {
    chances: Array.from({ length: 200 }, () => 0.9),
    times: [{ gate: 'reaction' }],
  };
  const evidence = { sets: Array.from({ length: 40 }, () => ({ setId, judgement })), rung: {} };
  expect(isRefused('moves', { ...GOOD.moves, evidence })).toBe(false);
});

describe('reps, which are checked by the compiled schema first', () => {
  const rep = GOOD.reps as Record<string, unknown>;
  const odd = fc.oneof(
    fc.constantFrom<unknown>(
      null,
      '',
      'A',
      'AA',
      -1,
      0,
      1.5,
      201,
      1e9,
      NaN,
      true,
      [],
      {},
      v4(),
      v7(),
    ),
    fc.string(),
    fc.double(),
    fc.jsonValue({ maxDepth: 2 }),
  );
  const event = fc.record(
    {
      name: fc.oneof(fc.constantFrom('cue', 'home', 'firstMove'), odd),
      atMs: fc.oneof(fc.integer({ min: 0, max: 9000 }), odd),
      sdMs: fc.oneof(fc.constantFrom(0, 45, 1e4), odd),
      source: fc.oneof(fc.constantFrom('hand', 'film'), odd),
    },
    { requiredKeys: [] },
  );

  test('are good by it alone, as files have them', () => {
    expect(isPlainRep(rep)).toBe(true);
    expect(isPlainRep({ ...rep, corrected: { by: 'Mara', at: NOW } })).toBe(false);
    expect(isPlainSet({ ...GOOD.sets, limitsMs: { reaction: 321 } })).toBe(true);
    expect(isPlainSet({ ...GOOD.sets, rung: 0 })).toBe(false);
  });

  test.each([
    ['2026-01-31', true],
    ['2024-02-29', true],
    ['2026-02-29', false],
    ['2026-04-31', false],
    ['1999-12-31', false],
  ])('of sets of %s', (day, isPlain) => {
    expect(isPlainSet({ ...GOOD.sets, day })).toBe(isPlain);
    expect(isPlainSet({ ...GOOD.sets, startedAt: `${day}T10:00:00.000Z` })).toBe(isPlain);
    expect(isPlainSet({ ...GOOD.sets, startedAt: `${day}T10:00:00Z` })).toBe(false);
  });

  test('nothing is taken that the rules themselves would refuse', () => {
    const oneOddField = fc
      .tuple(fc.constantFrom(...Object.keys(rep)), odd)
      .map(([name, value]) => ({ ...rep, [name]: value }));
    const oddEvents = fc.array(event, { maxLength: 10 }).map((events) => ({ ...rep, events }));
    const oddMarks = fc
      .record({ lateRight: odd, checked: fc.record({ held: odd, of: odd }) }, { requiredKeys: [] })
      .map((marks) => ({ ...rep, marks }));
    fc.assert(
      fc.property(fc.oneof(oneOddField, oddEvents, oddMarks), (given) => {
        const isTaken = !isRefused('reps', given);
        const byRules = plainToInstance(CLUB_LISTS.reps, given);
        const isGood =
          validateSync(byRules, { whitelist: true, forbidNonWhitelisted: true }).length === 0;
        if (isTaken) expect({ given, isGood }).toEqual({ given, isGood: true });
      }),
      { numRuns: 1500 },
    );
  });

  test('nor is anything taken for the text it was read from that would be refused without', () => {
    const given = fc.oneof(
      fc
        .tuple(fc.constantFrom(...Object.keys(rep), 'colour', '__proto__'), odd)
        .map(([name, value]) => ({ ...rep, [name]: value })),
      fc.array(event, { maxLength: 10 }).map((events) => ({ ...rep, events })),
      fc.constantFrom('\0', '\ud800', 'a\\').map((by) => ({ ...rep, corrected: { by, at: NOW } })),
      fc.constantFrom('\0', '\ud800', 'turned').map((name) => ({
        ...rep,
        marks: { coachEvents: [{ name, atMs: 1, sdMs: 1, source: 'hand' }] },
      })),
    );
    fc.assert(
      fc.property(given, (row) => {
        const json = JSON.stringify(row);
        const read: unknown = JSON.parse(json);
        const isTaken = !Array.isArray(checkRow('reps', read, json));
        expect({ json, isTaken }).toEqual({ json, isTaken: !isRefused('reps', read) });
      }),
      { numRuns: 800 },
    );
  });

  test('nor of sets, once their conditions are known', () => {
    const set = GOOD.sets as Record<string, unknown>;
    expect(isRefused('sets', set)).toBe(false);
    const conditions = set['conditions'] as object;
    const oneOdd = fc.oneof(
      fc
        .tuple(fc.constantFrom(...Object.keys(set)), odd)
        .map(([name, value]) => ({ ...set, [name]: value })),
      fc
        .tuple(fc.constantFrom(...Object.keys(conditions)), odd)
        .map(([name, value]) => ({ ...set, conditions: { ...conditions, [name]: value } })),
      fc
        .array(
          fc.record(
            { ordinal: odd, target: odd, foreperiodMs: odd, late: odd },
            { requiredKeys: [] },
          ),
        )
        .map((cues) => ({ ...set, cues })),
    );
    fc.assert(
      fc.property(oneOdd, (given) => {
        const byRules = plainToInstance(CLUB_LISTS.sets, given);
        const isGood =
          validateSync(byRules, { whitelist: true, forbidNonWhitelisted: true }).length === 0;
        if (!isRefused('sets', given)) expect({ given, isGood }).toEqual({ given, isGood: true });
      }),
      { numRuns: 800 },
    );
  });

  test('nor of an import, whatever set of several it is in', async () => {
    const {
      id: _set,
      endedAt: _end,
      endReason: _why,
      ...body
    } = GOOD.sets as Record<string, unknown>;
    const { id: _rep, setId: _of, marks: _marks, corrected: _by, ...repBody } = rep;
    const conditions = body['conditions'] as object;
    const setOf = (given: object, ofRep: object = repBody) => ({
      ...{ id: v7(), body: given, endedAt: NOW, reps: [{ id: v7(), body: ofRep }] },
    });
    const changed = (of: object) =>
      fc
        .tuple(fc.constantFrom(...Object.keys(of)), odd)
        .map(([name, value]) => ({ ...of, [name]: value }));
    const oneOdd = fc.oneof(
      changed(body).map((given) => setOf(given)),
      changed(conditions).map((given) => setOf({ ...body, conditions: given })),
      changed(repBody).map((given) => setOf(body, given)),
      changed(setOf(body)),
    );
    const folder = mkdtempSync(join(tmpdir(), 'orthokin-import-'));
    const path = join(folder, 'import.json');
    try {
      await fc.assert(
        fc.asyncProperty(oneOdd, fc.nat(2), async (set, at) => {
          const sets = [0, 1, 2].map((i) => (i === at ? set : setOf(body)));
          const written = JSON.stringify({ sets });
          writeFileSync(path, written);
          const isTaken = await checkImport(path).then(
            () => true,
            (error: unknown) => {
              if (!(error instanceof Unreadable)) throw error;
              return false;
            },
          );
          const byRules = plainToInstance<object, unknown>(ImportBody, JSON.parse(written));
          const isGood =
            validateSync(byRules, { whitelist: true, forbidNonWhitelisted: true }).length === 0;
          if (isTaken) expect({ set, isGood }).toEqual({ set, isGood: true });
        }),
        { numRuns: 400 },
      );
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});
