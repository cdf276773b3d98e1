/** The durations a rung may set a limit for. */
export const GATED_DURATIONS = ['reaction', 'response', 'recovery', 'cycle'] as const;
export type GatedDuration = (typeof GATED_DURATIONS)[number];

/** Cue orders of a rung, most predictable first. */
export const RUNG_ORDERS = ['known', 'blocked', 'shuffled', 'chained'] as const;
export type RungOrder = (typeof RUNG_ORDERS)[number];

/** What is done at the target, easiest first. */
export const DOINGS = ['feet only', 'throw', 'implement', 'fed', 'live'] as const;
export type Doing = (typeof DOINGS)[number];

/** Opposition, least first. */
export const PRESSURES = ['none', 'hampered opponent', 'one opponent', 'two opponents'] as const;
export type Pressure = (typeof PRESSURES)[number];

/** The statistics of an athlete's own times that a limit can be based on. */
export const RECORD_KINDS = ['best quartile', 'median'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

/** What a calculated limit was calculated from. */
export const RECKONINGS = ['reaction to one', 'reaction to a choice', 'way home'] as const;
export type Reckoning = (typeof RECKONINGS)[number];

/** Where a limit comes from; stored and shown with it. */
export type LimitSource =
  | { readonly kind: 'coach' }
  /**
   * A model's time for the pattern, times a factor. `how` is a {@link Reckoning} or the coach's own text; a reaction
   * to a choice also has the number of targets and the cost of a bit, ms.
   */
  | {
      readonly kind: 'reckoned';
      readonly reckonedMs: number;
      readonly factor: number;
      readonly how: string;
      readonly choices?: number | undefined;
      readonly msPerBit?: number | undefined;
    }
  /** The time a flight leaves, times a demand factor; `flight` describes it. */
  | {
      readonly kind: 'budget';
      readonly budgetMs: number;
      readonly factor: number;
      readonly flight: string;
    }
  /** The athlete's own times, times a factor; from `n` reps. */
  | {
      readonly kind: 'record';
      readonly of: RecordKind;
      readonly recordMs: number;
      readonly factor: number;
      readonly n: number;
    }
  /** The athlete's own reaction and travel line for a target, times a factor; from `n` timed reps. */
  | {
      readonly kind: 'own line';
      readonly lineMs: number;
      readonly factor: number;
      readonly n: number;
    };

/** The kinds of source, as stored. */
export const LIMIT_SOURCES = [
  'coach',
  'reckoned',
  'budget',
  'record',
  'own line',
] as const satisfies LimitSource['kind'][];

/** Limits, ms. A duration without a limit is not judged. */
export type LimitsMs = Readonly<Partial<Record<GatedDuration, number>>>;
/** The source of each limit. */
export type LimitSources = Readonly<Partial<Record<GatedDuration, LimitSource>>>;

/** Durations that depend on distance, so that each target may have its own limit. */
export const TARGETED_DURATIONS = ['response', 'recovery'] as const;
export type TargetedDuration = (typeof TARGETED_DURATIONS)[number];

/** A target's limit, which replaces the rung's. */
export interface TargetLimit {
  readonly gate: TargetedDuration;
  /** The target's letter. */
  readonly target: string;
  readonly limitMs: number;
  readonly source: LimitSource;
}

/** Reference events for limits of the coach's own events. */
export const EVENT_ANCHORS = ['cue', 'arrival'] as const;
export type EventAnchor = (typeof EVENT_ANCHORS)[number];

/** A limit for an event of the coach's own, such as "prepared" at least 0.1 s before arrival. */
export interface CoachLimit {
  /** The event's name. */
  readonly event: string;
  readonly from: EventAnchor;
  /** Milliseconds after the reference event; negative is before. */
  readonly limitMs: number;
}

/** Most such limits of a rung. */
export const MOST_COACH_LIMITS = 4;

/** A rung: what it asks, and what must be shown before the next one. */
export interface Rung {
  readonly number: number;
  readonly name: string;
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
  readonly order: RungOrder;
  /** Shares of the reps, 0–1. */
  readonly catchShare: number;
  readonly switchShare: number;
  /** Time allowed relative to a match: 1.3 is easier, 1 as in a match, 0.95 harder. */
  readonly timeFactor: number;
  readonly doing: Doing;
  readonly pressure: Pressure;
  /** Distances from home relative to the pattern's. */
  readonly floorScale: number;
  readonly limitsMs: LimitsMs;
  readonly limitSources: LimitSources;
  /** Limits that hold for one target; of targets without one the rung's holds. */
  readonly targetLimits?: readonly TargetLimit[];
  /** Limits of events of the coach's own. */
  readonly coachLimits?: readonly CoachLimit[];
  /** Least share of valid reps that must pass every limit, 0–1. */
  readonly passShare: number;
  /** Largest allowed share of false starts among the cued reps, 0–1. */
  readonly falseStartShare: number;
  /** Least share of cued reps without a fault that was watched for, 0–1. */
  readonly cleanShare: number;
  /** Least share of catch trials in which the athlete stayed, 0–1; only applies if there are any. */
  readonly heldShare: number;
  /** Largest interquartile range of the cycle as a share of its median; `null`: no limit. */
  readonly mostSpread: number | null;
  /** With fewer valid reps a set decides nothing. */
  readonly minValidReps: number;
}

/** Defaults of a rung. */
export const USUAL_RUNG = {
  order: 'shuffled',
  catchShare: 0,
  switchShare: 0,
  timeFactor: 1,
  doing: 'feet only',
  pressure: 'none',
  floorScale: 1,
  limitSources: {},
  passShare: 0.8,
  falseStartShare: 0.1,
  cleanShare: 0.8,
  heldShare: 0.8,
  mostSpread: null,
  minValidReps: 8,
} as const satisfies Partial<Rung>;

/**
 * A rung's limit for a duration at a target, ms: the target's own, or else the rung's; `undefined` if the rung does
 * not limit the duration.
 */
export function limitAt(
  { limitsMs, targetLimits = [] }: Pick<Rung, 'limitsMs' | 'targetLimits'>,
  gate: GatedDuration,
  target: string,
): number | undefined {
  const limitMs = limitsMs[gate];
  if (limitMs === undefined) return undefined;
  return targetLimits.find((own) => own.gate === gate && own.target === target)?.limitMs ?? limitMs;
}

/** A rung's limits at a target, ms. */
export const limitsAt = (rung: Pick<Rung, 'limitsMs' | 'targetLimits'>, target: string): LimitsMs =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const limitMs = limitAt(rung, gate, target);
      return limitMs === undefined ? [] : [[gate, limitMs]];
    }),
  );

