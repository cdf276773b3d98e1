import type { CourtName } from '../floor/index.js';
import { layLeg, readyStance } from '../footwork/index.js';
import { targetOf, type Build, type Leg, type Pattern } from '../pattern/index.js';
import { usualLengths } from './body.js';
import { measuredReach, type Held, type KnownReach } from './held.js';

/** Where a length of a build comes from. */
export const BUILD_SOURCES = ['measured', 'from height', 'pattern'] as const;
export type BuildSource = (typeof BUILD_SOURCES)[number];

/** What is known of a body that feet are laid by, m. */
export interface KnownBody extends KnownReach {
  readonly heightM?: number | null;
  readonly shoulderM?: number | null;
}

/** A build with where each of its lengths comes from. */
export interface OwnBuild {
  readonly build: Build;
  readonly from: Readonly<Record<'shoulderM' | 'strideM' | 'reachM', BuildSource>>;
  /** With what the reach was measured; `null` for whatever they hold, and where it was not. */
  readonly held: Held | null;
}

/** A pattern's own stride is taken to be that of somebody so tall, m. */
const USUAL_HEIGHT_M = 1.7;

/**
 * A pattern's build with what is known of an athlete in its place: measured lengths first, then usual
 * ones for the height. A stride grows with the height. Reach counts only where the pattern's markers are
 * contact points, that is where its own reach is not 0.
 */
export function ownBuild(
  { heightM = null, shoulderM = null, ...reaching }: KnownBody,
  { court, laidFor: of }: Pick<Pattern, 'court' | 'laidFor'>,
): OwnBuild {
  const { reachM, held } = measuredReach(reaching, court);
  const usual = heightM === null ? null : usualLengths(heightM);
  const reaches = of.reachM > 0;
  const source = (measured: number | null): BuildSource =>
    measured !== null ? 'measured' : usual ? 'from height' : 'pattern';
  return {
    build: {
      ...of,
      shoulderM: shoulderM ?? usual?.shoulderM ?? of.shoulderM,
      strideM: heightM === null ? of.strideM : (of.strideM * heightM) / USUAL_HEIGHT_M,
      reachM: reaches ? (reachM ?? usual?.armM ?? of.reachM) : 0,
    },
    from: {
      shoulderM: source(shoulderM),
      strideM: heightM === null ? 'pattern' : 'from height',
      reachM: reaches ? source(reachM) : 'pattern',
    },
    held: reaches ? held : null,
  };
}

/** How far from where they stand an athlete takes what comes, m, and where that is from. */
export interface OwnReach {
  readonly reachM: number;
  /** In the drill: 0 where a pattern's markers are where the foot goes. */
  readonly drillReachM: number;
  readonly from: BuildSource;
  /** With what it was measured; `null` for whatever they hold, and where it was not. */
  readonly held: Held | null;
}

/**
 * An athlete's reach on a pattern: measured with what is held there, else with whatever they hold, else
 * an arm of their height, else the pattern's own.
 */
export function ownReach(
  { heightM = null, ...reaching }: KnownBody,
  { court, laidFor: of }: { readonly court: CourtName; readonly laidFor: Pick<Build, 'reachM'> },
): OwnReach {
  const { reachM, held } = measuredReach(reaching, court);
  const armM = heightM === null ? null : usualLengths(heightM).armM;
  const own = reachM ?? armM ?? of.reachM;
  return {
    reachM: own,
    drillReachM: of.reachM > 0 ? own : 0,
    from: reachM !== null ? 'measured' : armM !== null ? 'from height' : 'pattern',
    held,
  };
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A pattern with its feet laid for another build. Legs that a coach changed by hand stay as they are:
 * what they wrote is worth more than a length.
 */
export function laidFor<Laid extends Pattern>(pattern: Laid, build: Build): Laid {
  const { stance: before, laidFor: of } = pattern;
  const stance = same(before, readyStance(of.shoulderM)) ? readyStance(build.shoulderM) : before;
  const floor = { ...pattern, stance, laidFor: build };
  const relaid = (leg: Leg): Leg => {
    const target = targetOf(pattern, leg.target);
    if (!target || !same(layLeg(pattern, target, leg, leg).placements, leg.placements)) return leg;
    return layLeg(floor, target, leg, leg);
  };
  return { ...floor, legs: pattern.legs.map(relaid) };
}
