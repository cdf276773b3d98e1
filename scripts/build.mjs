import { build } from './lib/build.mjs';

process.exitCode = build({ unlessCurrent: process.argv.includes('--unless-current') }) ? 0 : 1;
