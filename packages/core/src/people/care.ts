/** Kinds of care records. */
export const CARE_KINDS = ['restriction', 'check', 'agreement', 'go-ahead'] as const;
/**
 * A restriction, how a readiness check went, a guardian's agreement, or that a coach went ahead although
 * something stood against it.
 */
export type CareKind = (typeof CARE_KINDS)[number];

/** Who to call in an emergency. */
export interface Contact {
  readonly name: string;
  /** Relation to the athlete, such as mother or club doctor; may be empty. */
  readonly who: string;
  readonly phone: string;
}
