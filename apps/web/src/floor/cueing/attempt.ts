import type { Run } from '../../drill/plan.js';
import type { Session } from '../../drill/session.js';
import type { SetClock } from '../../drill/set-clock.js';
import type { Presentation } from '@orthokin/contract/live-messages';

/** A wait for a cue, and the rep that follows. */
export interface Attempt {
  readonly session: Session;
  readonly run: Run;
  readonly clock: SetClock;
  readonly others: OtherScreens;
}

/** The drill's other screens, told in time to show a cue together with this one. */
export interface OtherScreens {
  /** Times on the set's clock. */
  readonly coming: (presentation: Presentation) => void;
  /** Whether somebody or something else will report the athlete home. */
  readonly seeHome: () => boolean;
  /** Takes back what was announced or shown. */
  readonly clear: () => void;
}
