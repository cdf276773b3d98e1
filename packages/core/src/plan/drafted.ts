import type { Side } from '../floor/index.js';
import type { Answer } from '../progress/index.js';
import type { Fault } from '../timing/index.js';
import { usualBlock, type Block } from './block.js';

/** An athlete's state, as far as drafting a session needs it. */
export interface Stands {
  readonly athleteId: string;
  /** The ladder's decision; `null` before any set. */
  readonly answer: Answer | null;
  /** The side that clearly takes longer. */
  readonly slowerSide: Side | null;
  readonly watched: readonly Fault[];
  /** Faults from the last session in which any were seen. */
  readonly seen: readonly Fault[];
}

/** Why a block is in a draft, and for whom in particular. */
export type DraftReason =
  | { readonly why: 'as usual' }
  | { readonly why: 'a fault'; readonly fault: Fault; readonly athleteIds: readonly string[] }
  | { readonly why: 'a slower side'; readonly athleteIds: readonly string[] }
  | { readonly why: 'ready for the next rung'; readonly athleteIds: readonly string[] }
  | { readonly why: 'never timed'; readonly athleteIds: readonly string[] };

/** A drafted block. */
export interface DraftedBlock {
  readonly block: Block;
  readonly reason: DraftReason;
}

/** More corrections than an athlete can take from one session (handbook 1). */
const MOST_FAULTS = 2;
/** So many can wait at a station without crowding. */
const A_STATION = 5;

/** Faults of several athletes, most frequent first. */
function faultsOf(people: readonly Stands[]): [Fault, string[]][] {
  const of = new Map<Fault, string[]>();
  for (const { athleteId, watched, seen } of people)
    for (const fault of new Set([...watched, ...seen]))
      of.set(fault, [...(of.get(fault) ?? []), athleteId]);
  return [...of].sort(([, some], [, others]) => others.length - some.length);
}

/**
 * Drafts a session from the athletes' states: warm-up, mending the two most frequent faults, the slower side, sets at
 * stations with those ready for the next rung, play, cool-down (order of handbook 8).
 */
export function draftedFrom(people: readonly Stands[], newId: () => string): DraftedBlock[] {
  const of = (is: (one: Stands) => boolean): string[] =>
    people.filter(is).map(({ athleteId }) => athleteId);
  const usual: DraftReason = { why: 'as usual' };
  const slower = of(({ slowerSide }) => slowerSide !== null);
  const ready = of(({ answer }) => answer === 'move up');
  const untimed = of(({ answer }) => answer === null);
  const stations = people.length > A_STATION ? 2 : 1;
  return [
    { block: usualBlock(newId(), 'warm-up'), reason: usual },
    ...faultsOf(people)
      .slice(0, MOST_FAULTS)
      .map(([fault, athleteIds]) => ({
        block: { ...usualBlock(newId(), 'rehearse'), minutes: 6 },
        reason: { why: 'a fault', fault, athleteIds } as const,
      })),
    ...(slower.length > 0
      ? [
          {
            block: usualBlock(newId(), 'freeze and look'),
            reason: { why: 'a slower side', athleteIds: slower } as const,
          },
        ]
      : []),
    {
      block: { ...usualBlock(newId(), 'cued drill'), stations },
      reason:
        ready.length > 0
          ? { why: 'ready for the next rung', athleteIds: ready }
          : untimed.length > 0
            ? { why: 'never timed', athleteIds: untimed }
            : usual,
    },
    {
      block: { ...usualBlock(newId(), 'pattern with action'), stations, object: 'soft' },
      reason: usual,
    },
    { block: usualBlock(newId(), 'play'), reason: usual },
    { block: usualBlock(newId(), 'cool-down'), reason: usual },
  ];
}
