import { layLeg, readyStance, usualPlan } from '@orthokin/core/footwork';
import { draftLadder } from '@orthokin/core/progress';
import { sideSign, sideOf, type Target } from '@orthokin/core/floor';
import {
  layoutTargets,
  mirrorPattern,
  TYPICAL_BUILD,
  USUAL_RUNG,
  withLeg,
  type Layout,
  type LegPlan,
  type Pattern,
  type PositionNotes,
  type Rung,
} from '@orthokin/core/pattern';

/** The T of a squash court, where the half-court line meets the short line, m. */
const T = { x: 0, y: 4.26 };
const WIDE_M = 2.35;
const SHORT_M = 2.9;
const DEEP_M = 2.5;

const note = (cue: string, ...checkPoints: string[]): PositionNotes => ({ cue, checkPoints });

const POSITIONS: Pattern['positions'] = {
  stance: note('Wide and low', 'knees soft, chest forward', 'weight even', 'racket up in front'),
  split: note('Land, look', 'both feet at once', 'on the balls of the feet', 'eyes on the cue'),
  recovery: note('All the way home', 'both feet inside home base', 'the same stance again'),
};

const LOADS: Readonly<Record<Target['kind'], PositionNotes>> = {
  short: note(
    'Long step, heel first',
    'front knee over the toes',
    'trunk upright',
    'back foot stays down',
  ),
  wide: note('Sit and stop', 'outside leg bent', 'shoulders turned', 'head still'),
  deep: note('Get behind it', 'weight on the back leg', 'racket ready before the stop'),
  centre: note('Small steps in', 'feet stopped before the swing'),
};

const ACTION = note('Hit, then push', 'feet still at contact', 'push off at once');

/** A rung in short: name, letters of the targets in play, reaction and recovery limits, ms. */
type RungLine = readonly [name: string, targets: string, reactionMs: number, recoveryMs: number];

/** Match pace asks what a match leaves time for; the other rungs ask shares of that. */
function rungs(lines: readonly RungLine[]): Rung[] {
  const [, , , match = NaN] = lines.find(([name]) => name.endsWith(', match pace')) ?? [];
  return lines.map(([name, targets, reaction, recovery], i) => ({
    ...USUAL_RUNG,
    ...{ number: i + 1, name, targets: targets.split('') },
    timeFactor: Math.round((100 * recovery) / match) / 100,
    limitsMs: { reaction, recovery },
    limitSources: { reaction: { kind: 'coach' }, recovery: { kind: 'coach' } },
  }));
}

/** Where a kind of target lies on this court, seen from the T. */
function onCourt(target: Target): Target {
  const side = sideOf(target.at);
  const x = side === null ? 0 : sideSign(side) * WIDE_M;
  const y = { short: SHORT_M, deep: -DEEP_M, wide: 0, centre: 1 }[target.kind];
  return { ...target, at: { x, y } };
}

interface Outline {
  readonly name: string;
  readonly layout: Layout;
  readonly tags: readonly string[];
  readonly notes: string;
  /** The legs' footwork, where it differs from the default. */
  readonly plan?: Partial<LegPlan>;
  readonly rungs?: readonly RungLine[];
  /** How far home base is behind the T, m. */
  readonly behindTM?: number;
}

/** A demo pattern with its footwork laid and its positions described. */
function fromTheT({
  name,
  layout,
  tags,
  notes,
  plan,
  rungs: lines,
  behindTM = 0,
}: Outline): Pattern {
  const targets = layoutTargets(layout, WIDE_M)
    .map(onCourt)
    .map((target) => ({
      ...target,
      at: { ...target.at, y: target.at.y + (target.kind === 'short' ? behindTM : 0) },
    }));
  const bare: Pattern = {
    ...{ name, tags, notes, targets, sport: 'squash', hand: 'right', court: 'squash', sizeM: null },
    home: { onCourt: { x: T.x, y: T.y - behindTM }, radiusM: 0.45 },
    stance: readyStance(TYPICAL_BUILD.shoulderM),
    splitWindowMs: [-60, 120],
    ...{ legs: [], positions: POSITIONS, laidFor: TYPICAL_BUILD, accepted: [] },
    rungs: lines ? rungs(lines) : draftLadder({ targets, laidFor: TYPICAL_BUILD }),
  };
  return targets.reduce((pattern, target) => {
    const leg = layLeg(pattern, target, { ...usualPlan(target), ...plan });
    return withLeg(pattern, { ...leg, notes: { load: LOADS[target.kind], action: ACTION } });
  }, bare);
}

const forTheLeft = (pattern: Pattern): Pattern => ({
  ...mirrorPattern(pattern),
  name: `${pattern.name}, left-handed`,
});

const fork = fromTheT({
  name: 'Forehand fork',
  layout: 'fork',
  tags: ['two targets', 'one side'],
  notes: 'Short or deep on the same side: the first step decides.',
});

const star = fromTheT({
  name: 'Star from the T',
  layout: 'star',
  tags: ['six targets', 'match'],
  notes: 'Every place on the court, always by way of the T.',
  rungs: [
    ['Sides and front, easy pace', 'ABEF', 380, 1550],
    ['All six, easy pace', 'ABCDEF', 360, 1520],
    ['All six, steady', 'ABCDEF', 340, 1430],
    ['All six, brisk', 'ABCDEF', 320, 1340],
    ['All six, match pace', 'ABCDEF', 310, 1260],
    ['All six, above match pace', 'ABCDEF', 290, 1190],
  ],
});

/** The demo club's patterns, easy to hard: from two targets to six, with home on the T or behind it. */
export const DEMO_PATTERNS = {
  lane: fromTheT({
    name: 'Up and back',
    layout: 'lane',
    tags: ['two targets', 'beginners'],
    notes: 'Straight forward and straight back; the first pattern after the stance.',
  }),
  line: fromTheT({
    name: 'Side to side',
    layout: 'line',
    tags: ['two targets', 'beginners'],
    notes: 'One crossover step, one plant, and home again.',
    rungs: [
      ['Both sides, easy pace', 'AB', 380, 1250],
      ['Both sides, steady', 'AB', 350, 1150],
      ['Both sides, brisk', 'AB', 330, 1080],
      ['Both sides, match pace', 'AB', 310, 1000],
    ],
  }),
  triangle: fromTheT({
    name: 'Front pair from deep',
    layout: 'triangle',
    tags: ['two targets', 'front'],
    notes: 'Home base stands a metre behind the T, so that the way forward is long.',
    plan: { travel: 'run forward', load: 'open', quicken: true },
    behindTM: 1,
  }),
  fork,
  forkLeft: forTheLeft(fork),
  cross: fromTheT({
    name: 'Four corners',
    layout: 'cross',
    tags: ['four targets'],
    notes: 'Lunge to the front, drop-step to the back.',
    rungs: [
      ['Front corners, easy pace', 'AB', 380, 1600],
      ['All corners, easy pace', 'ABCD', 380, 1550],
      ['All corners, steady', 'ABCD', 350, 1450],
      ['All corners, brisk', 'ABCD', 330, 1350],
      ['All corners, match pace', 'ABCD', 310, 1260],
    ],
  }),
  star,
  starLeft: forTheLeft(star),
} as const satisfies Record<string, Pattern>;

export type DemoPattern = keyof typeof DEMO_PATTERNS;
