import { useRemembered } from '../../device/useRemembered.js';

/** Whoever marks, and how surely each does, ms: found by marking again. */
type Sds = Readonly<Record<string, number>>;

/** How surely the one who marks now marks; `null` until it was measured. Kept per person on this device. */
export function useOwnSd(): {
  readonly person: string;
  readonly setPerson: (name: string) => void;
  readonly ownSdMs: number | null;
  readonly keep: (sdMs: number) => void;
} {
  const [name, setPerson] = useRemembered('coach-name', '');
  const [sds, setSds] = useRemembered<Sds>('film-markers', {});
  const person = name.trim();
  return {
    ...{ person, setPerson },
    ownSdMs: sds[person] ?? null,
    keep: (sdMs) => setSds({ ...sds, [person]: sdMs }),
  };
}
