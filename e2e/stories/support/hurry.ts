/**
 * Lets all of a page's clocks go faster, together: an init script, for what takes minutes and is
 * not about time to the millisecond.
 */
export function hurry(faster: number): void {
  const now = performance.now.bind(performance);
  const began = now();
  const day = Date.now();
  const turned = (ms: number) => began + (ms - began) * faster;
  performance.now = () => turned(now());
  Date.now = () => day + performance.now() - began;
  const later = window.setTimeout.bind(window);
  const often = window.setInterval.bind(window);
  const frame = window.requestAnimationFrame.bind(window);
  Object.assign(window, {
    setTimeout: (act: () => void, ms = 0) => later(act, ms / faster),
    setInterval: (act: () => void, ms = 0) => often(act, ms / faster),
    requestAnimationFrame: (draw: (ms: number) => void) => frame((ms) => draw(turned(ms))),
  });
}
