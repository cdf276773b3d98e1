import { useEffect, useRef, useTransition } from 'react';

/** More often than this nobody can read a figure. */
const LEAST_MS = 120;
/** Of a gesture's time, the part that working out and drawing may take; the rest is the finger's. */
const SHARE = 0.04;

/** Tells of a movement as often as what follows from it can be drawn without holding the movement up. */
export interface Paced<T> {
  readonly tell: (news: T) => void;
  /** Forgets what has not been told yet. */
  readonly hush: () => void;
}

/** `told` is called with the newest news: at once, and then the more seldom the longer it takes to draw. */
export function usePaced<T>(told: (news: T) => void): Paced<T> {
  const [isDrawing, startDrawing] = useTransition();
  const news = useRef<T | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const began = useRef(0);
  const nextAt = useRef(0);

  const speak = () => {
    timer.current = undefined;
    const newest = news.current;
    if (newest === null) return;
    news.current = null;
    began.current = performance.now();
    nextAt.current = Infinity;
    startDrawing(() => told(newest));
  };
  const arrange = () => {
    if (timer.current !== undefined || nextAt.current === Infinity) return;
    timer.current = setTimeout(speak, Math.max(0, nextAt.current - performance.now()));
  };
  useEffect(() => {
    if (isDrawing || nextAt.current !== Infinity) return;
    const tookMs = performance.now() - began.current;
    nextAt.current = performance.now() + Math.max(LEAST_MS, tookMs / SHARE - tookMs);
    if (news.current !== null) arrange();
  });
  useEffect(() => () => clearTimeout(timer.current), []);

  return {
    tell: (newest) => {
      news.current = newest;
      arrange();
    },
    hush: () => {
      news.current = null;
    },
  };
}
