/** @jest-environment jsdom */
import { TextEncoder } from 'node:util';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import type * as Router from 'react-router';
import type * as Text from '../src/parts/Text.js';
import type * as Address from '../src/parts/useAddress.js';

// Missing in jsdom; the router asks for it as it is loaded.
Object.assign(globalThis, { TextEncoder });
const { BrowserRouter } = jest.requireActual<typeof Router>('react-router');
const { Page } = jest.requireActual<typeof Text>('../src/parts/Text.js');
const { useAddress } = jest.requireActual<typeof Address>('../src/parts/useAddress.js');

function Choices(): ReactElement {
  const [params, change] = useAddress();
  return (
    <Page name="Choices">
      <output>{params.toString()}</output>
      <button
        onClick={() => {
          change({ duration: 'cycle' });
          change({ sort: 'time' });
        }}
      >
        both
      </button>
      <button onClick={() => change({ duration: null })}>neither</button>
      <button
        onClick={() => change((now) => new URLSearchParams([...now, ['a', '1'], ['a', '2']]))}
      >
        two of one name
      </button>
    </Page>
  );
}

const user = userEvent.setup();
const shown = () => screen.getByRole('status').textContent;

beforeEach(() => {
  window.history.replaceState(null, '', '/choices?at=home');
  render(
    <BrowserRouter>
      <Choices />
    </BrowserRouter>,
  );
});

test('two choices before the next drawing are both kept, beside what was there', async () => {
  await user.click(screen.getByText('both'));
  expect(shown()).toBe('at=home&duration=cycle&sort=time');
  await user.click(screen.getByText('neither'));
  expect(shown()).toBe('at=home&sort=time');
});

test('a change may be a function of what the address holds', async () => {
  await user.click(screen.getByText('two of one name'));
  expect(shown()).toBe('at=home&a=1&a=2');
});

test('a choice is no step in the history', async () => {
  const before = window.history.length;
  await user.click(screen.getByText('both'));
  expect(window.history.length).toBe(before);
});

test('a page bears its name', () => {
  expect(document.title).toContain('Choices');
});
