import { frameAt } from '@orthokin/core/film';
import { useEffect, useEffectEvent, useState } from 'react';

/** How fast a film is played, as shares of the time it was filmed in. */
export const SPEEDS = [1, 0.5, 0.25, 0.1] as const;
export type Speed = (typeof SPEEDS)[number];

/** A film's playback state. */
export interface Playing {
  readonly playing: boolean;
  readonly toggle: () => void;
  readonly speed: Speed;
  readonly setSpeed: (speed: Speed) => void;
}

/** Plays from the current frame on, looping between two moments. */
export function usePlay(
  framesMs: readonly number[],
  index: number,
  go: (index: number) => void,
  loop: { readonly fromMs: number; readonly toMs: number; readonly rate: number },
): Playing {
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<Speed>(0.25);
  const { fromMs, toMs, rate } = loop;
  const frameMs = useEffectEvent(() => framesMs[index] ?? 0);
  const show = useEffectEvent((atMs: number) => go(frameAt(framesMs, atMs)));
  useEffect(() => {
    if (!playing) return;
    let beganAt = performance.now();
    let beganMs = frameMs();
    let request = 0;
    const step = (now: number) => {
      let at = beganMs + (now - beganAt) * speed * rate;
      if (at > toMs) {
        [beganAt, beganMs, at] = [now, fromMs, fromMs];
      }
      show(at);
      request = requestAnimationFrame(step);
    };
    request = requestAnimationFrame(step);
    return () => cancelAnimationFrame(request);
  }, [playing, speed, fromMs, toMs, rate, framesMs]);
  return { playing, toggle: () => setPlaying(!playing), speed, setSpeed };
}
