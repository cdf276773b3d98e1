import fc from 'fast-check';
import {
  checkEvents,
  durationsOf,
  probabilityUnder,
  readRep,
  standing,
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
  expect(standing(rows).map(({ id }) => id)).toEqual(['b', 'a3']);
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
