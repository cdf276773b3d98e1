import { predictability } from '@orthokin/core/cue';
import { expectClose, reference } from './reference.js';

const file = reference('sequence') as {
  relativeTolerance: number;
  cases: ({ sequence: string[] } & ReturnType<typeof predictability>)[];
};

test.each(file.cases)('how guessable $sequence is', ({ sequence, ...expected }) => {
  const found = predictability(sequence);
  for (const name of Object.keys(expected) as (keyof typeof expected)[])
    expectClose(found[name], expected[name], file.relativeTolerance);
});
