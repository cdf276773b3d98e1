import { expect, type Page } from '@playwright/test';
import type { ConditionsBody, ImportBody, ImportReply, PatternLineReply } from '@orthokin/contract';
import { normal, seededRandom } from '@orthokin/core/cue';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { v7 } from 'uuid';
import { DEMO_CLUB, lineOf } from './club.js';

const DAY_MS = 86_400_000;
const REPS = 10;
const APART_MS = 20_000;

/**
 * Stores eight weeks of sets of an athlete, two a session, each rep about as quick as `cycleOf` its
 * session says: what the figures must find again is known.
 */
export async function plantCourse(
  page: Page,
  name: string,
  cycleOf: (session: number) => number,
  seed: number,
): Promise<string> {
  const club = DEMO_CLUB;
  const line = await lineOf(page, name);
  const library = (await (await page.request.get(`${club}/patterns`)).json()) as PatternLineReply[];
  const pattern = library.find(({ pattern: { name: called } }) => called === 'Four corners');
  if (!pattern) throw new Error('No Four corners.');
  const random = seededRandom(seed);
  const body: ImportBody = {
    sets: Array.from({ length: 32 }, (_, n) => {
      const session = Math.floor(n / 2);
      const at = Date.now() - (56 - session * 3.5) * DAY_MS + (n % 2) * 600_000;
      const day = new Date(at).toISOString().slice(0, 10);
      const cues = Array.from({ length: REPS }, (__, i) => ({
        ...{ ordinal: i + 1, target: i % 2 ? 'B' : 'A', foreperiodMs: 1000 },
      }));
      return {
        id: v7({ msecs: at }),
        endedAt: new Date(at + 300_000).toISOString(),
        body: {
          ...{ athleteId: line.athlete.id, patternId: pattern.id, patternVersion: 1, rung: 1 },
          ...{ source: 'hand', startedAt: new Date(at).toISOString(), day, seed: n },
          ...{ falseStartMs: 100, responseLimitMs: 3000, cues },
          conditions: PLAIN_CONDITIONS as ConditionsBody,
        },
        reps: cues.map(({ ordinal, target }) => {
          const cueMs = ordinal * APART_MS;
          const cycle = Math.round(cycleOf(session) + normal(random, 0, 60));
          const event = (eventName: 'cue' | 'firstMove' | 'action' | 'home', ms: number) => ({
            ...{ name: eventName, atMs: cueMs + ms, sdMs: 20, source: 'hand' as const },
          });
          return {
            id: v7({ msecs: at + cueMs }),
            body: {
              ...{ ordinal, target, seenFaults: [], struckOut: false, replaces: null },
              events: [
                event('cue', 0),
                event('firstMove', 260),
                event('action', Math.round(cycle * 0.55)),
                event('home', cycle),
              ],
            },
          };
        }),
      };
    }),
  };
  await importSets(page, club, body);
  return line.athlete.id;
}

/** Brings sets in as a table of them is, and waits until they are stored. */
export async function importSets(page: Page, club: string, body: ImportBody): Promise<void> {
  const path = `${club}/imports/${v7()}`;
  const reply = await page.request.put(path, { data: body });
  if (!reply.ok()) throw new Error(await reply.text());
  await expect
    .poll(async () => ((await (await page.request.get(path)).json()) as ImportReply).state, {
      timeout: 60_000,
    })
    .toBe('stored');
}
