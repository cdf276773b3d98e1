import { expect, type Page } from '@playwright/test';
import type { ConditionsBody, DrillSetBody, SetReviewReply } from '@orthokin/contract';
import { PLAIN_CONDITIONS, type SoundKind } from '@orthokin/core/drill';
import { filmedReps, seenBy, USUAL_CAMERA, type FilmedRep } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { eventOf } from '@orthokin/core/timing';
import {
  BufferTarget,
  EncodedPacket,
  EncodedVideoPacketSource,
  Mp4OutputFormat,
  Output,
} from 'mediabunny';
import { v7 } from 'uuid';
import { DEMO_CLUB, lineOf, openClubId } from './club.js';
import { Coach } from './coach.js';

/** A seed on which the simulated athlete waits for every cue: a false start is told otherwise. */
const NOBODY_EARLY = 7;
/** Of a set that is filmed: when each was called, ms from its start, as far apart as an athlete takes. */
const CUES = [
  { target: 'B', atMs: 2700 },
  { target: 'A', atMs: 7200 },
  { target: 'C', atMs: 12_400 },
] as const;
export const REPS = CUES.length;
/** Between two frames of the usual camera. */
export const FRAME_MS = 1000 / 60;
/** What the simulated athlete on film really did. */
export const truthOf = ({ set, reps, pattern }: SetReviewReply): FilmedRep[] =>
  filmedReps({
    seed: set.seed,
    targets: pattern.targets,
    cues: [...reps]
      .sort((a, b) => a.ordinal - b.ordinal)
      .map(({ ordinal, target, events }) => ({
        ...{ ordinal, target, atMs: eventOf(events, 'cue')?.atMs ?? NaN },
      })),
  });

/** Milliseconds from the cue of the frame on the screen. */
export const shownMs = async (page: Page): Promise<number> => {
  const words = await page.getByRole('status').filter({ hasText: '±' }).first().innerText();
  return 1000 * Number(/[+−][\d.]+/.exec(words)?.[0].replace('−', '-'));
};

/** Steps until the first frame at or after a moment from the cue is shown. */
export async function stepTo(page: Page, ms: number): Promise<void> {
  for (let step = 0; step < 400; step++) {
    const now = await shownMs(page);
    if (now >= ms && now - ms < 1.2 * FRAME_MS) return;
    const far = Math.abs(ms - now) > 12 * FRAME_MS;
    await page.keyboard.press(`${far ? 'Shift+' : ''}Arrow${now < ms ? 'Right' : 'Left'}`);
  }
  throw new Error(`no frame at ${ms}`);
}

/** Runs a set with cues only, as a coach with a camera does. */
export async function runCuesOnly(page: Page): Promise<SetReviewReply> {
  const coach = new Coach(page);
  await coach.goToFloor('Idris Fennimar', { reps: REPS, seed: NOBODY_EARLY });
  await coach.timeBy('Cues only');
  await coach.start();
  await coach.finished(REPS);
  return coach.seeReview();
}

/** Such a set as a device sends it, for stories of its film: to run it takes as long as what some of them tell. */
export async function sendCuesOnly(
  page: Page,
  heardAs: SoundKind = 'tone',
): Promise<SetReviewReply> {
  const line = await lineOf(page, 'Idris Fennimar');
  const set = `${DEMO_CLUB}/sets/${v7()}`;
  const put = async (path: string, data: object) =>
    expect((await page.request.put(path, { data })).ok()).toBe(true);
  const began = Date.now() - 60_000;
  const startedAt = new Date(began).toISOString();
  const body: DrillSetBody = {
    ...{ athleteId: line.athlete.id, patternId: line.patternId, patternVersion: 1 },
    ...{ rung: line.rung, source: 'none', startedAt, day: startedAt.slice(0, 10) },
    ...{ seed: NOBODY_EARLY, falseStartMs: 100, responseLimitMs: 3000, limitsMs: null },
    conditions: { ...PLAIN_CONDITIONS, cueKinds: ['marker', heardAs] } as ConditionsBody,
    cues: CUES.map(({ target }, i) => ({ ordinal: i + 1, target, foreperiodMs: 1200 })),
  };
  await put(set, body);
  for (const [i, { target, atMs }] of CUES.entries())
    await put(`${set}/reps/${v7()}`, {
      ...{ ordinal: i + 1, target, seenFaults: [], struckOut: false, replaces: null },
      events: [{ name: 'cue', atMs, sdMs: 4.8, source: 'sensor' }],
    });
  const endedAt = new Date(began + 20_000).toISOString();
  await put(`${set}/end`, { endedAt, reason: 'completed' });
  return (await (await page.request.get(set)).json()) as SetReviewReply;
}

