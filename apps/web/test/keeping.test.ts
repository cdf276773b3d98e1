import 'fake-indexeddb/auto';
import { Session } from '../src/drill/session.js';
import { SetClock } from '../src/drill/set-clock.js';
import { actionsOf, openDrills, prune } from '../src/device/drill-log.js';
import { Outbox, type Delivery } from '../src/device/outbox.js';
import { isIn, type Person } from '../src/device/who.js';
import { store, type Outgoing } from '../src/device/store.js';
import { lastRep } from '@orthokin/core/run';
import type { Action } from '../src/drill/plan.js';
import { PLAN } from './plan.js';

// Node has no Web Locks; with one page a lock is always free.
Object.defineProperty(globalThis, 'navigator', {
  value: { locks: { request: (_name: string, work: () => Promise<void>) => work() } },
});

const unkept: Outgoing[] = [];
const OUTLET = {
  wake: () => Promise.resolve(),
  sendUnkept: (items: readonly Outgoing[]) => void unkept.push(...items),
};

let serial = 0;
const freshPlan = () => ({ ...PLAN, id: `drill-${(serial += 1)}` });
const rep = (repId: string, atMs: number): Action[] => [
  { type: 'cued', repId, cue: { name: 'cue', atMs, sdMs: 4.8, source: 'sensor' } },
  { type: 'event', event: { name: 'home', atMs: atMs + 2000, sdMs: 45, source: 'hand' } },
];
const waiting = async (): Promise<Outgoing[]> => (await store()).getAll('outgoing');

afterEach(async () => {
  const db = await store();
  for (const name of ['drills', 'entries', 'outgoing', 'refused'] as const) await db.clear(name);
});

describe('a session', () => {
  test('is on the disk before it is shown, and comes back as it was', async () => {
    const plan = freshPlan();
    const session = await Session.start(plan, OUTLET);
    for (const action of [...rep('r1', 3000), ...rep('r2', 8000)]) {
      await session.commit(action);
      const written = await actionsOf(plan.id);
      expect(written.at(-1)).toEqual(action);
    }
    const restored = await Session.restore(plan.id, OUTLET);
    expect(restored?.snapshot().run).toEqual(session.snapshot().run);
    expect((await openDrills()).map(({ id }) => id)).toEqual([plan.id]);
    await restored?.commit({ type: 'ended', at: '2026-03-01T10:01:00.000Z' });
    expect(await openDrills()).toEqual([]);
  });

  test('writes presses in the order they came, however fast', async () => {
    const session = await Session.start(freshPlan(), OUTLET);
    await Promise.all(rep('r1', 3000).map((action) => session.commit(action)));
    expect(session.snapshot().run.recorded).toHaveLength(1);
    expect((await waiting()).map(({ path }) => path.split('/').at(-1))).toEqual([
      session.snapshot().run.plan.id,
      'r1',
    ]);
  });

  test('what is said of the last rep means the one that was last by then, however fast', async () => {
    const session = await Session.start(freshPlan(), OUTLET);
    await Promise.all([
      ...rep('r1', 3000).map((action) => session.commit(action)),
      session.commit((run) => {
        const last = lastRep(run);
        return last ? { type: 'struck', repId: last.id, newId: 'r1-struck' } : null;
      }),
      session.commit(() => null),
    ]);
    expect(session.snapshot().run.recorded.at(-1)).toMatchObject({
      replaces: 'r1',
      struckOut: true,
    });
  });

  test('goes on in memory and says so when the device cannot keep it', async () => {
    const plan = freshPlan();
    const session = await Session.start(plan, OUTLET);
    const full = jest.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    for (const action of rep('r1', 3000)) await session.commit(action);
    full.mockRestore();
    expect(session.snapshot()).toMatchObject({
      storageFailed: true,
      run: { recorded: [{ id: 'r1' }] },
    });
    expect(unkept.map(({ path }) => path.split('/').at(-1))).toEqual([plan.id, 'r1']);
  });

  test('nothing is known of a drill from elsewhere', async () => {
    expect(await Session.restore('elsewhere', OUTLET)).toBeNull();
  });
});

