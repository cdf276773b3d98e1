import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import 'reflect-metadata';
import { ensureBuilt } from './lib/build.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/say.mjs';

// Regenerates docs/pattern.schema.json from the contract's rules.
await run(async () => {
  ensureBuilt();
  const { patternSchema } = await import('../apps/server/dist/domains/patterns/pattern-schema.js');
  writeFileSync(
    join(ROOT, 'docs/pattern.schema.json'),
    `${JSON.stringify(patternSchema(), null, 2)}\n`,
  );
  return 0;
});
