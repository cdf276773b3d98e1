import fc from 'fast-check';
import { auditCalls } from '@orthokin/core/drill';
import { blankPattern } from '@orthokin/core/footwork';
import { layoutTargets, RECKONINGS } from '@orthokin/core/pattern';
import { draftLadder, SCHOOL_NAMES, USUAL_DRAFT } from '@orthokin/core/progress';

const letters = ['A', 'B', 'C', 'D'];
const calls = fc.array(fc.constantFrom(...letters), { maxLength: 60 });

describe('calls audited', () => {
  test('count every call, of every target in play', () => {
    fc.assert(
      fc.property(calls, (called) => {
        const { counts, longestRun } = auditCalls(called, letters);
        expect(counts.map(({ target }) => target)).toEqual(letters);
        expect(counts.reduce((sum, { count }) => sum + count, 0)).toBe(called.length);
        expect(longestRun).toBeLessThanOrEqual(called.length);
      }),
    );
  });

  test('that go round and round could be learnt; with one target there is nothing to learn', () => {
    const round = Array.from({ length: 24 }, (_, i) => letters[i % 4] ?? '');
    expect(auditCalls(round, letters)).toMatchObject({ fairRate: 0.25, isLearnable: true });
    expect(auditCalls(['A', 'A', 'A'], ['A'])).toMatchObject({ fairRate: 1, isLearnable: false });
    expect(auditCalls([], letters).isLearnable).toBe(false);
    expect(auditCalls([], []).fairRate).toBe(0);
  });

  test('are learnable just where the next is guessed far oftener than fair', () => {
    fc.assert(
      fc.property(calls, (called) => {
        const { guessRateFromPrevious, fairRate, isLearnable } = auditCalls(called, letters);
        expect(isLearnable).toBe(guessRateFromPrevious > 1.6 * fairRate);
      }),
    );
  });
});

describe('the limits of a drafted ladder', () => {
  const pattern = { ...blankPattern('Star'), targets: layoutTargets('star', 2.5) };

  test.each(SCHOOL_NAMES)('say by codes what they were reckoned from (%s)', (school) => {
    for (const { limitSources } of draftLadder(pattern, { ...USUAL_DRAFT, school })) {
      const { reaction, recovery } = limitSources;
      if (reaction?.kind !== 'reckoned' || recovery?.kind !== 'reckoned')
        throw new Error('A drafted limit is reckoned.');
      expect(RECKONINGS).toContain(reaction.how);
      expect(recovery.how).toBe('way home');
      const isAChoice = reaction.how === 'reaction to a choice';
      expect(reaction.choices !== undefined).toBe(isAChoice);
      expect(reaction.msPerBit).toBe(isAChoice ? USUAL_DRAFT.msPerBit : undefined);
    }
  });

  test('grow with the price of a bit of choice, and the way home does not', () => {
    const of = (msPerBit: number) =>
      draftLadder(pattern, { ...USUAL_DRAFT, school: 'reading first', msPerBit }).at(-1)?.limitsMs;
    expect(of(150)?.reaction).toBeGreaterThan(of(80)?.reaction ?? Infinity);
    expect(of(150)?.recovery).toBe(of(80)?.recovery);
  });
});
