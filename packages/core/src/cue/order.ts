import { eulerianCircuit } from './eulerian.js';
import { shuffled, type Random } from './random.js';

/**
 * `known`: the coach's list, over and over · `blocked`: all of one target, then the next ·
 * `shuffled`: each block holds every target once · `chained`: every ordered pair equally often, so
 * that the last cue says nothing of the next · `free`: independent, weighted · `called`: a person
 * chooses live, nothing is planned.
 */
export const CUE_ORDERS = ['known', 'blocked', 'shuffled', 'chained', 'free', 'called'] as const;
export type CueOrder = (typeof CUE_ORDERS)[number];

/** In what order targets are called, and which. */
export interface OrderSettings {
  readonly order: CueOrder;
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
  readonly reps: number;
  /** Most cues in a row for one target; holds for the orders drawn at random. */
  readonly maxRun: number;
  /** Of `known`: the list; the targets in turn when there is none. */
  readonly list?: readonly string[];
  /** Of `free`: how often each target comes, relative to the others; 1 when not given. */
  readonly weights?: Readonly<Record<string, number>>;
}

/** How many cues at the end of the list are for its last target. */
function runAtEnd(letters: readonly string[]): number {
  const last = letters.at(-1);
  let run = 0;
  while (run < letters.length && letters[letters.length - 1 - run] === last) run++;
  return run;
}

const inTurn = (list: readonly string[], reps: number): string[] =>
  Array.from({ length: reps }, (_, i) => list[i % list.length] ?? '');

const inBlocks = (targets: readonly string[], reps: number): string[] =>
  Array.from({ length: reps }, (_, i) => targets[Math.floor((i * targets.length) / reps)] ?? '');

function shuffledOrder({ targets, reps, maxRun }: OrderSettings, random: Random): string[] {
  const letters: string[] = [];
  while (letters.length < reps) {
    const block = shuffled(targets, random);
    // A run can only grow where two blocks meet; the swap keeps every target once in the block.
    if (block[0] === letters.at(-1) && runAtEnd(letters) >= maxRun) {
      const other = 1 + Math.floor(random() * (block.length - 1));
      [block[0], block[other]] = [block[other] as string, block[0] as string];
    }
    letters.push(...block);
  }
  return letters;
}

/** Pairs in one circuit of a chained order, and so the cues after which it is balanced again. */
export const chainLength = (targets: number, maxRun: number): number =>
  maxRun > 1 ? targets ** 2 : targets * (targets - 1);

function chainedOrder({ targets, reps, maxRun }: OrderSettings, random: Random): string[] {
  const root = targets[Math.floor(random() * targets.length)] ?? '';
  const letters = [root];
  while (letters.length < reps) {
    const circuit = eulerianCircuit(targets, root, maxRun > 1, random);
    // Where two circuits meet a run could grow beyond its most: that one is drawn again.
    if (circuit[1] === root && runAtEnd(letters) >= maxRun) continue;
    letters.push(...circuit.slice(1));
  }
  return letters;
}

function freeOrder({ targets, reps, maxRun, weights }: OrderSettings, random: Random): string[] {
  const letters: string[] = [];
  while (letters.length < reps) {
    const barred = runAtEnd(letters) >= maxRun ? letters.at(-1) : undefined;
    const open = targets.filter((letter) => letter !== barred);
    const share = (letter: string) => weights?.[letter] ?? 1;
    let left = random() * open.reduce((sum, letter) => sum + share(letter), 0);
    letters.push(open.find((letter) => (left -= share(letter)) < 0) ?? (open.at(-1) as string));
  }
  return letters;
}

/** Letters in the order they are to be cued; none when a person calls them. */
export function orderOf(settings: OrderSettings, random: Random): string[] {
  const { order, targets, reps, list = [] } = settings;
  switch (order) {
    case 'known':
      return inTurn(list.length > 0 ? list : targets, reps);
    case 'blocked':
      return inBlocks(targets, reps);
    case 'shuffled':
      return shuffledOrder(settings, random).slice(0, reps);
    case 'chained':
      return chainedOrder(settings, random).slice(0, reps);
    case 'free':
      return freeOrder(settings, random);
    case 'called':
      return [];
  }
}
