import { shuffled, type Random } from './random.js';

const pick = <T>(items: readonly T[], random: Random): T =>
  items[Math.floor(random() * items.length)] as T;

/**
 * Each letter's last way out, on a random tree that leads to the root: the first entries of a
 * random walk, turned round (Broder 1989; Aldous 1990).
 */
function lastExits(letters: readonly string[], root: string, random: Random): Map<string, string> {
  const exits = new Map<string, string>();
  let at = root;
  while (exits.size < letters.length - 1) {
    const next = pick(letters, random);
    if (next !== root && !exits.has(next)) exits.set(next, at);
    at = next;
  }
  return exits;
}

/**
 * A random circuit that takes every ordered pair of letters exactly once and ends where it began;
 * with `loops` also each letter after itself. Its first letter is `root`.
 * Source: van Aardenne-Ehrenfest & de Bruijn 1951 (circuits from trees).
 */
export function eulerianCircuit(
  letters: readonly string[],
  root: string,
  loops: boolean,
  random: Random,
): string[] {
  const last = lastExits(letters, root, random);
  const exits = new Map(
    letters.map((letter) => {
      const final = last.get(letter);
      const free = letters.filter((to) => to !== final && (loops || to !== letter));
      return [letter, [...shuffled(free, random), ...(final === undefined ? [] : [final])]];
    }),
  );
  const circuit = [root];
  let at = root;
  for (;;) {
    const next = exits.get(at)?.shift();
    if (next === undefined) return circuit;
    circuit.push(next);
    at = next;
  }
}
