import { blankPattern } from '@orthokin/core/footwork';
import { draftOf, dropDraft, keepDraft } from '../src/device/drafts.js';

const kept = new Map<string, string>();
let full = false;
beforeEach(() => {
  kept.clear();
  full = false;
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => {
        if (full) throw new DOMException('full', 'QuotaExceededError');
        kept.set(key, value);
      },
      removeItem: (key: string) => kept.delete(key),
    },
  });
});

const draft = { version: 3, pattern: blankPattern('Mine') };

test('a draft is kept for its pattern alone, and dropped', () => {
  expect(keepDraft('a', draft)).toBe(true);
  expect(draftOf('a')).toEqual(draft);
  expect(draftOf('b')).toBeNull();
  dropDraft('a');
  expect(draftOf('a')).toBeNull();
});

test('a device without room says so and keeps what it had; what cannot be read is no draft', () => {
  keepDraft('a', draft);
  full = true;
  expect(keepDraft('a', { ...draft, version: 4 })).toBe(false);
  expect(draftOf('a')?.version).toBe(3);
  kept.set([...kept.keys()][0] ?? '', '{');
  expect(draftOf('a')).toBeNull();
});
