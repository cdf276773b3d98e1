/**
 * Done when the page has nothing else to do.
 *
 * @param elseAfterMs where the browser does not say when that is
 */
export const atRest = (elseAfterMs: number): Promise<void> =>
  new Promise((done) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => done());
    else setTimeout(done, elseAfterMs);
  });
