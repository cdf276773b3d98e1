import { limitFrom, travelTime } from '../budget/index.js';
import { distance, HOME } from '../floor/index.js';
import {
  USUAL_RUNG,
  type LimitSource,
  type LimitSources,
  type LimitsMs,
  type Pattern,
  type Doing,
  type Reckoning,
  type RungOrder,
  type TargetLimit,
  type Rung,
} from '../pattern/index.js';
import { USUAL_MS_PER_BIT } from '../stats/index.js';
import { SCHOOLS, type Richness, type SchoolName } from './school.js';

/** Which demand is raised first from rung to rung; one at a time. */
export const AXIS_ORDERS = ['alternate', 'speed first', 'complexity first'] as const;
export type AxisOrder = (typeof AXIS_ORDERS)[number];

/** Settings of a drafted ladder. */
export interface DraftSettings {
  readonly axis: AxisOrder;
  readonly school: SchoolName;
  /** The cost of another bit of choice, ms: the athlete's own Hick slope, if known. */
  readonly msPerBit: number;
}

/** Alternating, pattern first, 100 ms a bit of choice. */
export const USUAL_DRAFT: DraftSettings = {
  axis: 'alternate',
  school: 'pattern first',
  msPerBit: USUAL_MS_PER_BIT,
};

/** Shares of the time a match leaves: easy, match pace, and harder. */
const EASY = 1.3;
const MATCH = 1;
const HARDER = 0.95;
/** The least that pace is eased by when there are more choices. */
const EASE_SHARE = 0.08;

/** Time from action to push-off in laid footwork, ms. */
const PUSH_OFF_MS = 70;

/** The number of possible answers to a cue; one if the order is known. */
const choicesOf = (targets: number, { order }: Pick<Richness, 'order'>): number =>
  order === 'known' || order === 'blocked' ? 1 : targets;

/**
 * Expected cost to reaction, ms, of going from n to n′ equally likely choices: slope · log2(n′/n)
 * (Hick 1952); below 0 for fewer.
 *
 * @example
 * hickCostMs(2, 4, 100); // 100
 */
export const hickCostMs = (from: number, to: number, msPerBit: number): number =>
  msPerBit * Math.log2(to / from);

interface Step {
  readonly level: number;
  readonly factor: number;
}

/** How much to ease the pace when complexity rises to a level: 8 %, or the Hick cost if that is more. */
type EaseOf = (toLevel: number) => number;

function speedFirst(levels: number, ease: EaseOf): Step[] {
  const steps: Step[] = [1.3, 1.2, 1.1, MATCH].map((factor) => ({ level: 0, factor }));
  for (let level = 1; level < levels; level++)
    steps.push({ level, factor: MATCH * (1 + ease(level)) }, { level, factor: MATCH });
  return [...steps, { level: levels - 1, factor: HARDER }];
}

function complexityFirst(levels: number): Step[] {
  // At the easy pace nothing is left to ease.
  const steps = Array.from({ length: levels }, (_, level) => ({ level, factor: EASY }));
  return [...steps, ...[1.2, 1.1, MATCH, HARDER].map((factor) => ({ level: levels - 1, factor }))];
}

/** Each step in speed asks the same share more, so that the last one ends at 95 %. */
function alternating(levels: number, ease: EaseOf): Step[] {
  const eased = Array.from({ length: levels - 1 }, (_, i) => 1 + ease(i + 1)).reduce(
    (product, each) => product * each,
    1,
  );
  const quicker = (HARDER / EASY / eased) ** (1 / levels);
  const steps: Step[] = [];
  let factor = EASY;
  for (let level = 0; level < levels; level++) {
    if (level > 0) factor *= 1 + ease(level);
    steps.push({ level, factor });
    factor *= quicker;
    steps.push({ level, factor });
  }
  return steps;
}

const WALKS = {
  'speed first': speedFirst,
  'complexity first': complexityFirst,
  alternate: alternating,
} as const satisfies Record<AxisOrder, (levels: number, ease: EaseOf) => Step[]>;

type Reckoned = Extract<LimitSource, { kind: 'reckoned' }>;

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'] as const;

const ORDER_NAMES: Readonly<Record<RungOrder, string>> = {
  known: 'in turn',
  blocked: 'one at a time',
  shuffled: 'any order',
  chained: 'any order, all pairs',
};

const DOING_NAMES: Readonly<Record<Doing, string>> = {
  'feet only': 'feet only',
  throw: 'with a throw',
  implement: 'implement',
  fed: 'fed',
  live: 'live',
};

/** Names of paces, with the least time factor of each, easiest first. */
const PACES = [
  [1.22, 'easy pace'],
  [1.1, 'steady'],
  [1.02, 'brisk'],
  [0.98, 'match pace'],
  [0, 'over match pace'],
] as const;

