import type { Side } from '../floor/index.js';
import { holm } from '../numeric/index.js';
import {
  isClear,
  isLean,
  leansAnew,
  type Change,
  type LeanChange,
  type SideLean,
} from '../stats/index.js';
import type { Answer } from './decide.js';
import type { HeldOnRung } from './held.js';

/** What claims about an athlete of a squad are based on. */
export interface SquadMember {
  readonly standing: {
    readonly change: Pick<Change, 'p' | 'words' | 'changeMs'> | null;
    readonly lean: Pick<SideLean, 'p' | 'percent'> | null;
    readonly leanChange: LeanChange | null;
  };
  readonly held: Pick<HeldOnRung, 'p'> | null;
  /** The ladder's decision; `null` before any set. */
  readonly answer: Answer | null;
  /** Whether there is a next rung. */
  readonly hasRungAbove: boolean;
}

/** Claims about an athlete that may be shown unasked. */
export interface Claims {
  readonly change: 'faster' | 'slower' | null;
  /** The side that takes longer, and whether that is new. */
  readonly slowerSide: Side | null;
  readonly isNewLean: boolean;
  readonly isStuck: boolean;
}

/** The largest share of unchanged squads about which anything may be claimed. */
const FALSE_PAGES = 0.05;

const sideOf = (percent: number): Side => (percent > 0 ? 'left' : 'right');

/**
 * The claims about a squad. All tests of all athletes form one family, corrected by Holm's method (1979). In the
 * order of `members`.
 */
export function claimsOf(members: readonly SquadMember[]): Claims[] {
  const tests = members.map(({ standing: { change, lean, leanChange }, held }) => [
    change?.p ?? null,
    lean?.p ?? null,
    leanChange?.p ?? null,
    held?.p ?? null,
  ]);
  const stood = holm(
    tests.flat().filter((p) => p !== null),
    FALSE_PAGES,
  );
  let next = 0;
  const standing = tests.map((own) => own.map((p) => p !== null && (stood[next++] ?? false)));
  return members.map((member, i) => {
    const [changed, leans, leansNow, isHeld] = standing[i] ?? [];
    const { change, lean, leanChange } = member.standing;
    const isNewLean = leanChange !== null && leansNow === true && leansAnew(leanChange);
    const faster =
      changed && change && isClear(change.words)
        ? change.changeMs < 0
          ? 'faster'
          : 'slower'
        : null;
    return {
      change: faster,
      slowerSide: isNewLean
        ? sideOf(leanChange.nowPercent)
        : leans && lean && isLean(lean.percent)
          ? sideOf(lean.percent)
          : null,
      isNewLean,
      isStuck:
        isHeld === true &&
        member.hasRungAbove &&
        member.answer !== 'move up' &&
        faster !== 'faster',
    };
  });
}
