import { test } from '../stories/support/served.js';
import type { PlanBody, SquadLineReply } from '@orthokin/contract';
import { BLOCK_KINDS, MOST_BLOCKS, usualBlock, type Block } from '@orthokin/core/plan';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { v7 } from 'uuid';
import { figures } from './support/figures.js';
import { framesWhile } from './support/frames.js';
import { watchMachine } from './support/machine.js';

const STEPS = 120;
const CLUB = `/api/clubs/${DEMO_CLUB_ID}`;

/** As many blocks as there may be, every other in turns. */
const BLOCKS: readonly Block[] = Array.from({ length: MOST_BLOCKS }, (_, i) => ({
  ...usualBlock(v7(), BLOCK_KINDS[i % BLOCK_KINDS.length] ?? 'other'),
  ...{ title: `Block ${i + 1}`, stations: 2 },
}));

test(`frames while a block of ${MOST_BLOCKS} is dragged, and while the mouse only moves over them`, async ({
  page,
}) => {
  const squad = (await (await page.request.get(`${CLUB}/squad`)).json()) as SquadLineReply[];
  const id = v7();
  const plan: PlanBody = {
    ...{ name: 'Long', day: '2026-11-26', startsAt: '17:00', minutes: 480, revision: 1 },
    athleteIds: squad.map(({ athlete }) => athlete.id),
    blocks: BLOCKS,
  };
  await page.request.put(`${CLUB}/plans/${id}`, { data: plan });
  await page.goto(`/plan/${id}`);
  const rows = page.getByRole('grid', { name: 'Blocks' }).getByRole('row');
  await rows.nth(2).scrollIntoViewIfNeeded();
  const box = await rows.nth(2).locator('[slot=drag], button').first().boundingBox();
  if (!box) throw new Error('Nothing to drag.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const upAndDown = async () => {
    for (let step = 1; step <= STEPS; step++)
      await page.mouse.move(x + 20, y + 180 * Math.sin(step / 10));
  };
  const stolen = watchMachine();
  await page.mouse.move(x, y);
  console.log(figures('frames while the mouse moves', await framesWhile(page, upAndDown)));
  await page.mouse.move(x, y);
  await page.mouse.down();
  console.log(figures('frames of a drag', await framesWhile(page, upAndDown)));
  await page.mouse.up();
  console.log(stolen());
});
