import { distance, mirrorPoint, mirrorTarget, type Target } from '../floor/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { mirrorLeg } from './leg.js';
import { nextMarker } from './layout.js';
import { legOf, targetOf, type Pattern } from './pattern.js';
import { withLeg, withTarget } from './edit.js';

/** A marker this close to the mirrored place is the counterpart, m. */
const COUNTERPART_M = 0.6;

/** A target's counterpart on the other side, if there is one. */
export function counterpartOf(pattern: Pick<Pattern, 'targets'>, letter: string): Target | null {
  const target = targetOf(pattern, letter);
  if (!target) return null;
  const across = mirrorPoint(target.at);
  const [nearest] = pattern.targets
    .filter((other) => other.letter !== letter)
    .sort((a, b) => distance(a.at, across) - distance(b.at, across));
  return nearest && distance(nearest.at, across) <= COUNTERPART_M ? nearest : null;
}

/**
 * Copies a leg, mirrored, to its target's counterpart, which moves to the exact mirrored place; adds a marker if
 * there is none.
 * @returns a problem if the leg or a free letter is missing
 */
export function copyLegAcross(pattern: Pattern, letter: string): Result<Pattern> {
  const target = targetOf(pattern, letter);
  const leg = legOf(pattern, letter);
  if (!target || !leg) return wrong('target', letter, 'a target with feet laid');
  const at = mirrorPoint(target.at);
  const added = nextMarker(pattern.targets, at);
  const there =
    counterpartOf(pattern, letter) ??
    (added && { ...added, name: mirrorTarget(target).name, kind: target.kind });
  if (!there) return wrong('targets', String(pattern.targets.length), 'fewer than 12 targets');
  const mirrored = { ...mirrorLeg(leg), target: there.letter };
  return ok(withLeg(withTarget(pattern, { ...there, at }), mirrored));
}
