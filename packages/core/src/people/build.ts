import type { CourtName } from '../floor/index.js';
import { layLeg, readyStance } from '../footwork/index.js';
import { targetOf, type Build, type Leg, type Pattern } from '../pattern/index.js';
import { usualLengths } from './body.js';
import { measuredReach, type Held, type KnownReach } from './held.js';

/** Where a length comes from. */
export const BUILD_SOURCES = ['measured', 'from height', 'pattern'] as const;
export type BuildSource = (typeof BUILD_SOURCES)[number];

/** An athlete's known lengths, m. */
export interface KnownBody extends KnownReach {
  readonly heightM?: number | null;
  readonly shoulderM?: number | null;
}

/** A build, with the source of each length. */
export interface OwnBuild {
  readonly build: Build;
  readonly from: Readonly<Record<'shoulderM' | 'strideM' | 'reachM', BuildSource>>;
  /** What the reach was measured with; `null` if with anything held, or not measured. */
  readonly held: Held | null;
}

/** The height that a pattern's own stride is for, m. */
const USUAL_HEIGHT_M = 1.7;

/**
 * A pattern's build with an athlete's lengths: measured ones first, then estimates from the height. Stride is
 * proportional to height. Reach only counts if the pattern's markers are contact points, that is, if its own reach is
 * not 0.
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

/** How far from the body an athlete meets what comes, m, and where that is known from. */
export interface OwnReach {
  readonly reachM: number;
  /** In the drill: 0 if the markers are where the foot goes. */
  readonly drillReachM: number;
  readonly from: BuildSource;
  /** What it was measured with; `null` if with anything held, or not measured. */
  readonly held: Held | null;
}

/**
 * An athlete's reach on a pattern: measured with what is held there, or with anything held, or estimated from height,
 * or the pattern's own.
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

/** A pattern laid for another build. Legs changed by hand stay as they are. */
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
