import { nelderMead } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { travelTime, type TravelModel } from './travel.js';

/** A measured way: how far, and how long it took. */
export interface TravelPair {
  readonly distanceM: number;
  readonly timeS: number;
}

/** An athlete's own travel line: what fits their timed ways best, and how well. */
export interface TravelFit extends TravelModel {
  readonly n: number;
  /** Residual sum of squares, s². */
  readonly rss: number;
  /** Typical distance of one time from the line, s. */
  readonly residualSdS: number;
}

const FEWEST_PAIRS = 6;
const FEWEST_DISTANCES = 3;
/** Distances nearer than this are one distance as far as a line is concerned, m. */
const SAME_M = 0.15;

function differentDistances(pairs: readonly TravelPair[]): number {
  const sorted = pairs.map(({ distanceM }) => distanceM).sort((a, b) => a - b);
  let kept = -Infinity;
  return sorted.filter((each) => each - kept > SAME_M && ((kept = each), true)).length;
}

/**
 * Acceleration and top speed that fit measured ways from rest to rest best (least squares of the
 * times). A top speed beyond what the longest way lets the athlete reach cannot be known: it is
 * then the speed reached there.
 */
export function fitTravel(pairs: readonly TravelPair[]): Result<TravelFit> {
  if (pairs.length < FEWEST_PAIRS)
    return wrong('pairs', pairs.length, `at least ${FEWEST_PAIRS} timed ways`);
  const distances = differentDistances(pairs);
  if (distances < FEWEST_DISTANCES)
    return wrong('distances', distances, `at least ${FEWEST_DISTANCES} different distances`);
  const farthest = Math.max(...pairs.map(({ distanceM }) => distanceM));
  const modelOf = ([lnA = NaN, lnV = NaN]: readonly number[]): TravelModel => ({
    acceleration: Math.exp(lnA),
    topSpeed: Math.exp(lnV),
  });
  const rssOf = (model: TravelModel) => {
    let rss = 0;
    for (const { distanceM, timeS } of pairs) rss += (timeS - travelTime(distanceM, model)) ** 2;
    return rss;
  };
  // Two starts: one that never reaches its top speed, one that nearly always does.
  const starts = [
    [Math.log(5), Math.log(8)],
    [Math.log(5), Math.log(1.5)],
  ];
  const best = starts
    .map((start) => nelderMead((point) => rssOf(modelOf(point)), start, [0.4, 0.4], 1e-12))
    .reduce((a, b) => (b.value < a.value ? b : a));
  const { acceleration, topSpeed } = modelOf(best.at);
  const reached = Math.sqrt(acceleration * farthest);
  return ok({
    acceleration,
    topSpeed: Math.min(topSpeed, reached),
    n: pairs.length,
    rss: best.value,
    residualSdS: Math.sqrt(best.value / Math.max(1, pairs.length - 2)),
  });
}
