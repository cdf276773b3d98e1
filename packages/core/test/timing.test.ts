import fc from 'fast-check';
import {
  checkEvents,
  durationsOf,
  FAULTS,
  matchClock,
  probabilityUnder,
  readRep,
  readReps,
  SEEN_FAULTS,
  effectiveReps,
  toLocal,
  toRemote,
  verdictOf,
  withNextCues,
  type EventName,
  type Rep,
  type RepSettings,
  type TimedEvent,
} from '@orthokin/core/timing';

const event = (name: EventName, atMs: number, sdMs = 0): TimedEvent => ({
  name,
  atMs,
  sdMs,
  source: 'hand',
});
const settings: RepSettings = {
  falseStartMs: 100,
  responseLimitMs: 3000,
  splitWindowMs: [-20, 120],
};
const rep = (events: TimedEvent[], more: Partial<Rep> = {}): Rep => ({
  ordinal: 1,
  target: 'A',
  events,
  seenFaults: [],
  struckOut: false,
  ...more,
});

describe('events to durations', () => {
  test('a whole rep gives every duration by its definition', () => {
    const durations = durationsOf([
      event('cue', 1000),
      event('splitLanding', 980),
      event('firstMove', 1250),
      event('arrival', 1900),
      event('action', 2050),
      event('departure', 2120),
      event('home', 2900),
      event('nextCue', 4000),
    ]);
    expect(Object.fromEntries(Object.entries(durations).map(([k, v]) => [k, v.ms]))).toEqual({
      splitOffset: -20,
      reaction: 250,
      travel: 650,
      load: 150,
      action: 70,
      recovery: 850,
      response: 900,
      cycle: 1900,
      readyMargin: 1100,
    });
  });

  test('a duration whose ends are missing does not exist', () => {
    const durations = durationsOf([event('cue', 0), event('home', 2000)]);
    expect(Object.keys(durations)).toEqual(['cycle']);
  });

  test('errors of the two ends add as squares', () => {
    expect(durationsOf([event('cue', 0, 3), event('home', 9, 4)]).cycle?.sdMs).toBe(5);
  });

  test('shifting the clock changes no duration', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(5000), { minLength: 4, maxLength: 4 }), fc.nat(), (times, by) => {
        const names = ['cue', 'firstMove', 'action', 'home'] as const;
        const at = (shift: number) => names.map((name, i) => event(name, (times[i] ?? 0) + shift));
        expect(durationsOf(at(by))).toEqual(durationsOf(at(0)));
      }),
    );
  });
});

describe('events that cannot be', () => {
  test.each<[string, TimedEvent[], string[]]>([
    [
      'home before action',
      [event('cue', 0), event('home', 5), event('action', 9)],
      ['home', 'action'],
    ],
    [
      'arrival before the first move',
      [event('cue', 0), event('arrival', 5), event('firstMove', 9)],
      ['arrival', 'firstMove'],
    ],
    ['home before the cue', [event('cue', 10), event('home', 9)], ['home', 'cue']],
    [
      'landing before take-off',
      [event('cue', 0), event('splitLanding', 1), event('splitTakeoff', 2)],
      ['splitLanding', 'splitTakeoff'],
    ],
  ])('%s is an error that names both', (_, events, names) => {
    const checked = checkEvents(events);
    expect(checked.ok).toBe(false);
    if (!checked.ok) for (const name of names) expect(checked.problem.given).toContain(name);
  });

  test('an event twice, or no cue at all, is refused', () => {
    expect(checkEvents([event('cue', 0), event('cue', 1)])).toMatchObject({ ok: false });
    expect(checkEvents([event('home', 1)])).toMatchObject({
      problem: { allowed: 'a cue among them' },
    });
  });

  test('a first move before the cue is a false start, not an error', () => {
    expect(checkEvents([event('firstMove', -20), event('cue', 0)]).ok).toBe(true);
  });

  test('any events in the order of a rep are accepted', () => {
    const order: EventName[] = [
      'cue',
      'firstMove',
      'arrival',
      'action',
      'departure',
      'home',
      'nextCue',
    ];
    fc.assert(
      fc.property(
        fc.subarray(order.slice(1)),
        fc.array(fc.nat(900), { minLength: 7, maxLength: 7 }),
        (some, gaps) => {
          let clock = 0;
          const events = ['cue' as const, ...some].map((name, i) =>
            event(name, (clock += gaps[i] ?? 0)),
          );
          expect(checkEvents(events).ok).toBe(true);
        },
      ),
    );
  });
});

