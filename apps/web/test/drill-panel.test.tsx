/** @jest-environment jsdom */
import './support/text-encoder.js';
import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { EventName } from '@orthokin/core/timing';
import { keyedFaults } from '../src/floor/acts/keyed-faults.js';
import { FaultKeys } from '../src/floor/set/FaultKeys.js';
import { Controls } from '../src/floor/set/Controls.js';
import { LastReps } from '../src/floor/set/LastReps.js';
import { LateMark } from '../src/floor/set/LateMark.js';
import { LiveRibbon } from '../src/floor/set/LiveRibbon.js';
import { PaceNow } from '../src/floor/set/PaceNow.js';
import { useDrillKeys, type KeyMap } from '../src/floor/acts/useDrillKeys.js';
import type { DrillActs } from '../src/floor/acts/useDrillActs.js';
import { CallKeypad } from '../src/screens/CallKeypad.js';
import { HAND_EVENTS, TimingButtons } from '../src/screens/TimingButtons.js';
import { SetClock } from '../src/drill/set-clock.js';
import type { DrillPlan } from '../src/drill/plan.js';
import { PLAN } from './plan.js';
import { cued, press, rep, runOf } from './played.js';

const user = userEvent.setup();

beforeAll(() => {
  // What is drawn asks for the width it has; nothing here has one.
  class Unmeasured {
    observe = jest.fn();
    disconnect = jest.fn();
    unobserve = jest.fn();
  }
  Object.assign(window, { ResizeObserver: Unmeasured });
});

const acts = (): jest.Mocked<DrillActs> => ({
  ...{
    press: jest.fn(),
    pressAt: jest.fn(),
    pause: jest.fn(),
    goOn: jest.fn(),
    redo: jest.fn(),
    strike: jest.fn(),
  },
  ...{ fault: jest.fn(), mark: jest.fn(), close: jest.fn(), end: jest.fn() },
});

describe('the big buttons', () => {
  const openAt = (names: readonly EventName[]) => {
    const onEvent = jest.fn<undefined, [EventName, number]>();
    render(<TimingButtons isOpen={(name) => names.includes(name)} onEvent={onEvent} />);
    return onEvent;
  };

  test('each has its words and its key, in the order things happen', () => {
    openAt([]);
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(
      HAND_EVENTS.map(({ words, key, optional }) =>
        optional ? (expect.stringContaining(words) as string) : `${words}${key}`,
      ),
    );
  });

  test('the moment is when the finger lands, not when it lifts', () => {
    const onEvent = openAt(['firstMove']);
    const button = screen.getByRole('button', { name: /^First move/ });
    fireEvent.pointerDown(button);
    expect(onEvent).toHaveBeenCalledTimes(1);
    fireEvent.click(button, { detail: 1 });
    expect(onEvent).toHaveBeenCalledTimes(1);
    expect(onEvent.mock.calls[0]?.[0]).toBe('firstMove');
  });

  test('a press without a finger (keyboard, switch, voice) is one as well', () => {
    const onEvent = openAt(['home']);
    fireEvent.click(screen.getByRole('button', { name: /^Home/ }), { detail: 0 });
    expect(onEvent).toHaveBeenCalledWith('home', expect.any(Number));
  });

  test('what cannot be timed now says so, and still takes the press: the run decides', () => {
    openAt(['action']);
    const closed = screen
      .getAllByRole('button')
      .filter((button) => button.getAttribute('aria-disabled') === 'true');
    expect(closed).toHaveLength(3);
  });
});

describe('the keypad of a caller', () => {
  test.each([true, false])('calls by the press (open: %s)', (isOpen) => {
    const onCall = jest.fn();
    render(
      <CallKeypad pattern={PLAN.pattern} letters={['A', 'B']} isOpen={isOpen} onCall={onCall} />,
    );
    const keys = within(screen.getByRole('group')).getAllByRole('button');
    expect(keys).toHaveLength(2);
    expect(keys[0]?.getAttribute('aria-disabled')).toBe(String(!isOpen));
    const [, second] = keys;
    if (second) fireEvent.pointerDown(second);
    expect(onCall).toHaveBeenCalledWith('B');
  });
});

