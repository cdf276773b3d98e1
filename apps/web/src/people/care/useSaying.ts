import type { CareBody, CareReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { useSayCare } from '../../api/care.js';
import { useOwnName } from '../../api/me.js';
import { say } from '../../words/people.js';

/** A record's content, without athlete, author and time. */
export type Saying = Pick<CareBody, 'kind' | 'restriction' | 'check' | 'agreement'>;

/** Records and withdraws an athlete's care records in the coach's name. */
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
