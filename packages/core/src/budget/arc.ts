import { ok, wrong, type Result } from '../result/index.js';
import { dragPerMetre } from './flight.js';
import { AIR_DENSITY, type Projectile } from './projectile.js';

/** What flies, how it leaves, and how far it has to come, in the vertical plane along its way. */
export interface ArcPlan {
  readonly projectile: Projectile;
  /** m/s. */
  readonly launchSpeed: number;
  /** Above level; below 0 it leaves downwards. */
  readonly launchAngleDeg: number;
  /** Above the floor, m. */
  readonly launchHeightM: number;
  /** Along the floor, from contact to contact, m. */
  readonly distanceM: number;
  /** Share of its speed along the floor, and of its speed upwards, that a bounce keeps. */
  readonly alongKept: number;
  readonly upKept: number;
  /** A wall on its way, and the share of speed along the floor that is kept there. */
  readonly wall: { readonly atM: number; readonly speedKept: number } | null;
  /** kg/m³; 1.2 when absent. */
  readonly airDensity?: number;
}

/** A bounce on the floor: when, s, and how far along, m. */
export interface FloorBounce {
  readonly timeS: number;
  readonly atM: number;
}

/** A flight in the vertical plane to the end of its way. */
export interface Arc {
  readonly timeS: number;
  /** Above the floor at the end, m. */
  readonly heightM: number;
  /** At the end, m/s. */
  readonly speed: number;
  /** Of the whole way, m. */
  readonly highestM: number;
  readonly bounces: readonly FloorBounce[];
}

/** Standard gravity, m/s². */
const GRAVITY = 9.80665;
/** A fourth-order step this long is off by less than a hundred-thousandth of the way, s. */
const STEP_S = 0.005;
const LONGEST_S = 12;
/** After more bounces than these it rolls, and nobody waits for it. */
export const MOST_BOUNCES = 6;
const HALVINGS = 40;

interface State {
  readonly x: number;
  readonly y: number;
  readonly along: number;
  readonly up: number;
}

/** As it leaves. */
function launched({ launchSpeed, launchAngleDeg, launchHeightM }: ArcPlan): State {
  const angle = (launchAngleDeg * Math.PI) / 180;
  return {
    ...{ x: 0, y: launchHeightM },
    ...{ along: launchSpeed * Math.cos(angle), up: launchSpeed * Math.sin(angle) },
  };
}

/** One Runge–Kutta step of the fourth order under gravity and drag by the square of speed. */
function stepped({ x, y, along, up }: State, k: number, h: number): State {
  const slowing = (u: number, v: number): readonly [number, number] => {
    const drag = k * Math.hypot(u, v);
    return [-drag * u, -GRAVITY - drag * v];
  };
  const [a1, b1] = slowing(along, up);
  const [u2, v2] = [along + (h / 2) * a1, up + (h / 2) * b1];
  const [a2, b2] = slowing(u2, v2);
  const [u3, v3] = [along + (h / 2) * a2, up + (h / 2) * b2];
  const [a3, b3] = slowing(u3, v3);
  const [u4, v4] = [along + h * a3, up + h * b3];
  const [a4, b4] = slowing(u4, v4);
  return {
    x: x + (h / 6) * (along + 2 * u2 + 2 * u3 + u4),
    y: y + (h / 6) * (up + 2 * v2 + 2 * v3 + v4),
    along: along + (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4),
    up: up + (h / 6) * (b1 + 2 * b2 + 2 * b3 + b4),
  };
}

/** How long a part of a step lasts until something has come about in it; bisection. */
function partUntil(from: State, k: number, isThere: (state: State) => boolean): number {
  let [before, after] = [0, STEP_S];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (before + after) / 2;
    if (isThere(stepped(from, k, middle))) after = middle;
    else before = middle;
  }
  return after;
}

interface Moment extends State {
  readonly timeS: number;
}

/** What happens next within a step: which, and after how much of it. */
function nextEvent(
  from: State,
  to: State,
  k: number,
  wallM: number | null,
  endM: number,
): { readonly kind: 'end' | 'wall' | 'floor'; readonly partS: number } | null {
  const reaching = (m: number) => (state: State) => state.x >= m;
  const found = [
    ...(to.x >= endM ? [{ kind: 'end' as const, partS: partUntil(from, k, reaching(endM)) }] : []),
    ...(wallM !== null && to.x >= wallM
      ? [{ kind: 'wall' as const, partS: partUntil(from, k, reaching(wallM)) }]
      : []),
    ...(to.y < 0 && to.up < 0
      ? [{ kind: 'floor' as const, partS: partUntil(from, k, ({ y, up }) => y < 0 && up < 0) }]
      : []),
  ];
  return found.sort((a, b) => a.partS - b.partS)[0] ?? null;
}

interface Flown {
  readonly moments: readonly Moment[];
  readonly bounces: readonly FloorBounce[];
  readonly highestM: number;
}

