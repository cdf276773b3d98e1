import { readFile } from 'node:fs/promises';
import { expect, type Locator, type Page } from '@playwright/test';
import { Coach, openPattern } from './support/coach.js';
import { test } from './support/served.js';
import { expectSound } from './support/sound.js';

const part = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Parts of the pattern' }).getByRole('button', { name });

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`${label}$`) }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

async function middleOf(thing: Locator): Promise<{ x: number; y: number }> {
  const box = await thing.boundingBox();
  if (!box) throw new Error('Nothing to see.');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

async function dragBy(page: Page, handle: Locator, dx: number, dy: number): Promise<void> {
  const { x, y } = await middleOf(handle);
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 5; step++)
    await page.mouse.move(x + (dx * step) / 5, y + (dy * step) / 5);
  await page.mouse.up();
}

test('a star pattern is built from nothing, saved, and run on the floor', async ({ page }) => {
  test.setTimeout(120_000);
  const began = Date.now();
  await page.goto('/patterns');
  await page.getByRole('button', { name: 'New pattern' }).click();
  await page.getByRole('textbox', { name: 'Name of the pattern' }).fill('My star');
  await choose(page, 'Court', 'squash');
  await page.getByRole('textbox', { name: 'Home from back' }).fill('4.26');
  await page.getByRole('textbox', { name: 'Distance' }).fill('2.4 m');
  await page.getByRole('button', { name: 'Lay out' }).click();
  await page.getByRole('button', { name: 'Lay all feet' }).click();
  for (const name of ['short right', 'deep left', 'wide right']) {
    await part(page, name).click();
    await expect(page.getByText('Nothing amiss with this leg.')).toBeVisible();
  }
  await page.getByRole('button', { name: /Write cue and check points of the load/ }).click();
  await page.getByRole('textbox', { name: /^Cue/ }).fill('Sit and stop');
  await page.getByRole('textbox', { name: /^Check points/ }).fill('outside leg bent\nhead still');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Version 1, saved')).toBeVisible();
  expect(Date.now() - began).toBeLessThan(120_000);

  await page.getByRole('button', { name: 'Run it' }).click();
  await expect(page.getByText('On My star.')).toBeVisible();
  await page.getByRole('link', { name: /Juno Marlock/ }).click();
  const coach = new Coach(page);
  await coach.timeBy('The simulated athlete');
  await coach.fill('Reps', '2');
  await coach.start();
  await coach.finished(2);
  const { pattern, reps } = await coach.seeReview();
  expect([pattern.name, pattern.version]).toEqual(['My star', 1]);
  expect(reps).toHaveLength(2);

  // What the set was timed on stays, whatever becomes of the pattern.
  await openPattern(page, 'My star');
  await page.getByRole('textbox', { name: 'Name of the pattern' }).fill('My newer star');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Version 2, saved')).toBeVisible();
  await page.goto('/review/sets');
  await page.getByRole('link', { name: /Juno Marlock/ }).click();
  await expect(page.getByText('My star, rung 1')).toBeVisible();
});

test('markers and feet are dragged, nudged and typed; undo leads back to the original', async ({
  page,
}) => {
  await openPattern(page, 'Four corners');
  const marker = page.getByRole('button', { name: /^Marker A,/ });
  const right = page.getByRole('textbox', { name: 'A: right of home' });
  const original = await right.inputValue();
  await dragBy(page, marker, -60, 30);
  await expect(right).not.toHaveValue(original);
  // Fields follow a drag at their own pace.
  await expect
    .poll(async () => {
      const before = await right.inputValue();
      await page.waitForTimeout(200);
      return before === (await right.inputValue());
    })
    .toBe(true);
  const dragged = await right.inputValue();
  await marker.press('ArrowLeft');
  await marker.press('Shift+ArrowLeft');
  const metres = (text: string) => Number(text.replace(' m', ''));
  await expect
    .poll(async () => metres(dragged) - metres(await right.inputValue()))
    .toBeCloseTo(0.06, 6);
  await right.fill('wide');
  await expect(page.getByRole('alert')).toContainText('a length like 2.35 m');
  await right.fill('1.5');
  await right.press('Enter');
  await expect(right).toHaveValue('1.50 m');

  await part(page, 'short right').click();
  const step = page.getByRole('button', { name: /^Step 4,/ });
  const [was, ground] = [await middleOf(step), await middleOf(marker)];
  await dragBy(page, step, 40, 20);
  await expect(page.getByRole('region', { name: 'Step 4' })).toBeVisible();
  // The foot goes with the finger, and the floor under it keeps still.
  const is = await middleOf(step);
  expect(Math.abs(is.x - was.x - 40)).toBeLessThan(2);
  expect(Math.abs(is.y - was.y - 20)).toBeLessThan(2);
  expect(await middleOf(marker)).toEqual(ground);
  const facing = page.getByRole('textbox', { name: 'Heading' });
  const before = await facing.inputValue();
  await dragBy(page, page.getByTestId('turn'), 30, 40);
  await expect(facing).not.toHaveValue(before);
  await page.getByRole('button', { name: 'Other foot' }).click();
  await page.getByRole('button', { name: 'Step after' }).click();
  await page.keyboard.press('Delete');
  await expect(page.getByText('kept on this device')).toBeVisible();

  // A page that dies keeps what was not saved.
  await page.reload();
  await expect(page.getByText('Changed since version 1')).toBeVisible();
  await part(page, 'The floor').click();
  await expect(right).toHaveValue('1.50 m');
});

