import type { FoundBody } from '@orthokin/core/film';
import { useCallback, useEffect, useRef } from 'react';
import type { Answered, Asked } from './messages.js';

/** Finds a body in a picture, in a worker. */
export type FindBody = (asked: Omit<Asked, 'id'>) => Promise<FoundBody | null>;

/** Starts the worker, with its model, at the first picture. */
export function useBodyFinder(): FindBody {
  const worker = useRef<Worker | null>(null);
  const waiting = useRef(new Map<number, (answer: Answered) => void>());
  const asked = useRef(0);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  return useCallback(
    (ask) =>
      new Promise((found, failed) => {
        // The model's runtime needs a classic worker, not a module.
        if (!worker.current)
          worker.current = new Worker(new URL('./body.worker.ts', import.meta.url));
        worker.current.onmessage = ({ data }: MessageEvent<Answered>) => {
          waiting.current.get(data.id)?.(data);
          waiting.current.delete(data.id);
        };
        const id = asked.current++;
        waiting.current.set(id, (answer) => {
          if ('failed' in answer) failed(new Error(answer.failed));
          else found(answer.found);
        });
        worker.current.postMessage({ ...ask, id } satisfies Asked, [ask.picture]);
      }),
    [],
  );
}
