/** A stream of random numbers, each in [0, 1). */
export type Random = () => number;

/** The greatest seed there is. */
export const MAX_SEED = 2 ** 32 - 1;

/** splitmix32: spreads one 32-bit seed over the generator's whole state. */
function spread(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return (z ^ (z >>> 15)) >>> 0;
  };
}

/** Four words of 32 bits. */
interface State {
  0: number;
  1: number;
  2: number;
  3: number;
}

/**
 * A seeded generator (seeds of 32 bits, 0 to {@link MAX_SEED}): the same whole-number seed always gives the same stream.
 * Source: sfc32 of C. Doty-Humphrey's PractRand; passes its test batteries.
 */
export function seededRandom(seed: number): Random {
  const next = spread(seed);
  // A typed array: numbers of 32 bits kept in variables of a closure are boxed with every draw.
  const state = Uint32Array.of(next(), next(), next(), 1) as Uint32Array & State;
  return () => {
    const [a, b, c, counter] = [state[0], state[1], state[2], state[3]];
    const t = (a + b + counter) >>> 0;
    state[3] = counter + 1;
    state[0] = b ^ (b >>> 9);
    state[1] = c + (c << 3);
    state[2] = ((c << 21) | (c >>> 11)) + t;
    return t / 2 ** 32;
  };
}

/** Uniform in [from, to). */
export const uniform = (random: Random, from: number, to: number): number =>
  from + (to - from) * random();

/** Normal with the given mean and sd (Box & Muller 1958). */
export const normal = (random: Random, mean: number, sd: number): number =>
  mean + sd * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Exponential with the given mean. */
export const exponential = (random: Random, mean: number): number => -mean * Math.log(1 - random());

/** A new array in random order (Fisher & Yates). */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const result = [...items];
  for (let i = result.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    const held = result[i] as T;
    result[i] = result[j] as T;
    result[j] = held;
  }
  return result;
}
