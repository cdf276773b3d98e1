import { useRemembered } from '../../device/useRemembered.js';
import { useOwnName } from '../../api/me.js';

/** Whoever marks, and how surely each does, ms: found by marking again. */
type Sds = Readonly<Record<string, number>>;

/** How surely the one who marks now marks; `null` until it was measured. Kept per person on this device. */
export function useOwnSd(): {
  readonly person: string;
  /** `null` where their account says it. */
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