describe('validity and faults', () => {
  test.each([
    [99, 'false start'],
    [-50, 'false start'],
    [100, null],
  ])('a first move %i ms after the cue: %s', (ms, leftOut) => {
    expect(readRep(rep([event('cue', 0), event('firstMove', ms)]), settings).leftOut).toBe(leftOut);
  });

  test('the false-start line is a setting', () => {
    const early = rep([event('cue', 0), event('firstMove', 120)]);
    expect(readRep(early, { ...settings, falseStartMs: 150 }).leftOut).toBe('false start');
  });

  test('no response within the limit is missed; home alone within it is a response', () => {
    expect(readRep(rep([event('cue', 0)]), settings).leftOut).toBe('missed');
    expect(readRep(rep([event('cue', 0), event('firstMove', 3001)]), settings).leftOut).toBe(
      'missed',
    );
    expect(readRep(rep([event('cue', 0), event('home', 2500)]), settings).leftOut).toBeNull();
    // On film a rep without a mark was not looked at; one with a late move was.
    const film = { ...settings, isFromFilm: true };
    expect(readRep(rep([event('cue', 0)]), film)).toMatchObject({
      leftOut: 'unmarked',
      faults: [],
    });
    expect(readRep(rep([event('cue', 0), event('firstMove', 3001)]), film).leftOut).toBe('missed');
  });

  test('struck out outranks the other reasons', () => {
    const struck = rep([event('cue', 0), event('firstMove', 10)], { struckOut: true });
    expect(readRep(struck, settings)).toMatchObject({
      leftOut: 'struck out',
      faults: ['false start'],
    });
  });

  test('the split window is kept at its edges; a seen fault is not doubled', () => {
    const split = (ms: number) =>
      readRep(rep([event('cue', 0), event('splitLanding', ms), event('firstMove', 300)]), settings)
        .faults;
    expect(split(-20)).toEqual([]);
    expect(split(120)).toEqual([]);
    expect(split(-21)).toEqual(['early split']);
    const seen = rep([event('cue', 0), event('splitLanding', 200), event('firstMove', 300)], {
      seenFaults: ['late split', 'short of home'],
    });
    expect(readRep(seen, settings).faults).toEqual(['late split', 'short of home']);
  });
});

test('a row stands until another replaces it, through any chain of corrections', () => {
  const row = (id: string, replaces: string | null = null) => ({ id, replaces });
  const rows = [row('a'), row('b'), row('a2', 'a'), row('a3', 'a2')];
  expect(effectiveReps(rows).map(({ id }) => id)).toEqual(['b', 'a3']);
});

test('of corrections made at once the latest stands, in whatever order they come', () => {
  const row = (id: string, replaces: string | null = null) => ({ id, replaces });
  const rows = [
    row('a'),
    row('b'),
    row('a2', 'a'),
    row('a3', 'a2'),
    row('a4', 'a'),
    row('b1', 'b'),
  ];
  fc.assert(
    fc.property(fc.shuffledSubarray(rows, { minLength: rows.length }), (shuffled) => {
      const stand = effectiveReps(shuffled).map(({ id }) => id);
      expect([...stand].sort()).toEqual(['a4', 'b1']);
    }),
  );
  // Rows that name each other in a circle end nothing.
  const circle = [row('x', 'y'), row('y', 'x'), row('z', 'x')];
  expect(effectiveReps(circle).map(({ id }) => id)).toEqual(['z']);
  // A row whose forerunner is not known counts as its own.
  expect(effectiveReps([row('c2', 'c1')])).toHaveLength(1);
});

describe('the next cue', () => {
  const first = rep([event('cue', 0), event('home', 2000)]);
  const second = rep([event('cue', 3000), event('home', 5000)], { ordinal: 2 });
  const secondAgain = rep([event('cue', 9000)], { ordinal: 2 });

  test('gives every rep but the last a ready margin', () => {
    const [one, two] = withNextCues([second, first]).map(({ events }) => durationsOf(events));
    expect(one?.readyMargin?.ms).toBe(1000);
    expect(two?.readyMargin).toBeUndefined();
  });

  test('is the cue that was seen, even of a rep since redone', () => {
    const [one] = withNextCues([first, secondAgain], [first, second, secondAgain]);
    expect(durationsOf(one?.events ?? []).readyMargin?.ms).toBe(1000);
  });
});

describe('pass, fail or too close to call', () => {
  test('without error the limit itself passes and one millisecond over fails', () => {
    expect(verdictOf(probabilityUnder({ ms: 300, sdMs: 0 }, 300))).toBe('pass');
    expect(verdictOf(probabilityUnder({ ms: 301, sdMs: 0 }, 300))).toBe('fail');
  });

  test('a longer time never makes a pass likelier', () => {
    fc.assert(
      fc.property(fc.nat(2000), fc.nat(500), fc.integer({ min: 0, max: 90 }), (ms, more, sdMs) => {
        const at = (duration: number) => probabilityUnder({ ms: duration, sdMs }, 900);
        expect(at(ms + more)).toBeLessThanOrEqual(at(ms));
      }),
    );
  });
});

