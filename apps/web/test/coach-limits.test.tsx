/** @jest-environment jsdom */
import './support/text-encoder.js';
import { MOST_COACH_LIMITS, USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { CoachLimits } from '../src/ladder/rungs/CoachLimits.js';

// jsdom has none; lists find their lines by it.
Object.assign(globalThis, { CSS: { escape: (name: string) => name } });

const plain: Rung = {
  ...USUAL_RUNG,
  ...{ number: 1, name: 'Both', targets: ['A', 'B'], limitsMs: { recovery: 1200 } },
};
const prepared = { event: 'prepared', from: 'arrival', limitMs: -100 } as const;

const changes: Rung[] = [];
const now = () => changes.at(-1)?.coachLimits;

function Form({ rung }: { rung: Rung }) {
  const [own, setOwn] = useState(rung);
  const change = (next: Rung) => {
    changes.push(next);
    setOwn(next);
  };
  return <CoachLimits rung={own} onChange={change} />;
}

const user = userEvent.setup();
const name = () => screen.getByRole('textbox', { name: /^Name/ });

test('one is asked for by its name, with the button or Enter, at first a little before arriving', async () => {
  render(<Form rung={plain} />);
  await user.type(name(), '  prepared ');
  await user.click(screen.getByRole('button', { name: 'Ask for it' }));
  expect(now()).toEqual([prepared]);
  expect(name()).toHaveProperty('value', '');
  await user.type(name(), 'bounce{Enter}');
  expect(now()?.map(({ event }) => event)).toEqual(['prepared', 'bounce']);
});

test.each(['recovery', 'First move', 'Prepared'])(
  '%s means something already: that is said, and nothing is asked for',
  async (taken) => {
    const before = changes.length;
    render(<Form rung={{ ...plain, coachLimits: [prepared] }} />);
    await user.type(name(), `${taken}{Enter}`);
    expect(screen.getByText(`“${taken}” cannot be asked for`, { exact: false })).toBeTruthy();
    expect(changes).toHaveLength(before);
    // Another letter, and it is another name.
    await user.type(name(), 's');
    expect(screen.queryByText(/cannot be asked for/)).toBeNull();
  },
);

test('how soon it must come is a time before or after arriving, or after the cue', async () => {
  render(<Form rung={{ ...plain, coachLimits: [prepared] }} />);
  const time = screen.getByRole('textbox', { name: 'prepared, at the latest' });
  await user.clear(time);
  await user.type(time, '0.25');
  await user.tab();
  expect(now()).toEqual([{ ...prepared, limitMs: -250 }]);
  const choose = async (place: string) => {
    await user.click(screen.getByRole('button', { name: /prepared, counted from$/ }));
    await user.click(screen.getByRole('option', { name: place }));
  };
  await choose('after arriving');
  expect(now()).toEqual([{ ...prepared, limitMs: 250 }]);
  await choose('after the cue');
  expect(now()).toEqual([{ event: 'prepared', from: 'cue', limitMs: 250 }]);
});

test('what is no longer asked for goes; of so many no other can be asked for', async () => {
  const all = Array.from({ length: MOST_COACH_LIMITS }, (_, i) => ({
    ...prepared,
    event: `event ${i}`,
  }));
  render(<Form rung={{ ...plain, coachLimits: all }} />);
  expect(screen.queryByRole('textbox', { name: /^Name/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'No longer ask for event 1' }));
  expect(now()?.map(({ event }) => event)).toEqual(['event 0', 'event 2', 'event 3']);
  expect(name()).toBeTruthy();
});
