import { statSync } from 'node:fs';
import { dirname } from 'node:path';

const OTHERS_MAY_ENTER = 0o001;
const OTHERS_MAY_READ = 0o004;

/** Whether an unprivileged user can read a file, which needs search permission on every folder above it. */
function isOpenToOthers(file: string): boolean {
  if ((statSync(file).mode & OTHERS_MAY_READ) === 0) return false;
  for (let folder = dirname(file); ; folder = dirname(folder)) {
    if ((statSync(folder).mode & OTHERS_MAY_ENTER) === 0) return false;
    if (folder === dirname(folder)) return true;
  }
}

/**
 * Switches from root to the user `nobody`, since serving needs no privileges. A checkout that only root can read
 * keeps root. Returns whether the process is still root.
 */
export function dropRoot(ownFile: string): boolean {
  if (process.getuid?.() !== 0) return false;
  if (!isOpenToOthers(ownFile)) return true;
  process.setgroups?.(['nogroup']);
  process.setgid?.('nogroup');
  process.setuid?.('nobody');
  return false;
}
