/** How guessable a sequence of cues is. */
export interface Predictability {
  /** Of one cue, knowing nothing but the counts: at most log2(targets). */
  readonly entropyBits: number;
  /** Of the next cue, knowing the one before: the bits of choice that are really there. */
  readonly conditionalEntropyBits: number;
  /** Share of cues right for somebody who always guesses the most frequent one. */
  readonly guessRateMarginal: number;
  /** Share of the cues after the first right for somebody who guesses what followed most often. */
  readonly guessRateFromPrevious: number;
}

function countsOf(items: readonly string[]): number[] {
  const counts = new Map<string, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return [...counts.values()];
}

const sum = (values: readonly number[]): number =>
  values.reduce((total, value) => total + value, 0);

/** Plug-in entropy of counts, bits. */
function entropy(counts: readonly number[]): number {
  const n = sum(counts);
  return sum(counts.map((count) => (count / n) * Math.log2(n / count)));
}

/**
 * Plug-in figures of a sequence; all 0 for an empty one, and no step to judge for a single cue.
 *
 * @example
 * predictability(['A', 'B', 'A', 'B']).guessRateFromPrevious; // 1
 */
export function predictability(sequence: readonly string[]): Predictability {
  if (sequence.length === 0)
    return {
      entropyBits: 0,
      conditionalEntropyBits: 0,
      guessRateMarginal: 0,
      guessRateFromPrevious: 0,
    };
  const counts = countsOf(sequence);
  const after = new Map<string, string[]>();
  for (const [i, letter] of sequence.slice(1).entries()) {
    const before = sequence[i] ?? '';
    after.set(before, [...(after.get(before) ?? []), letter]);
  }
  const steps = Math.max(1, sequence.length - 1);
  const followers = [...after.values()].map(countsOf);
  return {
    entropyBits: entropy(counts),
    conditionalEntropyBits: sum(followers.map((each) => (sum(each) / steps) * entropy(each))),
    guessRateMarginal: Math.max(...counts) / sequence.length,
    guessRateFromPrevious: sum(followers.map((each) => Math.max(...each))) / steps,
  };
}

/** The longest run of one cue in a row. */
export function longestRun(sequence: readonly string[]): number {
  let [run, longest] = [0, 0];
  for (const [i, letter] of sequence.entries()) {
    run = letter === sequence[i - 1] ? run + 1 : 1;
    longest = Math.max(longest, run);
  }
  return longest;
}

/** What follows each cue most often in these lists; of equally frequent ones the first seen. */
function habits(lists: readonly (readonly string[])[]): Map<string, string> {
  const counts = new Map<string, Map<string, number>>();
  for (const list of lists)
    for (const [i, letter] of list.slice(1).entries()) {
      const after = counts.get(list[i] ?? '') ?? new Map<string, number>();
      counts.set(list[i] ?? '', after.set(letter, (after.get(letter) ?? 0) + 1));
    }
  const most = (after: Map<string, number>) =>
    [...after].reduce((best, each) => (each[1] > best[1] ? each : best))[0];
  return new Map([...counts].map(([letter, after]) => [letter, most(after)]));
}

/**
 * Share of cues right for somebody who learnt the habits of an order from some lists and guesses,
 * from the cue before, in others. Unlike the plug-in rate of one short list it does not reward
 * learning that very list by heart. 0 when nothing can be guessed.
 */
export function guessRate(
  learnt: readonly (readonly string[])[],
  tested: readonly (readonly string[])[],
): number {
  const guess = habits(learnt);
  const steps = tested.flatMap((list) => list.slice(1).map((letter, i) => [list[i] ?? '', letter]));
  const right = steps.filter(([before, letter]) => guess.get(before ?? '') === letter);
  return steps.length === 0 ? 0 : right.length / steps.length;
}
