import type { Page } from '@playwright/test';
import type { SquadLineReply } from '@orthokin/contract';
import { DEMO_CLUB_ID } from '@orthokin/core/people';

/** Where the API has the demo club. */
export const DEMO_CLUB = `/api/clubs/${DEMO_CLUB_ID}`;

/** The club that is open on a page. */
export const openClubId = (page: Page): Promise<string> =>
  page.evaluate(() => JSON.parse(localStorage.getItem('orthokin.club') ?? '""') as string);

/** Somebody's line in the squad of the demo club. */
export async function lineOf(page: Page, name: string): Promise<SquadLineReply> {
  const squad = (await (await page.request.get(`${DEMO_CLUB}/squad`)).json()) as SquadLineReply[];
  const line = squad.find(({ athlete }) => athlete.name === name);
  if (!line) throw new Error(`${name} is not in the squad.`);
  return line;
}
