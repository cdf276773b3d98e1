import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { ALL_FORMATS, BufferSource, Input } from 'mediabunny';
import type { SetReviewReply } from '@orthokin/contract';
import { seenBy, USUAL_CAMERA, type FilmedRep } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { eventOf, type EventName } from '@orthokin/core/timing';
import { Coach, timeOf } from './support/coach.js';
import {
  chooseFilm,
  frameShown,
  clickFloor,
  FRAME_MS,
  hevcFilm,
  REPS,
  runCuesOnly,
  sendCuesOnly,
  shownMs,
  stepTo,
  truthOf,
} from './support/film.js';
import { untouchedTest as test } from './support/served.js';
import { expectSound } from './support/sound.js';

/** Between the feet of the simulated athlete on film. */
const STANCE_M = 0.44;

const MARKS: readonly (readonly [EventName, string])[] = [
  ['firstMove', 'KeyF'],
  ['arrival', 'KeyA'],
  ['action', 'KeyC'],
  ['home', 'KeyH'],
];

/**
 * Clicks the markers where the made-up camera sees them, then both feet in stance: their distance must
 * be the truth within twice what is said of it.
 */
async function measureStance(page: Page, { pattern }: SetReviewReply): Promise<void> {
  await page.getByRole('button', { name: 'Rep before' }).click();
  await page.getByRole('button', { name: 'Measure on the floor' }).click();
  const click = (place: Point) => clickFloor(page, place);
  for (const { letter, at } of pattern.targets) {
    await expect(page.getByText(`Click marker ${letter} where it stands`)).toBeVisible();
    await click(at);
  }
  await expect(page.getByText('Click the middle of home base')).toBeVisible();
  await click({ x: 0, y: 0 });
  await expect(page.getByText('Click two places on the floor')).toBeVisible();
  await expectSound(page);
  await click({ x: -STANCE_M / 2, y: 0 });
  await click({ x: STANCE_M / 2, y: 0 });
  const said = await page.getByText(/Click two other places/).innerText();
  const [, m, sd] = /([\d.]+) ± ([\d.]+)\sm/.exec(said) ?? [];
  expect(Math.abs(Number(m) - STANCE_M)).toBeLessThan(2 * Number(sd));
  expect(Number(sd)).toBeLessThan(0.08);
  await page.getByRole('button', { name: 'Done measuring' }).click();
}

/**
 * Clicks feet on the way to the rep's target and back as they would land: they stand on the floor where
 * they were clicked, and open as a pattern of their own.
 */
async function readSteps(page: Page, { at }: { at: Point }): Promise<void> {
  await page.getByRole('button', { name: 'Click the feet as they land' }).click();
  const picture = page.getByRole('img', { name: /^The picture: click the feet/ });
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  for (const share of [0.25, 0.6, 1, 0.6, 0.2, 0]) {
    for (let step = 0; step < 3; step++) await page.keyboard.press('Shift+ArrowRight');
    const { x, y } = seenBy(USUAL_CAMERA, { x: share * at.x, y: share * at.y });
    await picture.click({
      position: { x: box.width * (0.5 + x), y: box.height / 2 + box.width * y },
    });
  }
  const steps = page.getByRole('region', { name: 'These steps beside the plan' });
  const figure = async (name: RegExp): Promise<number> =>
    Number(await steps.getByRole('row', { name }).getByRole('cell').first().innerText());
  // What stands beside the picture follows a moment later.
  await expect
    .poll(async () => (await figure(/^Steps out/)) + (await figure(/^Steps back/)))
    .toBe(6);
  // The last foot was clicked in the middle of home base.
  expect(await figure(/^Short of home/)).toBeLessThan(0.05);
  await page.getByRole('button', { name: 'Take the last back' }).click();
  await expect(page.getByText('Foot 6: go to the first frame')).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'Done with the feet' }).click();
}

