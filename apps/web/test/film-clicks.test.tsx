/** @jest-environment jsdom */
import './support/text-encoder.js';
import { act, renderHook } from '@testing-library/react';
import { useDrawing } from '../src/film/draw/useDrawing.js';
import { useMarking } from '../src/film/mark/useMarking.js';
import { useSteps } from '../src/film/steps/useSteps.js';

beforeEach(() => localStorage.clear());

describe('feet clicked in a film', () => {
  test('take turns, but for one that is said; the toe is the last foot’s; the last is taken back', () => {
    const { result } = renderHook(() => useSteps('a film', 1));
    expect(result.current.foot).toBe('right');
    act(() => result.current.click({ x: 1, y: 1 }, 10));
    expect(result.current.foot).toBe('left');
    act(() => result.current.setFoot('right'));
    act(() => result.current.click({ x: 2, y: 2 }, 20));
    act(() => result.current.clickToe({ x: 3, y: 3 }));
    expect(result.current.clicks).toEqual([
      { frame: 10, foot: 'right', at: { x: 1, y: 1 } },
      { frame: 20, foot: 'right', at: { x: 2, y: 2 }, toe: { x: 3, y: 3 } },
    ]);
    act(() => result.current.takeBack());
    expect(result.current.clicks).toHaveLength(1);
    expect(result.current.foot).toBe('left');
  });

  test('belong to a rep of a film, and are there when the page is opened anew', () => {
    const first = renderHook(() => useSteps('a film', 1));
    act(() => first.result.current.click({ x: 1, y: 1 }, 10));
    first.unmount();
    expect(renderHook(() => useSteps('a film', 1)).result.current.clicks).toHaveLength(1);
    expect(renderHook(() => useSteps('a film', 2)).result.current.clicks).toEqual([]);
    expect(renderHook(() => useSteps('another film', 1)).result.current.clicks).toEqual([]);
  });

  test('a toe without a foot is nothing', () => {
    const { result } = renderHook(() => useSteps('a film', 1));
    act(() => result.current.clickToe({ x: 3, y: 3 }));
    expect(result.current.clicks).toEqual([]);
  });
});

describe('drawing on a frame', () => {
  test('a thing is there once it is whole, on its own frame only, and kept', () => {
    const { result, rerender, unmount } = renderHook(({ frame }) => useDrawing('a film', frame), {
      initialProps: { frame: 7 },
    });
    act(() => result.current.choose('angle'));
    act(() => result.current.click({ x: 0, y: 0 }));
    act(() => result.current.click({ x: 0, y: 5 }));
    expect(result.current.drawn).toEqual([]);
    expect(result.current.places).toHaveLength(2);
    act(() => result.current.click({ x: 5, y: 5 }));
    expect(result.current.drawn).toMatchObject([{ kind: 'angle', at: { x: 0, y: 5 } }]);
    expect(result.current.places).toEqual([]);
    rerender({ frame: 8 });
    expect(result.current.drawn).toEqual([]);
    expect(result.current.drawnAt(7)).toHaveLength(1);
    unmount();
    expect(renderHook(() => useDrawing('a film', 7)).result.current.drawn).toHaveLength(1);
  });

  test('a way is done when it is said to be; a word needs its text; the last click is taken back first', () => {
    const { result } = renderHook(() => useDrawing('a film', 1));
    act(() => result.current.choose('path'));
    for (const x of [1, 2, 3]) act(() => result.current.click({ x, y: 0 }));
    act(() => result.current.takeBack());
    act(() => result.current.finish());
    expect(result.current.drawn).toEqual([
      {
        kind: 'path',
        places: [
          { x: 1, y: 0 },
          { x: 2, y: 0 },
        ],
      },
    ]);
    act(() => result.current.choose('word'));
    act(() => result.current.click({ x: 9, y: 9 }));
    expect(result.current.drawn).toHaveLength(1);
    act(() => result.current.setText('  low '));
    act(() => result.current.click({ x: 9, y: 9 }));
    expect(result.current.drawn[1]).toEqual({ kind: 'word', at: { x: 9, y: 9 }, text: 'low' });
    act(() => result.current.takeBack());
    expect(result.current.drawn).toHaveLength(1);
    // Another tool begins anew.
    act(() => result.current.choose('line'));
    act(() => result.current.click({ x: 1, y: 1 }));
    act(() => result.current.choose(null));
    expect(result.current.places).toEqual([]);
    act(() => result.current.click({ x: 1, y: 1 }));
    expect(result.current.drawn).toHaveLength(1);
  });
});

test('faults seen on film count while events are marked again, blind', () => {
  const { result } = renderHook(() => useMarking('a film'));
  act(() => result.current.mark(1, 'home', 40));
  act(() => result.current.beginBlind());
  act(() => result.current.mark(1, 'home', 42));
  act(() => result.current.fault(1, 'lean', []));
  expect(result.current.marks[1]).toEqual({
    frames: { home: 40 },
    missed: false,
    faults: ['lean'],
  });
  expect(result.current.again[1]?.frames).toEqual({ home: 42 });
  act(() => result.current.endBlind());
  expect(result.current.shown[1]?.frames).toEqual({ home: 40 });
});
