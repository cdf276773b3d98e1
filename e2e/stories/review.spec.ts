import { expect, type Locator, type Page } from '@playwright/test';
import type { AthleteCourseReply } from '@orthokin/contract';
import { plantCourse } from './support/planted.js';
import { test, untouchedTest } from './support/served.js';
import { DEMO_CLUB, lineOf } from './support/club.js';

const headline = (page: Page) => page.getByRole('heading', { level: 1 });

const FULL_SET = 12;

/**
 * The newest full set of the demo's of somebody, with the coach's name given: other stories leave
 * short sets behind.
 */
async function openNewest(page: Page, name: string): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('orthokin.coach-name', '"Mara"'));
  const { athlete } = await lineOf(page, name);
  const reply = await page.request.get(`${DEMO_CLUB}/athletes/${athlete.id}/course`);
  const { sets } = (await reply.json()) as AthleteCourseReply;
  const newest = sets.findLast(
    ({ source, figures }) => source === 'simulated' && figures.cued === FULL_SET,
  );
  await page.goto(`/review/${newest?.setId ?? ''}`);
  await expect(page.getByRole('heading', { name: 'Correct a rep' })).toBeVisible();
}

/** Chooses from a field of the review, and waits until the page is about what was chosen. */
async function choose(page: Page, label: string, option: string): Promise<void> {
  const field = page.getByRole('button', { name: new RegExp(`${label}$`) });
  await field.click();
  await page.getByRole('option', { name: option, exact: true }).click();
  await expect(field).toContainText(option);
}

test('a rep is struck out and an event moved; both are kept with the name, and undone', async ({
  page,
}) => {
  await openNewest(page, 'Amara Quill');
  const counted = page.getByRole('caption');
  const before = (await counted.first().textContent()) ?? '';
  const reps = Number(before.split(' ')[0]);
  await page.getByRole('button', { name: 'Strike out rep 1' }).click();
  await expect(counted.first()).toHaveText(`${reps - 1} reps counted, seconds`);
  const corrections = page.getByRole('region', { name: 'Corrections' });
  await expect(corrections.getByText(/^Rep 1: struck out · Mara, today/)).toBeVisible();
  await page.reload();
  await corrections.getByRole('button', { name: 'Undo the correction of rep 1' }).click();
  await expect(counted.first()).toHaveText(before);
  await expect(corrections.getByText('Rep 1: restored')).toBeVisible();

  // What cannot have been is refused by name, and nothing is stored.
  const home = page.getByRole('textbox', { name: 'home', exact: true });
  await home.fill('0.1');
  await home.press('Enter');
  await expect(page.getByText(/home not before/)).toBeVisible();
  await expect(corrections.getByRole('listitem')).toHaveCount(2);
  const was = Number((await home.inputValue()).replace(' s', ''));
  await home.fill((was + 0.5).toFixed(3));
  await home.press('Enter');
  await expect(corrections.getByText(/^Rep 1: home moved by \+0\.50\ss · Mara/)).toBeVisible();
  await page.getByText('Every rep in figures').click();
  await expect(page.getByRole('row', { name: /^1 / }).last()).toContainText('hand');
  await corrections.getByRole('button', { name: 'Undo the correction of rep 1' }).first().click();
  await expect(home).toHaveValue(`${was.toFixed(3)} s`);
});

test('reps are lined up, sorted and held against one of them; the view is in the address', async ({
  page,
}) => {
  await openNewest(page, 'Amara Quill');
  await choose(page, 'Compare with', 'one of its reps');
  const rep = page.getByRole('textbox', { name: 'Reference rep' });
  await rep.fill('3');
  await rep.press('Enter');
  const differences = page.getByRole('region', { name: 'Differences' });
  await expect(differences.getByText('Seconds longer or shorter than rep 3')).toBeVisible();
  await expect(differences.getByRole('row')).toHaveCount(12);
  await choose(page, 'Line up at', 'home');
  await choose(page, 'Sort by', 'time');
  const url = page.url();
  expect(new URL(url).search).toBe('?at=home&sort=time&reference=3');
  await page.goto('about:blank');
  await page.goto(url);
  await expect(differences.getByText('than rep 3')).toBeVisible();
  const times = await page.getByRole('img', { name: /^Rep \d+, [A-F]:/ }).evaluateAll((ribbons) =>
    ribbons.map((ribbon) => {
      const words = ribbon.getAttribute('aria-label') ?? '';
      const figure = (name: string) =>
        Number(new RegExp(`${name} ([\\d.]+)`).exec(words)?.[1] ?? NaN);
      return figure('response') + figure('recovery');
    }),
  );
  expect(times).toHaveLength(12);
  expect(times.at(-1)).toBeGreaterThan(times[0] ?? Infinity);
});

