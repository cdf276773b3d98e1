import type { NearestName } from '@orthokin/core/formats';
import { closest, distance } from 'fastest-levenshtein';

/** More than this share of a name's letters are other ones: it is another name. */
const MISSPELT_SHARE = 0.34;

/** The known name that takes the fewest letters to change, however it is capitalised. */
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
