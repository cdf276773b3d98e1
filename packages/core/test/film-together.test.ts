import {
  alignByMarks,
  filmTogether,
  frameTogether,
  inRecording,
  TOGETHER_AT,
  type Alignment,
  type FilmRep,
  type Marks,
} from '@orthokin/core/film';
import fc from 'fast-check';

const every = (gapMs: number, n: number, fromMs = 0): number[] =>
  Array.from({ length: n }, (_, i) => fromMs + i * gapMs);

const tied = (offsetMs: number, rate: number): Alignment => {
  const found = alignByMarks(
    [
      { setMs: 0, recordingMs: offsetMs },
      { setMs: 10_000, recordingMs: offsetMs + 10_000 * rate },
    ],
    5,
  );
  if (!found.ok) throw new Error('not tied');
  return found.value;
};

const repAt = (ordinal: number, atMs: number): FilmRep => ({
  ordinal,
  target: 'A',
  cue: { name: 'cue', atMs, sdMs: 5, source: 'film' },
});

const marked = (ordinal: number, frames: Marks[number]['frames']): Marks => ({
  [ordinal]: { frames, missed: false },
});

test('two films of one set, one of them slowed four times, show the same moment', () => {
  const [usual, slow] = [tied(300, 1), tied(1200, 4)];
  const [usualMs, slowMs] = [every(1000 / 60, 600), every(1000 / 30, 6000)];
  const rep = repAt(0, 2000);
  const own = filmTogether(rep, {}, usualMs, usual, 'cue');
  const other = filmTogether(rep, {}, slowMs, slow, 'cue');
  if (!own || !other) throw new Error('a cue is always there');
  for (const afterMs of [-300, 0, 410, 1000, 2500]) {
    const frame = usualMs.findLastIndex((ms) => ms <= inRecording(usual, 2000 + afterMs));
    const shownMs = ((slowMs[frameTogether(frame, own, other)] as number) - 1200) / 4;
    expect(Math.abs(shownMs - (2000 + afterMs))).toBeLessThan(1000 / 60);
  }
});

test('a moment that was not marked lays nothing together; the cue is always known', () => {
  const marks = marked(0, { arrival: 90 });
  const at = TOGETHER_AT.filter((each) =>
    filmTogether(repAt(0, 1000), marks, every(20, 300), tied(0, 1), each),
  );
  expect(at).toEqual(['cue', 'arrival']);
});

test('laid together at an event, its frame in one shows its frame in the other, whatever the frame rates', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(30, 60, 120, 240),
      fc.constantFrom(30, 60, 120, 240),
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 40, max: 200 }),
      (ownPerS, otherPerS, ownFrame, otherFrame) => {
        const [ownMs, otherMs] = [every(1000 / ownPerS, 300), every(1000 / otherPerS, 300)];
        const own = filmTogether(
          repAt(0, 500),
          marked(0, { home: ownFrame }),
          ownMs,
          tied(0, 1),
          'home',
        );
        const other = filmTogether(
          repAt(3, 700),
          marked(3, { home: otherFrame }),
          otherMs,
          tied(50, 1),
          'home',
        );
        if (!own || !other) throw new Error('both are marked');
        const frame = frameTogether(ownFrame, own, other);
        const apartMs = Math.abs((otherMs[frame] as number) - (otherMs[otherFrame] as number));
        expect(apartMs).toBeLessThanOrEqual(1000 / Math.min(ownPerS, otherPerS) + 1e-6);
      },
    ),
  );
});