test('every change can be undone, to the pattern as it was saved @thorough', async ({ page }) => {
  await openPattern(page, 'Side to side');
  await dragBy(page, page.getByRole('button', { name: /^Marker B,/ }), 30, -40);
  await page.getByRole('button', { name: 'Mirror for the other hand' }).click();
  await part(page, 'wide').first().click();
  await choose(page, 'Travel', 'lunge');
  await dragBy(page, page.getByRole('button', { name: /^Step 3,/ }), 30, 10);
  await expect(page.getByText('Changed since version 1')).toBeVisible();
  for (let n = 0; n < 4; n++) await page.keyboard.press('Control+z');
  await expect(page.getByText('Version 1, saved')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Changed since version 1')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.reload();
  await expect(page.getByText('Version 1, saved')).toBeVisible();
});

test('a finding says its number, points at its step, and may stand with a reason', async ({
  page,
}) => {
  await openPattern(page, 'Side to side');
  await part(page, 'wide right').click();
  await page.getByRole('button', { name: /^Step 6,/ }).click({ force: true });
  await page.getByRole('textbox', { name: 'Right of home' }).fill('1.90');
  await page.keyboard.press('Enter');
  const finding = page.getByRole('listitem').filter({ hasText: 'Base in the load is too narrow' });
  await expect(finding).toContainText(/0\.\d\d\sm, 0\.50\sm to 1\.18\sm allowed/);
  await finding.getByRole('button', { name: 'Let it stand…' }).click();
  await page.getByRole('textbox', { name: 'Why it may stand' }).fill('small steps for juniors');
  await page.getByRole('button', { name: 'Let it stand', exact: true }).click();
  await expect(finding).toContainText('It stands: small steps for juniors.');
  await page
    .getByRole('button', { name: /longer than straight/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toContainText('path ÷ straight');
});

const TAP_TOLERANCE_MS = 15;

test(
  'a rhythm is tapped in, and its intervals are kept within 15 ms',
  { tag: '@exact' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const seen: number[] = [];
      Object.assign(window, { seen });
      window.addEventListener(
        'keydown',
        (e) => /^Key[FJ]$/.test(e.code) && seen.push(e.timeStamp),
        true,
      );
    });
    await openPattern(page, 'Star from the T');
    await part(page, 'deep right').click();
    await page.getByRole('button', { name: 'Tap it in' }).click();
    for (const [key, waitMs] of [
      ['KeyJ', 300],
      ['KeyF', 240],
      ['KeyJ', 200],
      ['KeyF', 180],
      ['KeyJ', 0],
    ] as const) {
      await page.keyboard.press(key);
      await page.waitForTimeout(waitMs);
    }
    await page.getByRole('button', { name: 'Keep these times' }).click();
    const pressed = await page.evaluate(() => (window as unknown as { seen: number[] }).seen);
    const times: number[] = [];
    for (const step of [3, 4, 5, 6, 7]) {
      await page.getByRole('button', { name: new RegExp(`^Step ${step},`) }).click({ force: true });
      const text = await page.getByRole('textbox', { name: 'Lands at' }).inputValue();
      times.push(Number(text.replace(' ms', '')));
    }
    for (const [i, time] of times.entries()) {
      const kept = time - (times[0] ?? 0);
      expect(Math.abs(kept - ((pressed[i] ?? 0) - (pressed[0] ?? 0)))).toBeLessThan(
        TAP_TOLERANCE_MS,
      );
    }
  },
);

test('played, the feet move in time; slowed, looped and scrubbed by key @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Star from the T');
  await part(page, 'short left').click();
  const head = () =>
    page
      .getByRole('slider', { name: 'Moment of the leg' })
      .evaluate(
        (input) => input.getAttribute('aria-valuetext') ?? (input as HTMLInputElement).value,
      );
  const before = await head();
  await page.getByRole('slider', { name: 'Moment of the leg' }).press('ArrowRight');
  expect(await head()).not.toBe(before);
  await page.getByRole('slider', { name: 'Speed' }).press('Home');
  await expect(page.getByText('25 %')).toBeVisible();
  await page.locator('label').filter({ hasText: 'Loop' }).click();
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  const foot = page.locator('#studio-floor g[pointer-events=none] > g[transform]').last();
  const first = await foot.getAttribute('transform');
  await expect.poll(() => foot.getAttribute('transform')).not.toBe(first);
  await page.getByRole('button', { name: 'Pause' }).click();
});