/** Both reps that were marked side by side, laid together at the load: its frame in one shows its frame in the other. */
async function playTogether(page: Page, [first, second]: readonly FilmedRep[]): Promise<void> {
  const beside = (frame: number) => page.locator(`[data-beside] canvas[data-frame="${frame}"]`);
  const shown = () => frameShown(page);
  /** What is pressed brings another frame, once it is decoded. */
  const andShown = async (press: () => Promise<void>) => {
    const before = await shown();
    await press();
    await expect.poll(shown).not.toBe(before);
  };
  const toLoad = async (rep: FilmedRep | undefined) => {
    const chosen = page.getByRole('button', { name: new RegExp(`^Rep ${rep?.ordinal ?? NaN},`) });
    await andShown(() => chosen.click());
    await andShown(() => page.keyboard.press('ArrowDown'));
    await andShown(() => page.keyboard.press('ArrowDown'));
    return shown();
  };
  const firstLoad = await toLoad(first);
  const secondLoad = await toLoad(second);
  expect(secondLoad).toBeGreaterThan(firstLoad);
  const choose = async (what: string, option: string | RegExp) => {
    await page.getByRole('button', { name: new RegExp(`${what}$`) }).click();
    await page.getByRole('option', { name: option }).click();
  };
  await choose('Play beside it', 'this film, another rep');
  await choose('Rep', new RegExp(`^${first?.ordinal ?? NaN}, to`));
  await choose('Together at', 'the load');
  await expect(beside(firstLoad)).toBeVisible();
  for (let step = 0; step < 5; step++) await page.keyboard.press('ArrowRight');
  await expect(beside(firstLoad + 5)).toBeVisible();
  await expectSound(page);
  await choose('Together at', 'home');
  await page.getByRole('button', { name: /^Rep 3,/ }).click();
  await expect(page.getByText('Mark this moment of the rep on the left first.')).toBeVisible();
  await choose('Play beside it', 'nothing');
}

