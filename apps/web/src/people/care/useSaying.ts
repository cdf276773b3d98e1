import type { CareBody, CareReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { useSayCare } from '../../api/care.js';
import { useOwnName } from '../../api/me.js';
import { say } from '../../words/people.js';

/** What is said, without of whom, by whom and when. */
export type Saying = Pick<CareBody, 'kind' | 'restriction' | 'check' | 'agreement'>;

/** Writes down what is said of an athlete's care under the coach's name, and takes it back. */
export function useSaying(athleteId: string): {
  readonly write: (saying: Saying, then?: (said: CareReply) => void) => void;
  readonly takeBack: (said: CareReply, by?: string) => void;
  readonly putBack: (said: CareReply) => void;
  readonly error: Error | null;
  readonly isPending: boolean;
} {
  const save = useSayCare();
  const [coach] = useOwnName();
  const by = coach || say('coach');
  const now = () => new Date().toISOString();
  const send = ({ id, ...body }: CareReply) => save.mutate({ careId: id, body });
  return {
    write: (saying, then) =>
      save.mutate(
        { careId: v7(), body: { ...saying, athleteId, by, at: now() } },
        { onSuccess: (said) => then?.(said) },
      ),
    takeBack: (said, whose = by) => send({ ...said, takenBack: { by: whose, at: now() } }),
    putBack: (said) => send({ ...said, takenBack: null }),
    error: save.error,
    isPending: save.isPending,
  };
}
