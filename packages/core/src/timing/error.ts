/** Sd of a time pressed by hand before the person has been calibrated, ms. */
export const HAND_SD_MS = 45;

/** Sd of an event read off one frame: uniform over it, 1000/fps/√12, ms. `fps` is the capture rate. */
export const frameSdMs = (fps: number): number => 1000 / fps / Math.sqrt(12);

/** Sd of a duration whose two ends carry independent errors, ms. */
export const durationSdMs = (startSdMs: number, endSdMs: number): number =>
  Math.hypot(startSdMs, endSdMs);