test('a set run with cues only is filmed, its cues heard, its reps marked, reviewed and counted @thorough', async ({
  page,
}) => {
  // The whole chain is long: beside another story it takes two minutes on two cores.
  test.slow();
  const away: string[] = [];
  page.on('request', (request) => {
    const { protocol, hostname } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== '127.0.0.1') away.push(request.url());
  });
  const untimed = await runCuesOnly(page);
  expect(untimed.set.source).toBe('none');
  await page.getByRole('link', { name: 'Mark it on film' }).click();
  await expect(page.getByRole('button', { name: 'Choose a film' })).toBeVisible();
  await expectSound(page);
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible({
    timeout: 90_000,
  });
  await expect(page.getByText('60 frames a second')).toBeVisible();
  await expectSound(page);
  expect(sent.filter((url) => !url.startsWith('blob:'))).toEqual([]);

  // What was heard can be set aside, and taken up again.
  const byHand = page.getByText('tie it by two cues that I mark');
  await byHand.click();
  await expect(page.getByText('What was heard is set aside.')).toBeVisible();
  await byHand.click();
  await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible();

  const truth = truthOf(untimed);
  await page.getByRole('textbox', { name: 'Your name' }).fill('Mara');
  await page.keyboard.press('Tab');
  for (const [i, { ordinal, events }] of truth.slice(0, 2).entries()) {
    await page.getByRole('button', { name: new RegExp(`^Rep ${ordinal},`) }).click();
    const cueMs = timeOf({ events: [...events] } as never, 'cue');
    for (const [name, key] of MARKS) {
      await stepTo(page, (eventOf(events, name)?.atMs ?? NaN) - cueMs);
      await page.keyboard.press(key);
    }
    await expect(
      page.getByRole('button', { name: `Keep ${i === 0 ? 'this rep' : 'these 2 reps'}` }),
    ).toBeEnabled();
  }

  await playTogether(page, truth);
  await page.getByRole('button', { name: new RegExp(`^Rep ${truth[1]?.ordinal ?? 2},`) }).click();
  await measureStance(page, untimed);

  const rep = truth[0] ?? { ordinal: 1, at: { x: 0, y: 0 } };
  await page.getByRole('button', { name: new RegExp(`^Rep ${rep.ordinal},`) }).click();
  await readSteps(page, rep);

  await page.getByRole('button', { name: new RegExp(`^Rep ${truth[0]?.ordinal ?? 1},`) }).click();
  const positions = page.getByRole('region', { name: 'Positions' });
  await expect(positions.getByRole('listitem')).toHaveText([/Stance/, /Load/, /Recovery/]);
  const [stills] = await Promise.all([
    page.waitForEvent('download'),
    positions.getByRole('button', { name: 'Stills as a picture' }).click(),
  ]);
  expect(stills.suggestedFilename()).toMatch(/^idris-fennimar-rep-1-to-[a-z]\.png$/);
  await page.getByRole('button', { name: 'Mark again, blind' }).click();
  await expect(page.getByText('0 of at least 6 events marked twice')).toBeVisible();
  await expect(page.getByRole('button', { name: /^First move/ })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await page.getByRole('button', { name: 'Back to the first marks' }).click();
  await expect(page.getByRole('button', { name: /^First move/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  // A knee drawn on the load, a fault seen, and both on the athlete's page.
  await positions.getByRole('button', { name: 'Go there' }).nth(1).click();
  const draw = page.getByRole('region', { name: 'Draw on this frame' });
  await draw.getByRole('button', { name: 'Angle' }).click();
  const surface = page.getByRole('img', { name: 'The picture: click to draw on it' });
  await surface.scrollIntoViewIfNeeded();
  const box = await surface.boundingBox();
  if (!box) throw new Error('no picture');
  for (const [x, y] of [
    [0.3, 0.3],
    [0.5, 0.3],
    [0.5, 0.3 + (0.2 * box.width) / box.height],
  ] as const)
    await surface.click({ position: { x: x * box.width, y: y * box.height } });
  await expect(surface.getByText('90°')).toBeVisible();
  await draw.getByRole('button', { name: 'Done drawing' }).click();
  await expect(page.getByRole('img', { name: 'One thing is drawn on this frame' })).toBeVisible();
  await expectSound(page);
  const seen = page.getByRole('region', { name: 'Seen in this rep' });
  await seen.getByRole('button', { name: /another fault/ }).click();
  await page.getByRole('option', { name: 'narrow base' }).click();
  await expect(seen.getByRole('button', { name: 'narrow base' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const athletes = page.getByRole('region', { name: 'A page for the athlete' });
  await expect(athletes.getByRole('button', { name: /Correction 1/ })).toContainText('narrow base');
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    athletes.getByRole('button', { name: 'Take the page along' }).click(),
  ]);
  expect(sheet.suggestedFilename()).toMatch(/page\.png$/);
  expect(
    readFileSync(await sheet.path())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG');
  // A clip of the rep: every frame from half a second before its cue to half a second after home.
  const [clip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'This rep as a clip, at 25 %' }).click(),
  ]);
  expect(clip.suggestedFilename()).toMatch(/^idris-fennimar-rep-1-to-[a-z]\.webm$/);
  const taken = new Input({
    source: new BufferSource(readFileSync(await clip.path())),
    formats: ALL_FORMATS,
  });
  const home = eventOf(truth[0]?.events ?? [], 'home')?.atMs ?? NaN;
  const cue = eventOf(truth[0]?.events ?? [], 'cue')?.atMs ?? NaN;
  // The frame that was drawn on stands still for a second and a half.
  const lengthS = (4 * (home - cue + 1000)) / 1000 + 1.5;
  expect(Math.abs((await taken.computeDuration()) - lengthS)).toBeLessThan(0.25);
  const [vtt] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Marks as WebVTT' }).click(),
  ]);
  const written = readFileSync(await vtt.path(), 'utf8');
  expect(written).toMatch(/^WEBVTT\n\n00:00:01\.\d{3} --> /);
  expect(written.match(/ --> /g)).toHaveLength(REPS + 2 * MARKS.length);

  // The page is closed in the middle: film and marks are there when it is opened again.
  await page.reload();
  await expect(page.getByText('2 reps marked')).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Keep these 2 reps' }).click();
  await page.getByRole('link', { name: 'See where the time went' }).click();
  const filmed = await new Coach(page).storedReview();
  expect(filmed.set.source).toBe('film');
  expect(filmed.judgement.validReps.reps).toBe(2);
  expect(
    filmed.reps.filter(({ ordinal }) => ordinal === truth[0]?.ordinal).at(-1)?.seenFaults,
  ).toEqual(['narrow base']);
  for (const { ordinal, events } of truth.slice(0, 2)) {
    const rep = filmed.reps.filter((each) => each.ordinal === ordinal).at(-1);
    const since = (of: readonly { name: EventName; atMs: number }[], name: EventName) =>
      (of.find((each) => each.name === name)?.atMs ?? NaN) -
      (of.find((each) => each.name === 'cue')?.atMs ?? NaN);
    for (const [name] of MARKS) {
      const marked = rep?.events.find((each) => each.name === name);
      const off = Math.abs(since(rep?.events ?? [], name) - since(events, name));
      expect(off).toBeLessThan(FRAME_MS);
      expect(marked).toMatchObject({ source: 'film' });
      expect(off).toBeLessThan(2 * (marked?.sdMs ?? 0));
    }
  }
  await expect(page.getByText('2 reps counted', { exact: false })).toBeVisible();
  expect(away).toEqual([]);

  // The feet are there still, and open in the studio.
  await page.goto(`/film/${untimed.set.id}`);
  await page.getByRole('button', { name: 'Open as a new pattern' }).click({ timeout: 30_000 });
  await expect(page.getByRole('textbox', { name: 'Name of the pattern' })).toHaveValue(
    new RegExp(`^Idris Fennimar, rep ${rep.ordinal} to`),
  );
});

