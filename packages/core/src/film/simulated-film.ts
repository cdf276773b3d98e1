import { seededRandom } from '../cue/index.js';
import { HOME, type Point, type Target } from '../floor/index.js';
import {
  positionAt,
  simulateTrial,
  TYPICAL_ATHLETE,
  type SimulatedAthlete,
} from '../simulation/index.js';
import { eventOf, type TimedEvent } from '../timing/index.js';

/** A rep on film: its target, and the true times on the set's clock. */
export interface FilmedRep {
  readonly ordinal: number;
  readonly at: Point;
  readonly events: readonly TimedEvent[];
}

/** The part of a set that a film needs. */
export interface SetToFilm {
  readonly seed: number;
  readonly targets: readonly Target[];
  /** Cues on the set's clock, ms. */
  readonly cues: readonly {
    readonly ordinal: number;
    readonly target: string;
    readonly atMs: number;
  }[];
}

/** What the simulated athlete does at each cue; the same seed gives the same film. */
export const filmedReps = (
  { seed, targets, cues }: SetToFilm,
  athlete: SimulatedAthlete = TYPICAL_ATHLETE,
): FilmedRep[] =>
  cues.map(({ ordinal, target, atMs }, i) => {
    const at = targets.find(({ letter }) => letter === target)?.at ?? HOME;
    const { events } = simulateTrial(
      athlete,
      { atMs, target: at, repsBefore: i, sessionsBefore: 20 },
      {},
      seededRandom(seed + ordinal),
    );
    return { ordinal, at, events };
  });

/** The athlete's place at a moment of the set, m; home between reps. */
export function whereAt(reps: readonly FilmedRep[], atMs: number): Point {
  const now = reps.findLast(({ events }) => (eventOf(events, 'cue')?.atMs ?? Infinity) <= atMs);
  if (!now) return HOME;
  return positionAt(now.events, now.at, TYPICAL_ATHLETE.travel, atMs);
}

/** A camera on a stand behind home base, looking forwards and down. Lengths m, angles degrees. */
export interface Camera {
  readonly behindM: number;
  readonly heightM: number;
  readonly downDeg: number;
  /** Focal length, as a share of the picture's width. */
  readonly focal: number;
}

/** A typical camera position. */
export const USUAL_CAMERA: Camera = { behindM: 7.5, heightM: 2.6, downDeg: 15, focal: 0.85 };
/** A position on a gallery above the court. */
export const HIGH_CAMERA: Camera = { behindM: 9, heightM: 4.6, downDeg: 25, focal: 0.85 };
/** A position in a bag on the floor. */
export const LOW_CAMERA: Camera = { behindM: 7.5, heightM: 0.6, downDeg: 0, focal: 0.85 };

/** A hand's slow, wide sway and its fast, small tremor: frequency, Hz, and share of each. */
const HAND_SWAYS = [
  [0.4, 0.6],
  [1.1, 0.3],
  [4.7, 0.1],
] as const;

/**
 * How far a camera that is held in the hand looks aside at a moment, as a share of the picture's width.
 *
 * @param most how far it ever does, the same share
 * @param seed of the hand: the same one always sways alike
 */
export function handSway(atMs: number, most: number, seed: number): Point {
  const random = seededRandom(seed);
  const along = (): number =>
    HAND_SWAYS.reduce(
      (sum, [hz, share]) => sum + share * Math.sin(2 * Math.PI * ((hz * atMs) / 1000 + random())),
      0,
    );
  return { x: most * along(), y: most * along() };
}

/**
 * Where the camera sees a place: shares of the picture's width, from its middle, right and down.
 *
 * @param heightM above the floor
 */
export function seenBy(
  { behindM, heightM: lensM, downDeg, focal }: Camera,
  { x, y }: Point,
  heightM = 0,
): Point {
  const down = (downDeg * Math.PI) / 180;
  const [ahead, up] = [y + behindM, heightM - lensM];
  const depth = ahead * Math.cos(down) - up * Math.sin(down);
  const above = ahead * Math.sin(down) + up * Math.cos(down);
  return { x: (focal * x) / depth, y: (-focal * above) / depth };
}
