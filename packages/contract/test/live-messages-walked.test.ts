import 'reflect-metadata';
import {
  readLiveMessage,
  readLiveNews,
  type LiveMessageName,
} from '@orthokin/contract/live-messages';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { layoutTargets } from '@orthokin/core/pattern';
import fc from 'fast-check';

type Path = readonly (string | number)[];

/** A good body of every message there is: a new message does not compile until it has one. */
const GOOD: Readonly<Record<LiveMessageName, readonly object[]>> = {
  here: [{}],
  set: [
    {
      ...{ setId: '019ab000-0000-7000-8000-00000000000a', clubId: DEMO_CLUB_ID },
      ...{ athlete: 'Somebody', pattern: 'Side to side', targets: layoutTargets('line', 2) },
      ...{ inPlay: ['A', 'B'], cueKinds: ['word'], isCalled: false, isByHand: true },
      faults: [{ fault: 'lean', name: 'leaning' }],
    },
  ],
  run: [
    {
      ...{ state: 'cued', ordinal: 3, reps: 10, finished: 2 },
      ...{ openEvents: ['cue'], faults: ['lean'], endsAtMs: 1500 },
      last: { ordinal: 2, letter: 'A', reactionMs: 210, recoveryMs: 900, leftOut: 'missed' },
    },
  ],
  coming: [
    {
      ...{ letter: 'A', dueMs: 1500, freezeMs: 2000, switchTo: { letter: 'B', atMs: 1620 } },
      late: { late: { kind: 'colour', show: 'yellow' }, fromMs: 1, untilMs: 2 },
    },
  ],
  clear: [{}],
  over: [{}],
  call: [{ letter: 'B' }],
  ask: [
    { act: 'redo' },
    { act: 'fault', fault: 'lean' },
    { act: 'press', name: 'home', atMs: 12.5, sdMs: 45 },
  ],
  board: [
    {
      ...{ clubId: DEMO_CLUB_ID, block: 'Cued drill', place: 4, blocks: 7, following: 'Play' },
      ...{ note: 'Eyes up', needs: 'a rope', isPaused: false, atMs: 1500.5, leftS: 90.2 },
      ...{
        untilS: 12.5,
        turn: 2,
        turns: 12,
        isOn: true,
        rests: ['Ben'],
        restMore: 0,
        next: ['Cleo'],
      },
      stations: [
        {
          ...{ works: 'Anna', helps: [{ name: 'Dora', role: 'calls' }], room: 'ACDEFH' },
          timed: { athleteId: DEMO_CLUB_ID, patternId: DEMO_CLUB_ID },
        },
      ],
    },
  ],
  at: [{ station: 2, room: 'ACDEFH' }],
  direct: [{ kind: 'offer', sdp: 'v=0' }],
  'clock?': [{ sent: 1.5 }],
  clock: [{ sent: 1.5, remoteReceived: 2, remoteReplied: 3 }],
};

/** Every field of a value, deep inside too; the first of each list stands for all. */
function* places(value: unknown, path: Path = []): Iterable<Path> {
  const inside: [string | number, unknown][] = Array.isArray(value)
    ? value.slice(0, 1).map((own) => [0, own])
    : Object.entries(value ?? {});
  if (typeof value === 'object')
    for (const [name, own] of inside) {
      yield [...path, name];
      yield* places(own, [...path, name]);
    }
}

function changed(value: unknown, [first, ...rest]: Path, to: unknown): unknown {
  if (first === undefined) return to;
  const copy: Record<string, unknown> = Object.assign(Array.isArray(value) ? [] : {}, value);
  copy[first] = changed(copy[first], rest, to);
  return copy;
}

/** Whatever JSON can say, and what is said where numbers, texts and lists are expected. */
const anything = fc.oneof(
  fc.jsonValue({ maxDepth: 3 }),
  fc.constantFrom(null, undefined, 1e308, -1e308, '', 'a\0b', 'a\ud800b', 'x'.repeat(30_000)),
  fc.constantFrom('__proto__', 'constructor', '9999-99-99', { constructor: 1 }, [null], [[]]),
  // As many as fit through the channel are not many more.
  fc.constant(Array.from({ length: 300 }, () => ({}))),
);

const SPOTS = Object.entries(GOOD).flatMap(([name, bodies]) =>
  bodies.flatMap((body) =>
    [...places(body)].map((place) => [name as LiveMessageName, body, place] as const),
  ),
);

test.each(SPOTS)(
  '“%s” %j: whatever stands at %j is read, or refused by a field that is named',
  (name, body, place) => {
    fc.assert(
      fc.property(anything, (value) => {
        const told = { event: 'told', from: 'somebody', role: 'panel', type: name };
        const frame = readLiveNews(JSON.stringify({ ...told, body: changed(body, place, value) }));
        if (!frame.ok || frame.value.event !== 'told') throw new Error('The frame was not read.');
        const read = readLiveMessage(name, frame.value.body);
        if (read.ok) return;
        const { field, given, allowed } = read.problem;
        expect(field).toMatch(new RegExp(`^${String(place[0])}`));
        expect(allowed).not.toBe('');
        expect(given.length).toBeLessThan(200);
      }),
      { numRuns: 40 },
    );
  },
);

test('a frame may hold anything: it is read, or refused by a field that is named', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.json(),
        fc.string(),
        anything.map((value) => JSON.stringify({ value })),
      ),
      (text) => {
        const read = readLiveNews(text);
        if (!read.ok) expect(read.problem.field).not.toBe('');
      },
    ),
  );
});
