import type { Conditions } from '@orthokin/core/drill';
import type { Target } from '@orthokin/core/floor';

/** As much of a set as a screen needs to show and sound its cues. */
export interface CuePlan {
  readonly pattern: { readonly targets: readonly Target[] };
  readonly conditions: Pick<Conditions, 'cueKinds'>;
}
