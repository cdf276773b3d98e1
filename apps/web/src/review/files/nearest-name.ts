import type { NearestName } from '@orthokin/core/formats';
import { closest, distance } from 'fastest-levenshtein';

/** With a larger share of different letters it is another name. */
const MISSPELT_SHARE = 0.34;

/** The known name with the smallest edit distance, ignoring case. */
export const nearestName: NearestName = (given, known) => {
  if (known.length === 0) return null;
  const lower = given.toLowerCase();
  const nearest = closest(
    lower,
    known.map((name) => name.toLowerCase()),
  );
  const isNear = distance(lower, nearest) <= Math.max(1, MISSPELT_SHARE * nearest.length);
  return (isNear && known.find((name) => name.toLowerCase() === nearest)) || null;
};
