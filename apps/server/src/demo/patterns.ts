import { layoutTargets, type Layout, type Pattern, type Rung } from '@orthokin/core/pattern';

/** The T of a squash court: where its half-court line meets the short line. */
const T = { x: 0, y: 4.26 };
const SIZE = { wideM: 2.35, shortM: 2.9, deepM: 2.5 };

type RungLine = readonly [name: string, targets: string, reactionMs: number, recoveryMs: number];

const rungs = (lines: readonly RungLine[]): Rung[] =>
  lines.map(([name, targets, reaction, recovery], i) => ({
    number: i + 1,
    name,
    targets: targets.split(''),
    limitsMs: { reaction, recovery },
    passShare: 0.8,
    falseStartShare: 0.1,
    minValidReps: 8,
  }));

const fromTheT = (name: string, layout: Layout, lines: readonly RungLine[]): Pattern => ({
  name,
  court: 'squash',
  home: { onCourt: T, radiusM: 0.45 },
  targets: layoutTargets(layout, SIZE),
  splitWindowMs: [-60, 120],
  rungs: rungs(lines),
});

/** The demo club's patterns: home on the T, from two targets to six. */
export const DEMO_PATTERNS = {
  line: fromTheT('Side to side', 'line', [
    ['Both sides, easy pace', 'AB', 380, 1250],
    ['Both sides, steady', 'AB', 350, 1150],
    ['Both sides, brisk', 'AB', 330, 1080],
    ['Both sides, match pace', 'AB', 310, 1000],
  ]),
  cross: fromTheT('Four corners', 'cross', [
    ['Front corners, easy pace', 'AB', 380, 1600],
    ['All corners, easy pace', 'ABCD', 380, 1550],
    ['All corners, steady', 'ABCD', 350, 1450],
    ['All corners, brisk', 'ABCD', 330, 1350],
    ['All corners, match pace', 'ABCD', 310, 1260],
  ]),
  star: fromTheT('Star from the T', 'star', [
    ['Sides and front, easy pace', 'ABEF', 380, 1550],
    ['All six, easy pace', 'ABCDEF', 360, 1520],
    ['All six, steady', 'ABCDEF', 340, 1430],
    ['All six, brisk', 'ABCDEF', 320, 1340],
    ['All six, match pace', 'ABCDEF', 310, 1260],
    ['All six, above match pace', 'ABCDEF', 290, 1190],
  ]),
} as const satisfies Record<string, Pattern>;

export type DemoPattern = keyof typeof DEMO_PATTERNS;
