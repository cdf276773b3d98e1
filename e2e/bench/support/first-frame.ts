import type { Page } from '@playwright/test';

/** Waits for a frame of a film on the screen, looking at every redraw: a locator looks twice a second. */
export async function firstFrame(page: Page): Promise<void> {
  await page.waitForFunction(
    () => document.querySelector<HTMLCanvasElement>('canvas[data-frame]')?.dataset['frame'],
    null,
    { polling: 'raf' },
  );
}
