/** @jest-environment jsdom */
import './support/text-encoder.js';
import type { Point } from '@orthokin/core/floor';
import { fireEvent, render, screen } from '@testing-library/react';
import { OWN_KEYS } from '../src/film/screen/own-keys.js';
import { PictureSurface } from '../src/film/screen/PictureSurface.js';

/** A picture of 600 × 300 that keeps what was clicked. */
function surface() {
  const clicked: (Point & { shift: boolean })[] = [];
  render(
    <PictureSurface
      label="the picture"
      widthPx={600}
      heightPx={300}
      onPress={({ x, y }, { shiftKey }) => clicked.push({ x, y, shift: shiftKey })}
    >
      <g />
    </PictureSurface>,
  );
  return { clicked, keys: screen.getByRole('button', { name: /arrows move a cross/ }) };
}

describe('a picture that is clicked by keys', () => {
  test('has a cross in its middle that the arrows move, and Enter clicks', () => {
    const { clicked, keys } = surface();
    fireEvent.keyDown(keys, { key: 'Enter' });
    fireEvent.keyDown(keys, { key: 'ArrowRight' });
    fireEvent.keyDown(keys, { key: 'ArrowUp' });
    fireEvent.keyDown(keys, { key: 'Enter', shiftKey: true });
    expect(clicked).toEqual([
      { x: 300, y: 150, shift: false },
      { x: 310, y: 140, shift: true },
    ]);
  });

  test('moves finely with Shift, and never out of the picture', () => {
    const { clicked, keys } = surface();
    fireEvent.keyDown(keys, { key: 'ArrowLeft', shiftKey: true });
    fireEvent.keyDown(keys, { key: 'Enter' });
    for (let i = 0; i < 99; i++) fireEvent.keyDown(keys, { key: 'ArrowDown' });
    fireEvent.keyDown(keys, { key: 'Enter' });
    expect(clicked.map(({ x, y }) => [x, y])).toEqual([
      [300 - 600 / 640, 150],
      [300 - 600 / 640, 300],
    ]);
  });

  test('shows the cross only while it has the keys, and keeps them from the film', () => {
    const { keys } = surface();
    const crosses = () => screen.getByRole('img').querySelectorAll('path').length;
    expect(crosses()).toBe(0);
    fireEvent.focus(keys);
    expect(crosses()).toBe(1);
    fireEvent.blur(keys);
    expect(crosses()).toBe(0);
    expect(keys.hasAttribute(OWN_KEYS)).toBe(true);
    // Any other key is the page's.
    expect(fireEvent.keyDown(keys, { key: 'Tab' })).toBe(true);
    expect(fireEvent.keyDown(keys, { key: 'ArrowLeft' })).toBe(false);
  });
});
