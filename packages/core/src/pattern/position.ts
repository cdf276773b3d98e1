import { arrivalMs, type Leg } from './leg.js';
import type { PositionName, PositionNotes } from './notes.js';
import type { Pattern } from './pattern.js';
import type { Placement, Standing } from './placement.js';

/** The feet as they stand after each of `placements`, in a leg that begins in `stance`. */
export function standings(stance: Standing, placements: readonly Placement[]): Standing[] {
  let now = stance;
  return placements.map((placement) => {
    const { foot, weight } = placement;
    now =
      foot === 'left'
        ? { left: placement, right: now.right, leftWeight: weight }
        : { left: now.left, right: placement, leftWeight: 1 - weight };
    return now;
  });
}

/** The feet as they stand after the last of `landed`, in a leg that begins in `stance`. */
export const standingAfter = (stance: Standing, landed: readonly Placement[]): Standing =>
  standings(stance, landed).at(-1) ?? stance;

/** How many placements come up to a position; −1 if the leg does not have it. */
function landedBy(name: Exclude<PositionName, 'stance'>, leg: Leg): number {
  const { placements } = leg;
  if (name === 'action') {
    const arrival = arrivalMs(leg);
    if (arrival === null || leg.actionMs < arrival) return -1;
    return placements.findLastIndex(({ atMs }) => atMs <= leg.actionMs) + 1;
  }
  const feet = new Set(placements.filter(({ phase }) => phase === name).map(({ foot }) => foot));
  const needed = name === 'load' ? 1 : 2;
  if (feet.size < needed) return -1;
  return placements.findLastIndex(({ phase }) => phase === name) + 1;
}

/** The feet in a position of a leg; `null` if the leg does not have it. */
export function positionOf(
  { stance }: Pick<Pattern, 'stance'>,
  leg: Leg,
  name: PositionName,
): Standing | null {
  if (name === 'stance') return stance;
  const landed = landedBy(name, leg);
  return landed < 0 ? null : standingAfter(stance, leg.placements.slice(0, landed));
}

/** The notes on a position of a leg. */
export const notesOf = (
  { positions }: Pick<Pattern, 'positions'>,
  { notes }: Leg,
  name: PositionName,
): PositionNotes => (name === 'load' || name === 'action' ? notes[name] : positions[name]);
