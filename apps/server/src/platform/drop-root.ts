import { statSync } from 'node:fs';
import { dirname } from 'node:path';

const OTHERS_MAY_ENTER = 0o001;
const OTHERS_MAY_READ = 0o004;

/** Whether a user that owns nothing can read a file: every folder above it must let them in. */
function isOpenToOthers(file: string): boolean {
  if ((statSync(file).mode & OTHERS_MAY_READ) === 0) return false;
  for (let folder = dirname(file); ; folder = dirname(folder)) {
    if ((statSync(folder).mode & OTHERS_MAY_ENTER) === 0) return false;
    if (folder === dirname(folder)) return true;
  }
}

/**
 * Gives up root for `nobody`, where it was started as root: what is served needs no rights. A server
 * whose own files only root may read stays as it is. Says whether the process is root after it.
 */
export function dropRoot(ownFile: string): boolean {
  if (process.getuid?.() !== 0) return false;
  if (!isOpenToOthers(ownFile)) return true;
  process.setgroups?.(['nogroup']);
  process.setgid?.('nogroup');
  process.setuid?.('nobody');
  return false;
}
