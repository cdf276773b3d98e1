import { test } from '@playwright/test';
import type { ClubReply, PatternBody } from '@orthokin/contract';
import { blankPattern, layLeg, usualPlan } from '@orthokin/core/footwork';
import { layoutTargets, withLeg, type Leg, type Pattern } from '@orthokin/core/pattern';
import { v7 } from 'uuid';

const PLACEMENTS = 200;
const MOVES = 180;

/** A leg of as many placements as a pattern may hold: its steps over and over. */
function longLeg(leg: Leg): Leg {
  const lasts = leg.placements.at(-1)?.atMs ?? 0;
  const placements = Array.from({ length: PLACEMENTS }, (_, i) => {
    const placement = leg.placements[i % leg.placements.length] ?? leg.placements[0];
    if (!placement) throw new Error('A leg without feet.');
    const round = Math.floor(i / leg.placements.length);
    return { ...placement, atMs: placement.atMs + round * lasts };
  });
  return { ...leg, placements };
}

test('frames while a step among 200 is dragged', async ({ page }) => {
  const bare: Pattern = { ...blankPattern('Long'), targets: layoutTargets('line', 3) };
  const [target] = bare.targets;
  if (!target) throw new Error('No target.');
  const pattern = withLeg(bare, longLeg(layLeg(bare, target, usualPlan(target)))) as PatternBody;
  const clubs = (await (await page.request.get('/api/clubs')).json()) as ClubReply[];
  const id = v7();
  await page.request.put(`/api/clubs/${clubs[0]?.clubId ?? ''}/patterns/${id}/versions/1`, {
    data: pattern,
  });
  await page.goto(`/patterns/${id}?leg=A`);
  const step = page.getByRole('button', { name: /^Step 100,/ });
  await step.waitFor();
  const box = await step.boundingBox();
  if (!box) throw new Error('Nothing to drag.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    requestAnimationFrame(function note(at) {
      frames.push(at);
      requestAnimationFrame(note);
    });
  });
  for (let move = 0; move < MOVES; move++)
    await page.mouse.move(x + 40 * Math.sin(move / 9), y + 30 * Math.cos(move / 7));
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames);
  await page.mouse.up();
  const lengths = frames.slice(1).map((at, i) => at - (frames[i] ?? at));
  const sorted = lengths.sort((a, b) => a - b);
  const at = (share: number) => (sorted[Math.floor(share * sorted.length)] ?? NaN).toFixed(1);
  console.log(
    `dragging among ${PLACEMENTS} placements: ${sorted.length} frames, median ${at(0.5)} ms, p95 ${at(0.95)} ms`,
  );
});
