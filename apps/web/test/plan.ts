import { blankPattern } from '@orthokin/core/footwork';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { layoutTargets } from '@orthokin/core/pattern';
import { USUAL_RUNG } from '@orthokin/core/pattern';
import { TYPICAL_ATHLETE } from '@orthokin/core/simulation';
import type { PatternReply } from '@orthokin/contract';
import type { DrillPlan } from '../src/drill/plan.js';

/** Two targets, with a limit on reaction and one on recovery. */
export const RUNG = {
  ...USUAL_RUNG,
  number: 1,
  name: 'Easy',
  targets: ['A', 'B'],
  limitsMs: { reaction: 350, recovery: 1100 },
};

/** A set of three cues, A B A, by hand. */
export const PLAN: DrillPlan = {
  id: '019ab000-0000-7000-8000-0000000000aa',
  clubId: 'club',
  athlete: {
    id: 'athlete',
    name: 'Somebody',
    hand: 'left',
    ageBand: 'adult',
    colourVision: 'full',
    note: null,
  },
  pattern: {
    ...(blankPattern('Side to side') as PatternReply),
    id: 'pattern',
    version: 1,
    targets: layoutTargets('line', 2),
    rungs: [RUNG],
  },
  rung: 1,
  limitsMs: null,
  source: 'hand',
  seed: 5,
  conditions: PLAIN_CONDITIONS,
  reps: 3,
  cues: ['A', 'B', 'A'].map((target, i) => ({ ordinal: i + 1, target, foreperiodMs: 1000 })),
  falseStartMs: 100,
  responseLimitMs: 3000,
  startedAt: '2026-03-01T10:00:00.000Z',
  day: '2026-03-01',
  sessionsBefore: 0,
  simulated: TYPICAL_ATHLETE,
  hand: { biasMs: 0, sdMs: 45 },
};