/** Least and largest limit among the targets in play, ms; `null` if they do not differ, or there is none. */
export function limitRange(
  rung: Pick<Rung, 'limitsMs' | 'targetLimits' | 'targets'>,
  gate: GatedDuration,
): readonly [number, number] | null {
  const limits = rung.targets.flatMap((target) => limitAt(rung, gate, target) ?? []);
  const [least, most] = [Math.min(...limits), Math.max(...limits)];
  return least < most ? [least, most] : null;
}

/** The limits that are the same for all targets in play, ms. */
export const limitsForAll = (rung: Pick<Rung, 'limitsMs' | 'targetLimits' | 'targets'>): LimitsMs =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const limitMs = limitAt(rung, gate, rung.targets[0] ?? '');
      return limitMs === undefined || limitRange(rung, gate) ? [] : [[gate, limitMs]];
    }),
  );

/** The rung with new target limits for one duration; an empty list removes them. */
export function withTargetLimits<Limited extends Pick<Rung, 'targetLimits'>>(
  rung: Limited,
  gate: TargetedDuration,
  own: readonly TargetLimit[],
): Limited {
  const others = (rung.targetLimits ?? []).filter((each) => each.gate !== gate);
  return { ...rung, targetLimits: [...others, ...own] };
}

/** The rung with new limits. Target limits of a duration are kept if its limit did not change. */
export function withLimits<Limited extends Pick<Rung, 'limitsMs' | 'targetLimits'>>(
  rung: Limited,
  limitsMs: LimitsMs,
): Limited {
  const targetLimits = (rung.targetLimits ?? []).filter(
    ({ gate }) => limitsMs[gate] === rung.limitsMs[gate],
  );
  return { ...rung, limitsMs, ...(rung.targetLimits && { targetLimits }) };
}

/** What a step up the ladder makes harder. */
export type Axis = 'speed' | 'complexity';

/** What the step between two rungs makes harder; both if a coach wrote it so. */
export function raisedBy(from: Rung, to: Rung): readonly Axis[] {
  const faster =
    to.timeFactor < from.timeFactor ||
    GATED_DURATIONS.some(
      (gate) =>
        from.timeFactor === to.timeFactor &&
        to.targets.some(
          (target) =>
            from.targets.includes(target) &&
            (limitAt(to, gate, target) ?? Infinity) < (limitAt(from, gate, target) ?? Infinity),
        ),
    );
  const sooner = (to.coachLimits ?? []).some(({ event, from: anchor, limitMs }) =>
    from.coachLimits?.some(
      (before) => before.event === event && before.from === anchor && limitMs < before.limitMs,
    ),
  );
  const richer =
    to.targets.length > from.targets.length ||
    RUNG_ORDERS.indexOf(to.order) > RUNG_ORDERS.indexOf(from.order) ||
    DOINGS.indexOf(to.doing) > DOINGS.indexOf(from.doing) ||
    PRESSURES.indexOf(to.pressure) > PRESSURES.indexOf(from.pressure) ||
    to.catchShare > from.catchShare ||
    to.switchShare > from.switchShare ||
    to.floorScale > from.floorScale;
  return [
    ...(faster || sooner ? (['speed'] as const) : []),
    ...(richer ? (['complexity'] as const) : []),
  ];
}