/** Follows it to the end of its way; `null` when it does not come so far. */
function flown(plan: ArcPlan): Flown | null {
  const { projectile, distanceM } = plan;
  const k = dragPerMetre(projectile, plan.airDensity ?? AIR_DENSITY);
  let now: Moment = { timeS: 0, ...launched(plan) };
  let wallM = plan.wall?.atM ?? null;
  let highestM = now.y;
  const moments = [now];
  const bounces: FloorBounce[] = [];
  while (now.timeS < LONGEST_S && bounces.length <= MOST_BOUNCES) {
    const whole = stepped(now, k, STEP_S);
    const event = nextEvent(now, whole, k, wallM, distanceM);
    const partS = event?.partS ?? STEP_S;
    const next = event ? stepped(now, k, partS) : whole;
    if (now.up > 0 && next.up <= 0) {
      const top = stepped(
        now,
        k,
        partUntil(now, k, (state) => state.up <= 0),
      );
      highestM = Math.max(highestM, top.y);
    }
    let { along, up } = next;
    if (event?.kind === 'wall') {
      along *= plan.wall?.speedKept ?? 1;
      wallM = null;
    }
    if (event?.kind === 'floor') {
      along *= plan.alongKept;
      up *= -plan.upKept;
      bounces.push({ timeS: now.timeS + partS, atM: next.x });
    }
    const isFloor = event?.kind === 'floor';
    now = { timeS: now.timeS + partS, x: next.x, y: isFloor ? 0 : next.y, along, up };
    moments.push(now);
    highestM = Math.max(highestM, now.y);
    if (event?.kind === 'end') return { moments, bounces, highestM };
  }
  return null;
}

const NUMBERS = [
  ['launchSpeed', 'm/s'],
  ['distanceM', 'm'],
] as const;

/** The first figure that cannot be so, or `null`. */
export function arcProblem(plan: Omit<ArcPlan, 'launchAngleDeg'>): Result<never> | null {
  for (const [field, unit] of NUMBERS)
    if (!(plan[field] > 0 && Number.isFinite(plan[field])))
      return wrong(field, plan[field], `more than 0 ${unit}`);
  if (!(plan.launchHeightM >= 0 && Number.isFinite(plan.launchHeightM)))
    return wrong('launchHeightM', plan.launchHeightM, '0 m or more');
  for (const field of ['massKg', 'diameterM', 'dragCoefficient'] as const)
    if (!(plan.projectile[field] > 0)) return wrong(field, plan.projectile[field], 'more than 0');
  for (const field of ['alongKept', 'upKept'] as const)
    if (!(plan[field] > 0 && plan[field] <= 1))
      return wrong(field, plan[field], 'more than 0, at most 1');
  return null;
}

/**
 * A flight in the vertical plane with gravity, drag by the square of speed, and bounces that keep a
 * share of the speed along and a share of the speed up. Spin is left out. Integrated numerically
 * (Runge–Kutta, fourth order). A problem says what cannot be, or that it does not come so far.
 *
 * @example
 * const plan = { projectile: PROJECTILES[0], launchSpeed: 20, launchAngleDeg: 10, launchHeightM: 1,
 *   distanceM: 8, alongKept: 0.7, upKept: 0.5, wall: null };
 * arcOf(plan).value.timeS > 0.4; // true
 */
export function arcOf(plan: ArcPlan): Result<Arc> {
  const problem = arcProblem(plan);
  if (problem) return problem;
  if (!(Math.abs(plan.launchAngleDeg) < 90))
    return wrong('launchAngleDeg', plan.launchAngleDeg, 'between -90 and 90');
  const found = flown(plan);
  const end = found?.moments.at(-1);
  if (!found || !end) return wrong('distanceM', plan.distanceM, 'no farther than it comes');
  return ok({
    ...{ timeS: end.timeS, heightM: end.y, speed: Math.hypot(end.along, end.up) },
    ...{ highestM: found.highestM, bounces: found.bounces },
  });
}

/**
 * Whether it passes over a height at the end of its way, were there no floor to bounce off. Once it
 * falls under that height it never comes over it again, so it need not be followed further.
 */
export function passesOver(plan: ArcPlan, heightM: number): boolean {
  const k = dragPerMetre(plan.projectile, plan.airDensity ?? AIR_DENSITY);
  const endM = plan.distanceM;
  let wallM = plan.wall?.atM ?? null;
  let now = launched(plan);
  for (let timeS = 0; timeS < LONGEST_S; timeS += STEP_S) {
    if (now.up < 0 && now.y < heightM) return false;
    const next = stepped(now, k, STEP_S);
    if (wallM !== null && next.x >= wallM) {
      const at = wallM;
      const atWall = stepped(
        now,
        k,
        partUntil(now, k, ({ x }) => x >= at),
      );
      now = { ...atWall, along: atWall.along * (plan.wall?.speedKept ?? 1) };
      wallM = null;
      continue;
    }
    if (next.x >= endM) {
      const partS = partUntil(now, k, ({ x }) => x >= endM);
      return stepped(now, k, partS).y >= heightM;
    }
    now = next;
  }
  return false;
}

/** A place on an arc: how far along, and how high, m. */
export interface ArcPlace {
  readonly atM: number;
  readonly heightM: number;
}

/** The whole arc as a line to draw, and where it is every so many seconds; empty when it does not come so far. */
export function arcPlaces(
  plan: ArcPlan,
  everyS: number,
): { readonly line: readonly ArcPlace[]; readonly each: readonly ArcPlace[] } {
  const moments = arcProblem(plan) ? [] : (flown(plan)?.moments ?? []);
  const place = ({ x, y }: State): ArcPlace => ({ atM: x, heightM: y });
  const k = dragPerMetre(plan.projectile, plan.airDensity ?? AIR_DENSITY);
  const endS = moments.at(-1)?.timeS ?? 0;
  const each = Array.from({ length: Math.ceil(endS / everyS - 1e-9) - 1 }, (_, i) => {
    const atS = (i + 1) * everyS;
    const from = moments.findLast(({ timeS }) => timeS <= atS);
    return from ? [place(stepped(from, k, atS - from.timeS))] : [];
  }).flat();
  return { line: moments.map(place), each };
}
