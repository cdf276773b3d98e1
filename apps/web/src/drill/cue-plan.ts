import type { Conditions } from '@orthokin/core/drill';
import type { Target } from '@orthokin/core/floor';

/** The part of a set that a screen needs to present its cues. */
export interface CuePlan {
  readonly pattern: { readonly targets: readonly Target[] };
  readonly conditions: Pick<Conditions, 'cueKinds'>;
}
