import { useRemembered } from '../../device/useRemembered.js';
import { useOwnName } from '../../api/me.js';

/** Each marker's repeatability, ms. */
type Sds = Readonly<Record<string, number>>;

/** The current marker's repeatability; `null` until measured. Stored on this device, per person. */
export function useOwnSd(): {
  readonly person: string;
  /** `null` if the person follows from their account. */
  readonly setPerson: ((name: string) => void) | null;
  readonly ownSdMs: number | null;
  readonly keep: (sdMs: number) => void;
} {
  const [name, setPerson] = useOwnName();
  const [sds, setSds] = useRemembered<Sds>('film-markers', {});
  const person = name.trim();
  return {
    ...{ person, setPerson },
    ownSdMs: sds[person] ?? null,
    keep: (sdMs) => setSds({ ...sds, [person]: sdMs }),
  };
}
