import 'reflect-metadata';
import {
  isLiveMessage,
  readLiveMessage,
  readLiveNews,
  type LiveMessageName,
} from '@orthokin/contract/live-messages';
import { CUE_KINDS } from '@orthokin/core/drill';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { layoutTargets } from '@orthokin/core/pattern';

const set = {
  setId: '019ab000-0000-7000-8000-00000000000a',
  clubId: DEMO_CLUB_ID,
  athlete: 'Somebody',
  pattern: 'Side to side',
  targets: layoutTargets('line', 2),
  inPlay: ['A', 'B'],
  cueKinds: CUE_KINDS.slice(0, 1),
  ...{ isCalled: false, isByHand: true, faults: [{ fault: 'lean', name: 'leaning' }] },
};
const run = {
  ...{ state: 'cued', ordinal: 3, reps: 10, finished: 2 },
  ...{ openEvents: ['cue'], faults: [], endsAtMs: null, last: null },
};
const coming = { letter: 'A', dueMs: 1500, switchTo: null, freezeMs: null, late: null };

test.each<[LiveMessageName, object]>([
  ['here', {}],
  ['set', set],
  ['run', run],
  [
    'run',
    { ...run, last: { ordinal: 2, letter: 'A', reactionMs: 210, recoveryMs: null, leftOut: null } },
  ],
  ['coming', coming],
  ['coming', { ...coming, switchTo: { letter: 'B', atMs: 1620 }, freezeMs: 2000 }],
  [
    'coming',
    { ...coming, late: { late: { kind: 'colour', show: 'yellow' }, fromMs: 1, untilMs: 2 } },
  ],
  ['clear', {}],
  ['over', {}],
  ['call', { letter: 'B' }],
  ['ask', { act: 'redo' }],
  ['ask', { act: 'fault', fault: 'lean' }],
  ['ask', { act: 'press', name: 'home', atMs: 12.5, sdMs: 45 }],
  ['clock?', { sent: 1.5 }],
  ['clock', { sent: 1.5, remoteReceived: 2, remoteReplied: 3 }],
])('“%s” is read as it was told: %j', (name, body) => {
  const read = readLiveMessage(name, body);
  expect(read.ok && JSON.parse(JSON.stringify(read.value))).toEqual(body);
});

test.each<[LiveMessageName, object, string]>([
  ['set', { ...set, athlete: 7 }, 'athlete'],
  ['set', { ...set, inPlay: ['A', 'bee'] }, 'inPlay'],
  ['set', { ...set, targets: [{ ...set.targets[0], radiusM: -1 }] }, 'targets[0].radiusM'],
  ['set', { ...set, cueKinds: ['smell'] }, 'cueKinds'],
  ['run', { ...run, state: 'asleep' }, 'state'],
  ['run', { ...run, ordinal: -1 }, 'ordinal'],
  ['run', { ...run, last: { ordinal: 2, letter: 'A' } }, 'last.reactionMs'],
  ['coming', { ...coming, dueMs: 'now' }, 'dueMs'],
  ['coming', { ...coming, switchTo: { letter: 'B' } }, 'switchTo.atMs'],
  ['coming', { letter: 'A', dueMs: 1500, switchTo: null, freezeMs: null }, 'late'],
  ['call', { letter: '' }, 'letter'],
  ['ask', { act: 'leave' }, 'act'],
  ['ask', { act: 'fault', fault: 'bad luck' }, 'fault'],
  ['ask', { act: 'press', name: 'home', atMs: 1, sdMs: -5 }, 'sdMs'],
  ['clock', { sent: 1 }, 'remoteReceived'],
])('“%s” of %j is refused for its %s', (name, body, field) => {
  const read = readLiveMessage(name, body);
  expect(read.ok ? 'read' : read.problem.field).toBe(field);
});

test('names are those of the agreement, not those of any object', () => {
  expect(isLiveMessage('run')).toBe(true);
  for (const name of ['toString', '__proto__', 'RUN', '']) expect(isLiveMessage(name)).toBe(false);
});

describe('a frame', () => {
  test.each([
    [{ event: 'came', from: 'cue-screen', role: 'cues' }],
    [{ event: 'told', from: 'cue-screen', role: 'panel', type: 'run', body: run }],
    [{ event: 'refused', field: 'type', given: 'x', allowed: 'y' }],
  ])('of the channel is read: %j', (frame) => {
    expect(readLiveNews(JSON.stringify(frame))).toMatchObject({ ok: true, value: frame });
  });

  test.each([
    ['{"event":', 'frame'],
    ['"came"', 'frame'],
    ['[1]', 'frame'],
    ['null', 'frame'],
    ['{}', 'event'],
    ['{"event":"constructor"}', 'event'],
    ['{"event":"came","from":"x","role":"spy"}', 'role'],
    ['{"event":"told","from":"x","role":"cues","type":"run","body":"{}"}', 'body'],
  ])('%s is refused for its %s', (text, field) => {
    const read = readLiveNews(text);
    expect(read.ok ? 'read' : read.problem.field).toBe(field);
  });
});
