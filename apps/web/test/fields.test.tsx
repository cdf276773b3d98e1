/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactElement } from 'react';
import { CheckField } from '../src/parts/form/CheckField.js';
import {
  CountField,
  LengthField,
  NumberField,
  SecondsField,
  ShareField,
} from '../src/parts/form/NumberFields.js';

const user = userEvent.setup();
const field = () => screen.getByRole('textbox');
const wrong = () => screen.queryByRole('alert')?.textContent ?? null;
/** A field that keeps what it is given. */
function Kept({
  start,
  children,
}: {
  start: number;
  children: (value: number, keep: (value: number) => void) => ReactElement;
}): ReactElement {
  const [value, setValue] = useState(start);
  return (
    <>
      {children(value, setValue)}
      <output>{value}</output>
    </>
  );
}
const keptNow = () => Number(screen.getByRole('status').textContent);

async function type(text: string): Promise<void> {
  await user.clear(field());
  await user.type(field(), text);
}

describe('a time', () => {
  beforeEach(() =>
    render(
      <Kept start={350}>
        {(valueMs, keep) => (
          <SecondsField
            label="Reaction"
            valueMs={valueMs}
            minMs={100}
            maxMs={3000}
            onChange={keep}
          />
        )}
      </Kept>,
    ),
  );

  test('is shown and typed in seconds and kept in ms, when the field is left', async () => {
    expect(field()).toHaveProperty('value', '0.35 s');
    await type('0.42');
    expect(keptNow()).toBe(350);
    await user.tab();
    expect(keptNow()).toBe(420);
    expect(field()).toHaveProperty('value', '0.42 s');
  });

  test.each(['0,5', '0.5 s', ' .5 '])('"%s" is half a second, too', async (text) => {
    await type(`${text}{Enter}`);
    expect(keptNow()).toBe(500);
  });

  test.each([
    ['0', 'Reaction: 0.10 s to 3.00 s'],
    ['5', 'Reaction: 0.10 s to 3.00 s'],
    ['soon', 'Reaction: a number in s'],
  ])('"%s" stays as typed, with what is allowed', async (text, words) => {
    await type(text);
    await user.tab();
    expect(field()).toHaveProperty('value', text);
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(field().getAttribute('aria-describedby') ?? '')).toBe(
      screen.getByRole('alert').parentElement,
    );
    expect(wrong()).toBe(words);
    expect(keptNow()).toBe(350);
  });

  test('Escape brings the kept value back', async () => {
    await type('nonsense{Escape}');
    expect(field()).toHaveProperty('value', '0.35 s');
    expect(wrong()).toBeNull();
  });
});

test('a share is typed in percent and kept from 0 to 1', async () => {
  render(
    <Kept start={0.8}>
      {(value, keep) => <ShareField label="Pass" value={value} min={0.5} onChange={keep} />}
    </Kept>,
  );
  expect(field()).toHaveProperty('value', '80 %');
  await type('95 %{Enter}');
  expect(keptNow()).toBeCloseTo(0.95, 10);
  await type('40');
  expect(wrong()).toBe('Pass: 50 % to 100 %');
});

test('a count is whole', async () => {
  render(
    <Kept start={3}>
      {(value, keep) => <CountField label="Sets" min={1} max={9} value={value} onChange={keep} />}
    </Kept>,
  );
  await type('4.4{Enter}');
  expect(keptNow()).toBe(4);
});

test('a length is read in the coach’s unit and kept in metres', async () => {
  render(
    <Kept start={2}>
      {(value, keep) => <LengthField label="Out" unit="feet" value={value} onChange={keep} />}
    </Kept>,
  );
  expect(field().getAttribute('value')).toBe('6′ 7″');
  await type("10'{Enter}");
  expect(keptNow()).toBeCloseTo(3.048, 6);
});

test('a number below zero may be typed with either dash', async () => {
  render(
    <Kept start={0}>
      {(value, keep) => (
        <NumberField label="Moved" unit="cm" min={-50} max={50} value={value} onChange={keep} />
      )}
    </Kept>,
  );
  await type('−20{Enter}');
  expect(keptNow()).toBe(-20);
  expect(field()).toHaveProperty('value', '-20 cm');
});

test('a choice that is on or off is turned by its words and by key', async () => {
  const changed = jest.fn();
  render(<CheckField onChange={changed}>Limit the reaction</CheckField>);
  await user.click(screen.getByText('Limit the reaction'));
  await user.keyboard(' ');
  expect(changed.mock.calls).toEqual([[true], [false]]);
});
