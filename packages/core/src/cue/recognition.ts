import { shuffled, type Random } from './random.js';

/** One answer of a practice of the map: which marker was meant, and which was pointed at. */
export interface Answer {
  readonly asked: string;
  readonly given: string;
  /** From the cue to the answer, ms. */
  readonly afterMs: number;
}

/** How one target's cue was known. */
export interface Recognised {
  readonly letter: string;
  readonly asked: number;
  readonly right: number;
  readonly known: boolean;
  /** What was pointed at instead, each once. */
  readonly takenFor: readonly string[];
}

/** So many right answers in a row, and the cue of a target is known: one can be a lucky guess. */
const RIGHT_IN_A_ROW = 2;

/** Nobody is asked more often than this for one target: who does not know it by then does not. */
export const MOST_ASKS = 4;

const asksOf = (answers: readonly Answer[], letter: string): Answer[] =>
  answers.filter(({ asked }) => asked === letter);

/** Whether the last answers for a target were right. */
export function isKnown(answers: readonly Answer[], letter: string): boolean {
  const last = asksOf(answers, letter).slice(-RIGHT_IN_A_ROW);
  return last.length === RIGHT_IN_A_ROW && last.every(({ given }) => given === letter);
}

/**
 * Whose cue to ask for next: the least asked of those not known yet, and none twice in a row while
 * there is another; `null` when every target is known or was asked for often enough.
 */
export function nextAsk(
  answers: readonly Answer[],
  letters: readonly string[],
  random: Random,
): string | null {
  const open = letters.filter(
    (letter) => !isKnown(answers, letter) && asksOf(answers, letter).length < MOST_ASKS,
  );
  const last = answers.at(-1)?.asked;
  const others = open.filter((letter) => letter !== last);
  const from = others.length > 0 ? others : open;
  const least = Math.min(...from.map((letter) => asksOf(answers, letter).length));
  const [next] = shuffled(
    from.filter((letter) => asksOf(answers, letter).length === least),
    random,
  );
  return next ?? null;
}

/** What the answers say of each target. */
export const recognised = (answers: readonly Answer[], letters: readonly string[]): Recognised[] =>
  letters.map((letter) => {
    const asks = asksOf(answers, letter);
    const wrong = asks.filter(({ given }) => given !== letter).map(({ given }) => given);
    return {
      letter,
      asked: asks.length,
      right: asks.length - wrong.length,
      known: isKnown(answers, letter),
      takenFor: [...new Set(wrong)],
    };
  });
