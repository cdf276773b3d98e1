import { resolve } from 'node:path';

export const ROOT = resolve(import.meta.dirname, '../..');

/** Everything created at run time; ignored by git. */
export const DATA = resolve(ROOT, 'data');
/** Exists in an unpacked package, in which nothing is built or downloaded. */
export const PACKAGED = resolve(ROOT, 'packaged.json');
