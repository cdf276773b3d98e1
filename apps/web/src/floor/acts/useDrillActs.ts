import type { EventName, Fault, RepMarks } from '@orthokin/core/timing';
import { v7 } from 'uuid';
import { lastRep } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import type { Session } from '../../drill/session.js';
import { epochNow, type SetClock } from '../../drill/set-clock.js';

/** What a coach can do during a set. */
export interface DrillActs {
  readonly press: (name: EventName, pressedAt: number) => void;
  /** An event timed elsewhere, on the set's clock, with that timing's error. */
  readonly pressAt: (name: EventName, atMs: number, sdMs: number) => void;
  readonly pause: () => void;
  readonly goOn: () => void;
  readonly redo: () => void;
  readonly strike: () => void;
  /** Reports a fault of the current rep, or else the last; reporting it again takes it back. */
  readonly fault: (fault: Fault) => void;
  readonly mark: (marks: RepMarks) => void;
  /** Closes the rep as it is. */
  readonly close: () => void;
  readonly end: () => Promise<void>;
}

/** The rep that reports are about: the current one, or else the last. */
const spokenOf = (run: Run): string | null => run.open.repId ?? lastRep(run)?.id ?? null;

export function useDrillActs(session: Session, run: Run, clock: SetClock): DrillActs {
  const commit = session.commit;
  const { hand } = run.plan;
  const pressAt = (name: EventName, atMs: number, sdMs: number) =>
    void commit({ type: 'event', event: { name, atMs, sdMs, source: 'hand' } });
  return {
    press: (name, pressedAt) =>
      pressAt(name, clock.at(pressedAt - hand.biasMs), Math.round(hand.sdMs)),
    pressAt,
    pause: () => void commit({ type: 'paused', atMs: clock.now() }),
    goOn: () => void commit({ type: 'resumed', atMs: clock.now() }),
    redo: () => void commit({ type: 'redone', atMs: clock.now() }),
    strike: () =>
      void commit((now) => {
        const last = lastRep(now);
        return last ? { type: 'struck', repId: last.id, newId: v7() } : null;
      }),
    fault: (fault) =>
      void commit((now) => {
        const repId = spokenOf(now);
        return repId === null
          ? null
          : { type: 'fault seen', repId, newId: v7(), fault, atMs: clock.now() };
      }),
    mark: (marks) =>
      void commit((now) => {
        const repId = spokenOf(now);
        return repId === null ? null : { type: 'marked', repId, newId: v7(), marks };
      }),
    close: () => void commit({ type: 'ran out', atMs: clock.now() }),
    end: () => commit({ type: 'ended', at: new Date(epochNow()).toISOString() }),
  };
}
