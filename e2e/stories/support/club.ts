import type { Page } from '@playwright/test';

/** The club that comes with the app. */
export const DEMO_CLUB_ID = '019ab000-0000-7000-8000-000000000001';

/** Where the API has the demo club. */
export const DEMO_CLUB = `/api/clubs/${DEMO_CLUB_ID}`;

/** The club that is open on a page. */
export const openClubId = (page: Page): Promise<string> =>
  page.evaluate(() => JSON.parse(localStorage.getItem('orthokin.club') ?? '""') as string);
