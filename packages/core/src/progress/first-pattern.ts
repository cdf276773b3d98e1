import { COURTS, courtOf, hasOwnSize, type CourtName, type Side } from '../floor/index.js';
import { blankPattern, layLeg, usualPlan } from '../footwork/index.js';
import {
  layoutTargets,
  mirrorPattern,
  withLeg,
  withTargets,
  type Layout,
  type Pattern,
} from '../pattern/index.js';
import { draftLadder } from './draft.js';

/** Layouts for courts on which movement follows one line; on others it goes in all directions. */
const LAYOUT_OF: Partial<Record<CourtName, Layout>> = {
  fencing: 'lane',
  tableTennis: 'line',
  tennis: 'line',
  beachVolleyball: 'cross',
  volleyball: 'cross',
};

/** The largest distance for a beginner, m. */
const MOST_M = 2.5;
/** Least distance of a target from the edge of the floor, m. */
const ROOM_M = 0.3;

/**
 * A usual pattern to begin with on a court: a ready layout round its middle, laid to its size, with feet
 * for every target and a drafted ladder. To be changed in the studio.
 * @param about its name, its sport, the court, and the hand it is played with
 * @example firstPattern({ name: 'First steps', sport: 'squash', court: 'squash', hand: 'left' }).legs.length // 6
 */
export function firstPattern({
  name,
  sport,
  court,
  hand,
}: {
  readonly name: string;
  readonly sport: string;
  readonly court: CourtName;
  readonly hand: Side;
}): Pattern {
  const sizeM = hasOwnSize(court)
    ? { widthM: COURTS[court].widthM, lengthM: COURTS[court].lengthM }
    : null;
  const { widthM, lengthM } = courtOf(court, sizeM);
  const layout = LAYOUT_OF[court] ?? 'star';
  const across = layout === 'lane' ? Infinity : widthM;
  const distanceM = Math.min(MOST_M, Math.min(across, lengthM) / 2 - ROOM_M);
  const blank = blankPattern(name);
  const laidOut = withTargets(
    { ...blank, sport, court, sizeM, home: { ...blank.home, onCourt: { x: 0, y: lengthM / 2 } } },
    layoutTargets(layout, distanceM),
  );
  const laid = laidOut.targets.reduce(
    (now, target) => withLeg(now, layLeg(now, target, usualPlan(target))),
    laidOut,
  );
  const pattern = hand === 'left' ? mirrorPattern(laid) : laid;
  return { ...pattern, name, rungs: draftLadder(pattern) };
}
