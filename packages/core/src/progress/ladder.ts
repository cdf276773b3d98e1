import type { CueOrder } from '../cue/index.js';
import {
  limitsAt,
  RUNG_ORDERS,
  TARGETED_DURATIONS,
  targetOf,
  withLimits,
  withTargetLimits,
  type GatedDuration,
  type LimitSource,
  type LimitsMs,
  type LimitSources,
  type Pattern,
  type Rung,
  type RungOrder,
  type TargetLimit,
} from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import type { AxisOrder } from './draft.js';
import { USUAL_COUNT_RULE } from './count-rule.js';
import { checkRule, type Rule } from './rule.js';
import type { EffortName, SchoolName } from './school.js';

/** The standard test for first and last days: same rung, cues and number of reps. */
export interface StandardTest {
  readonly rung: number;
  readonly reps: number;
  readonly seed: number;
}

/** Settings of a pattern's ladder. Its rungs belong to the pattern. */
export interface LadderSettings {
  readonly rule: Rule;
  /** What was raised first when the rungs were drafted. */
  readonly axis: AxisOrder;
  readonly school: SchoolName;
  readonly effort: EffortName;
  readonly test: StandardTest | null;
  /** Moves up need somebody's approval, which is recorded. */
  readonly onWord?: boolean;
}

/** The settings of a new ladder. */
export const USUAL_LADDER: LadderSettings = {
  rule: USUAL_COUNT_RULE,
  axis: 'alternate',
  school: 'pattern first',
  effort: 'quality',
  test: null,
};

/** The settings, or the one that does not fit a ladder with so many rungs. */
export function checkLadder(settings: LadderSettings, rungs: number): Result<LadderSettings> {
  const rule = checkRule(settings.rule);
  if (!rule.ok)
    return wrong(`rule.${rule.problem.field}`, rule.problem.given, rule.problem.allowed);
  const { test } = settings;
  if (test && !(Number.isInteger(test.rung) && test.rung >= 1 && test.rung <= rungs))
    return wrong('test.rung', test.rung, `1 to ${rungs}`);
  return ok(settings);
}

/** An athlete's own limits on a rung, which replace the rung's. */
export interface OwnLimits {
  readonly rung: number;
  readonly limitsMs: LimitsMs;
  readonly limitSources: LimitSources;
  /** Own target limits, for durations limited here. */
  readonly targetLimits?: readonly TargetLimit[];
}

/** A pattern's rungs with an athlete's own limits. */
export const withOwnLimits = (rungs: readonly Rung[], own: readonly OwnLimits[]): Rung[] =>
  rungs.map((rung) => {
    const limits = own.find((each) => each.rung === rung.number);
    if (!limits) return rung;
    const asked = {
      ...withLimits(rung, { ...rung.limitsMs, ...limits.limitsMs }),
      limitSources: { ...rung.limitSources, ...limits.limitSources },
    };
    return TARGETED_DURATIONS.reduce((with_, gate) => {
      const own = (limits.targetLimits ?? []).filter((each) => each.gate === gate);
      return own.length > 0 ? withTargetLimits(with_, gate, own) : with_;
    }, asked);
  });

/** A limit with its source. */
export interface SourcedLimit {
  readonly ms: number;
  readonly source: LimitSource;
}

type Limits = Pick<Rung, 'limitsMs' | 'limitSources' | 'targetLimits'>;

/** Sets a duration's limit, or removes it together with its target limits. */
export function withLimit<Limited extends Limits>(
  limits: Limited,
  gate: GatedDuration,
  limit: SourcedLimit | null,
): Limited {
  const { [gate]: _ms, ...limitsMs } = limits.limitsMs;
  const { [gate]: _source, ...limitSources } = limits.limitSources;
  return limit
    ? {
        ...limits,
        limitsMs: { ...limitsMs, [gate]: limit.ms },
        limitSources: { ...limitSources, [gate]: limit.source },
      }
    : {
        ...limits,
        ...{ limitsMs, limitSources },
        ...(limits.targetLimits && {
          targetLimits: limits.targetLimits.filter((own) => own.gate !== gate),
        }),
      };
}

/** Sets one of an athlete's own limits, or removes it so that the rung's applies again; sorted by rung. */
export function withOwnLimit(
  own: readonly OwnLimits[],
  rung: number,
  gate: GatedDuration,
  limit: SourcedLimit | null,
  targets: readonly TargetLimit[] = [],
): OwnLimits[] {
  const before = own.find((each) => each.rung === rung);
  const set = withLimit(before ?? { rung, limitsMs: {}, limitSources: {} }, gate, limit);
  // Target limits depend on the limit they were set with.
  const others = (set.targetLimits ?? []).filter((each) => each.gate !== gate);
  const all = [...others, ...targets];
  const { targetLimits, ...rest } = set;
  const changed = all.length > 0 ? { ...rest, targetLimits: all } : rest;
  return [...own.filter((each) => each.rung !== rung), changed]
    .filter(({ limitsMs }) => Object.keys(limitsMs).length > 0)
    .sort((a, b) => a.rung - b.rung);
}

/** A rung on a pattern's floor. */
export interface Asked {
  readonly rung: Rung;
  readonly pattern: Pick<Pattern, 'targets' | 'home'>;
}

/**
 * Everything a rung asks of an athlete, as a text that is equal for rungs that ask the same, whatever their names and
 * limits' sources.
 */
export const whatIsAsked = ({ rung, pattern }: Asked): string =>
  JSON.stringify([
    pattern.home.radiusM,
    [...rung.targets].sort().map((letter) => [letter, targetOf(pattern, letter)?.at]),
    ...[rung.order, rung.catchShare, rung.switchShare, rung.doing, rung.pressure],
    rung.floorScale,
    [...rung.targets].sort().map((letter) => limitsAt(rung, letter)),
    ...[rung.passShare, rung.falseStartShare, rung.cleanShare, rung.heldShare],
    ...[rung.mostSpread, rung.minValidReps],
    (rung.coachLimits ?? [])
      .map(({ event, from, limitMs }) => `${event} ${from} ${limitMs}`)
      .sort(),
  ]);

/** Whether two rungs ask the same, so that sets on one are evidence for the other. */
export const asksTheSame = (a: Asked, b: Asked): boolean => whatIsAsked(a) === whatIsAsked(b);

/** How unpredictable an order is, as its rank; live calling and random orders count as shuffled. */
const openness = (order: CueOrder): number =>
  (RUNG_ORDERS as readonly CueOrder[]).includes(order)
    ? RUNG_ORDERS.indexOf(order as RungOrder)
    : RUNG_ORDERS.indexOf('shuffled');

/** Whether a set's order was at least as unpredictable as its rung asks. */
export const isCuedAsAsked = (order: CueOrder, rung: Pick<Rung, 'order'>): boolean =>
  openness(order) >= openness(rung.order);
