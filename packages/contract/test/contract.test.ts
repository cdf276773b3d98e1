import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync } from 'class-validator';
import {
  DrillSetBody,
  NewRepPath,
  PatternBody,
  RepBody,
  SetEndBody,
  validationProblems,
} from '@orthokin/contract';
import { readGatewayAsk, readGatewayFrame } from '@orthokin/contract/beacons';
import {
  jsonPointer,
  PATTERN_FILE_FORMAT,
  patternOfFile,
  patternToFile,
} from '@orthokin/contract/pattern-file';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { blankPattern, layLeg, usualPlan } from '@orthokin/core/footwork';
import { layoutTargets, withLeg, type Pattern } from '@orthokin/core/pattern';

function problemsOf<T extends object>(of: ClassConstructor<T>, plain: object) {
  const errors = validateSync(plainToInstance(of, plain), {
    whitelist: true,
    forbidNonWhitelisted: true,
  });
  return validationProblems(errors);
}

const uuid = '0193c8a0-5b00-7000-8000-000000000001';
const rep = {
  ordinal: 1,
  target: 'A',
  events: [{ name: 'cue', atMs: 1000, sdMs: 4.8, source: 'sensor' }],
  seenFaults: [],
  struckOut: false,
  replaces: null,
};
const set = {
  athleteId: uuid,
  patternId: uuid,
  patternVersion: 1,
  rung: 1,
  source: 'hand',
  startedAt: '2026-03-01T10:00:00.000Z',
  day: '2026-03-01',
  seed: 42,
  falseStartMs: 100,
  responseLimitMs: 3000,
  conditions: PLAIN_CONDITIONS,
  cues: [{ ordinal: 1, target: 'A', foreperiodMs: 900 }],
};

test('what a client sends is accepted', () => {
  expect(problemsOf(RepBody, rep)).toEqual([]);
  expect(problemsOf(DrillSetBody, set)).toEqual([]);
  expect(problemsOf(SetEndBody, { endedAt: set.startedAt, reason: 'completed' })).toEqual([]);
});

test.each<[string, object, string, string]>([
  [
    'a time that is no number',
    { events: [{ ...rep.events[0], atMs: 'soon' }] },
    'events[0].atMs',
    'soon',
  ],
  ['an unknown event', { events: [{ ...rep.events[0], name: 'jump' }] }, 'events[0].name', 'jump'],
  ['an impossible error', { events: [{ ...rep.events[0], sdMs: -1 }] }, 'events[0].sdMs', '-1'],
  ['a small letter', { target: 'a' }, 'target', 'a'],
  ['an unknown fault', { seenFaults: ['lazy'] }, 'seenFaults', '["lazy"]'],
  ['a rep beyond the longest set', { ordinal: 201 }, 'ordinal', '201'],
  ['a field nobody knows', { mood: 'good' }, 'mood', 'good'],
])('%s is named with its value', (_, change, field, given) => {
  const problems = problemsOf(RepBody, { ...rep, ...change });
  expect(problems[0]).toMatchObject({ field, given });
  expect(problems[0]?.allowed).not.toBe('');
});

test.each<[string, object]>([
  ['startedAt', { startedAt: 'yesterday' }],
  ['day', { day: '1 March' }],
  ['seed', { seed: -1 }],
  ['source', { source: 'guess' }],
  ['cues[0].foreperiodMs', { cues: [{ ordinal: 1, target: 'A', foreperiodMs: 0.5 }] }],
])('a bad %s of a set is named', (field, change) => {
  expect(problemsOf(DrillSetBody, { ...set, ...change })[0]).toMatchObject({ field });
});

test('ids a client makes are of version 7', () => {
  const v4 = '3b241101-e2bb-4255-8caf-4136c566a962';
  expect(problemsOf(NewRepPath, { clubId: v4, setId: uuid, repId: uuid })).toEqual([]);
  expect(problemsOf(NewRepPath, { clubId: v4, setId: uuid, repId: v4 })[0]).toMatchObject({
    field: 'repId',
    given: v4,
  });
});

