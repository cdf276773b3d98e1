import type { Manner, RehearsalCall } from '@orthokin/core/footwork';
import type { PositionName } from '@orthokin/core/pattern';
import { say } from '../../words/floor.js';
import { commaList } from '../../words/format.js';

/** A check point ticked or crossed in one hold. */
export interface Mark {
  readonly target: string;
  readonly manner: Manner;
  readonly position: PositionName;
  readonly point: string;
  readonly holds: boolean;
}

type Looked = Pick<Mark, 'target' | 'manner' | 'position'>;

const isOf = (mark: Mark, { target, manner, position }: Looked, point: string): boolean =>
  mark.target === target &&
  mark.manner === manner &&
  mark.position === position &&
  mark.point === point;

/** The position a call can be checked in; `null` if it passes without a hold. */
export const lookedAt = ({ target, manner, call }: RehearsalCall): Looked | null =>
  call === 'through' ? null : { target, manner, position: call };

/** `null` if the point was not checked. */
export const markOf = (marks: readonly Mark[], at: Looked, point: string): boolean | null =>
  marks.find((mark) => isOf(mark, at, point))?.holds ?? null;

/** Cycles a mark: unchecked, holds, does not hold. */
export function turned(marks: readonly Mark[], at: Looked, point: string): Mark[] {
  const others = marks.filter((mark) => !isOf(mark, at, point));
  const now = markOf(marks, at, point);
  return now === false ? others : [...others, { ...at, point, holds: now === null }];
}

/** A check point that did not hold, and how often. */
export interface Open {
  readonly position: PositionName;
  readonly point: string;
  readonly failed: number;
  readonly of: number;
  readonly targets: readonly string[];
}

/** Check points that did not hold, most frequent first. */
export function openPoints(marks: readonly Mark[]): Open[] {
  const points = new Map<string, Mark[]>();
  for (const mark of marks) {
    const key = `${mark.position} ${mark.point}`;
    points.set(key, [...(points.get(key) ?? []), mark]);
  }
  return [...points.values()]
    .map((same) => {
      const failed = same.filter(({ holds }) => !holds);
      const [{ position, point }] = same as [Mark, ...Mark[]];
      const targets = [...new Set(failed.map(({ target }) => target))];
      return { position, point, failed: failed.length, of: same.length, targets };
    })
    .filter(({ failed }) => failed > 0)
    .sort((a, b) => b.failed - a.failed || b.failed / b.of - a.failed / a.of);
}

/** The result of a rehearsal, as a sentence. */
export function rehearsalSentence(marks: readonly Mark[]): string {
  const held = marks.filter(({ holds }) => holds).length;
  const [worst] = openPoints(marks);
  if (marks.length === 0) return say('rehearsedNoCheckPointWasLooked');
  if (!worst) return say('everyCheckPointLookedHoldsHeld', { held, marks: marks.length });
  return say('heldMarksCheckPointsHoldNext', {
    held,
    marks: marks.length,
    point: worst.point,
    position: worst.position,
    targets: commaList(worst.targets),
  });
}
