/** @jest-environment jsdom */
import './support/text-encoder.js';
import { layoutTargets, USUAL_RUNG, type GatedDuration, type Rung } from '@orthokin/core/pattern';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { TargetLimits } from '../src/ladder/rungs/TargetLimits.js';

const targets = layoutTargets('line', 2);
const before: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Both', targets: ['A', 'B'] },
  limitsMs: { recovery: 1200, reaction: 300 },
};

const changes: Rung[] = [];
const now = (): Rung | undefined => changes.at(-1);

function Form({ gate, rung }: { gate: GatedDuration; rung: Rung }) {
  const [own, setOwn] = useState(rung);
  const change = (next: Rung) => {
    changes.push(next);
    setOwn(next);
  };
  return <TargetLimits rung={own} gate={gate} targets={targets} onChange={change} />;
}

const user = userEvent.setup();

test('each target gets its own limit, from the rung’s, and gives it back', async () => {
  render(<Form gate="recovery" rung={before} />);
  const each = screen.getByRole('checkbox', { name: 'Each target its own' });
  await user.click(each);
  expect(now()?.targetLimits).toEqual(
    ['A', 'B'].map((target) => ({
      ...{ gate: 'recovery', target, limitMs: 1200 },
      source: { kind: 'coach' },
    })),
  );
  const field = screen.getByRole('textbox', { name: /^B, / });
  await user.clear(field);
  await user.type(field, '0.9');
  await user.tab();
  expect(now()?.targetLimits?.find(({ target }) => target === 'B')?.limitMs).toBe(900);
  expect(now()?.targetLimits?.find(({ target }) => target === 'A')?.limitMs).toBe(1200);
  await user.click(each);
  expect(now()?.targetLimits).toEqual([]);
});

test.each<[string, GatedDuration, Rung]>([
  ['a reaction, which no distance makes longer', 'reaction', before],
  ['a rung of one target', 'recovery', { ...before, targets: ['A'] }],
])('it is not offered for %s', (_, gate, rung) => {
  const { container } = render(<Form gate={gate} rung={rung} />);
  expect(container.textContent).toBe('');
});
