/**
 * P(at least `needed` successes) of independent trials with their own probabilities, by the
 * exact recursion over the number of successes so far (the Poisson binomial distribution).
 */
export function probabilityAtLeast(probabilities: readonly number[], needed: number): number {
  if (needed <= 0) return 1;
  // Everything from `needed` upward is one absorbing state: nothing beyond it is asked for.
  const exactly = new Array<number>(needed + 1).fill(0);
  exactly[0] = 1;
  for (const p of probabilities) {
    for (let k = needed; k >= 0; k--) {
      const stays = k === needed ? 1 : 1 - p;
      exactly[k] = (exactly[k] ?? 0) * stays + (k > 0 ? (exactly[k - 1] ?? 0) * p : 0);
    }
  }
  return Math.min(1, exactly[needed] ?? 0);
}