describe('faults', () => {
  const watching: DrillPlan = {
    ...PLAN,
    conditions: { ...PLAN.conditions, watched: ['lean', 'short of home'] },
  };

  test('those watched have a key, and short of home always has one, once', () => {
    expect(keyedFaults(runOf([]))).toEqual(['short of home']);
    expect(keyedFaults(runOf([], watching))).toEqual(['lean', 'short of home']);
  });

  test('of the rep going on show as pressed, and a press says the fault', async () => {
    const run = runOf(
      [cued('r1', 3000), { type: 'fault seen', repId: 'r1', newId: 'n', fault: 'lean' }],
      watching,
    );
    const onFault = jest.fn();
    render(<FaultKeys run={run} onFault={onFault} />);
    expect(screen.getByRole('group', { name: /this rep/ })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^lean/ }).getAttribute('aria-pressed')).toBe('true');
    await user.click(screen.getByRole('button', { name: /^short of home/ }));
    expect(onFault).toHaveBeenCalledWith('short of home');
  });

  test('between reps they are of the last one', () => {
    render(<FaultKeys run={runOf(rep('r1', 3000), watching)} onFault={jest.fn()} />);
    expect(screen.getByRole('group', { name: /last rep/ })).toBeTruthy();
  });
});

describe('what can be done with the set', () => {
  const isDisabled = (name: RegExp) =>
    screen.getByRole('button', { name }).hasAttribute('disabled');

  test('before a rep there is nothing to redo or strike out', () => {
    render(<Controls run={runOf([])} acts={acts()} />);
    expect([/Pause/, /Redo/, /Strike/, /Stop/].map(isDisabled)).toEqual([false, true, true, false]);
  });

  test('after one there is, and a rep struck out can be put back', async () => {
    const done = acts();
    const { rerender } = render(<Controls run={runOf(rep('r1', 3000))} acts={done} />);
    await user.click(screen.getByRole('button', { name: /Strike out/ }));
    expect(done.strike).toHaveBeenCalledTimes(1);
    const struck = runOf([...rep('r1', 3000), { type: 'struck', repId: 'r1', newId: 'r1x' }]);
    rerender(<Controls run={struck} acts={done} />);
    expect(screen.getByRole('button', { name: /Put back/ })).toBeTruthy();
  });

  test('of a set that stands still there is nothing to pause', () => {
    render(
      <Controls run={runOf([...rep('r1', 3000), { type: 'paused', atMs: 6000 }])} acts={acts()} />,
    );
    expect([/Pause/, /Stop/].map(isDisabled)).toEqual([true, true]);
  });
});

describe('the last reps', () => {
  const cellsOf = () =>
    screen
      .getAllByRole('row')
      .slice(1)
      .map((row) =>
        within(row)
          .getAllByRole('cell')
          .map(({ textContent }) => textContent.trim()),
      );

  test('are nothing before the first', () => {
    const { container } = render(<LastReps run={runOf([])} most={5} />);
    expect(container.textContent).toBe('');
  });

  test('stand newest first, with reaction and recovery in seconds', () => {
    render(<LastReps run={runOf([...rep('r1', 3000, 240), ...rep('r2', 7000, 310)])} most={5} />);
    expect(cellsOf()).toEqual([
      // So near its limit a hand cannot tell: it is said as the review says it.
      [expect.stringMatching(/^2/), '≈ 0.31 too close to call', '0.90'],
      [expect.stringMatching(/^1/), '0.24', '0.90'],
    ]);
  });

  test('say why one does not count instead of a time', () => {
    render(<LastReps run={runOf(rep('r1', 3000, 40))} most={5} />);
    expect(cellsOf()).toEqual([[expect.stringMatching(/^1/), 'false start']]);
  });

  test('are no more than asked for', () => {
    render(
      <LastReps
        run={runOf([...rep('r1', 3000), ...rep('r2', 7000), ...rep('r3', 11_000)])}
        most={2}
      />,
    );
    expect(cellsOf()).toHaveLength(2);
  });
});