// Sets that other stories time are days of their own: only what was planted may count here.
untouchedTest(
  'is it better? A planted change is called clear, and a planted non-change is not @thorough',
  async ({ page }) => {
    const [faster, steady] = await Promise.all([
      plantCourse(page, 'Juno Marlock', (session) => 2400 - 22 * session, 5),
      plantCourse(page, 'Oskar Tvedmoor', () => 2400, 6),
    ]);
    await page.goto(`/review/athletes/${faster}`);
    await choose(page, 'Sets', 'Four corners, hand, heard cues');
    await expect(headline(page)).toHaveText(
      /^Clearly faster: cycle 2\.\d+ → 2\.\d+\ss, 0\.\d+\ss less\.$/,
    );
    await expect(page.getByText(/Chance that it is faster .* over 99\s%/)).toBeVisible();
    // The season draws each day; one that is pressed opens its sets, and is kept in the address.
    const season = page.getByRole('region', { name: 'The season' });
    const days = season.getByRole('button', {
      name: /, rung \d.*: \d+ sets?, cycle \d\.\d\d\ss; /,
    });
    expect(await days.count()).toBeGreaterThanOrEqual(8);
    await days.last().click();
    await expect(season.getByRole('link', { name: /^Set at / }).first()).toBeVisible();
    expect(new URL(page.url()).searchParams.get('day')).toMatch(/^\d{4}-\d{2}-\d{2}-\d$/);
    await season.getByRole('button', { name: 'Close the day' }).click();
    await expect(season.getByText(/^− ?0\.\d\d\ss$|^not clear$/).first()).toBeVisible();
    await page.getByRole('link', { name: 'Before and after, side by side' }).click();
    await expect(headline(page)).toHaveText(/typically 0\.\d+\ss quicker, 95\s%/);

    await page.goto(`/review/athletes/${steady}`);
    await choose(page, 'Sets', 'Four corners, hand, heard cues');
    await expect(headline(page)).toHaveText(/^No clear change: cycle/);
    await expect(page.getByText(/It rests on 5 days before and 5 days after/)).toBeVisible();
    await expect(
      page.getByText(/within the 0\.\d+\ss that such days alone can make/),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Before and after, side by side' }).click();
    await expect(headline(page)).toHaveText(/no clear difference/);

    // Any two spans can be asked about, and are kept in the address.
    await page.goto(`/review/athletes/${faster}`);
    await choose(page, 'Sets', 'Four corners, hand, heard cues');
    // The page says "faster" of the other kind of sets too: what is pressed next is meant for this one.
    await expect(page.getByRole('button', { name: /^Four corners, hand.*Sets$/ })).toBeVisible();
    await expect(headline(page)).toHaveText(/^Clearly faster/);
    await page.getByRole('button', { name: 'Choose the days to compare' }).click();
    await expect(page.getByText(/^Compared by the days you chose/)).toBeVisible();
    expect(new URL(page.url()).searchParams.get('from')).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    await page.getByRole('button', { name: 'First and last again' }).click();
    await expect(page.getByText(/^Compared by first and last weeks/)).toBeVisible();
  },
);

// Whose newest set is a short one, of another story's, has too little to be laid side by side.
untouchedTest(
  'side by side opens with what is worth comparing, of whoever was timed last or is chosen',
  async ({ page }) => {
    await page.goto('/review/compare');
    await expect(headline(page)).toHaveText('What shall be laid side by side?');
    await choose(page, 'Of', 'Wren Hallowby');
    await page.getByRole('link', { name: /^Left and right/ }).click();
    await expect(headline(page)).toHaveText(/^Cycle \d\.\d\d\ss \(\d+ reps\) and \d\.\d\d\ss/);
    const [left, right] = [
      page.getByRole('region', { name: 'First' }),
      page.getByRole('region', { name: 'Second' }),
    ];
    await expect(left.getByRole('heading')).toContainText('Wren Hallowby to');
    // Every rep stands on the side that it went to.
    const lettersOf = async (side: Locator): Promise<string[]> => {
      const heading = (await side.getByRole('heading').textContent()) ?? '';
      return [...(/ to (.*?), \w+ \d/.exec(heading)?.[1] ?? '').matchAll(/[A-F]/g)].map(
        ([letter]) => letter,
      );
    };
    const [a, b] = [await lettersOf(left), await lettersOf(right)];
    expect(a.length).toBeGreaterThan(0);
    expect(b).toHaveLength(a.length);
    expect(a.some((letter) => b.includes(letter))).toBe(false);
    await page.goBack();
    await page.getByRole('link', { name: /^The first set and the newest/ }).click();
    await expect(page.getByText('Has the athlete changed?')).toBeVisible();
  },
);

untouchedTest(
  'the weeks of an athlete: forecast and closer look are worked out beside the page',
  async ({ page }) => {
    await page.goto('/review');
    await page.getByRole('link', { name: 'Wren Hallowby' }).click();
    await choose(page, 'Duration', 'recovery');
    await expect(
      page.getByText(/(On|Not on) this course|The course has reached|The curve is at/),
    ).toBeVisible();
    await expect(page.getByRole('img', { name: /^The recovery by session/ })).toBeVisible();
    await page.getByRole('button', { name: /price of choice/ }).click();
    await expect(page.getByText(/^Usual reaction|ex-Gaussian, \d+ reps/)).toBeVisible();
    await expect(
      page.getByText(/^(Slower to the|No clear difference between the sides)/),
    ).toBeVisible();
    const note = page.getByRole('textbox', { name: 'Write a note about this set' });
    await page.getByRole('table').getByRole('link').first().click();
    await note.fill('New shoes.');
    await note.blur();
    await expect(page.getByText('New shoes.')).toBeVisible();
    await page.goBack();
    await expect(page.getByRole('cell', { name: 'New shoes.' })).toBeVisible();
  },
);

untouchedTest(
  'the squad at a glance: sorted by what matters, every cell opens what it rests on',
  async ({ page }) => {
    await page.goto('/review');
    await expect(headline(page)).toHaveText(/^\d of 8 athletes clearly faster/);
    await expect(
      page.getByText(/A new difference between the sides: Lotte Brandvane/),
    ).toBeVisible();
    const first = page.getByRole('rowheader').first();
    await expect(first).toHaveText('Amara Quill');
    await page.getByRole('button', { name: 'athlete' }).click();
    await expect(first).toHaveText('Wren Hallowby');
    await page.getByRole('button', { name: 'is it better? cycle' }).click();
    // In whom nothing changed comes last.
    await expect(page.getByRole('rowheader').last()).toHaveText('Cass Ondry');
    await expect(page.getByRole('columnheader', { name: 'is it better? cycle' })).toHaveAttribute(
      'aria-sort',
      'ascending',
    );
    await page
      .getByRole('row', { name: /^Cass Ondry/ })
      .getByRole('link', { name: /right \d+\s% slower/ })
      .click();
    await expect(page.getByText(/^Slower to the right by/)).toBeVisible();
  },
);

untouchedTest(
  'a table of reps is matched and looked at; bad rows are named; then it is stored, once @thorough',
  async ({ page }) => {
    const table = [
      'Player;Date;Cone;React;Total;Comment',
      'Wren Hallowby;2026-02-01;A;0,31;2,40;',
      'Wren Hallowby;2026-02-01;B;0,29;2,35;',
      'Wren Hallowby;2026-02-30;B;0,29;2,35;',
      'Wren Hollowby;2026-02-01;A;0,30;2,30;typo',
      'Wren Hallowby;2026-02-01;A;0,30;0,20;',
    ].join('\n');
    const pick = async () => {
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Choose a table' }).click(),
      ]);
      await chooser.setFiles({
        ...{ name: 'elsewhere.csv', mimeType: 'text/csv', buffer: Buffer.from(table) },
      });
      await choose(page, 'Pattern', 'Side to side');
    };
    await page.goto('/review/data');
    await pick();
    await expect(page.getByText('5 rows: 2 can be stored, 3 cannot.')).toBeVisible();
    const out = page.getByRole('list', { name: 'Rows that stay out' });
    await expect(out.getByText('Row 3, day: given 2026-02-30')).toBeVisible();
    await expect(
      out.getByText(/^Row 4, athlete: given Wren Hollowby, allowed .*Wren Hallowby/),
    ).toBeVisible();
    await expect(out.getByText(/^Row 5, times: given home at 200\sms/)).toBeVisible();
    // A column can be something else, and the preview follows.
    await choose(page, 'reaction', 'not in the table');
    await expect(page.getByRole('row', { name: /Wren Hallowby/ })).toContainText('–');
    await choose(page, 'reaction', 'React');
    await page.getByRole('button', { name: 'Store 2 reps in 1 set' }).click();
    // Stored by a job of the server's, which waits its turn.
    await expect(page.getByText('2 reps in 1 set stored.')).toBeVisible({ timeout: 30_000 });

    await page.reload();
    await pick();
    await page.getByRole('button', { name: 'Store 2 reps in 1 set' }).click();
    // Stored by a job of the server's, which waits its turn.
    await expect(page.getByText('2 reps in 1 set stored.')).toBeVisible({ timeout: 30_000 });
    await page.goto('/review');
    await page.getByRole('link', { name: 'Wren Hallowby' }).click();
    await choose(page, 'Sets', 'Side to side, hand, heard cues');
    // The head and one set: the second time changed nothing.
    await expect(page.getByRole('table').getByRole('row')).toHaveCount(2);
    await expect(page.getByRole('row').last()).toContainText('2.38');
  },
);