/** Brings in a file that is no film, as anybody may by mistake. */
async function bringHoliday(page: Page, name = 'holiday.mp4'): Promise<void> {
  await chooseFilm(page, { name, mimeType: 'video/mp4', buffer: Buffer.from('no film at all') });
  await expect(page.getByText('This file cannot be read as a film')).toBeVisible();
}

test('what is no film is refused calmly; a film is kept, can be deleted, and goes by itself after a while @thorough', async ({
  page,
}) => {
  const { set } = await sendCuesOnly(page);
  await page.goto(`/film/${set.id}`);
  await bringHoliday(page);
  // A second one of the same set, from somewhere else; each is told apart and can be gone back to.
  await page.getByRole('button', { name: /Filmed from where$/ }).click();
  await page.getByRole('option', { name: 'from the side' }).click();
  await page.getByRole('button', { name: 'Another film' }).click();
  await bringHoliday(page, 'beach.mp4');
  const which = page.getByRole('button', { name: /Which film of the set$/ });
  await expect(which).toContainText('beach.mp4');
  await which.click();
  await page.getByRole('option', { name: /^from the side/ }).click();
  await expect(which).toContainText('from the side');
  await page.reload();
  await expect(which).toContainText('from the side');
  await page.goto('/film');
  await page.getByRole('button', { name: 'Delete beach.mp4' }).click();
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: 'Film' })
    .click();
  await expect(page.getByRole('link', { name: 'holiday.mp4, 1 MB' })).toBeVisible();
  await expectSound(page);
  await page.getByRole('button', { name: 'Delete holiday.mp4' }).click();
  await expect(page.getByText('No film is kept on this device.')).toBeVisible();

  await page.goto(`/film/${set.id}`);
  await bringHoliday(page);
  await expect(page.getByText(/^Keeping the film on this device/)).toBeHidden();
  await page.goto('/film');
  const howLong = page.getByRole('button', { name: /How long holiday\.mp4 is kept/ });
  await howLong.click();
  await page.getByRole('option', { name: 'for 30 days' }).click();
  await expect(howLong).toContainText('for 30 days');
  await page.clock.install({ time: Date.now() + 31 * 86_400_000 });
  await page.reload();
  await expect(page.getByText('No film is kept on this device.')).toBeVisible();
});

