import { expect } from '@playwright/test';
import { expectFits, expectSound } from './support/sound.js';
import { Coach } from './support/coach.js';
import { test } from './support/served.js';

const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
];

for (const [theme, lights] of [
  ['light', 'on'],
  ['dark', 'off @thorough'],
] as const) {
  test(`every place is accessible and fits its window with lights ${lights}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    // Sizes change the layout, lights the colours: not every pair says something new.
    for (const size of theme === 'light' ? SIZES : SIZES.slice(2)) {
      await page.setViewportSize(size);
      // A place is made of the same things at any size: looked through at one, it must fit at all.
      const expectWell = size === SIZES[2] ? expectSound : expectFits;
      await page.goto('/');
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByRole('listitem')).toHaveCount(8);
      await expectWell(page);
      await page.goto('/floor');
      await expect(page.getByRole('heading', { name: 'Who works?' })).toBeVisible();
      await expectWell(page);
      await page.getByRole('link', { name: /Oskar Tvedmoor/ }).click();
      await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
      await expectWell(page);
      await page.goto('/review/sets');
      await page.getByRole('link', { name: /Oskar Tvedmoor/ }).click();
      await page.getByText('Every rep in figures').click();
      await expectWell(page);
    }
  });
}

/** Size and lights at once: what is well on a phone in the dark is, with luck, well elsewhere. */
const LOOKS = [
  { theme: 'light', size: { width: 1280, height: 800 }, told: ' @thorough' },
  { theme: 'dark', size: { width: 390, height: 844 }, told: '' },
] as const;

for (const { theme, size, told } of LOOKS) {
  test(`patterns and their studio are accessible and fit, ${theme}, ${size.width} px wide${told}`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.setViewportSize(size);
    await page.goto('/patterns');
    await expect(page.getByRole('listitem')).toHaveCount(8);
    await expectSound(page);
    await page.getByRole('link', { name: /^The floor of Side to side/ }).click();
    await expect(page.getByRole('heading', { name: 'Markers' })).toBeVisible();
    await expectSound(page);
    await page.goto(`${page.url()}?leg=A`);
    await page.getByRole('button', { name: /^Step 5,/ }).click({ force: true });
    await expect(page.getByRole('article', { name: 'Load' })).toBeVisible();
    await expectSound(page);
  });
}

for (const { theme, size } of LOOKS) {
  test(`the review over weeks is accessible and fits, ${theme}, ${size.width} px wide @thorough`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.setViewportSize(size);
    await page.goto('/review');
    await expect(page.getByRole('columnheader', { name: 'sides' })).toBeVisible();
    await expectSound(page);
    await page
      .getByRole('cell', { name: /clearly faster/ })
      .first()
      .getByRole('link')
      .click();
    await expect(page.getByRole('img', { name: /^Quantile curves/ })).toBeVisible();
    await expectSound(page);
    await page.goto('/review');
    // Whoever stays on one rung has reps enough for every figure.
    await page.getByRole('link', { name: 'Wren Hallowby' }).click();
    // Whatever another story has timed since.
    await page.getByRole('button', { name: /Sets$/ }).click();
    await page.getByRole('option', { name: /^Side to side, simulated/ }).click();
    await page.getByRole('button', { name: /price of choice/ }).click();
    await expect(page.getByText(/ex-Gaussian/)).toBeVisible();
    await expectSound(page);
    await page.getByRole('link', { name: 'Report to print' }).click();
    await expect(page.getByRole('heading', { name: 'Take care' })).toBeVisible();
    await expectSound(page);
    await page.goto(`${page.url()}?for=specialist`);
    await expect(page.getByRole('heading', { name: 'Next steps' })).toBeVisible();
    await expectSound(page);
    await page.goto('/words');
    await expect(page.getByRole('heading', { name: 'What every figure means' })).toBeVisible();
    await expectSound(page);
    await page.goto('/review/data');
    await expect(page.getByRole('button', { name: 'Choose a table' })).toBeVisible();
    await expectSound(page);
  });
}

for (const { theme, size } of LOOKS) {
  test(`the ladder is accessible and fits, ${theme}, ${size.width} px wide @thorough`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.setViewportSize(size);
    await page.goto('/ladder');
    await expect(page.getByRole('list', { name: /with everyone on it$/ })).toBeVisible();
    await expectSound(page);
    const everyone = page.url();
    await page.goto(`${everyone}/rungs`);
    await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
    await expectSound(page);
    await page.goto(`${everyone}/budget`);
    await expect(page.getByRole('table')).toBeVisible();
    await expectSound(page);
    await page.goto(everyone);
    await page
      .getByRole('list', { name: /with everyone on it$/ })
      .getByRole('link')
      .first()
      .click();
    await expect(page.getByRole('heading', { name: 'Evidence so far' })).toBeVisible();
    await expectSound(page);
    await page.getByRole('button', { name: 'Decide otherwise' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectSound(page);
    await page.goto('/ladder/rules');
    await expect(page.getByRole('img', { name: /^Share of athletes/ })).toBeVisible({
      timeout: 60_000,
    });
    await expectSound(page);
  });
}

test('the drill screen is accessible while cued and while paused, at every size', async ({
  page,
}) => {
  const coach = new Coach(page);
  for (const size of SIZES) {
    await page.setViewportSize(size);
    const expectWell = size === SIZES[1] ? expectFits : expectSound;
    await coach.goToFloor('Oskar Tvedmoor', { reps: 3 });
    await coach.start();
    await coach.cue(1);
    // A rep that has begun is waited for longer than the check takes.
    await page.keyboard.press('Space');
    await expectWell(page);
    await page.keyboard.press('Escape');
    await expectWell(page);
    await page.getByRole('button', { name: 'Leave without a set' }).click();
    await page.waitForURL((url) => url.pathname === '/');
  }
});

test('a drill can be started and left by keys alone', async ({ page }) => {
  await page.goto('/');
  const link = page.getByRole('link', { name: 'Start a drill with Amara Quill' });
  await link.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Start the set' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('cue')).toBeVisible();
  await page.keyboard.press('KeyP');
  await expect(page.getByRole('button', { name: 'Go on' })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname === '/');
});

test('an address that leads nowhere, a set nobody knows and a silent server each say what to do', async ({
  page,
}) => {
  await page.goto('/nowhere');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
  await page.goto('/review/019ab000-0000-7000-8000-00000000ffff');
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible();
  await page.route('**/squad', (route) => route.abort());
  await page.goto('/');
  await expect(page.getByText('The server does not answer.')).toBeVisible({ timeout: 15_000 });
  await page.unroute('**/squad');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(8);
});

test('lights stay as they were chosen, the keys are listed, and a seed makes the same set again @thorough', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Lights off' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Lights on' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');

  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys during a drill' })).toContainText(
    'first move',
  );
  await expectSound(page);
  await page.keyboard.press('Escape');

  const coach = new Coach(page);
  const called: (string | null)[] = [];
  for (const seed of [41, 41]) {
    await coach.goToFloor('Lotte Brandvane', { reps: 2, seed });
    await coach.open('Cues');
    await expect(page.getByText(new RegExp(`List number .* ${seed}\\.`))).toBeVisible();
    await coach.start();
    await coach.cue(1);
    called.push(await page.getByTestId('cue').getAttribute('data-cue'));
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Leave without a set' }).click();
    await page.waitForURL((url) => url.pathname === '/');
  }
  expect(called[0]).toBe(called[1]);
});