describe('trials', () => {
  const timed = rep([event('cue', 0), event('firstMove', 260), event('home', 2000)]);

  test('catch, switch and freeze trials are read and left out', () => {
    for (const trial of ['catch', 'switch', 'freeze'] as const)
      expect(readRep(timed, settings, trial)).toMatchObject({ trial, leftOut: trial });
    expect(readRep(timed, settings).leftOut).toBeNull();
    expect(readRep({ ...timed, struckOut: true }, settings, 'switch').leftOut).toBe('struck out');
  });

  test('a catch trial is held when nothing moves, and failed when something does', () => {
    expect(readRep(rep([]), settings, 'catch').faults).toEqual([]);
    expect(readRep(rep([event('firstMove', 900)]), settings, 'catch').faults).toEqual([
      'moved on a catch trial',
    ]);
    expect(checkEvents([], false).ok).toBe(true);
    expect(checkEvents([]).ok).toBe(false);
  });

  test('short of home counts, unless it is to be all the way', () => {
    const short = { ...timed, seenFaults: ['short of home' as const] };
    expect(readRep(short, settings).leftOut).toBeNull();
    expect(readRep(short, { ...settings, allTheWayHome: true }).leftOut).toBe('short of home');
  });

  test('who is not seen home by a sensor that watches it turned round outside', () => {
    const sensed = (name: EventName, atMs: number) => ({
      ...event(name, atMs),
      source: 'sensor' as const,
    });
    const gone = [event('cue', 0), sensed('arrival', 900)];
    const recorded = [
      { ...rep(gone), id: '1', replaces: null },
      { ...rep([...gone, sensed('home', 2000)]), ordinal: 2, id: '2', replaces: null },
      // Nothing after it was seen at home: the mat may have died.
      { ...rep(gone), ordinal: 3, id: '3', replaces: null },
    ];
    const strict = { ...settings, allTheWayHome: true };
    expect(readReps(recorded, [], strict).map(({ leftOut }) => leftOut)).toEqual([
      'short of home',
      null,
      null,
    ]);
    const frozen = [{ ordinal: 1, target: 'A', foreperiodMs: 900, freezeAt: 'load' as const }];
    expect(readReps(recorded, frozen, strict)[0]?.faults).toEqual([]);
    const byHand = recorded.map((each) => ({
      ...each,
      events: each.events.map((one) => ({ ...one, source: 'hand' as const })),
    }));
    expect(readReps(byHand, [], strict).every(({ faults }) => faults.length === 0)).toBe(true);
  });

  test('where nobody times, nothing seen is not a miss', () => {
    const cueOnly = rep([event('cue', 0)]);
    expect(readRep(cueOnly, settings).faults).toEqual(['missed']);
    expect(readRep(cueOnly, { ...settings, isTimed: false }).faults).toEqual([]);
  });

  test('the reps of a set are read as their cues ask, corrections in place', () => {
    const recorded = [
      { ...timed, id: '1', replaces: null },
      { ...timed, ordinal: 2, id: '2', replaces: null },
      { ...timed, ordinal: 2, struckOut: true, id: '3', replaces: '2' },
    ];
    const cues = [
      { ordinal: 1, target: 'A', foreperiodMs: 900, freezeAt: 'load' as const },
      { ordinal: 2, target: 'A', foreperiodMs: 900 },
    ];
    expect(readReps(recorded, cues, settings).map(({ leftOut }) => leftOut)).toEqual([
      'freeze',
      'struck out',
    ]);
    expect(readReps(recorded, [], settings)[0]?.trial).toBe('plain');
  });

  test('only faults that no event shows are left to be seen', () => {
    expect(SEEN_FAULTS).not.toContain('missed');
    expect(FAULTS.filter((fault) => !SEEN_FAULTS.includes(fault))).toHaveLength(5);
  });
});

describe('clocks', () => {
  /** Exchanges with a clock that is `offset` ahead and drifts, there and back in `way` ms each. */
  const exchanges = (offset: number, drift: number, way: (i: number) => [number, number], n = 30) =>
    Array.from({ length: n }, (_, i) => {
      const sent = i * 700;
      const [there, back] = way(i);
      const remote = (local: number) => local + offset + drift * local;
      return {
        sent,
        remoteReceived: remote(sent + there),
        remoteReplied: remote(sent + there + 1),
        received: sent + there + 1 + back,
      };
    });

  test('nothing asked, nothing known; one exchange is enough to begin with', () => {
    expect(matchClock([])).toBeNull();
    const match = matchClock(exchanges(5000, 0, () => [4, 4], 1));
    expect(match && toRemote(match, 100)).toBeCloseTo(5100, 6);
  });

  test('the error stays within what it says, whatever the way there and back takes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        fc.integer({ min: -80, max: 80 }),
        fc.array(fc.tuple(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 2, max: 60 })), {
          minLength: 30,
          maxLength: 30,
        }),
        (offset, ppm, ways) => {
          const drift = ppm * 1e-6;
          const match = matchClock(exchanges(offset, drift, (i) => ways[i] ?? [5, 5]));
          if (!match) throw new Error('No match.');
          const local = 20_000;
          const error = toRemote(match, local) - (local + offset + drift * local);
          expect(Math.abs(error)).toBeLessThan(4 * match.sdMs + 4);
          expect(toLocal(match, toRemote(match, local))).toBeCloseTo(local, 6);
        },
      ),
    );
  });

  test('a badly matched device is doubted more', () => {
    const near = matchClock(exchanges(0, 0, () => [3, 3]));
    const far = matchClock(exchanges(0, 0, (i) => [3 + 40 * (i % 3), 80]));
    expect(far?.sdMs).toBeGreaterThan(3 * (near?.sdMs ?? Infinity));
  });
});
