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

/** The same test on first and last days: same rung, same cues, as many reps. */
export interface StandardTest {
  readonly rung: number;
  readonly reps: number;
  readonly seed: number;
}

/** How a pattern's ladder is climbed. Its rungs are the pattern's own. */
export interface LadderSettings {
  readonly rule: Rule;
  /** What was raised first when the rungs were drafted. */
  readonly axis: AxisOrder;
  readonly school: SchoolName;
  readonly effort: EffortName;
  readonly test: StandardTest | null;
  /** Nobody moves up without somebody's word, which is kept. */
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

/** The settings, or which of them does not fit a ladder of so many rungs. */
export function checkLadder(settings: LadderSettings, rungs: number): Result<LadderSettings> {
  const rule = checkRule(settings.rule);
  if (!rule.ok)
    return wrong(`rule.${rule.problem.field}`, rule.problem.given, rule.problem.allowed);
  const { test } = settings;
  if (test && !(Number.isInteger(test.rung) && test.rung >= 1 && test.rung <= rungs))
    return wrong('test.rung', test.rung, `1 to ${rungs}`);
  return ok(settings);
}

/** Limits of one athlete's own on one rung: they stand in for the rung's, gate by gate. */
export interface OwnLimits {
  readonly rung: number;
  readonly limitsMs: LimitsMs;
  readonly limitSources: LimitSources;
  /** Of single targets, for gates that have a limit here. */
  readonly targetLimits?: readonly TargetLimit[];
}

/** The rungs as they are asked of an athlete with limits of their own. */
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

/** A limit of a duration with where it comes from. */
export interface SourcedLimit {
  readonly ms: number;
  readonly source: LimitSource;
}

type Limits = Pick<Rung, 'limitsMs' | 'limitSources' | 'targetLimits'>;

/** Limits with one of them set, or taken away with those of single targets for it. */
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

/** An athlete's own limits with one of a rung set, or given back to the rung; in the order of rungs. */
export function withOwnLimit(
  own: readonly OwnLimits[],
  rung: number,
  gate: GatedDuration,
  limit: SourcedLimit | null,
  targets: readonly TargetLimit[] = [],
): OwnLimits[] {
  const before = own.find((each) => each.rung === rung);
  const set = withLimit(before ?? { rung, limitsMs: {}, limitSources: {} }, gate, limit);
  // What was settled target by target before goes with the limit that it stood for.
  const others = (set.targetLimits ?? []).filter((each) => each.gate !== gate);
  const all = [...others, ...targets];
  const { targetLimits, ...rest } = set;
  const changed = all.length > 0 ? { ...rest, targetLimits: all } : rest;
  return [...own.filter((each) => each.rung !== rung), changed]
    .filter(({ limitsMs }) => Object.keys(limitsMs).length > 0)
    .sort((a, b) => a.rung - b.rung);
}

/** A rung and the floor it is run on. */
export interface Asked {
  readonly rung: Rung;
  readonly pattern: Pick<Pattern, 'targets' | 'home'>;
}

/**
 * All that a rung asks of an athlete, as a text to be held against that of another rung: the same of two that ask
 * the same, whatever they are called and wherever their limits come from.
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

/** Whether two rungs ask the same of an athlete: only then does what was shown on the one count on the other. */
export const asksTheSame = (a: Asked, b: Asked): boolean => whatIsAsked(a) === whatIsAsked(b);

/** How much an order gives away; what a person calls, or chance does, counts as shuffled. */
const openness = (order: CueOrder): number =>
  (RUNG_ORDERS as readonly CueOrder[]).includes(order)
    ? RUNG_ORDERS.indexOf(order as RungOrder)
    : RUNG_ORDERS.indexOf('shuffled');

/** Whether a set was cued as openly as its rung asks: an order that gives more away shows nothing. */
export const isCuedAsAsked = (order: CueOrder, rung: Pick<Rung, 'order'>): boolean =>
  openness(order) >= openness(rung.order);