test('a missing field is said to be missing, and a long value is cut', () => {
  expect(problemsOf(RepBody, { ...rep, target: undefined })[0]).toMatchObject({
    field: 'target',
    given: 'nothing',
  });
  const long = problemsOf(RepBody, { ...rep, target: 'A'.repeat(500) })[0];
  expect(long?.given.length).toBeLessThan(130);
});

describe('patterns', () => {
  const bare: Pattern = { ...blankPattern('Star'), targets: layoutTargets('star', 2.5) };
  const pattern = bare.targets.reduce(
    (done, target) => withLeg(done, layLeg(done, target, usualPlan(target))),
    bare,
  ) as PatternBody;
  const [leg] = pattern.legs;

  test("core's patterns fit the contract, through a file and back", () => {
    expect(problemsOf(PatternBody, pattern)).toEqual([]);
    const read = patternOfFile(patternToFile(pattern));
    expect(read).toEqual({ ok: true, value: pattern });
  });

  test.each<[string, object]>([
    ['/name', { name: '' }],
    ['/sizeM', { sizeM: undefined }],
    ['/sizeM/widthM', { sizeM: { widthM: 0, lengthM: 5 } }],
    ['/targets/0/at/x', { targets: [{ ...pattern.targets[0], at: { x: 'far', y: 0 } }] }],
    ['/stance', { stance: undefined }],
    [
      '/legs/0/placements/1/weight',
      {
        legs: [{ ...leg, placements: [leg?.placements[0], { ...leg?.placements[1], weight: 2 }] }],
      },
    ],
    ['/legs/0/travel', { legs: [{ ...leg, travel: 'fly' }] }],
    [
      '/laidFor/travel/topSpeed',
      { laidFor: { ...pattern.laidFor, travel: { acceleration: 1, topSpeed: 99 } } },
    ],
    ['/mood', { mood: 'good' }],
  ])('a file that is wrong at %s says so by its JSON pointer', (pointer, change) => {
    const [problem] = problemsOf(PatternBody, { ...pattern, ...change });
    expect(problem && jsonPointer(problem)).toBe(pointer);
  });

  test.each([
    ['not JSON', '{', ''],
    ['a list', '[]', ''],
    ['of another format', '{"format":"other/1"}', '/format'],
    ['without a format', '{}', '/format'],
  ])('a file that is %s is refused', (_, text, pointer) => {
    const read = patternOfFile(text);
    expect(read.ok ? 'accepted' : jsonPointer(read.problem)).toBe(pointer);
  });

  test('a file may name its schema', () => {
    const text = JSON.stringify({ $schema: 'x', format: PATTERN_FILE_FORMAT, name: 'Star' });
    expect(patternOfFile(text)).toEqual({ ok: true, value: { name: 'Star' } });
  });
});

describe('frames of beacons', () => {
  test.each<[string, string]>([
    ['{"type":"hello","protocol":2,"gateway":"x","devices":[]}', 'protocol'],
    ['{"type":"event","device":"mat","seq":0,"at":1,"signal":"on"}', 'seq'],
    ['{"type":"event","device":"mat","seq":1,"at":1,"signal":"sneeze"}', 'signal'],
    [
      '{"type":"hello","protocol":1,"gateway":"x","devices":[{"device":"m","kind":"cat","place":"A","battery":1,"sdMs":1}]}',
      'devices[0].kind',
    ],
    ['{"type":"sing"}', 'type'],
    ['not JSON', 'frame'],
  ])('%s is refused by its field', (text, field) => {
    expect(readGatewayFrame(text)).toMatchObject({ ok: false, problem: { field } });
  });

  test('what is understood comes as it is', () => {
    const event = { type: 'event', device: 'mat', seq: 3, at: 12.5, signal: 'on' };
    expect(readGatewayFrame(JSON.stringify(event))).toMatchObject({ ok: true, value: event });
    const ask = { type: 'resend', device: 'mat', from: 1, to: 2 };
    expect(readGatewayAsk(JSON.stringify(ask))).toMatchObject({ ok: true, value: ask });
    expect(readGatewayAsk('{"type":"cue","device":"mat","at":"soon"}')).toMatchObject({
      problem: { field: 'at' },
    });
  });
});
