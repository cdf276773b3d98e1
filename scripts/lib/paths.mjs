import { resolve } from 'node:path';

export const ROOT = resolve(import.meta.dirname, '../..');

/** Everything made at run time lives here; git ignores it. */
export const DATA = resolve(ROOT, 'data');
/** There where a package was unpacked: nothing is built or fetched in it. */
export const PACKAGED = resolve(ROOT, 'packaged.json');
