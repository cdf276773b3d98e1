import type { Page } from '@playwright/test';
import { DEMO_CLUB_ID } from '@orthokin/core/people';

/** Where the API has the demo club. */
export const DEMO_CLUB = `/api/clubs/${DEMO_CLUB_ID}`;

/** The club that is open on a page. */
export const openClubId = (page: Page): Promise<string> =>
  page.evaluate(() => JSON.parse(localStorage.getItem('orthokin.club') ?? '""') as string);