describe('the outbox', () => {
  const queue = async (...paths: string[]) => {
    const db = await store();
    for (const path of paths)
      await db.add('outgoing', { subject: 'drill:d', method: 'PUT', path, body: {} });
  };
  const sendWith = async (answers: (path: string) => Delivery) => {
    const heard: string[] = [];
    const outbox = new Outbox(({ path }) => {
      heard.push(path);
      return Promise.resolve(answers(path));
    });
    await outbox.wake();
    return { heard, outbox };
  };

  test('sends what somebody recorded only while they are signed in, and everybody else’s meanwhile', async () => {
    const [mara, rowan] = ['Mara', 'Rowan'].map((name) => ({ accountId: name, name })) as [
      Person,
      Person,
    ];
    isIn(mara, true);
    const quiet = new Outbox(() => Promise.resolve('unheard'));
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] });
    await quiet.queue({ subject: 'note:m', method: 'PUT', path: 'of Mara', body: {} });
    // Signed out in the middle of it, it is still hers.
    isIn(null, false);
    await quiet.queue({ subject: 'note:m', method: 'PUT', path: 'of Mara too', body: {} });
    jest.useRealTimers();
    isIn(rowan, true);
    await quiet.queue({ subject: 'note:r', method: 'PUT', path: 'of Rowan', body: {} });
    const { heard, outbox } = await sendWith(() => 'taken');
    expect(heard).toEqual(['of Rowan']);
    expect(outbox.snapshot()).toMatchObject({ waiting: 2, waitsFor: ['Mara'] });
    isIn(mara, true);
    await outbox.wake();
    expect(heard).toEqual(['of Rowan', 'of Mara', 'of Mara too']);
    expect(outbox.snapshot()).toMatchObject({ waiting: 0, waitsFor: [] });
    isIn(null, true);
  });

  test('sends in order and forgets what was taken', async () => {
    await queue('set', 'rep1', 'rep2');
    const { heard, outbox } = await sendWith(() => 'taken');
    expect(heard).toEqual(['set', 'rep1', 'rep2']);
    expect(outbox.snapshot()).toMatchObject({ waiting: 0, refusals: [], reachable: true });
  });

  test('stops at silence, keeps everything, and tries the same one again', async () => {
    await queue('set', 'rep1');
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] });
    const { heard, outbox } = await sendWith(() => 'unheard');
    jest.useRealTimers();
    expect(heard).toEqual(['set']);
    expect(outbox.snapshot()).toMatchObject({
      waiting: 2,
      reachable: false,
      subjects: new Set(['drill:d']),
    });
    const again = await sendWith(() => 'taken');
    expect(again.heard).toEqual(['set', 'rep1']);
  });

  test('sends what is queued at the very moment the last one was settled', async () => {
    await queue('first');
    const heard: string[] = [];
    const outbox = new Outbox(({ path }) => {
      heard.push(path);
      return Promise.resolve('taken');
    });
    // The queue is seen empty when the last was settled, and once more when the round ends.
    let seenEmpty = 0;
    outbox.subscribe(() => {
      if (outbox.snapshot().waiting > 0 || (seenEmpty += 1) !== 2) return;
      void queue('late');
      void outbox.wake();
    });
    await outbox.wake();
    await new Promise((done) => setTimeout(done, 50));
    expect(heard).toEqual(['first', 'late']);
  });

  test('sends what could not be kept from memory, after what was kept', async () => {
    await queue('kept');
    const heard: string[] = [];
    const outbox = new Outbox(({ path }) => {
      heard.push(path);
      return Promise.resolve('taken');
    });
    outbox.sendUnkept([{ subject: 'drill:d', method: 'PUT', path: 'unkept', body: {} }]);
    await new Promise((done) => setTimeout(done, 50));
    expect(heard).toEqual(['kept', 'unkept']);
    expect(outbox.snapshot()).toMatchObject({ waiting: 0 });
  });

  test('takes any request with what it is about, and keeps it until the network is back', async () => {
    const heard: string[] = [];
    let isUp = false;
    const outbox = new Outbox(({ method, path }) => {
      if (isUp) heard.push(`${method} ${path}`);
      return Promise.resolve(isUp ? 'taken' : 'unheard');
    });
    await outbox.queue({ subject: 'note:n', method: 'PUT', path: 'notes/n', body: {} });
    await new Promise((done) => setTimeout(done, 30));
    expect(outbox.snapshot()).toMatchObject({ waiting: 1, subjects: new Set(['note:n']) });
    isUp = true;
    await outbox.wake();
    expect(heard).toEqual(['PUT notes/n']);
  });

  test('calls nothing sent from the moment it is queued until it is taken', async () => {
    const outbox = new Outbox(() => Promise.resolve('taken'));
    await outbox.wake();
    const item = { subject: 'drill:d', method: 'PUT', path: 'set', body: {} } as const;
    await (await store()).add('outgoing', item);
    const seen: number[] = [];
    outbox.subscribe(() => seen.push(outbox.snapshot().waiting));
    const woken = outbox.wake([item]);
    expect(outbox.snapshot()).toMatchObject({ waiting: 1, subjects: new Set(['drill:d']) });
    await woken;
    expect(seen).toEqual([...seen].sort((a, b) => b - a));
    expect(seen.at(-1)).toBe(0);
  });

  test('sets a refused one aside with the reason and goes on', async () => {
    await queue('bad', 'good');
    const { heard, outbox } = await sendWith((path) =>
      path === 'bad' ? { refused: 'no' } : 'taken',
    );
    expect(heard).toEqual(['bad', 'good']);
    expect(outbox.snapshot()).toMatchObject({ waiting: 0, refusals: ['no'] });
    expect(await (await store()).getAll('refused')).toMatchObject([{ path: 'bad', why: 'no' }]);
  });
});

test('old drills are forgotten only when they are over and sent', async () => {
  const db = await store();
  const old = { clubId: 'c', startedAt: 0, ended: true };
  await db.put('drills', { ...old, id: 'sent' });
  await db.put('drills', { ...old, id: 'unsent' });
  await db.put('drills', { ...old, id: 'open', ended: false });
  await db.add('outgoing', { subject: 'drill:unsent', method: 'PUT', path: 'p', body: {} });
  await prune(Date.now());
  expect((await db.getAllKeys('drills')).sort()).toEqual(['open', 'unsent']);
});

test('the clock of a set counts from its start, on the page and on the set alike', () => {
  const clock = new SetClock(performance.timeOrigin - 5000);
  expect(clock.at(250)).toBe(5250);
  expect(clock.toPage(5250)).toBeCloseTo(250, 6);
});
