/** @jest-environment jsdom */
import { apply } from '@orthokin/core/run';
import { renderHook } from '@testing-library/react';
import type { BeaconLink, Noticing } from '../src/beacons/link.js';
import { NO_DEVICES } from '../src/beacons/fleet.js';
import type { Action, Run } from '../src/drill/plan.js';
import type { Session } from '../src/drill/session.js';
import { SetClock } from '../src/drill/set-clock.js';
import { useBeaconDrill } from '../src/floor/beacons/useBeaconDrill.js';
import { useAnnouncing } from '../src/floor/second-screen/useOtherScreens.js';
import type { Channel } from '../src/live/channel.js';
import { cued, runOf } from './played.js';

const clock = new SetClock(0);
const presentation = {
  ...{ letter: 'A', dueMs: 3000, switchTo: null, freezeMs: null, late: null },
};

/** A session whose device is slow to write: what is committed waits for its turn. */
class SlowSession {
  readonly waiting: (Action | ((run: Run) => Action | null))[] = [];
  run = runOf([]);
  readonly snapshot = () => ({ run: this.run, storageFailed: false });
  readonly commit = (happened: Action | ((run: Run) => Action | null)) => {
    this.waiting.push(happened);
    return Promise.resolve();
  };

  write(): void {
    for (const happened of this.waiting.splice(0)) {
      const action = typeof happened === 'function' ? happened(this.run) : happened;
      this.run = (action && apply(this.run, action)) ?? this.run;
    }
  }
}

test('what beacons notice is placed when its turn comes, not by what was written when they told it', () => {
  const session = new SlowSession();
  let hear: (noticing: Noticing) => void = () => undefined;
  const link = {
    arm: () => undefined,
    onNoticed: (hearer: typeof hear) => {
      hear = hearer;
      return () => undefined;
    },
  } as unknown as BeaconLink;
  renderHook(() => useBeaconDrill(link, session as unknown as Session, clock));
  const noticed = (place: string, name: 'cue' | 'firstMove' | 'arrival', atMs: number) =>
    hear({ place, event: { name, atMs, sdMs: 3, source: 'sensor' } });
  noticed('A', 'cue', 2990);
  void session.commit(cued('r1', 3000));
  noticed('home', 'firstMove', 3230);
  noticed('A', 'arrival', 3900);
  session.write();
  expect(session.run.open.events.map(({ name, atMs }) => [name, atMs])).toEqual([
    ['cue', 2990],
    ['firstMove', 3230],
    ['arrival', 3900],
  ]);
});

test('a channel that comes while a cue is on its way is told the next one; the cue does not begin anew', () => {
  const lit: string[] = [];
  const lights = {
    cue: (letter: string) => lit.push(letter),
    snapshot: () => ({ connected: true, fleet: NO_DEVICES, problem: null }),
  } as unknown as BeaconLink;
  const told: string[] = [];
  const channel = { tell: (type: string) => told.push(type) } as unknown as Channel;
  const { result, rerender } = renderHook(
    ({ room }: { room: Channel | null }) => useAnnouncing(room, lights, clock),
    { initialProps: { room: null as Channel | null } },
  );
  const before = result.current;
  before.coming(presentation);
  expect([lit, told]).toEqual([['A'], []]);
  rerender({ room: channel });
  expect(result.current).toBe(before);
  before.clear();
  before.coming(presentation);
  expect([lit, told]).toEqual([
    ['A', 'A'],
    ['clear', 'coming'],
  ]);
  // The link is there, and none of its devices is a mat: nobody sees who comes home.
  expect(before.seeHome()).toBe(false);
});
