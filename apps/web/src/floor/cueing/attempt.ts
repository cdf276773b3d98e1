import type { Run } from '../../drill/plan.js';
import type { Session } from '../../drill/session.js';
import type { SetClock } from '../../drill/set-clock.js';
import type { Presentation } from '@orthokin/contract/live-messages';

/** One wait for a cue and the rep that follows. */
export interface Attempt {
  readonly session: Session;
  readonly run: Run;
  readonly clock: SetClock;
  readonly others: OtherScreens;
}

/** Other screens of the drill, told in time to show the cue together with this one. */
export interface OtherScreens {
  /** Times on the set's clock. */
  readonly coming: (presentation: Presentation) => void;
  /** Whether something, or somebody, will say that the athlete is home. */
  readonly seeHome: () => boolean;
  /** What was announced, and what is shown, is over. */
  readonly clear: () => void;
}
