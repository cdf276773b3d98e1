import { actionsOf, append } from '../device/drill-log.js';
import type { Outgoing } from '../device/store.js';
import { apply } from '@orthokin/core/run';
import { replayLog } from './replay-log.js';
import type { Action, DrillPlan, Run } from './plan.js';
import { outgoing } from './requests.js';

export interface SessionState {
  readonly run: Run;
  /** The browser's storage failed: from now on the run exists only in this page's memory. */
  readonly storageFailed: boolean;
}

/** Where finished reps are sent from. */
export interface Outlet {
  /** Called when requests were queued on the device. */
  wake(added: readonly Outgoing[]): Promise<void>;
  /** Sends requests that could not be stored on the device. */
  sendUnkept(items: readonly Outgoing[]): void;
}

/**
 * A running drill. Every action is written to this device first and applied afterwards, one at a time, so that the
 * page may die at any moment without losing a finished rep.
 */
export class Session {
  private readonly listeners = new Set<() => void>();
  private writing: Promise<void> = Promise.resolve();

  private constructor(
    private state: SessionState,
    private seq: number,
    private readonly outlet: Outlet,
  ) {}

  static async start(plan: DrillPlan, outlet: Outlet): Promise<Session> {
    const action: Action = { type: 'started', plan };
    const run = apply(null, action);
    if (!run) throw new Error('A started drill has a run.');
    const session = new Session({ run, storageFailed: false }, 0, outlet);
    await session.write(action, null, run);
    return session;
  }

  /** Resumes a drill from this device; `null` if it is unknown here. */
  static async restore(drillId: string, outlet: Outlet): Promise<Session | null> {
    const actions = await actionsOf(drillId);
    const run = replayLog(actions);
    return run && new Session({ run, storageFailed: false }, actions.length, outlet);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): SessionState => this.state;

  /**
   * Queues an action; resolves when it is written and applied. An action that depends on the run's state (such as
   * which rep is the last) is given as a function, because earlier presses may still be waiting.
   */
  readonly commit = (happened: Action | ((run: Run) => Action | null)): Promise<void> => {
    this.writing = this.writing.then(async () => {
      const before = this.state.run;
      const action = typeof happened === 'function' ? happened(before) : happened;
      const after = action && apply(before, action);
      if (after && after !== before) await this.write(action, before, after);
    });
    return this.writing;
  };

  private async write(action: Action, before: Run | null, run: Run): Promise<void> {
    const items = outgoing(before, run, action);
    const { id, clubId, startedAt } = run.plan;
    const ended = run.state === 'ended';
    const head = { id, clubId, startedAt: Date.parse(startedAt), ended };
    const storageFailed = await append({ head, seq: this.seq, action, outgoing: items }).then(
      () => false,
      () => true,
    );
    this.seq += 1;
    this.state = { run, storageFailed: storageFailed || this.state.storageFailed };
    // Before the run changes: whoever sees the set's end must not see everything reported as sent.
    if (storageFailed) this.outlet.sendUnkept(items);
    else if (items.length > 0) void this.outlet.wake(items);
    for (const listener of this.listeners) listener();
  }
}
