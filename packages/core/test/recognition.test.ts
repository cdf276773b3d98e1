import fc from 'fast-check';
import {
  isKnown,
  MOST_ASKS,
  nextAsk,
  recognised,
  seededRandom,
  type Answer,
} from '@orthokin/core/cue';

const LETTERS = ['A', 'B', 'C', 'D'];

/** Runs a practice with somebody who knows some cues and mixes the others up. */
function practise(known: ReadonlySet<string>, letters: readonly string[], seed: number): Answer[] {
  const random = seededRandom(seed);
  const answers: Answer[] = [];
  for (;;) {
    const asked = nextAsk(answers, letters, random);
    if (asked === null) return answers;
    const given = known.has(asked) ? asked : (letters.find((letter) => letter !== asked) ?? '?');
    answers.push({ asked, given, afterMs: 800 });
  }
}

test('who knows every cue is asked for each twice, and no more', () => {
  const answers = practise(new Set(LETTERS), LETTERS, 7);
  expect(answers).toHaveLength(8);
  expect(recognised(answers, LETTERS).every(({ known }) => known)).toBe(true);
});

test('who mixes one up is asked for it again, and it is named with what it was taken for', () => {
  const answers = practise(new Set(['A', 'B', 'C']), LETTERS, 7);
  expect(recognised(answers, LETTERS).filter(({ known }) => !known)).toEqual([
    { letter: 'D', asked: MOST_ASKS, right: 0, known: false, takenFor: ['A'] },
  ]);
});

test('a cue learnt on the way is known after two right answers in a row', () => {
  const answer = (given: string): Answer => ({ asked: 'A', given, afterMs: 900 });
  expect(isKnown([answer('B'), answer('A')], 'A')).toBe(false);
  expect(isKnown([answer('B'), answer('A'), answer('A')], 'A')).toBe(true);
  expect(isKnown([answer('A'), answer('A'), answer('B')], 'A')).toBe(false);
});

test('every practice ends, asks nothing twice in a row while it can, and finds just who is known', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 12 }),
      fc.nat(),
      fc.func(fc.boolean()),
      (n, seed, knows) => {
        const letters = [...'ABCDEFGHIJKL'].slice(0, n);
        const known = new Set(letters.filter(knows));
        const answers = practise(known, letters, seed);
        expect(answers.length).toBeLessThanOrEqual(MOST_ASKS * n);
        const found = recognised(answers, letters).filter((each) => each.known);
        expect(new Set(found.map(({ letter }) => letter))).toEqual(known);
        answers.slice(1).forEach(({ asked }, i) => {
          const before = answers.slice(0, i + 1);
          const open = letters.filter(
            (letter) =>
              !isKnown(before, letter) &&
              before.filter((one) => one.asked === letter).length < MOST_ASKS,
          );
          if (open.length > 1) expect(asked).not.toBe(before.at(-1)?.asked);
        });
      },
    ),
  );
});
