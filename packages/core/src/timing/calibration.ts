import { median, sd } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** How a person presses on a device: taken off every press, and left in it as its error. */
export interface Calibration {
  /** Median of press minus beep, ms: below zero for who presses ahead. */
  readonly biasMs: number;
  /** Sd of the rest. */
  readonly sdMs: number;
  /** Presses it rests on. */
  readonly n: number;
}

/** Beeps that a hand is calibrated by. */
export const CALIBRATION_BEEPS = 20;
const LEAST_PRESSES = 12;
/** No hand and screen together are surer than this, ms; a smaller figure is luck. */
const LEAST_SD_MS = 5;

/**
 * From tapping along to beeps: each beep is paired with the press nearest to it, within half the
 * time to its neighbour; the median error is the bias and the rest the sd. Too few presses are
 * refused.
 */
export function calibrate(
  beepsMs: readonly number[],
  pressesMs: readonly number[],
): Result<Calibration> {
  const half = Math.min(...beepsMs.slice(1).map((at, i) => at - (beepsMs[i] ?? at))) / 2;
  const errors = beepsMs.flatMap((beep) => {
    const [nearest] = pressesMs
      .map((press) => press - beep)
      .filter((error) => Math.abs(error) < half)
      .sort((a, b) => Math.abs(a) - Math.abs(b));
    return nearest ?? [];
  });
  if (errors.length < LEAST_PRESSES)
    return wrong('presses', errors.length, `at least ${LEAST_PRESSES}, one close to each beep`);
  const biasMs = median(errors);
  return ok({ biasMs, sdMs: Math.max(LEAST_SD_MS, sd(errors)), n: errors.length });
}
