import type { AttendedBody, HeldSessionReply } from '@orthokin/contract';
import type { ReactElement, ReactNode } from 'react';
import { EffortScale } from '../../parts/EffortScale.js';
import { say } from '../../words/session.js';
import { Attended } from './Attended.js';

/** Asks after a session how hard it was, for everybody at once or one by one. */
export function AfterSession({
  session,
  nameOf,
  onChange,
  children,
}: {
  session: HeldSessionReply;
  nameOf: (athleteId: string) => string;
  onChange: (session: HeldSessionReply) => void;
  /** Shown between the common answer and the individual ones. */
  children?: ReactNode;
}): ReactElement {
  const { attended } = session;
  const changed = (change: (one: AttendedBody) => AttendedBody) =>
    onChange({ ...session, attended: attended.map(change) });
  const [first] = attended;
  const isForAll = attended.every(({ effort }) => effort === first?.effort);
  return (
    <>
      {first && (
        <EffortScale
          label={say('howHard')}
          value={isForAll ? first.effort : null}
          onChange={(effort) => changed((one) => ({ ...one, effort }))}
        />
      )}
      {children}
      {first && (
        <Attended
          attended={attended}
          nameOf={nameOf}
          onChange={(athleteId, part) =>
            changed((one) => (one.athleteId === athleteId ? { ...one, ...part } : one))
          }
        />
      )}
    </>
  );
}
