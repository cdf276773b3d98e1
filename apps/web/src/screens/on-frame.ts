export const FRAME_MS = 1000 / 60;
/** A cue painted on a screen is known to within one of its frames. */
export const SCREEN_SD_MS = Math.round((FRAME_MS / Math.sqrt(12)) * 10) / 10;

/** So long before the time every frame is watched; no timer of a page that is looked at is later. */
const WATCHED_MS = 150;

/** Waits for the frame that shows something on time; calls back with when it was on the screen. */
export function onDueFrame(
  duePageMs: number,
  show: () => void,
  shown: (pageMs: number) => void = () => undefined,
): () => void {
  let frame = 0;
  const wait = (frameMs: number) => {
    // What is drawn in this frame is on the screen with the next one.
    if (frameMs < duePageMs - FRAME_MS) {
      frame = requestAnimationFrame(wait);
      return;
    }
    show();
    frame = requestAnimationFrame(shown);
  };
  // Until shortly before, no frame is asked for: each costs a small tablet something.
  const timer = setTimeout(
    () => {
      frame = requestAnimationFrame(wait);
    },
    Math.max(0, duePageMs - performance.now() - WATCHED_MS),
  );
  return () => {
    clearTimeout(timer);
    cancelAnimationFrame(frame);
  };
}
