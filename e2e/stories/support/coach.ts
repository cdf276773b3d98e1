import { expect, type Page } from '@playwright/test';
import type { RepReply, SetReviewReply } from '@orthokin/contract';
import { openClubId } from './club.js';

/** What a coach does with the app, in the coach's words. */
export class Coach {
  constructor(readonly page: Page) {}

  /** From the squad to the floor, ready to start. */
  async goToFloor(
    athlete: string,
    {
      timedBy = 'Hand',
      reps = 10,
      seed,
    }: { timedBy?: 'Hand' | 'The simulated athlete'; reps?: number; seed?: number } = {},
  ): Promise<void> {
    const { page } = this;
    await page.goto('/');
    await page.getByRole('link', { name: `Start a drill with ${athlete}` }).click();
    await expect(
      page.getByRole('heading', { name: `${athlete}, ready when you are.` }),
    ).toBeVisible();
    await this.timeBy(timedBy);
    await this.fill('Reps', String(reps));
    if (seed !== undefined) await page.goto(`${page.url()}?seed=${seed}`);
  }

  /** Opens one of the three parts of the set-up, where it is not open yet. */
  async open(part: 'Who and what' | 'Cues' | 'Timing'): Promise<void> {
    // Other pages have fields of the same kind, and no parts.
    if (!/^\/floor\/[^/]+$/.test(new URL(this.page.url()).pathname)) return;
    const chip = this.page.getByRole('button', { name: new RegExp(`^${part} `) });
    if ((await chip.getAttribute('aria-expanded')) !== 'true') await chip.click();
  }

  /** Opens a fold among the cues. */
  async unfold(title: string): Promise<void> {
    await this.open('Cues');
    const fold = this.page.getByRole('button', { name: new RegExp(`^${title}`) });
    if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
  }

  /** Settles what times the set. */
  async timeBy(source: string): Promise<void> {
    await this.open('Timing');
    await this.page
      .locator('label')
      .filter({ hasText: new RegExp(`^${source}`) })
      .click();
  }

  /** Chooses from a field of the set-up. */
  async choose(label: string, option: string): Promise<void> {
    await this.open(label === 'Add to the rota' ? 'Who and what' : 'Cues');
    await this.page.getByRole('button', { name: new RegExp(`${label}$`) }).click();
    await this.page.getByRole('option', { name: option, exact: true }).click();
  }

  /** Types into a field of the set-up. */
  async fill(label: string, value: string): Promise<void> {
    await this.open('Cues');
    const field = this.page.getByRole('textbox', { name: label });
    await field.fill(value);
    await field.press('Tab');
  }

  async start(): Promise<void> {
    await this.page.getByRole('button', { name: 'Start the set' }).click();
    await expect(this.page.getByTestId('cue')).toBeVisible();
  }

  /** Waits for the cue of this ordinal, or of a later one when the driver was held up. */
  cue(ordinal: number): Promise<unknown> {
    return this.page.waitForFunction(
      (wanted) => {
        const shown = document.querySelector<HTMLElement>('[data-testid=cue]')?.dataset['cue'];
        const count = document.querySelector('[aria-label^="cue "]')?.getAttribute('aria-label');
        return shown && Number(count?.split(' ')[1]) >= wanted;
      },
      ordinal,
      { polling: 'raf' },
    );
  }

  /** One rep by keys: a first move, an action and home, so long after each other. */
  async playRep(
    ordinal: number,
    ms: readonly [number, number, number] = [230, 600, 700],
  ): Promise<void> {
    const { page } = this;
    await this.cue(ordinal);
    for (const [i, key] of (['Space', 'ArrowDown', 'Enter'] as const).entries()) {
      await page.waitForTimeout(ms[i] ?? 0);
      await page.keyboard.press(key);
    }
    await this.finished(ordinal);
  }

  async done(): Promise<number> {
    return Number(await this.page.getByTestId('finished').textContent());
  }

  finished(reps: number): Promise<void> {
    return expect.poll(() => this.done(), { timeout: 120_000 }).toBeGreaterThanOrEqual(reps);
  }

  async seeReview(): Promise<SetReviewReply> {
    await this.page.getByRole('button', { name: 'See where the time went' }).click();
    await this.page.waitForURL('**/review/*');
    return this.storedReview();
  }

  /** The set of the open review, as the server has it once everything is sent. */
  async storedReview(): Promise<SetReviewReply> {
    const { page } = this;
    // The address follows a press a moment later.
    await page.waitForURL(/\/review\/[0-9a-f-]{36}/);
    await expect(page.getByText('all sent')).toBeVisible();
    const setId = page.url().split('/').at(-1) ?? '';
    const reply = await page.request.get(`/api/clubs/${await openClubId(page)}/sets/${setId}`);
    expect(reply.status()).toBe(200);
    return (await reply.json()) as SetReviewReply;
  }
}

export const timeOf = (rep: RepReply | undefined, name: string): number =>
  rep?.events.find((event) => event.name === name)?.atMs ?? NaN;

/** Opens a pattern of the library in the studio. */
export async function openPattern(page: Page, name: string): Promise<void> {
  await page.goto('/patterns');
  await page
    .getByRole('link', { name: `The floor of ${name}` })
    .filter({ hasText: new RegExp(`${name}\\d`) })
    .click();
  await expect(page.getByRole('textbox', { name: 'Name of the pattern' })).toHaveValue(name);
}