// Sets that others run with her today would change what is said of her.
untouchedTest(
  'a report is a plain page for the family, and two with the figures, printed without the shell',
  async ({ page }) => {
    await page.goto('/review');
    await page.getByRole('link', { name: 'Lotte Brandvane' }).click();
    await page.getByRole('link', { name: 'Report to print' }).click();
    await expect(page.getByRole('heading', { name: 'Lotte Brandvane' })).toBeVisible();
    await expect(
      page.getByText(/^Getting back to the middle.*: clearly quicker, by/),
    ).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What to do at home' })).toBeVisible();
    await expect(page.getByText(/95\s%|typical error|median/)).toBeHidden();
    await page.getByRole('textbox', { name: /^Your own words/ }).fill('A calm, honest month.');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('heading', { name: 'From the coach' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('paragraph').filter({ hasText: 'honest month' })).toBeVisible();
    await page.getByRole('button', { name: /For whom$/ }).click();
    await page.getByRole('option', { name: /for a specialist/ }).click();
    await expect(page.getByText(/^Clearly faster: recovery/)).toBeVisible();
    await expect(page.getByText(/Only what the clinician in charge has cleared/)).toBeVisible();
    await expect(
      page.getByRole('img', { name: /^Cycle of \d+ sets/ }).locator('svg'),
    ).toBeVisible();
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  },
);

test('a club is taken out, wiped, and brought back as it was @thorough', async ({ page }) => {
  await page.goto('/review/data');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: /^The whole club/ }).click(),
  ]);
  const path = await file.path();
  const wipe = page.getByRole('button', { name: 'Wipe Tiller Lane Squash for good' });
  await expect(wipe).toBeDisabled();
  const name = page.getByRole('textbox', { name: /to wipe it$/ });
  await name.fill('Tiller Lane Squash');
  await name.blur();
  await wipe.click();
  await expect(page.getByRole('heading', { name: 'Begin a club of your own.' })).toBeVisible();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a club.zip' }).click(),
  ]);
  await chooser.setFiles(path);
  // A whole club takes a while on a busy machine; meanwhile the page says so.
  await expect(page.getByRole('heading', { name: 'Files in and out' })).toBeVisible({
    timeout: 60_000,
  });
  await page.goto('/');
  await expect(page.getByRole('listitem')).toHaveCount(8);
  await page.goto('/review');
  await expect(page.getByRole('rowheader')).toHaveCount(8);
});

test('a figure says what it means, how it was worked out and how sure it is; all of them on a page', async ({
  page,
}) => {
  await openNewest(page, 'Amara Quill');
  await page.getByRole('rowheader', { name: 'recovery' }).getByRole('button').click();
  const told = page.getByRole('dialog', { name: 'recovery' });
  for (const part of ['What it means', 'How it is worked out', 'How sure it is'])
    await expect(told.getByText(part)).toBeVisible();
  await expect(told.getByText('until both feet are inside home base')).toBeVisible();
  await told.getByRole('link', { name: 'All words and figures' }).click();
  await expect(page.getByRole('heading', { name: 'What every figure means' })).toBeVisible();
  await expect(page.getByRole('term').filter({ hasText: 'Is it better?' })).toBeVisible();
});
