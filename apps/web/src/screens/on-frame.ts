export const FRAME_MS = 1000 / 60;
/** A painted cue's time is known to within a frame. */
export const SCREEN_SD_MS = Math.round((FRAME_MS / Math.sqrt(12)) * 10) / 10;

/** How long before a due time every frame is watched; timers of a visible page are no later than this. */
const WATCHED_MS = 150;

/** Waits for the frame that shows something on time, and calls back with that frame's time. */
export function onDueFrame(
  duePageMs: number,
  show: () => void,
  shown: (pageMs: number) => void = () => undefined,
): () => void {
  let frame = 0;
  const wait = (frameMs: number) => {
    // What is drawn in this frame is visible with the next.
    if (frameMs < duePageMs - FRAME_MS) {
      frame = requestAnimationFrame(wait);
      return;
    }
    show();
    frame = requestAnimationFrame(shown);
  };
  // No frames are requested until shortly before, because each costs a small tablet energy.
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
