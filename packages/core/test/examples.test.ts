import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as beacon from '@orthokin/core/beacon';
import * as budget from '@orthokin/core/budget';
import * as cue from '@orthokin/core/cue';
import * as film from '@orthokin/core/film';
import * as floor from '@orthokin/core/floor';
import * as numeric from '@orthokin/core/numeric';
import * as pattern from '@orthokin/core/pattern';
import * as people from '@orthokin/core/people';
import * as progress from '@orthokin/core/progress';
import * as stats from '@orthokin/core/stats';
import * as timing from '@orthokin/core/timing';

const SRC = join(__dirname, '../src');
const KNOWN = {
  ...numeric,
  ...floor,
  ...pattern,
  ...people,
  ...cue,
  ...timing,
  ...beacon,
  ...budget,
};
const ALL: Readonly<Record<string, unknown>> = { ...KNOWN, ...stats, ...progress, ...film };

const sources = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('index.ts'))
  .map((name) => ({ name, text: readFileSync(join(SRC, name), 'utf8') }));

/** The lines of every example, and what its last line promises. */
const examples = sources.flatMap(({ name, text }) =>
  [...text.matchAll(/@example\n((?: \* .*\n)+)/g)].map(([, block = '']) => {
    const lines = block.split('\n').flatMap((line) => line.replace(/^ \* ?/, '') || []);
    const [expression = '', promised = ''] = (lines.pop() ?? '').split('; // ');
    return { name, before: lines.join('\n'), expression, promised };
  }),
);

const run = (body: string): unknown =>
  // oxlint-disable-next-line typescript/no-implied-eval -- examples are our own source
  (new Function(...Object.keys(ALL), body) as (...all: unknown[]) => unknown)(
    ...Object.values(ALL),
  );

describe('the examples of the doc comments', () => {
  test('are there', () => expect(examples.length).toBeGreaterThan(15));

  test.each(examples)('$name: $expression', ({ before, expression, promised }) => {
    const found = run(`${before}\nreturn ${expression};`);
    if (promised.endsWith('…')) expect(String(found).startsWith(promised.slice(0, -1))).toBe(true);
    else expect(found).toEqual(run(`return ${promised};`));
  });
});

describe('what core offers', () => {
  /** A type that is read off the constant or type just above it says nothing new. */
  const READ_OFF = /^export type \w+ = (\(typeof \w+\)\[number\]|keyof typeof \w+);/;

  test.each(sources)('is described: $name', ({ text }) => {
    const lines = text.split('\n');
    const bare = lines.filter(
      (line, i) =>
        /^export (async )?(const|function|type|interface|class) /.test(line) &&
        !READ_OFF.test(line) &&
        !/\*\/\s*$/.test(lines[i - 1] ?? ''),
    );
    expect(bare).toEqual([]);
  });
});
