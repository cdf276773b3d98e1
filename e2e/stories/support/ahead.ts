import type { BrowserContext } from '@playwright/test';

/** Pages of a device that fetch no places nobody opened: at every page that takes longer than most of what a story tells. */
export const fetchesNothingAhead = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(() =>
    Object.defineProperty(navigator, 'connection', { value: { saveData: true } }),
  );
