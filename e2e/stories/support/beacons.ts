import { spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import type { EventBody, RepReply, SetReviewReply } from '@orthokin/contract';

const MAIN = resolve(import.meta.dirname, '../../../apps/beacons/dist/main.js');

export interface Truth {
  readonly place: string;
  readonly signal: 'shown' | 'near' | 'touch' | 'off' | 'on';
  readonly epochMs: number;
}

const SIGNAL: Readonly<Partial<Record<EventBody['name'], Truth['signal']>>> = {
  cue: 'shown',
  firstMove: 'off',
  arrival: 'near',
  action: 'touch',
  home: 'on',
};

/** An event the app kept, beside what really happened. */
export interface Kept {
  readonly ordinal: number;
  readonly target: string;
  readonly name: EventBody['name'];
  readonly sdMs: number;
  /** What was kept minus what happened, ms; `null` when nothing of the kind ever happened. */
  readonly offMs: number | null;
}

export const standingOf = (reps: readonly RepReply[]): RepReply[] =>
  reps.filter(({ id }) => !reps.some(({ replaces }) => replaces === id));

/** The stand-in for beacons, and what really happened between them. */
export class StandIn {
  readonly truth: Truth[] = [];

  private constructor(
    private readonly process: ChildProcess,
    private readonly port: number,
  ) {}

  static async start(): Promise<StandIn> {
    const child = spawn(process.execPath, [MAIN], {
      env: { ...process.env, PORT: '0' },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    const port = await new Promise<number>((bound) =>
      child.once('message', (message) => bound((message as { port: number }).port)),
    );
    const standIn = new StandIn(child, port);
    child.on('message', (message) => standIn.truth.push((message as { truth: Truth }).truth));
    return standIn;
  }

  /** Every event of a set that a beacon noticed, each set against a truth of its own. */
  compare({ set, reps }: SetReviewReply): Kept[] {
    const started = Date.parse(set.startedAt);
    const used = new Set<Truth>();
    return standingOf(reps).flatMap(({ ordinal, target, events }) =>
      events.flatMap(({ name, atMs, sdMs }) => {
        const signal = SIGNAL[name];
        if (!signal) return [];
        const place = signal === 'off' || signal === 'on' ? 'home' : target;
        const off = (truth: Truth) => started + atMs - truth.epochMs;
        const [nearest] = this.truth
          .filter((truth) => truth.place === place && truth.signal === signal && !used.has(truth))
          .sort((a, b) => Math.abs(off(a)) - Math.abs(off(b)));
        if (nearest) used.add(nearest);
        return [{ ordinal, target, name, sdMs, offMs: nearest ? off(nearest) : null }];
      }),
    );
  }

  address(query: string): string {
    return `ws://127.0.0.1:${this.port}/?${query}`;
  }

  stop(): void {
    this.process.kill('SIGTERM');
  }
}
