/**
 * Which of several findings stand when no more than `level` of such families may hold a false one
 * (Holm 1979): the smallest p against level/n, the next against level/(n − 1), until one fails.
 */
export function holm(pValues: readonly number[], level: number): boolean[] {
  const stands = pValues.map(() => false);
  const order = pValues
    .map((p, i) => ({ p: Number.isNaN(p) ? 1 : p, i }))
    .sort((a, b) => a.p - b.p);
  for (const [rank, { p, i }] of order.entries()) {
    if (!(p <= level / (pValues.length - rank))) break;
    stands[i] = true;
  }
  return stands;
}
