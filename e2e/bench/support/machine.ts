import { readFileSync } from 'node:fs';

/** Place of "steal" in the figures of /proc/stat, see proc(5). */
const STEAL = 7;

function ticks(): readonly number[] {
  const [first = ''] = readFileSync('/proc/stat', 'utf8').split('\n');
  return first.trim().split(/\s+/).slice(1).map(Number);
}

/**
 * How much of the machine's time went to its neighbours since, in words: figures of a virtual
 * machine that was held up are not the app's.
 */
export function watchMachine(): () => string {
  const before = ticks();
  return () => {
    const spent = ticks().map((now, i) => now - (before[i] ?? 0));
    const all = spent.slice(0, STEAL + 1).reduce((sum, each) => sum + each, 0);
    return `${Math.round((100 * (spent[STEAL] ?? 0)) / Math.max(1, all))} % of the machine taken by others`;
  };
}