describe('what appeared at arrival', () => {
  const late: DrillPlan = {
    ...PLAN,
    cues: PLAN.cues.map((cue) => ({ ...cue, late: { kind: 'colour', show: 'blue' } as const })),
  };

  test('is said, and marked as right or wrong', async () => {
    const onMark = jest.fn();
    render(<LateMark run={runOf([cued('r1', 3000)], late)} onMark={onMark} />);
    expect(screen.getByText(/blue/)).toBeTruthy();
    const [right, wrong] = screen.getAllByRole('button');
    await user.click(right as HTMLElement);
    await user.click(wrong as HTMLElement);
    expect(onMark.mock.calls).toEqual([[{ lateRight: true }], [{ lateRight: false }]]);
  });
});

describe('a pace that moves by itself', () => {
  const steps = { passesInARow: 3, stepMs: 200, leastStepMs: 50, reversals: 6 };
  const plan: DrillPlan = {
    ...PLAN,
    conditions: { ...PLAN.conditions, pace: { kind: 'staircase', everyMs: 2000, steps } },
  };

  test('says what it is and what moves it next', () => {
    render(<PaceNow run={runOf([], plan)} />);
    const said = screen.getByRole('status').textContent;
    expect(said).toContain('2.00 s');
    expect(said).toContain('quicker after 3 passes');
    expect(said).toContain('reversal 0 of 6');
  });

  test('is nothing of a set at its own pace', () => {
    const { container } = render(<PaceNow run={runOf([])} />);
    expect(container.textContent).toBe('');
  });
});

describe('the ribbon of the rep that is going on', () => {
  test('draws a band for each phase timed, and one that grows', () => {
    const clock = new SetClock(Date.now() - 3400);
    const run = runOf([cued('r1', 3000), press('firstMove', 3250)]);
    const { container, unmount } = render(<LiveRibbon run={run} clock={clock} />);
    const bands = [...container.querySelectorAll('rect')];
    expect(bands.map((band) => band.getAttribute('fill'))).toEqual(
      ['stance', 'reaction', 'travel'].map((phase) => `url(#hatch-${phase})`),
    );
    expect(Number(bands.at(-1)?.getAttribute('width'))).toBeGreaterThan(0);
    unmount();
  });
});

describe('the keys of a drill', () => {
  function Keyed({ keys }: { keys: KeyMap }) {
    useDrillKeys(keys);
    return <button type="button">Elsewhere</button>;
  }
  const down = (code: string, more: KeyboardEventInit = {}) =>
    fireEvent.keyDown(document.body, { code, ...more });

  test('work wherever the focus is, once a press', () => {
    const act = jest.fn();
    render(<Keyed keys={{ Space: act }} />);
    const button = screen.getByRole('button');
    fireEvent.pointerDown(button);
    button.focus();
    down('Space');
    down('Space', { repeat: true });
    down('Space', { ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
    expect(act).toHaveBeenCalledWith(expect.any(Number));
  });

  test('leave Space and Enter to a control that was reached by Tab', () => {
    const act = jest.fn();
    render(<Keyed keys={{ Space: act, KeyP: act }} />);
    down('Tab');
    screen.getByRole('button').focus();
    down('Space');
    expect(act).not.toHaveBeenCalled();
    down('KeyP');
    expect(act).toHaveBeenCalledTimes(1);
  });

  test('let other keys be', () => {
    const act = jest.fn();
    render(<Keyed keys={{ Space: act }} />);
    expect(down('KeyQ')).toBe(true);
    expect(act).not.toHaveBeenCalled();
  });
});
