import type { Page } from '@playwright/test';

/**
 * Lets a page note when a frame of a film was drawn by the worker that reads it, not when the page came to hear
 * of it: the canvas is the worker's own, and what the page is busy with does not hold it up. To be called before
 * the page is opened.
 */
export async function noteDrawing(page: Page): Promise<void> {
  await page.route(/film\.worker[^/]*\.js$/, async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, body: `${TOLD}\n${await answer.text()}` });
  });
  await page.addInitScript(() => {
    window.Worker = class extends Worker {
      constructor(...of: ConstructorParameters<typeof Worker>) {
        super(...of);
        this.addEventListener('message', ({ data }: MessageEvent<{ drawnAtMs?: number }>) => {
          if (data.drawnAtMs !== undefined)
            document.documentElement.dataset['drawnAt'] = String(data.drawnAtMs);
        });
      }
    };
  });
}

/** Stands before the worker's own script: what says that a frame was shown says when, epoch ms. */
const TOLD = `{
  const post = self.postMessage.bind(self);
  self.postMessage = (answer, how) =>
    post(answer.tell === 'shown' ? { ...answer, drawnAtMs: performance.timeOrigin + performance.now() } : answer, how);
}`;
