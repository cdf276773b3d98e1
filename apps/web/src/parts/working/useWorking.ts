import { useCallback, useEffect, useState } from 'react';

export interface Working<Answer> {
  readonly answer: Answer | null;
  /** The answer, or that to the question before while this one is worked out. */
  readonly latest: Answer | null;
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

const NOTHING: State = { of: null, answer: null, share: null, failed: false };

/**
 * A long sum in a worker of its own, begun whenever `question` is another object, so it must be
 * kept (`useMemo`); `null` asks for nothing. The worker replies `{ share }` while it works and
 * `{ answer }` when it is done; cancelling ends it.
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
