import type { Page } from '@playwright/test';

/** Lengths of a page's frames, ms, while something is done in it. */
export async function framesWhile(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    requestAnimationFrame(function note(at) {
      frames.push(at);
      requestAnimationFrame(note);
    });
  });
  await act();
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames);
  return frames.slice(1).map((at, i) => at - (frames[i] ?? at));
}
