import { useCallback, useEffect, useState } from 'react';
import type { Answers, Sum } from './sums.js';

export interface Working<Answer> {
  readonly answer: Answer | null;
  /** Share that is done while a sum is worked out; `null` otherwise. */
  readonly share: number | null;
  readonly failed: boolean;
  readonly cancel: () => void;
  readonly again: () => void;
}

interface State {
  readonly of: unknown;
  readonly answer: unknown;
  readonly share: number | null;
  readonly failed: boolean;
}

/**
 * A long sum in a worker of its own, begun whenever `sum` is another object, so it must be kept
 * (`useMemo`); `null` asks for nothing. Cancelling ends the worker.
 */
export function useSum<Kind extends Sum['kind']>(
  sum: Extract<Sum, { kind: Kind }> | null,
): Working<Answers[Kind]> {
  const [state, setState] = useState<State>({
    ...{ of: null, answer: null, share: null, failed: false },
  });
  const [round, setRound] = useState(0);
  const [cancelled, setCancelled] = useState<unknown>(null);
  useEffect(() => {
    if (!sum || cancelled === sum) return;
    const worker = new Worker(new URL('./sums.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<{ share?: number; answer?: unknown }>) => {
      if (data.share !== undefined)
        setState({ of: sum, answer: null, share: data.share, failed: false });
      else setState({ of: sum, answer: data.answer, share: null, failed: false });
    };
    worker.onerror = () => setState({ of: sum, answer: null, share: null, failed: true });
    worker.postMessage(sum);
    return () => worker.terminate();
  }, [sum, round, cancelled]);
  const isOwn = state.of === sum;
  const isOff = cancelled === sum;
  return {
    answer: isOwn ? (state.answer as Answers[Kind] | null) : null,
    share: !sum || isOff ? null : isOwn ? state.share : 0,
    failed: isOwn && state.failed,
    cancel: useCallback(() => setCancelled(sum), [sum]),
    again: useCallback(() => {
      setCancelled(null);
      setRound((n) => n + 1);
    }, []),
  };
}
