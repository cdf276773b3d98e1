/** @jest-environment jsdom */
import { layoutTargets } from '@orthokin/core/pattern';
import type { ToMend } from '@orthokin/core/progress';
import { render, screen } from '@testing-library/react';
import { SayThis } from '../src/parts/SayThis.js';
import { keepWords, mendCue, mendWhy } from '../src/words/say-this.js';

const targets = layoutTargets('star', 3).map((target, i) =>
  i === 1 ? { ...target, name: 'deep left' } : target,
);
const lean: ToMend = { kind: 'fault', fault: 'lean', reps: 4, of: 12, at: null };
const slow: ToMend = {
  ...{ kind: 'slow', gate: 'recovery', reps: 3, of: 12, overMs: 204, at: 'B' },
};

test('a fault is said by its cue, or by the club’s own; why counts its reps', () => {
  expect(mendCue(lean, targets, [])).toBe('Land even.');
  const own = [{ fault: 'lean' as const, name: 'tipping', say: 'Like a cat.', mend: '' }];
  expect(mendCue(lean, targets, own)).toBe('Like a cat.');
  expect(mendWhy(lean, targets, own)).toBe('Tipping in 4 of 12 reps.');
});

test('what is slow is said with the target it shows at, where there is one', () => {
  expect(mendCue(slow, targets, [])).toBe('Straight home from deep left.');
  expect(mendWhy(slow, targets, [])).toBe(
    'Recovery over its limit in 3 of 12 reps at B, deep left; 0.20 s to go.',
  );
  expect(mendCue({ ...slow, at: null }, targets, [])).toBe('Straight home, no stop.');
});

test('what to keep is said too, and nothing where nothing is known', () => {
  const keep = { kind: 'without', fault: 'flat feet', of: 12 } as const;
  expect(keepWords(keep, [])).toBe('no flat feet in 12 reps.');
  const { container, rerender } = render(
    <SayThis found={{ mend: null, keep: null }} targets={targets} faults={[]} />,
  );
  expect(container.textContent).toBe('');
  rerender(<SayThis found={{ mend: slow, keep }} targets={targets} faults={[]} />);
  expect(screen.getByRole('region', { name: 'Say this' }).textContent).toContain(
    'Keep: no flat feet',
  );
});
