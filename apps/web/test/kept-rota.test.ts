import 'fake-indexeddb/auto';
import { beginRota, turnOf } from '@orthokin/core/run';
import type { Action } from '../src/drill/plan.js';
import { append } from '../src/device/drill-log.js';
import { onDrillsLetGo } from '../src/device/drill-lock.js';
import { remembered } from '../src/device/preferences.js';
import {
  brokenOffRota,
  keepRota,
  passedOn,
  setupOf,
  type KeptRota,
} from '../src/floor/rota/kept-rota.js';
import { PLAN } from './plan.js';

const storage = new Map<string, string>();
const locks = new Map<string, () => void>();
let waiting: (() => void)[] = [];

beforeAll(() => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => storage.get(key) ?? null,
      setItem: (key: string, value: string) => void storage.set(key, value),
      removeItem: (key: string) => void storage.delete(key),
    },
  });
  Object.defineProperty(globalThis, 'navigator', {
    value: {
      locks: {
        query: () => Promise.resolve({ held: [...locks.keys()].map((name) => ({ name })) }),
        request: (_name: string, _options: object, act: () => void) =>
          new Promise<void>((done) =>
            waiting.push(() => {
              act();
              done();
            }),
          ),
      },
    },
  });
});
beforeEach(() => {
  storage.clear();
  locks.clear();
  waiting = [];
});

const kept = (change: Partial<KeptRota> = {}): KeptRota => ({
  id: 'rota-1',
  rota: beginRota(['amara', 'wren'], 2, 1),
  settled: {} as KeptRota['settled'],
  setups: [{ athlete: { ...PLAN.athlete, id: 'wren' } }] as unknown as KeptRota['setups'],
  ...{ on: null, done: 'set-0' },
  ...change,
});

async function log(id: string, ...actions: Action[]): Promise<void> {
  const head = { id, clubId: 'club', startedAt: 0, ended: false };
  for (const [seq, action] of actions.entries()) await append({ head, seq, action, outgoing: [] });
}

test('nothing kept, or a rota that another tab is running, is not offered', async () => {
  expect(await brokenOffRota('club')).toBeNull();
  keepRota(kept());
  locks.set('orthokin-drill-rota-1', () => undefined);
  expect(await brokenOffRota('club')).toBeNull();
  locks.clear();
  expect(await brokenOffRota('club')).toEqual(kept());
});

test('a rota that no set of was begun yet is nothing to go on with', async () => {
  keepRota(kept({ done: null }));
  expect(await brokenOffRota('club')).toBeNull();
});

const rep = (repId: string, atMs: number): Action[] => [
  { type: 'cued', repId, cue: { name: 'cue', atMs, sdMs: 4.8, source: 'sensor' } },
  { type: 'event', event: { name: 'home', atMs: atMs + 2000, sdMs: 45, source: 'hand' } },
];
const ended: Action = { type: 'ended', at: '2026-03-01T10:01:00.000Z' };

test('a set that came to its end before the page could say so is passed on', async () => {
  const [cue] = PLAN.cues;
  const plan = { ...PLAN, id: 'set-whole', cues: cue ? [cue] : [], reps: 1 };
  await log('set-whole', { type: 'started', plan }, ...rep('r1', 3000), ended);
  keepRota(kept({ on: 'set-whole' }));
  expect(await brokenOffRota('club')).toMatchObject({
    on: null,
    done: 'set-whole',
    rota: { place: 1 },
  });
});

test('a set that the coach stopped early ends its rota', async () => {
  await log('set-stopped', { type: 'started', plan: { ...PLAN, id: 'set-stopped' } }, ended);
  keepRota(kept({ on: 'set-stopped' }));
  expect(await brokenOffRota('club')).toBeNull();
});

test('a set that was going on is gone on with, and its turn is still its own', async () => {
  await log('set-now', { type: 'started', plan: { ...PLAN, id: 'set-now' } });
  keepRota(kept({ on: 'set-now' }));
  const offered = await brokenOffRota('club');
  expect(offered).toMatchObject({ on: 'set-now', rota: { place: 0 } });
});

test('each turn goes to the next; after the last nothing is offered', async () => {
  let now = kept({ on: 'set-1' });
  expect(passedOn(now, 30_000)).toMatchObject({ on: null, done: 'set-1', rota: { place: 1 } });
  expect(passedOn(now, 30_000).rota.worked).toMatchObject([{ athleteId: 'amara', workMs: 30_000 }]);
  expect(passedOn(now, null).rota.worked).toEqual([]);
  while (turnOf(now.rota)) now = passedOn(now, 30_000);
  keepRota(now);
  expect(await brokenOffRota('club')).toBeNull();
  keepRota(null);
  expect(remembered('rota', 'gone')).toBeNull();
});

test('the set-up of an athlete was fetched before, or is not there', () => {
  expect(setupOf(kept(), 'wren')?.athlete.id).toBe('wren');
  expect(setupOf(kept(), 'nobody')).toBeUndefined();
});

test('when a dying tab lets its drill go, it is heard; other locks are not waited for', async () => {
  locks.set('orthokin-drill-rota-1', () => undefined).set('orthokin-outbox', () => undefined);
  const heard = jest.fn();
  const stop = onDrillsLetGo(heard);
  await new Promise((done) => setImmediate(done));
  expect(waiting).toHaveLength(1);
  expect(heard).not.toHaveBeenCalled();
  waiting[0]?.();
  await new Promise((done) => setImmediate(done));
  expect(heard).toHaveBeenCalledTimes(1);
  stop();
});
