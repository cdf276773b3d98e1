import type { Target } from '@orthokin/core/floor';
import type { CueKind } from '@orthokin/core/drill';
import type { EventName, Fault } from '@orthokin/core/timing';
import type { Run } from '../drill/plan.js';

/** What a second screen must know of the set: told when it comes, and when a set begins. */
export interface SetNews {
  readonly athlete: string;
  readonly pattern: string;
  readonly targets: readonly Target[];
  readonly inPlay: readonly string[];
  readonly cueKinds: readonly CueKind[];
  readonly isCalled: boolean;
  readonly isByHand: boolean;
  readonly faults: readonly Fault[];
}

/** How far the set is: told with every change. */
export interface RunNews {
  readonly state: Run['state'];
  readonly ordinal: number;
  readonly reps: number;
  readonly finished: number;
  readonly openEvents: readonly EventName[];
  /** Faults said of the rep going on, else of the last. */
  readonly faults: readonly Fault[];
}

/** What a panel asks the drill's screen to do. */
export type Ask =
  | { readonly act: 'pause' | 'goOn' | 'redo' | 'strike' }
  | { readonly act: 'fault'; readonly fault: Fault }
  /** Timed on the drill screen's clock, epoch ms. */
  | {
      readonly act: 'press';
      readonly name: EventName;
      readonly atMs: number;
      readonly sdMs: number;
    };
