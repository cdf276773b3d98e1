/** @jest-environment jsdom */
import './support/text-encoder.js';
import type { Foreseen } from '@orthokin/core/progress';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Chip } from '../src/floor/set-up/Chip.js';
import { ForeseenPart } from '../src/floor/set-up/ForeseenPart.js';
import { USUAL_CHOICES, type DrillChoices } from '../src/floor/plan-drill.js';

const user = userEvent.setup();
const few: Foreseen = {
  ...{ kind: 'too few reps', expected: 6, needed: 8 },
  mend: { reps: 8 },
};

test('each line has the one press that mends it; without any nothing is shown', async () => {
  const chosen = jest.fn<undefined, [DrillChoices]>();
  const { container, rerender } = render(
    <ForeseenPart foreseen={[]} choices={USUAL_CHOICES} onChange={chosen} />,
  );
  expect(container.textContent).toBe('');
  rerender(
    <ForeseenPart
      foreseen={[few, { kind: 'cues give away' }]}
      choices={{ ...USUAL_CHOICES, asRung: false }}
      onChange={chosen}
    />,
  );
  expect(screen.getAllByRole('listitem')).toHaveLength(2);
  await user.click(screen.getByRole('button', { name: 'Do 8 reps' }));
  expect(chosen.mock.lastCall?.[0]).toMatchObject({ reps: 8, asRung: false });
  await user.click(screen.getByRole('button', { name: 'Cues as the rung asks' }));
  expect(chosen.mock.lastCall?.[0]).toMatchObject({ reps: 10, asRung: true });
});

test('a chip says what will happen, and opens and closes its choices', async () => {
  function Own() {
    const [isOpen, setOpen] = useState(false);
    return (
      <Chip title="Cues" says="10 reps, mixed" isOpen={isOpen} onOpen={setOpen}>
        <p>choices</p>
      </Chip>
    );
  }
  render(<Own />);
  const chip = screen.getByRole('button', { name: /^Cues ?10 reps, mixed$/ });
  expect(chip.getAttribute('aria-expanded')).toBe('false');
  await user.click(chip);
  expect(chip.getAttribute('aria-expanded')).toBe('true');
  await user.keyboard('{Enter}');
  expect(chip.getAttribute('aria-expanded')).toBe('false');
});
