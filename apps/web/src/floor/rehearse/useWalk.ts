import type { RehearsalCall } from '@orthokin/core/footwork';
import { useCallback, useEffect, useState } from 'react';

/** A rehearsal's progress. */
export interface Walk {
  readonly place: number;
  /** When the current call began, page ms, shifted by pauses. */
  readonly beganAt: number;
  /** `null` while it runs. */
  readonly pausedAt: number | null;
}

export interface Walking {
  readonly walk: Walk;
  /** The current call; `undefined` at the end. */
  readonly call: RehearsalCall | undefined;
  /** Whether the position has been reached and is held. */
  readonly isHeld: boolean;
  readonly leftMs: number;
  readonly go: (places: number) => void;
  readonly toggle: () => void;
}

const TICK_MS = 100;

/** Walks through a rehearsal's calls: each is walked, then held. */
export function useWalk(calls: readonly RehearsalCall[]): Walking {
  const [walk, setWalk] = useState<Walk>(() => ({
    place: 0,
    beganAt: performance.now(),
    pausedAt: null,
  }));
  const [now, setNow] = useState(walk.beganAt);
  const call = calls[walk.place];
  const lengthMs = call ? call.walkMs + call.holdMs : 0;
  useEffect(() => {
    if (walk.pausedAt !== null || lengthMs === 0) return;
    const over = setTimeout(
      () => setWalk({ place: walk.place + 1, beganAt: performance.now(), pausedAt: null }),
      walk.beganAt + lengthMs - performance.now(),
    );
    const tick = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => {
      clearTimeout(over);
      clearInterval(tick);
    };
  }, [walk, lengthMs]);
  const go = useCallback(
    (places: number) =>
      setWalk(({ place, pausedAt }) => {
        const at = performance.now();
        const to = Math.max(0, Math.min(calls.length, place + places));
        return { place: to, beganAt: at, pausedAt: pausedAt === null ? null : at };
      }),
    [calls.length],
  );
  const toggle = useCallback(
    () =>
      setWalk((was) => {
        const at = performance.now();
        return was.pausedAt === null
          ? { ...was, pausedAt: at }
          : { ...was, beganAt: at - (was.pausedAt - was.beganAt), pausedAt: null };
      }),
    [],
  );
  const elapsed = Math.max(0, (walk.pausedAt ?? now) - walk.beganAt);
  const isHeld = call !== undefined && elapsed >= call.walkMs;
  const leftMs = isHeld ? lengthMs - elapsed : (call?.walkMs ?? 0) - elapsed;
  return { walk, call, isHeld, leftMs: Math.max(0, leftMs), go, toggle };
}
