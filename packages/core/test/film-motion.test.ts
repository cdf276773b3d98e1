import { normal, seededRandom, type Random } from '@orthokin/core/cue';
import {
  cameraShift,
  figureAt,
  figureSeenBy,
  filmedReps,
  firstMoveSpan,
  middleOfMoved,
  stillBackground,
  USUAL_CAMERA,
  type FilmedRep,
  type Grey,
} from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { layoutTargets } from '@orthokin/core/pattern';
import { eventOf } from '@orthokin/core/timing';

const [WIDTH, HEIGHT] = [112, 63];
/** Noise of one picture after the other, out of one long roll. */
const roll = seededRandom(99);
const ROLL = Array.from({ length: 100_003 }, () => normal(roll, 0, 1));

/** A room with a wall, a floor and lines on it, shifted, under the noise of a camera. */
function room(random: Random, noise: number, shift: Point = { x: 0, y: 0 }): Grey {
  const from = Math.floor(random() * ROLL.length);
  const values = new Uint8Array(WIDTH * HEIGHT);
  let i = 0;
  for (let row = 0; row < HEIGHT; row++)
    for (let column = 0; column < WIDTH; column++) {
      const [x, y] = [column - shift.x, row - shift.y];
      const isLine = y === 42 || (y > 42 && x === 56) || (x > 14 && x < 17 && y < 21);
      const grey =
        (isLine ? 90 : y < 28 ? 215 : 180) + noise * (ROLL[(from + i) % ROLL.length] ?? 0);
      values[i++] = grey;
    }
  return { widthPx: WIDTH, heightPx: HEIGHT, values };
}

/** The simulated athlete in it, from the head to the feet. */
function withAthlete(
  picture: Grey,
  reps: readonly FilmedRep[],
  atMs: number,
  shift: Point = { x: 0, y: 0 },
): Grey {
  const figure = figureAt(reps, atMs);
  const at = (name: 'nose' | 'leftHeel' | 'rightHeel'): Point => {
    const { x, y } = figureSeenBy(USUAL_CAMERA, figure[name]);
    return { x: WIDTH * (0.5 + x) + shift.x, y: HEIGHT / 2 + WIDTH * y + shift.y };
  };
  const [head, left, right] = [at('nose'), at('leftHeel'), at('rightHeel')];
  const values = picture.values.slice();
  const feet = Math.max(left.y, right.y);
  const half = (right.x - left.x) / 2;
  for (let y = Math.ceil(head.y); y <= feet; y++) {
    const down = (y - head.y) / (feet - head.y);
    const middle = head.x + down * ((left.x + right.x) / 2 - head.x);
    for (let x = Math.ceil(middle - half); x <= middle + half; x++) values[y * WIDTH + x] = 40;
  }
  return { ...picture, values };
}

const targets = layoutTargets('star', 3);
const film = (seed: number) =>
  filmedReps({
    seed,
    targets,
    cues: [{ ordinal: 1, target: targets[seed % targets.length]?.letter ?? 'A', atMs: 1000 }],
  });

/** What is seen of a rep at so many frames a second, in a camera's noise. */
function spanOf(seed: number, framesPerS: number, noise: number) {
  const reps = film(seed);
  const random = seededRandom(seed + 1);
  const frames = Array.from({ length: Math.round(1.3 * framesPerS) }, (_, i) => ({
    ms: -200 + (1000 * i) / framesPerS,
  }));
  const pictures = frames.map(({ ms }) => withAthlete(room(random, noise), reps, 1000 + ms));
  // The background is found in other reps, where the athlete is at one target after the other.
  const still = stillBackground(
    [1, 2, 3, 4, 5].map((by) => withAthlete(room(random, noise), film(seed + by), 2100)),
  );
  const seen = frames.flatMap(({ ms }, i) => {
    const at = still && middleOfMoved(pictures[i] as Grey, still);
    return at ? [{ ms, at }] : [];
  });
  const events = reps[0]?.events ?? [];
  const truth = (eventOf(events, 'firstMove')?.atMs ?? NaN) - 1000;
  return { span: firstMoveSpan(seen), truth };
}

describe('a suggestion of the first move', () => {
  test.each([60, 120])('holds the truth nine times of ten at %i frames a second', (framesPerS) => {
    const runs = 30;
    let [found, holds] = [0, 0];
    for (let seed = 1; seed <= runs; seed++) {
      const { span, truth } = spanOf(seed, framesPerS, 3);
      if (!span) continue;
      found++;
      if (truth >= span.fromMs && truth <= span.toMs + 1000 / framesPerS) holds++;
    }
    expect(found).toBeGreaterThan(0.9 * runs);
    expect(holds).toBeGreaterThan(0.9 * found);
  });

  test('is none where nobody leaves, nobody is seen, or nothing is known of the standing', () => {
    const still = Array.from({ length: 40 }, (_, i) => ({
      ...{ ms: -200 + 20 * i, at: { x: 50 + 0.1 * Math.sin(i), y: 40 } },
    }));
    expect(firstMoveSpan(still)).toBeNull();
    expect(firstMoveSpan([])).toBeNull();
    expect(firstMoveSpan(still.filter(({ ms }) => ms > 100))).toBeNull();
  });

  test('one frame that is wrong is no way; a split-step up and down is none', () => {
    const at = (y: number, i: number) => ({ ms: -200 + 20 * i, at: { x: 50, y } });
    const glitch = Array.from({ length: 40 }, (_, i) => at(i === 20 ? 60 : 40, i));
    expect(firstMoveSpan(glitch)).toBeNull();
    const hop = Array.from({ length: 40 }, (_, i) => at(40 - (i > 8 && i < 14 ? 1.2 : 0), i));
    expect(firstMoveSpan(hop)).toBeNull();
  });
});

describe('what stands still', () => {
  test('is seen behind whoever is somewhere else in most pictures', () => {
    const random = seededRandom(4);
    const empty = room(random, 0);
    const still = stillBackground(
      [1, 2, 3, 4, 5].map((seed) => withAthlete(empty, film(seed), 2100)),
    );
    const off = [...(still?.values ?? [])].filter((value, i) => value !== empty.values[i]).length;
    expect(off).toBe(0);
    expect(stillBackground([empty, empty])).toBeNull();
    expect(middleOfMoved(empty, empty)).toBeNull();
  });
});

describe('a camera that moved', () => {
  const random = seededRandom(11);
  const reps = film(2);

  test('is seen by how far the room moved, whoever stands in it', () => {
    for (const shift of [
      { x: 3, y: -2 },
      { x: -5, y: 0 },
      { x: 0, y: 1 },
    ]) {
      const before = withAthlete(room(random, 3), reps, 1000);
      const after = withAthlete(room(random, 3, shift), reps, 1050, shift);
      expect(cameraShift(before, after)).toEqual(shift);
    }
  });

  test('is never seen where it stood still, in forty pairs of pictures', () => {
    for (let n = 0; n < 40; n++) {
      const before = withAthlete(room(random, 4), reps, 1000);
      const after = withAthlete(room(random, 4), reps, 900 + 5 * n);
      expect(cameraShift(before, after)).toEqual({ x: 0, y: 0 });
    }
  });

  test('says nothing of a wall without anything on it', () => {
    const blank: Grey = {
      widthPx: WIDTH,
      heightPx: HEIGHT,
      values: new Uint8Array(WIDTH * HEIGHT).fill(200),
    };
    expect(cameraShift(blank, blank)).toEqual({ x: 0, y: 0 });
  });
});
