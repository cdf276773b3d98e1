import type { Page } from '@playwright/test';
import type { ClubReply, PatternBody } from '@orthokin/contract';
import { blankPattern, layLeg, usualPlan } from '@orthokin/core/footwork';
import {
  layoutTargets,
  MAX_TARGETS,
  nextMarker,
  withLeg,
  type Leg,
  type Pattern,
} from '@orthokin/core/pattern';
import { v7 } from 'uuid';
import { test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { framesWhile } from './support/frames.js';

const PLACEMENTS = 200;
const MOVES = 180;

/** A leg of so many placements: its steps over and over. */
function longLeg(leg: Leg, count: number): Leg {
  const lasts = leg.placements.at(-1)?.atMs ?? 0;
  const placements = Array.from({ length: count }, (_, i) => {
    const placement = leg.placements[i % leg.placements.length] ?? leg.placements[0];
    if (!placement) throw new Error('A leg without feet.');
    const round = Math.floor(i / leg.placements.length);
    return { ...placement, atMs: placement.atMs + round * lasts };
  });
  return { ...leg, placements };
}

/** A pattern with 200 placements in all, shared out over so many legs. */
function patternOf(legs: number): Pattern {
  let targets = layoutTargets('star', 3);
  while (targets.length < legs) {
    const angle = targets.length;
    const added = nextMarker(targets, { x: 4 * Math.sin(angle), y: 4 * Math.cos(angle) });
    if (added) targets = [...targets, added];
  }
  const bare: Pattern = { ...blankPattern('Long'), targets: targets.slice(0, Math.max(2, legs)) };
  return bare.targets
    .slice(0, legs)
    .reduce(
      (done, target) =>
        withLeg(
          done,
          longLeg(layLeg(done, target, usualPlan(target)), Math.round(PLACEMENTS / legs)),
        ),
      bare,
    );
}

/** Lengths of the frames, ms, while a step of leg A is dragged about. */
async function dragFrames(page: Page, pattern: Pattern): Promise<number[]> {
  const clubs = (await (await page.request.get('/api/clubs')).json()) as ClubReply[];
  const id = v7();
  await page.request.put(`/api/clubs/${clubs[0]?.clubId ?? ''}/patterns/${id}/versions/1`, {
    data: pattern as PatternBody,
  });
  await page.goto(`/patterns/${id}?leg=A`);
  const step = page.getByRole('button', { name: /^Step 8,/ });
  await step.waitFor();
  const box = await step.boundingBox();
  if (!box) throw new Error('Nothing to drag.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const frames = await framesWhile(page, async () => {
    for (let move = 0; move < MOVES; move++)
      await page.mouse.move(x + 40 * Math.sin(move / 9), y + 30 * Math.cos(move / 7));
  });
  await page.mouse.up();
  return frames;
}

for (const legs of [MAX_TARGETS, 1]) {
  test(`frames of a drag, ${PLACEMENTS} placements over ${legs} legs`, async ({ page }) => {
    const lengths = await dragFrames(page, patternOf(legs));
    console.log(figures(`frames, ${PLACEMENTS} placements over ${legs} legs`, lengths));
  });
}
