export const FRAME_MS = 1000 / 60;
/** A cue painted on a screen is known to within one of its frames. */
export const SCREEN_SD_MS = Math.round((FRAME_MS / Math.sqrt(12)) * 10) / 10;

/** Waits for the frame that shows something on time; calls back with when it was on the screen. */
export function onDueFrame(
  duePageMs: number,
  show: () => void,
  shown: (pageMs: number) => void = () => undefined,
): () => void {
  let frame = requestAnimationFrame(function wait(frameMs) {
    // What is drawn in this frame is on the screen with the next one.
    if (frameMs < duePageMs - FRAME_MS) {
      frame = requestAnimationFrame(wait);
      return;
    }
    show();
    frame = requestAnimationFrame(shown);
  });
  return () => cancelAnimationFrame(frame);
}
