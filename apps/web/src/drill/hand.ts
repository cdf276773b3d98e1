import { HAND_SD_MS, type Calibration } from '@orthokin/core/timing';
import { useRemembered } from '../device/useRemembered.js';
import { say } from '../words/drill.js';

/** Who presses on this device, and everybody's calibration. */
interface Hands {
  readonly person: string;
  readonly known: Readonly<Record<string, Calibration>>;
}

/** The current person and their timing error. */
export interface Hand {
  readonly person: string;
  /** `null` until calibrated. */
  readonly calibration: Calibration | null;
  readonly biasMs: number;
  readonly sdMs: number;
}

export const UNCALIBRATED: Pick<Hand, 'biasMs' | 'sdMs'> = { biasMs: 0, sdMs: HAND_SD_MS };

const NOBODY: Hands = { person: say('coach'), known: {} };

export interface HandKeeping {
  readonly hand: Hand;
  /** Changes who presses. */
  readonly setPerson: (person: string) => void;
  readonly keep: (calibration: Calibration) => void;
}

/** Timing errors are stored per person and device, because each combination has its own. */
export function useHand(): HandKeeping {
  const [{ person, known }, keep] = useRemembered<Hands>('hands', NOBODY);
  const calibration = known[person] ?? null;
  return {
    hand: { person, calibration, ...(calibration ?? UNCALIBRATED) },
    setPerson: (next) => keep({ person: next, known }),
    keep: (found) => keep({ person, known: { ...known, [person]: found } }),
  };
}
