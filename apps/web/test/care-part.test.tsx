/** @jest-environment jsdom */
import './support/text-encoder.js';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeDrill, type Minded, type Restriction, type Said } from '@orthokin/core/people';
import { firstPattern } from '@orthokin/core/progress';
import type { PatternReply } from '@orthokin/contract';
import { MemoryRouter, useLocation } from 'react-router';
import { CarePart, isStopped } from '../src/floor/set-up/CarePart.js';
import type { FloorSetup } from '../src/floor/plan-drill.js';
import { PLAN } from './plan.js';

const DAY = '2026-11-27';
const user = userEvent.setup();

const pattern = {
  ...(firstPattern({
    name: 'Star',
    sport: 'squash',
    court: 'squash',
    hand: 'right',
  }) as PatternReply),
  ...{ id: 'star', version: 1 },
};
const TOP = pattern.rungs.length;

const restriction = (more: Partial<Restriction>): Restriction & Said => ({
  ...{ kind: 'no jumping', leg: null, moves: [], most: null, from: DAY, until: null },
  ...{ clinician: false, saidAt: 0, ...more },
});

const setup = (more: Partial<FloorSetup> = {}): FloorSetup =>
  ({ athlete: PLAN.athlete, pattern, rung: TOP, eased: null, ...more }) as FloorSetup;

/** What the address is, for what a press changes in it. */
const Address = () => <output data-testid="address">{useLocation().search}</output>;

function show(minded: Partial<Minded>, { splits = 10, asked = setup() } = {}) {
  const before = beforeDrill(
    {
      ...{ restrictions: [], looks: [], agreements: [], goAheads: [], underAge: false },
      done: { minutes: 0, splits: 0 },
      ...minded,
    },
    { patternId: 'star', pattern, rung: asked.rung, day: DAY, splits },
  );
  const said = { onReps: jest.fn(), onOverrule: jest.fn() };
  render(
    <MemoryRouter initialEntries={['/floor/athlete']}>
      <CarePart asked={asked} before={before} {...said} />
      <Address />
    </MemoryRouter>,
  );
  return { before, ...said };
}
const button = (name: string | RegExp) => screen.getByRole('button', { name });

describe('what stands against a set', () => {
  test('is said with its targets, and what may be done instead is one press away', async () => {
    const { before } = show({ restrictions: [restriction({ kind: 'no turning', leg: 'left' })] });
    expect(isStopped(before)).toBe(true);
    expect(screen.getByRole('listitem').textContent).toMatch(
      /^No turning on the left leg, until it is lifted\. Targets .* ask for it: turn on the left leg\.$/,
    );
    const { targets = [] } = before.instead ?? {};
    await user.click(button(`Only ${targets.join(', ')}`));
    // The test's router knows nothing of the window's address, which a change starts from.
    expect(screen.getByTestId('address').textContent).toContain(
      `only=${encodeURIComponent(targets.join(','))}`,
    );
  });

  test('is gone ahead against only with a reason', async () => {
    const { onOverrule } = show({ restrictions: [restriction({ kind: 'no turning' })] });
    await user.click(button('Start all the same…'));
    expect(button('Start, for this reason')).toHaveProperty('disabled', true);
    await user.type(screen.getByRole('textbox', { name: 'Why, in a few words' }), '  slowly  ');
    await user.click(button('Start, for this reason'));
    expect(onOverrule).toHaveBeenCalledWith('slowly');
  });

  test('is a clinician’s to clear where it says so', () => {
    show({ restrictions: [restriction({ clinician: true })] });
    expect(screen.queryByRole('button', { name: 'Start all the same…' })).toBeNull();
    expect(screen.getByText(/Only the clinician in charge can clear this/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Walk through it' }).getAttribute('href')).toContain(
      'rehearse',
    );
  });

  test('leaves what is left of the day', async () => {
    const { onReps } = show({
      restrictions: [restriction({ kind: 'splits a day', most: 40 })],
      done: { minutes: 3, splits: 34 },
    });
    expect(screen.getByText(/6 are left today\./)).toBeTruthy();
    await user.click(button('Only 6 reps'));
    expect(onReps).toHaveBeenCalledWith(6);
  });
});

describe('what is only said', () => {
  test('checks that nobody looked at, and those that did not go, with the way to them', () => {
    const { before } = show({
      looks: [{ check: 'backpedal', leg: null, result: 'not yet', day: DAY, saidAt: 0 }],
    });
    expect(isStopped(before)).toBe(false);
    const line = screen.getByText(/Nobody has looked yet whether Somebody can: squat and hold/);
    expect(line.textContent).toContain('When it was last looked at it did not go yet: backpedal.');
    expect(screen.getByRole('link', { name: 'Look first' }).getAttribute('href')).toBe(
      '/people/athlete/checks',
    );
  });

  test('a guardian’s agreement that is missing, or ran out', () => {
    show({ underAge: true });
    expect(screen.getByText(/No guardian’s agreement to training/)).toBeTruthy();
    show({
      underAge: true,
      agreements: [{ to: 'training', day: '2025-01-01', until: '2025-12-31' }],
    });
    expect(screen.getByText(/ran out on/).textContent).toContain('2025');
  });

  test('that the set was made easier, and how to ask all of it again', () => {
    show({}, { asked: setup({ eased: { targets: ['A'], floorShare: 1 } }) });
    expect(screen.getByText(/it says nothing about moving up/)).toBeTruthy();
    expect(button('Ask all of it again')).toBeTruthy();
  });
});