/** Brings a film in, as a coach does who has it in a file. */
export async function chooseFilm(
  page: Page,
  film: { readonly name: string; readonly mimeType: string; readonly buffer: Buffer },
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a film' }).click(),
  ]);
  await chooser.setFiles(film);
}

/** The number of the frame on the screen. */
export const frameShown = async (page: Page): Promise<number> =>
  Number(await page.locator('canvas[data-frame]').first().getAttribute('data-frame'));

/** Films the simulated athlete on a set, in its film room, and waits until every cue was heard. */
export async function filmIt(page: Page, { set }: SetReviewReply): Promise<void> {
  await page.goto(`/film/${set.id}`);
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible({
    timeout: 120_000,
  });
}

/** Opens the film room of a set of the demo, counted from the newest: that one's film ships with the app. */
export async function openDemoSet(page: Page, older = 0): Promise<SetReviewReply> {
  await page.goto('/film');
  await page.getByRole('button', { name: /Athlete$/ }).click();
  await page.getByRole('option', { name: 'Idris Fennimar' }).click();
  await page.getByRole('listitem').getByRole('link').nth(older).click();
  await page.waitForURL(/\/film\/[0-9a-f-]{36}/);
  const setId = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const reply = await page.request.get(`/api/clubs/${await openClubId(page)}/sets/${setId}`);
  return (await reply.json()) as SetReviewReply;
}

/** Opens the film that ships with the app, and waits until every cue was heard. */
export async function bringDemoFilm(page: Page): Promise<SetReviewReply> {
  const review = await openDemoSet(page);
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  const all = review.reps.length;
  await expect(page.getByText(`${all} of ${all} cues heard in the film`)).toBeVisible({
    timeout: 60_000,
  });
  return review;
}

/** Clicks a place of the floor where the made-up camera sees it. */
export async function clickFloor(page: Page, place: Point): Promise<void> {
  const picture = page.getByRole('img', { name: 'The picture: click the floor in it' });
  await picture.scrollIntoViewIfNeeded();
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  const { x, y } = seenBy(USUAL_CAMERA, place);
  await picture.click({
    position: { x: box.width * (0.5 + x), y: box.height / 2 + box.width * y },
  });
}

/** The least that says how H.265 is to be decoded: version, profile and level; nothing else is told. */
const HEVC_CONFIG = Uint8Array.from([
  ...[1, 1, 0x60, 0, 0, 0, 0x90, 0, 0, 0, 0, 0, 93],
  ...[0xf0, 0, 0xfc, 0xfd, 0xf8, 0xf8, 0, 0, 0x0f, 0],
]);

/** A film as phones make it by default today, of which only the container can be read here. */
export async function hevcFilm(): Promise<Buffer> {
  const target = new BufferTarget();
  const output = new Output({ format: new Mp4OutputFormat(), target });
  const source = new EncodedVideoPacketSource('hevc');
  output.addVideoTrack(source);
  await output.start();
  const size = { codedWidth: 1280, codedHeight: 720 };
  for (let frame = 0; frame < 3; frame++)
    await source.add(new EncodedPacket(new Uint8Array(64), 'key', frame / 30, 1 / 30), {
      decoderConfig: { codec: 'hvc1.1.6.L93.B0', ...size, description: HEVC_CONFIG },
    });
  await output.finalize();
  return Buffer.from(target.buffer ?? new ArrayBuffer(0));
}
