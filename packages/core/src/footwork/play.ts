import { along, turn, type Side } from '../floor/index.js';
import {
  arrivalMs,
  homeMs,
  type FootPlace,
  type Leg,
  type Pattern,
  type Placement,
} from '../pattern/index.js';

/** Duration of a split-step in the air, ms. */
const SPLIT_AIR_MS = 150;
/** Share of the time since its last landing that a foot is in the air, up to a maximum. */
const SWING_SHARE = 0.6;
const MOST_SWING_MS = 280;
/** Still time shown before and after a leg, ms. */
const LEAD_IN_MS = 350;
const SETTLE_MS = 250;

/** A span of time. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** The time span of playing a leg. */
export function playSpan(leg: Leg): Span {
  const [first = 0, last = 0] = [leg.placements[0]?.atMs, leg.placements.at(-1)?.atMs];
  return {
    fromMs: Math.min(0, first) - LEAD_IN_MS,
    toMs: Math.max(last, leg.departureMs) + SETTLE_MS,
  };
}

/** When a foot leaves the floor before it lands; `landedMs` is its previous landing. */
function liftsAt(landing: Placement, landedMs: number): number {
  if (landing.phase === 'split') return landing.atMs - SPLIT_AIR_MS;
  return landing.atMs - Math.min(MOST_SWING_MS, SWING_SHARE * (landing.atMs - landedMs));
}

/** A foot's stay on the floor. */
export interface Contact extends Span {
  readonly foot: Side;
  /** Index of the placement. */
  readonly index: number;
}

/** How long each placement stays on the floor: the blocks of the step score. */
export function contactsOf(leg: Leg): Contact[] {
  const end = playSpan(leg).toMs;
  return leg.placements.map(({ foot, atMs }, index) => {
    const next = leg.placements.find((later, i) => i > index && later.foot === foot);
    return { foot, index, fromMs: atMs, toMs: next ? Math.max(atMs, liftsAt(next, atMs)) : end };
  });
}

/** A foot at a moment: its place, and the height of its swing. */
export interface MovingFoot extends FootPlace {
  /** Height of its swing, 0 on the floor to 1 at the top. */
  readonly lift: number;
}

const smooth = (share: number): number => share * share * (3 - 2 * share);

function footAt(
  stance: FootPlace,
  landings: readonly Placement[],
  ms: number,
  startMs: number,
): MovingFoot {
  const nextAt = landings.findIndex(({ atMs }) => atMs > ms);
  const next = landings[nextAt];
  const last = nextAt < 0 ? landings.at(-1) : landings[nextAt - 1];
  const stands = last ?? stance;
  if (!next) return { ...place(stands), lift: 0 };
  const lifts = liftsAt(next, last?.atMs ?? startMs);
  if (ms <= lifts) return { ...place(stands), lift: 0 };
  const share = smooth((ms - lifts) / (next.atMs - lifts));
  return {
    at: along(stands.at, next.at, share),
    headingDeg: stands.headingDeg + share * turn(stands.headingDeg, next.headingDeg),
    lift: Math.sin(Math.PI * share),
  };
}

const place = ({ at, headingDeg }: FootPlace): FootPlace => ({ at, headingDeg });

/** Both feet at a moment of the pattern's clock. */
export function feetAt(
  { stance }: Pick<Pattern, 'stance'>,
  leg: Leg,
  ms: number,
): Readonly<Record<Side, MovingFoot>> {
  const { fromMs } = playSpan(leg);
  const of = (side: Side) =>
    footAt(
      stance[side],
      leg.placements.filter(({ foot }) => foot === side),
      ms,
      fromMs,
    );
  return { left: of('left'), right: of('right') };
}

/** A phase's time span, as on the ribbon. */
export interface PhaseSpan extends Span {
  readonly phase:
    'stance' | 'split' | 'reaction' | 'travel' | 'load' | 'action' | 'recovery' | 'ready margin';
}

/** A leg's phases in time, without empty ones. */
export function phaseSpans(leg: Leg): PhaseSpan[] {
  const { fromMs, toMs } = playSpan(leg);
  const landed = leg.placements.findLast(({ phase }) => phase === 'split')?.atMs ?? 0;
  const arrival = arrivalMs(leg) ?? leg.firstMoveMs;
  const edges = [
    ['stance', fromMs],
    ['split', landed - SPLIT_AIR_MS],
    ['reaction', landed],
    ['travel', leg.firstMoveMs],
    ['load', arrival],
    ['action', leg.actionMs],
    ['recovery', leg.departureMs],
    ['ready margin', homeMs(leg) ?? toMs],
  ] as const;
  return edges
    .map(([phase, from], i) => ({ phase, fromMs: from, toMs: edges[i + 1]?.[1] ?? toMs }))
    .filter((span) => span.toMs > span.fromMs);
}