test('a pattern goes out as a file and comes back the same; a bad file says where it is bad @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Forehand fork, left-handed');
  const menu = () => page.getByRole('button', { name: 'More with this pattern' }).click();
  const exported = async (item: string) => {
    await menu();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: item }).click(),
    ]);
    return { name: file.suggestedFilename(), content: await readFile(await file.path()) };
  };
  const json = await exported('Pattern as a file (JSON)');
  expect(json.name).toBe('forehand-fork-left-handed.json');
  const svg = await exported('Floor as SVG');
  expect(svg.content.toString()).toContain('xmlns="http://www.w3.org/2000/svg"');
  const png = await exported('Floor as PNG');
  await part(page, 'short left').click();
  const stills = await exported('Positions as SVG');
  expect(stills.name).toBe('forehand-fork-left-handed-a-positions.svg');
  expect(stills.content.toString().match(/<svg/g)).toHaveLength(6);
  expect(png.content.subarray(1, 4).toString()).toBe('PNG');

  const open = async (name: string, content: string | Buffer) => {
    await page.goto('/patterns');
    await page.getByRole('button', { name: 'Open a file' }).click();
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Choose a file' }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  };
  const bad = json.content.toString().replace(/"travel": "[^"]+"/, '"travel": "fly"');
  await open('bad.json', bad);
  await expect(page.getByText('nothing was changed')).toBeVisible();
  await expect(page.getByText('/legs/0/travel')).toBeVisible();
  await expect(page.getByText('found fly')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(
    page.getByRole('link', { name: 'The floor of Forehand fork, left-handed' }),
  ).toHaveCount(1);

  await open('good.json', json.content);
  await expect(page.getByText('Version 1, saved')).toBeVisible();
  const again = await exported('Pattern as a file (JSON)');
  expect(JSON.parse(again.content.toString())).toEqual(JSON.parse(json.content.toString()));
});

test('the library finds, duplicates, archives and takes back', async ({ page }) => {
  await page.goto('/patterns');
  await page.getByRole('searchbox', { name: 'Search' }).fill('front deep');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Duplicate Front pair from deep' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the pattern' })).toHaveValue(
    'Front pair from deep, copy',
  );
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Version 1, saved')).toBeVisible();
  await page.goto('/patterns');
  await page.getByRole('button', { name: 'Archive Front pair from deep, copy' }).click();
  await expect(page.getByRole('link', { name: /Front pair from deep, copy/ })).toHaveCount(0);
  await page.locator('label').filter({ hasText: 'Archived' }).click();
  await page.getByRole('button', { name: 'Take back Front pair from deep, copy' }).click();
  await expect(page.getByText('Nothing is archived.')).toBeVisible();
});

test('somebody else saved meanwhile: nothing is lost, and the coach chooses @thorough', async ({
  page,
  context,
}) => {
  await openPattern(page, 'Up and back');
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('textbox', { name: 'Name of the pattern' }).fill('Up and back, theirs');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('Version 2, saved')).toBeVisible();
  await other.getByRole('textbox', { name: 'Name of the pattern' }).fill('Up and back, again');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('Version 3, saved')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of the pattern' }).fill('Up and back, mine');
  await page.getByRole('button', { name: 'Save' }).click();
  const sides = page.getByRole('region', {
    name: /^Version 3 was saved on another screen meanwhile\./,
  });
  await expect(sides.getByRole('row', { name: /^Name/ })).toHaveText(
    'NameUp and back, mineUp and back, again',
  );
  await expectSound(page);
  await sides.getByRole('button', { name: 'Keep yours' }).click();
  await expect(page.getByText('Version 4, saved')).toBeVisible();

  // The other screen goes on from version 3, also after a crash, and may take what is there.
  await other.getByRole('textbox', { name: 'Name of the pattern' }).fill('Up and back, late');
  await expect(other.getByText('Changed since version 3')).toBeVisible();
  await other.reload();
  await expect(other.getByText('Changed since version 3')).toBeVisible();
  await other.getByRole('button', { name: 'Save' }).click();
  await other.getByRole('button', { name: 'Keep it as it is now' }).click();
  await expect(other.getByText('Version 4, saved')).toBeVisible();
  await expect(other.getByRole('textbox', { name: 'Name of the pattern' })).toHaveValue(
    'Up and back, mine',
  );
});

