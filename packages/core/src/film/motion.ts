import { mean, median } from '../numeric/index.js';
import type { Point } from '../floor/index.js';

/** A small greyscale picture: 0–255 per pixel, row by row. */
export interface Grey {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly values: Uint8Array;
}

/** With fewer pictures somebody may be in the same place in half of them. */
const FEWEST_PICTURES = 3;

/** The still background of pictures from one camera: the median of each pixel; `null` with too few pictures. */
export function stillBackground(pictures: readonly Grey[]): Grey | null {
  const [first] = pictures;
  if (!first || pictures.length < FEWEST_PICTURES) return null;
  const values = first.values.map((_, i) =>
    median(pictures.map((picture) => picture.values[i] ?? 0)),
  );
  return { ...first, values };
}

/** Smaller differences are noise. */
const DIFFERS = 28;
/** Fewer changed pixels are not a person. */
const FEWEST_PIXELS = 6;

/** The centre of what differs from the background, px; `null` if there is nothing. */
export function middleOfMoved(
  { values, widthPx }: Grey,
  background: Pick<Grey, 'values'>,
): Point | null {
  let [count, x, y] = [0, 0, 0];
  for (let i = 0; i < values.length; i++) {
    const off = (values[i] ?? 0) - (background.values[i] ?? 0);
    if (off <= DIFFERS && -off <= DIFFERS) continue;
    const across = i % widthPx;
    count++;
    x += across;
    y += (i - across) / widthPx;
  }
  return count < FEWEST_PIXELS ? null : { x: x / count, y: y / count };
}

/** Where a person is in a frame, px, and when, ms of capture from the cue. */
export interface PlaceSeen {
  readonly ms: number;
  readonly at: Point;
}

/** A time span, ms from the cue. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** The span searched for a first move, ms from the cue: until anybody who reacts has left. */
export const FIRST_MOVE_WINDOW: Span = { fromMs: -200, toMs: 1100 };
/** When athletes are away from home, ms after their cues; the background is taken from then. */
export const AWAY_MS = 1200;

/** Nobody can react sooner than this, ms: until then the athlete counts as standing. */
const STANDS_UNTIL_MS = 100;
/** Leaving means moving by so many standard deviations of standing, and at least so many pixels. */
const [FAR_SD, FAR_PX] = [4, 0.35];
/** The movement must continue for this long, ms. */
const GOES_ON_MS = 60;
/** Movement is noticed late: it began up to this long before, ms. */
const SEEN_LATE_MS = 110;
/** With fewer pictures of standing nothing can be said. */
const FEWEST_STANDING = 3;

/**
 * When the first move probably began, from where somebody is in the pictures round a cue: it is looked
 * for there, never taken for measured. A split-step goes up and down on the spot and is no way; what is
 * seen of a way comes late. A false start is not found: until 100 ms after the cue everybody is taken to
 * stand.
 *
 * @param seen in the order of their times, from before the cue on
 * @returns `null` where nobody left the place
 */
export function firstMoveSpan(seen: readonly PlaceSeen[]): Span | null {
  const standing = seen.filter(({ ms }) => ms <= STANDS_UNTIL_MS);
  if (standing.length < FEWEST_STANDING) return null;
  const home = { x: mean(standing.map(({ at }) => at.x)), y: mean(standing.map(({ at }) => at.y)) };
  const offOf = ({ at }: PlaceSeen): number => Math.hypot(at.x - home.x, at.y - home.y);
  const spread = Math.sqrt(mean(standing.map((one) => offOf(one) ** 2)));
  const far = Math.max(FAR_PX, FAR_SD * spread);
  const later = seen.filter(({ ms }) => ms > STANDS_UNTIL_MS);
  const began = later.find((one, i) => {
    const on = later.slice(i).filter(({ ms }) => ms <= one.ms + GOES_ON_MS);
    return on.length > 1 && on.every((next) => offOf(next) > far);
  });
  return began ? { fromMs: Math.max(0, began.ms - SEEN_LATE_MS), toMs: began.ms } : null;
}

/** The largest camera movement searched for, as a share of the picture's width. */
const FARTHEST_SHIFT = 0.05;
/** Pixel differences up to this are noise. */
const NOISE = 10;
/** Larger differences count no more than this, so that moving people matter little. */
const MOST_OFF = 40;
/** A shift must fit better by this factor, or it counts as noise. */
const BETTER_BY = 0.85;

function misfit(a: Grey, b: Grey, dx: number, dy: number): number {
  const { widthPx, heightPx } = a;
  const [left, right] = [Math.max(0, -dx), Math.min(widthPx, widthPx - dx)];
  const [top, bottom] = [Math.max(0, -dy), Math.min(heightPx, heightPx - dy)];
  let [sum, count] = [0, 0];
  for (let y = top; y < bottom; y++)
    for (let x = left; x < right; x++) {
      const off = (a.values[y * widthPx + x] ?? 0) - (b.values[(y + dy) * widthPx + x + dx] ?? 0);
      const far = (off < 0 ? -off : off) - NOISE;
      if (far > 0) sum += far < MOST_OFF ? far : MOST_OFF;
      count++;
    }
  return sum / count;
}

/**
 * How far what stands still in one picture has moved in another, px: not at all unless another place fits
 * clearly better. A turn of the camera is seen as the shift that fits it best. Whoever is filmed should
 * stand in the same place in both, as at two cues: somebody who went on looks like a camera that turned.
 */
export function cameraShift(before: Grey, after: Grey): Point {
  const reach = Math.round(FARTHEST_SHIFT * before.widthPx);
  const still = misfit(before, after, 0, 0);
  let best = { x: 0, y: 0, off: still };
  for (let y = -reach; y <= reach; y++)
    for (let x = -reach; x <= reach; x++) {
      const off = misfit(before, after, x, y);
      if (off < best.off) best = { x, y, off };
    }
  return best.off < BETTER_BY * still ? { x: best.x, y: best.y } : { x: 0, y: 0 };
}
