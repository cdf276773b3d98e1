import type { Accepted, Pattern, PositionName } from '../pattern/index.js';

/** What the checks of a leg look for. */
export const CHECKS = [
  'position missing',
  'base width',
  'detour',
  'braking step',
  'loading side',
  'feet crossing',
  'feet overlapping',
  'step too long',
  'step too fast',
  'not quickening',
  'short of home',
  'split window',
  'split uneven',
] as const;
export type CheckName = (typeof CHECKS)[number];

/** Something a check found amiss. `measured` is what was found, `allowed` the range for it. */
export interface Finding {
  readonly check: CheckName;
  /** Letter of the leg's target. */
  readonly leg: string;
  readonly position: PositionName | null;
  /** Way out or back, for what concerns a whole way. */
  readonly way: 'out' | 'back' | null;
  /** Indices of the placements it is about. */
  readonly steps: readonly number[];
  readonly measured: number | null;
  /** Lowest and highest allowed; `null` where there is no bound. */
  readonly allowed: readonly [number | null, number | null];
  readonly unit: 'm' | 'ms' | 'm/s' | 'times' | null;
}

/** Names a finding so that the coach can let it stand. */
export const findingKey = ({ check, leg, position, way, steps }: Finding): string =>
  [check, leg, position ?? way ?? steps.map((index) => index + 1).join('+')].join(' / ');

/** Why the coach lets a finding stand; `undefined` when nobody said so. */
export const acceptedAs = (
  { accepted }: Pick<Pattern, 'accepted'>,
  finding: Finding,
): Accepted | undefined => accepted.find((each) => each.finding === findingKey(finding));