test('the set-out sheet and the position cards print on a page each, without the shell @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Star from the T');
  const studio = page.url().split('?')[0] ?? '';
  for (const [sheet, heading, sheets] of [
    ['set-out', 'Star from the T', 1],
    ['cards/F', 'F, wide right', 1],
    ['cards', 'A, short right', 6],
  ] as const) {
    await page.goto(`${studio}/${sheet}`);
    await expect(page.getByRole('heading', { level: 1 }).first()).toHaveText(heading);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation')).toBeHidden();
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    const pdf = await page.pdf({ format: 'A4', printBackground: true });
    const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g);
    expect(pages).toHaveLength(sheets);
    await page.emulateMedia({ media: 'screen' });
  }
});

test('a leg is copied to the other side, and the whole pattern mirrored for the other hand @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Forehand fork');
  await part(page, 'short right').click();
  await choose(page, 'Load', 'closed');
  await page.getByRole('button', { name: 'Copy to the other side' }).click();
  // A marker was added across, with the feet mirrored, and it is open now.
  await expect(part(page, 'short left')).toHaveAttribute('aria-current', 'true');
  await expect(page.getByRole('button', { name: /closed Load/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Copy across to A' })).toBeVisible();
  const feet = () =>
    page
      .getByRole('button', { name: /^Step \d+,/ })
      .evaluateAll((steps) => steps.map((step) => step.getAttribute('aria-label') ?? ''));
  const left = await feet();
  await part(page, 'short right').click();
  await expect(part(page, 'short right')).toHaveAttribute('aria-current', 'true');
  const swapped = (await feet()).map((words) =>
    words.replace(/left|right/, (side) => (side === 'left' ? 'right' : 'left')),
  );
  // Which foot of a split comes first in the list means nothing.
  expect(left.slice(2)).toEqual(swapped.slice(2));

  await part(page, 'The floor').click();
  await page.getByRole('button', { name: 'Mirror for the other hand' }).click();
  await expect(page.getByRole('textbox', { name: 'A: name' })).toHaveValue('short left');
  await page.getByRole('button', { name: 'Mirror for the other hand' }).click();
  await expect(page.getByRole('textbox', { name: 'A: name' })).toHaveValue('short right');
});

test('lengths are shown and typed in feet and inches, remembered, and kept in metres @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Four corners');
  await choose(page, 'Lengths in', 'feet');
  const right = page.getByRole('textbox', { name: 'A: right of home' });
  await expect(right).toHaveValue('7′ 9″');
  await right.fill(`8' 2"`);
  await right.press('Enter');
  await expect(right).toHaveValue('8′ 2″');
  await page.goto(`${page.url()}/set-out`);
  await expect(page.getByRole('cell', { name: /^\d+′ \d+″$/ }).first()).toBeVisible();
  await page.goBack();
  await choose(page, 'Lengths in', 'metres');
  await expect(right).toHaveValue('2.49 m');
});

test('the score retimes a step, and a leg without feet says how to get them @thorough', async ({
  page,
}) => {
  await openPattern(page, 'Side to side');
  await part(page, 'wide right').click();
  await page.getByRole('button', { name: /^Step 4,/ }).click({ force: true });
  const lands = page.getByRole('textbox', { name: 'Lands at' });
  const before = await lands.inputValue();
  await dragBy(page, page.locator('#studio-score .block').nth(3), 12, 0);
  await expect(lands).not.toHaveValue(before);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'Step 4' })).toHaveCount(0);

  await part(page, 'The floor').click();
  await page.getByRole('button', { name: 'Add a marker' }).click();
  await part(page, 'target C').click();
  await expect(page.getByText('No feet are laid to target C yet.')).toBeVisible();
  await choose(page, 'Travel', 'approach');
  await expect(page.getByRole('article', { name: 'Load' })).toBeVisible();
});
