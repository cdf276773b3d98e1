/**
 * Resolves when the browser is idle.
 * @param elseAfterMs the time to wait in browsers that do not tell
 */
export const atRest = (elseAfterMs: number): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => done());
    else setTimeout(done, elseAfterMs);
  });
