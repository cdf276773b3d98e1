import { execFileSync } from 'node:child_process';
import { resolve } from 'node:path';

const SCRIPT = `
  import { GrowingPause } from './scripts/lib/growing-pause.mjs';
  const pause = new GrowingPause();
  const seconds = Array.from({ length: 8 }, () => pause.next() / 1000);
  pause.reset();
  console.log(JSON.stringify([...seconds, pause.next() / 1000]));`;

test('pauses double up to a minute, and are short again after what went well', () => {
  const said = execFileSync(process.execPath, ['--input-type=module', '--eval', SCRIPT], {
    cwd: resolve(import.meta.dirname, '../..'),
  });
  expect(JSON.parse(said.toString())).toEqual([1, 2, 4, 8, 16, 32, 60, 60, 1]);
});
