import type { Presentation } from '@orthokin/contract/live-messages';
import type { LateCue } from '@orthokin/core/cue';
import type { CuePlan } from '../drill/cue-plan.js';
import type { Cancels } from './cancels.js';
import { onDueFrame } from './on-frame.js';
import { planCueSound, planFreeze } from './sounds.js';

/** The state of a cue screen. */
export interface Shown {
  /** The called target; `null` while waiting. */
  readonly letter: string | null;
  readonly frozen: boolean;
  readonly late: LateCue | null;
}

export const NOTHING_SHOWN: Shown = { letter: null, frozen: false, late: null };

/** A presentation with its times on another clock. */
export const onClock = (of: Presentation, turn: (ms: number) => number): Presentation => ({
  letter: of.letter,
  dueMs: turn(of.dueMs),
  switchTo: of.switchTo && { ...of.switchTo, atMs: turn(of.switchTo.atMs) },
  freezeMs: of.freezeMs === null ? null : turn(of.freezeMs),
  late: of.late && {
    ...of.late,
    fromMs: turn(of.late.fromMs),
    untilMs: turn(of.late.untilMs),
  },
});

/** Applies a change to the screen at once. */
export type Show = (change: Partial<Shown>) => void;

/**
 * Presents a cue at page times; `shown` receives the time of the frame that shows it. Used by the drill's screen and
 * by joined ones, so that they present it together.
 */
export function present(
  plan: CuePlan,
  { letter, dueMs, switchTo, freezeMs, late }: Presentation,
  show: Show,
  cancels: Cancels,
  shown?: (pageMs: number) => void,
): void {
  cancels.add(planCueSound(plan, letter, dueMs));
  cancels.add(onDueFrame(dueMs, () => show({ letter }), shown));
  if (switchTo) {
    cancels.add(planCueSound(plan, switchTo.letter, switchTo.atMs));
    cancels.add(onDueFrame(switchTo.atMs, () => show({ letter: switchTo.letter })));
  }
  if (freezeMs !== null) {
    cancels.add(planFreeze(freezeMs));
    cancels.add(onDueFrame(freezeMs, () => show({ frozen: true })));
  }
  if (late) {
    cancels.add(onDueFrame(late.fromMs, () => show({ late: late.late })));
    cancels.add(onDueFrame(late.untilMs, () => show({ late: null })));
  }
}
