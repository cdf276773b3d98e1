import { useEffect, useRef, useTransition } from 'react';

/** Figures cannot be read if they change more often than this. */
const LEAST_MS = 120;
/** The share of a gesture's time that calculating and rendering may take. */
const SHARE = 0.04;

/** Passes on movements, as often as their consequences can be rendered without slowing the gesture. */
export interface Paced<T> {
  readonly tell: (news: T) => void;
  /** Drops what was not passed on yet. */
  readonly hush: () => void;
}

/** `told` receives the latest movement: at once, and then less often the longer rendering takes. */
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
