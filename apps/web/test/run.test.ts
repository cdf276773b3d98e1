import fc from 'fast-check';
import type { EventName } from '@orthokin/core/timing';
import {
  apply,
  finishedReps,
  lastRep,
  outgoing,
  replay,
  type Action,
  type Run,
} from '../src/drill/run.js';
import { PLAN } from './plan.js';

const cued = (repId: string, atMs: number): Action => ({
  type: 'cued',
  repId,
  cue: { name: 'cue', atMs, sdMs: 4.8, source: 'sensor' },
});
const press = (name: EventName, atMs: number): Action => ({
  type: 'event',
  event: { name, atMs, sdMs: 45, source: 'hand' },
});
const rep = (repId: string, atMs: number): Action[] => [
  cued(repId, atMs),
  press('firstMove', atMs + 250),
  press('action', atMs + 900),
  press('home', atMs + 1800),
];
const started: Action = { type: 'started', plan: PLAN };

function runOf(...actions: Action[]): Run {
  const run = replay([started, ...actions]);
  if (!run) throw new Error('no run');
  return run;
}

describe('a run', () => {
  test('goes from cue to cue until every one has its rep', () => {
    const two = runOf(...rep('r1', 3000), ...rep('r2', 7000));
    expect(two).toMatchObject({ state: 'waiting', ordinal: 3, readyMs: 8800 });
    const done = runOf(...rep('r1', 3000), ...rep('r2', 7000), ...rep('r3', 11_000));
    expect(done.state).toBe('complete');
    expect(finishedReps(done).map(({ target }) => target)).toEqual(['A', 'B', 'A']);
    expect(apply(done, { type: 'ended', at: '' })).toMatchObject({ endReason: 'completed' });
  });

  test('keeps a first move that comes before the cue, and nothing else that early', () => {
    const early = runOf(
      press('home', 2000),
      press('action', 2500),
      press('firstMove', 2900),
      ...rep('r1', 3000),
    );
    expect(finishedReps(early)[0]?.events.map(({ name, atMs }) => [name, atMs])).toEqual([
      ['firstMove', 2900],
      ['cue', 3000],
      ['action', 3900],
      ['home', 4800],
    ]);
  });

  test('the first press of a kind stands; one that cannot be placed is dropped', () => {
    const run = runOf(
      cued('r1', 3000),
      press('action', 3900),
      press('action', 4000),
      press('arrival', 4100),
      press('home', 4800),
    );
    expect(finishedReps(run)[0]?.events.map(({ name, atMs }) => [name, atMs])).toEqual([
      ['cue', 3000],
      ['action', 3900],
      ['home', 4800],
    ]);
  });

  test('a pause drops the open rep and cues the same target again', () => {
    const paused = runOf(...rep('r1', 3000), cued('r2', 7000), press('firstMove', 7200), {
      type: 'paused',
    });
    expect(paused).toMatchObject({ state: 'paused', ordinal: 2, open: { events: [] } });
    expect(apply(paused, { type: 'resumed', atMs: 20_000 })).toMatchObject({
      state: 'waiting',
      ordinal: 2,
      readyMs: 20_000,
    });
  });

  test('a rep that ran out is kept with what was seen of it', () => {
    const run = runOf(cued('r1', 3000), { type: 'ran out', atMs: 6000 });
    expect(finishedReps(run)[0]?.events).toHaveLength(1);
    expect(run).toMatchObject({ state: 'waiting', ordinal: 2, readyMs: 6000 });
  });

  test('redo replaces the last rep and then goes on where it was', () => {
    const redone = runOf(...rep('r1', 3000), ...rep('r2', 7000), { type: 'redone', atMs: 9000 });
    expect(redone).toMatchObject({ ordinal: 2, redoOf: 'r2' });
    const run = runOf(
      ...rep('r1', 3000),
      ...rep('r2', 7000),
      { type: 'redone', atMs: 9000 },
      ...rep('r2b', 11_000),
    );
    expect(finishedReps(run).map(({ id }) => id)).toEqual(['r1', 'r2b']);
    expect(run.ordinal).toBe(3);
    expect(lastRep(run)?.id).toBe('r2b');
  });

  test('striking out twice puts a rep back, each time as a new row', () => {
    const strike = (repId: string, newId: string): Action => ({ type: 'struck', repId, newId });
    const once = runOf(...rep('r1', 3000), strike('r1', 's1'));
    expect(finishedReps(once)[0]).toMatchObject({ id: 's1', struckOut: true, replaces: 'r1' });
    const twice = runOf(...rep('r1', 3000), strike('r1', 's1'), strike('s1', 's2'));
    expect(finishedReps(twice)[0]).toMatchObject({ id: 's2', struckOut: false });
  });

  test('an ended run takes nothing more', () => {
    const ended = runOf(...rep('r1', 3000), { type: 'ended', at: '' });
    for (const action of [
      ...rep('r2', 7000),
      { type: 'redone', atMs: 1 } as const,
      { type: 'resumed', atMs: 1 } as const,
    ])
      expect(apply(ended, action)).toBe(ended);
  });

  test('whatever happens, each cue has at most one standing rep and rows are only added', () => {
    const time = fc.nat(60_000);
    const id = fc.uuid();
    const action: fc.Arbitrary<Action> = fc.oneof(
      fc.tuple(id, time).map(([repId, at]) => cued(repId, at)),
      fc
        .tuple(fc.constantFrom<EventName>('firstMove', 'arrival', 'action', 'home'), time)
        .map(([name, at]) => press(name, at)),
      time.map((atMs): Action => ({ type: 'ran out', atMs })),
      time.map((atMs): Action => ({ type: 'redone', atMs })),
      time.map((atMs): Action => ({ type: 'resumed', atMs })),
      fc.constant<Action>({ type: 'paused' }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 60 }), (actions) => {
        let run = runOf();
        for (const next of actions) {
          const before = run;
          run = apply(run, next) ?? run;
          expect(run.recorded.slice(0, before.recorded.length)).toEqual(before.recorded);
        }
        const ordinals = finishedReps(run).map(({ ordinal }) => ordinal);
        expect(new Set(ordinals).size).toBe(ordinals.length);
      }),
    );
  });
});

describe('what the server is told', () => {
  const sent = (...actions: Action[]) => {
    const paths: string[] = [];
    let run: Run | null = null;
    for (const action of [started, ...actions]) {
      const after: Run | null = apply(run, action);
      if (after && after !== run)
        paths.push(...outgoing(run, after, action).map(({ path }) => path));
      run = after;
    }
    return paths.map((path) => path.replace(`clubs/club/sets/${PLAN.id}`, 'set'));
  };

  test('the set goes before its first rep, the end after the last', () => {
    expect(sent(...rep('r1', 3000), ...rep('r2', 7000), { type: 'ended', at: 'now' })).toEqual([
      'set',
      'set/reps/r1',
      'set/reps/r2',
      'set/end',
    ]);
  });

  test('a set without a finished rep is never heard of', () => {
    expect(sent(cued('r1', 3000), press('firstMove', 3200), { type: 'ended', at: 'now' })).toEqual(
      [],
    );
  });
});