/** A name for a drafted rung. Names are the club's own texts, and stored as such. */
const nameOf = (
  targets: number,
  { order, doing, switchShare }: Richness,
  factor: number,
): string => {
  const pace = PACES.find(([least]) => factor >= least)?.[1] ?? '';
  return [
    `${COUNTS[targets] ?? targets} ${targets === 1 ? 'target' : 'targets'}`,
    ...(targets > 1 ? [ORDER_NAMES[order]] : []),
    DOING_NAMES[doing],
    ...(switchShare > 0 ? ['switched'] : []),
    pace,
  ].join(', ');
};

type ToDraft = Pick<Pattern, 'targets' | 'laidFor'>;

/**
 * Drafts a ladder for a pattern: from few targets in a known order with 130 % of a match's time, to all of them
 * mixed, switched and live with 95 %. Limits are calculated for the build the pattern is laid for; the coach edits
 * them, or sets limits from budgets or records.
 */
export function draftLadder(
  { targets, laidFor }: ToDraft,
  { axis, school, msPerBit }: DraftSettings = USUAL_DRAFT,
): Rung[] {
  const letters = targets.map(({ letter }) => letter);
  if (letters.length === 0) return [];
  const { levels, gates } = SCHOOLS[school];
  const inPlay = ({ share }: Richness) =>
    letters.slice(0, Math.min(letters.length, Math.max(2, Math.ceil(share * letters.length))));
  // Half of two targets would be both of them, which asks nothing new.
  const asksMore = (each: Richness, before: Richness) =>
    inPlay(each).length > inPlay(before).length ||
    each.order !== before.order ||
    each.doing !== before.doing ||
    each.catchShare > before.catchShare ||
    each.switchShare > before.switchShare;
  const told = levels.filter((each, i) => {
    const before = levels[i - 1];
    return !before || asksMore(each, before);
  });
  const wayHomeMs = (metres: number) => 1000 * travelTime(metres, laidFor.travel) + PUSH_OFF_MS;
  const farthest = Math.max(...targets.map(({ at }) => distance(HOME, at)));
  const homeMs = wayHomeMs(farthest);
  const choices = told.map((each) => choicesOf(inPlay(each).length, each));
  const ease: EaseOf = (to) =>
    Math.max(EASE_SHARE, hickCostMs(choices[to - 1] ?? 1, choices[to] ?? 1, msPerBit) / homeMs);
  return WALKS[axis](told.length, ease).map(({ level, factor }, i): Rung => {
    const richness = told[level] as Richness;
    const costMs = hickCostMs(1, choices[level] ?? 1, msPerBit);
    const source = (reckonedMs: number, how: Reckoning): Reckoned => ({
      ...{ kind: 'reckoned', reckonedMs: Math.round(reckonedMs), how },
      factor: Math.round(100 * factor) / 100,
    });
    const reactionMs = laidFor.reactionMs + costMs;
    const among = choices[level] ?? 1;
    const limitSources: LimitSources = {
      reaction:
        among === 1
          ? source(reactionMs, 'reaction to one')
          : {
              ...source(reactionMs, 'reaction to a choice'),
              ...{ choices: among, msPerBit: Math.round(msPerBit) },
            },
      recovery: source(homeMs, 'way home'),
    };
    const limitsMs: LimitsMs = Object.fromEntries(
      Object.entries(limitSources).map(([gate, from]) => [gate, limitFrom(from)]),
    );
    const { order, doing, pressure, catchShare, switchShare } = richness;
    const own = inPlay(richness);
    const nearer = targets.filter(
      ({ letter, at }) => own.includes(letter) && distance(HOME, at) < farthest,
    );
    const targetLimits = nearer.map(({ letter, at }): TargetLimit => {
      const from = source(wayHomeMs(distance(HOME, at)), 'way home');
      return { gate: 'recovery', target: letter, limitMs: limitFrom(from), source: from };
    });
    return {
      ...USUAL_RUNG,
      ...{ order, doing, pressure, catchShare, switchShare },
      ...gates,
      number: i + 1,
      name: nameOf(own.length, richness, factor),
      targets: own,
      timeFactor: Math.round(100 * factor) / 100,
      ...{ limitsMs, limitSources, targetLimits },
    };
  });
}

type OnRungs = Pick<Pattern, 'targets' | 'laidFor' | 'rungs'>;

/** The pattern's own rungs if they fit its targets, or else drafted ones. */
export function fittingRungs(pattern: OnRungs): readonly Rung[] {
  const letters = new Set(pattern.targets.map(({ letter }) => letter));
  const played = new Set(pattern.rungs.flatMap(({ targets }) => targets));
  const fit = letters.size === played.size && [...letters].every((letter) => played.has(letter));
  return fit && pattern.rungs.length > 0 ? pattern.rungs : draftLadder(pattern);
}
