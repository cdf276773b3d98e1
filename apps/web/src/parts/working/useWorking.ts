import { useCallback, useEffect, useState } from 'react';

export interface Working<Answer> {
  readonly answer: Answer | null;
  /** The answer, or the previous question's while this one is being worked out. */
  readonly latest: Answer | null;
  /** Progress, 0 to 1; `null` when idle. */
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

const NOTHING: State = { of: null, answer: null, share: null, failed: false };

/**
 * Runs a long calculation in a worker, anew whenever `question` is a different object, so it must be memoised; `null`
 * asks for nothing. The worker posts `{ share }` for progress and `{ answer }` at the end.
 */
export function useWorking<Answer>(begin: () => Worker, question: object | null): Working<Answer> {
  const [state, setState] = useState<State>(NOTHING);
  const [latest, setLatest] = useState<Answer | null>(null);
  const [round, setRound] = useState(0);
  const [cancelled, setCancelled] = useState<unknown>(null);
  useEffect(() => {
    if (!question || cancelled === question) return;
    const worker = begin();
    worker.onmessage = ({ data }: MessageEvent<{ share?: number; answer?: unknown }>) => {
      if (data.share !== undefined)
        setState({ of: question, answer: null, share: data.share, failed: false });
      else {
        setState({ of: question, answer: data.answer, share: null, failed: false });
        setLatest(data.answer as Answer);
      }
    };
    worker.onerror = () => setState({ of: question, answer: null, share: null, failed: true });
    worker.postMessage(question);
    return () => worker.terminate();
  }, [begin, question, round, cancelled]);
  const isOwn = state.of === question;
  const isOff = cancelled === question;
  return {
    answer: isOwn ? (state.answer as Answer | null) : null,
    latest,
    share: !question || isOff ? null : isOwn ? state.share : 0,
    failed: isOwn && state.failed,
    cancel: useCallback(() => setCancelled(question), [question]),
    again: useCallback(() => {
      setCancelled(null);
      setRound((n) => n + 1);
    }, []),
  };
}
