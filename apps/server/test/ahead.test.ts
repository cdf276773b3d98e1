import { ahead } from '../src/platform/work/ahead.js';

/** Pieces 1, 2, 3, with what is done to them written down. */
function source(said: string[], failsAt = Infinity): AsyncIterable<number> {
  return (async function* () {
    try {
      for (const piece of [1, 2, 3]) {
        said.push(`begin ${piece}`);
        await Promise.resolve();
        if (piece === failsAt) throw new Error(`no ${piece}`);
        yield piece;
      }
    } finally {
      said.push('over');
    }
  })();
}

async function use(said: string[], pieces: AsyncIterable<number>, until = Infinity): Promise<void> {
  for await (const piece of pieces) {
    await new Promise((done) => setImmediate(done));
    said.push(`use ${piece}`);
    if (piece === until) return;
  }
}

test('the next piece is begun before one is used, and no other', async () => {
  const said: string[] = [];
  await use(said, ahead(source(said)));
  expect(said.slice(0, 4)).toEqual(['begin 1', 'begin 2', 'use 1', 'begin 3']);
  expect(said.filter((line) => line.startsWith('use'))).toEqual(['use 1', 'use 2', 'use 3']);
});

test('that a piece failed is heard when its turn comes', async () => {
  const said: string[] = [];
  await expect(use(said, ahead(source(said, 2)))).rejects.toThrow('no 2');
  expect(said).toContain('use 1');
});

test('whoever leaves early ends where the pieces come from', async () => {
  const said: string[] = [];
  await use(said, ahead(source(said)), 1);
  expect(said.at(-1)).toBe('over');
  expect(said).not.toContain('begin 3');
});
