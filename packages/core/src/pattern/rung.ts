/** The durations a rung may set a limit for. */
export const GATED_DURATIONS = ['reaction', 'response', 'recovery', 'cycle'] as const;
export type GatedDuration = (typeof GATED_DURATIONS)[number];

/** Orders in which a rung may call its targets, the most guessable first. */
export const RUNG_ORDERS = ['known', 'blocked', 'shuffled', 'chained'] as const;
export type RungOrder = (typeof RUNG_ORDERS)[number];

/** What is done at the target, the least first. */
export const DOINGS = ['feet only', 'throw', 'implement', 'fed', 'live'] as const;
export type Doing = (typeof DOINGS)[number];

/** Who stands against the athlete, the least first. */
export const PRESSURES = ['none', 'hampered opponent', 'one opponent', 'two opponents'] as const;
export type Pressure = (typeof PRESSURES)[number];

/** What of an athlete's own times a limit may be made from. */
export const RECORD_KINDS = ['best quartile', 'median'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

/** What a reckoned limit was reckoned from. */
export const RECKONINGS = ['reaction to one', 'reaction to a choice', 'way home'] as const;
export type Reckoning = (typeof RECKONINGS)[number];

/** Where a limit comes from; kept and shown with it. */
export type LimitSource =
  | { readonly kind: 'coach' }
  /**
   * What the pattern itself takes by the models, times a factor. `how` is a {@link Reckoning}, or a
   * text of the coach's own; a reaction to a choice says among how many, at how many ms a bit.
   */
  | {
      readonly kind: 'reckoned';
      readonly reckonedMs: number;
      readonly factor: number;
      readonly how: string;
      readonly choices?: number | undefined;
      readonly msPerBit?: number | undefined;
    }
  /** How much time a flight leaves, times what is demanded of it; `flight` says it in words. */
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
  /** What a target takes by the athlete's own reaction and travel line, times a factor; from `n` timed ways. */
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

/** Longest allowed times, ms. A duration without a limit is not judged. */
export type LimitsMs = Readonly<Partial<Record<GatedDuration, number>>>;
/** Where each limit of a rung comes from. */
export type LimitSources = Readonly<Partial<Record<GatedDuration, LimitSource>>>;

/** Durations that a far target needs longer for: each target may have a limit of its own. */
export const TARGETED_DURATIONS = ['response', 'recovery'] as const;
export type TargetedDuration = (typeof TARGETED_DURATIONS)[number];

/** The limit of one target, in the place of its rung's. */
export interface TargetLimit {
  readonly gate: TargetedDuration;
  /** The target's letter. */
  readonly target: string;
  readonly limitMs: number;
  readonly source: LimitSource;
}

/** What an event of the coach's own may be held against. */
export const EVENT_ANCHORS = ['cue', 'arrival'] as const;
export type EventAnchor = (typeof EVENT_ANCHORS)[number];

/** The latest that an event of the coach's own may come: "prepared" by 0.1 s before arrival, say. */
export interface CoachLimit {
  /** The event's name. */
  readonly event: string;
  readonly from: EventAnchor;
  /** After what it is held against; less than 0 is before it. */
  readonly limitMs: number;
}

/** A rung has no more of them than this. */
export const MOST_COACH_LIMITS = 4;

/** One step of the ladder: what is asked, and what must be shown before the next one. */
export interface Rung {
  readonly number: number;
  readonly name: string;
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
  readonly order: RungOrder;
  /** Shares of the reps, 0–1. */
  readonly catchShare: number;
  readonly switchShare: number;
  /** Time allowed as a share of what a match leaves: 1.3 easy, 1 as in the match, 0.95 harder. */
  readonly timeFactor: number;
  readonly doing: Doing;
  readonly pressure: Pressure;
  /** Distances from home, as a share of those the pattern has. */
  readonly floorScale: number;
  readonly limitsMs: LimitsMs;
  readonly limitSources: LimitSources;
  /** Limits that hold for one target; of targets without one the rung's holds. */
  readonly targetLimits?: readonly TargetLimit[];
  /** Limits of events of the coach's own. */
  readonly coachLimits?: readonly CoachLimit[];
  /** Share of a set's valid reps that must pass every limit, 0–1. */
  readonly passShare: number;
  /** Largest allowed share of false starts among the cued reps, 0–1. */
  readonly falseStartShare: number;
  /** Least share of cued reps without a fault that was watched for, 0–1. */
  readonly cleanShare: number;
  /** Least share of catch trials held, 0–1; asked only where there are any. */
  readonly heldShare: number;
  /** Largest interquartile range of the cycle as a share of its median; `null` for any. */
  readonly mostSpread: number | null;
  /** Fewer valid reps than this decide nothing. */
  readonly minValidReps: number;
}

/** What a rung asks where nothing else is said: all that a coach may leave as it is. */
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
 * What a rung allows for a duration at a target, ms: the target's own limit, else the rung's;
 * `undefined` where it sets none. A duration that the rung does not limit no target does.
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

/** All that a rung allows at a target, ms. */
export const limitsAt = (rung: Pick<Rung, 'limitsMs' | 'targetLimits'>, target: string): LimitsMs =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const limitMs = limitAt(rung, gate, target);
      return limitMs === undefined ? [] : [[gate, limitMs]];
    }),
  );

/** Least and largest limit of the targets in play, ms; `null` where one holds for all, or none. */
export function limitRange(
  rung: Pick<Rung, 'limitsMs' | 'targetLimits' | 'targets'>,
  gate: GatedDuration,
): readonly [number, number] | null {
  const limits = rung.targets.flatMap((target) => limitAt(rung, gate, target) ?? []);
  const [least, most] = [Math.min(...limits), Math.max(...limits)];
  return least < most ? [least, most] : null;
}

/** The limits that hold for every target in play alike, ms. */
export const limitsForAll = (rung: Pick<Rung, 'limitsMs' | 'targetLimits' | 'targets'>): LimitsMs =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const limitMs = limitAt(rung, gate, rung.targets[0] ?? '');
      return limitMs === undefined || limitRange(rung, gate) ? [] : [[gate, limitMs]];
    }),
  );

/** A rung with other limits of single targets for one duration; none for the rung's to hold for all. */
export function withTargetLimits<Limited extends Pick<Rung, 'targetLimits'>>(
  rung: Limited,
  gate: TargetedDuration,
  own: readonly TargetLimit[],
): Limited {
  const others = (rung.targetLimits ?? []).filter((each) => each.gate !== gate);
  return { ...rung, targetLimits: [...others, ...own] };
}

/** A rung with other limits: a target's own stands where its duration's limit stays what it was. */
export function withLimits<Limited extends Pick<Rung, 'limitsMs' | 'targetLimits'>>(
  rung: Limited,
  limitsMs: LimitsMs,
): Limited {
  const targetLimits = (rung.targetLimits ?? []).filter(
    ({ gate }) => limitsMs[gate] === rung.limitsMs[gate],
  );
  return { ...rung, limitsMs, ...(rung.targetLimits && { targetLimits }) };
}

/** What a step up the ladder raises. */
export type Axis = 'speed' | 'complexity';

/** What a step from one rung to the next raises; both where a coach wrote it so. */
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
