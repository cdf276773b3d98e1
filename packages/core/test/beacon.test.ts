import fc from 'fast-check';
import { eventOfSignal, gapsOf, NOTHING_HEARD, take, type Stream } from '@orthokin/core/beacon';

const heard = (seqs: readonly number[]): Stream =>
  seqs.reduce((stream, seq) => take(stream, seq).stream, NOTHING_HEARD);

describe('a stream of numbered events', () => {
  test('names what has not come, and forgets it when it has', () => {
    const stream = heard([1, 2, 5, 9]);
    expect(gapsOf(stream)).toEqual([
      [3, 4],
      [6, 8],
    ]);
    expect(gapsOf([3, 4, 6, 7, 8].reduce((s, seq) => take(s, seq).stream, stream))).toEqual([]);
  });

  test('knows of a last one that has not come', () => {
    expect(gapsOf(heard([1, 2]), 2)).toEqual([]);
    expect(gapsOf(heard([1, 2, 4]), 6)).toEqual([
      [3, 3],
      [5, 6],
    ]);
  });

  test('whatever the order and the repeats: each event is new once, and no gap is left', () => {
    const anyOrder = fc.integer({ min: 1, max: 30 }).chain((n) =>
      fc.tuple(
        fc.shuffledSubarray(
          Array.from({ length: n }, (_, i) => i + 1),
          { minLength: n },
        ),
        fc.array(fc.integer({ min: 1, max: n })),
      ),
    );
    fc.assert(
      fc.property(anyOrder, ([order, repeats]) => {
        let stream = NOTHING_HEARD;
        let news = 0;
        for (const seq of [...order, ...repeats]) {
          const taken = take(stream, seq);
          if (taken.isNew) news += 1;
          stream = taken.stream;
        }
        expect(news).toBe(order.length);
        expect(stream).toEqual({ whole: order.length, beyond: [] });
        expect(gapsOf(stream)).toEqual([]);
      }),
    );
  });
});

test("a signal becomes an event on our clock, with the device's and its clock's error", () => {
  const match = { offsetMs: 5000, drift: 0, atMs: 0, sdMs: 4 };
  expect(eventOfSignal('off', 5250, match, 3)).toEqual({
    name: 'firstMove',
    atMs: 250,
    sdMs: 5,
    source: 'sensor',
  });
  expect(eventOfSignal('on', 7000, match, 3).name).toBe('home');
});
