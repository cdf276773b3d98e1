import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Nothing sticks out of the window, once a frame has passed in which what measures itself could. */
export async function expectFits(page: Page): Promise<void> {
  const overflow = () =>
    page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
  await expect.poll(overflow).toBe(0);
}

/** Nothing serious stands in anyone's way, and nothing sticks out of the window. */
export async function expectSound(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // One page without frames: what is told of rules that hold is not gathered, which takes a third of the time.
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`)).toEqual([]);
  await expectFits(page);
}