test('of a film that this browser cannot decode it is said what to choose in the phone @thorough', async ({
  page,
}) => {
  const { set } = await sendCuesOnly(page);
  await page.goto(`/film/${set.id}`);
  const film = { name: 'phone.mov', mimeType: 'video/quicktime', buffer: await hevcFilm() };
  await chooseFilm(page, film);
  await expect(page.getByText(/^This browser cannot show hevc\./)).toContainText('(H.264)');
  await expectSound(page);
});

test('where there is no room for a film that is said; it can be looked at all the same @thorough', async ({
  page,
}) => {
  const { set } = await sendCuesOnly(page);
  await page.addInitScript(() => {
    navigator.storage.estimate = () => Promise.resolve({ quota: 50_000_001, usage: 0 });
  });
  await page.goto(`/film/${set.id}`);
  await bringHoliday(page);
  await expect(page.getByText(/There is no room to keep this film: it needs 1\sMB/)).toBeVisible();
  await page.goto('/film');
  await expect(page.getByText('About 0 MB are left for films.')).toBeVisible();
  await expect(page.getByText('No film is kept on this device.')).toBeVisible();
});

test('slow motion is told by its cues though the file lies, can be overruled, and times are as they were filmed @thorough', async ({
  page,
}) => {
  // Twice as many frames are made and read.
  test.slow();
  const untimed = await sendCuesOnly(page);
  await page.goto(`/film/${untimed.set.id}`);
  await page.getByRole('button', { name: /Filmed with$/ }).click();
  await page.getByRole('option', { name: /^slowed twice/ }).click();
  await page.getByRole('button', { name: 'Film the simulated athlete' }).click();
  await expect(page.getByText(`${REPS} of ${REPS} cues heard in the film`)).toBeVisible({
    timeout: 200_000,
  });
  await expect(page.getByText('The film is slowed 2 times')).toBeVisible();
  await expect(page.getByText('The file says 240 frames a second were filmed.')).toBeVisible();
  await expect(page.getByText('120 frames a second')).toBeVisible();
  await page.getByText('How it was filmed').click();
  const slowMotion = page.getByRole('button', { name: /Slow motion$/ });
  await slowMotion.click();
  await page.getByRole('option', { name: 'not slowed' }).click();
  await expect(page.getByText(/do not fall into place with a film that is not slowed/)).toBeVisible(
    { timeout: 60_000 },
  );
  await slowMotion.click();
  await page.getByRole('option', { name: 'as the cues say' }).click();
  await expect(page.getByText('The film is slowed 2 times')).toBeVisible({ timeout: 60_000 });
  const [rep] = truthOf(untimed);
  const since = (name: EventName) =>
    (eventOf(rep?.events ?? [], name)?.atMs ?? NaN) -
    (eventOf(rep?.events ?? [], 'cue')?.atMs ?? NaN);
  await page.getByRole('button', { name: new RegExp(`^Rep ${rep?.ordinal ?? 1},`) }).click();
  for (let frames = 0; (await shownMs(page)) < since('firstMove') && frames < 120; frames++)
    await page.keyboard.press('ArrowRight');
  await page.keyboard.press('KeyF');
  const firstMove = page.getByRole('button', { name: /^First move/ });
  await expect(firstMove).toContainText('+');
  const marked = await firstMove.innerText();
  const ms = 1000 * Number(/\+([\d.]+)/.exec(marked)?.[1]);
  // A frame of a camera that takes 120 a second, not of the file's 30.
  expect(Math.abs(ms - since('firstMove'))).toBeLessThan(1000 / 120);
});
