import { spawnSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Brings up on this machine what deploy/ describes: three databases looked after by patroni, two
servers, haproxy in front. Records sets against them while machines are switched off, cables are pulled
and a server is asked to stop, at moments that a seed decides. Says how long nothing could be written
each time, and compares what was acknowledged with what is stored; fails when anything is lost, doubled
or changed.

  npm run cluster -- [--sets N] [--troubles N] [--seed N] [--keep]

  --sets N      sets that are recorded at least (default 200)
  --troubles N  how many things happen meanwhile (default 6, each kind in turn)
  --seed N      of what happens when (default 1)
  --keep        leaves it running afterwards, until Ctrl-C`;

/** @param {Record<string, string | undefined>} given */
function wholeNumbers(given) {
  for (const [name, value] of Object.entries(given))
    if (!/^\d+$/.test(value ?? ''))
      throw new Refusal(`--${name}: allowed a whole number from 0. See npm run cluster -- --help.`);
  return Object.values(given).map(Number);
}

await run(async () => {
  const { values } = parseArgs({
    options: {
      sets: { type: 'string', default: '200' },
      troubles: { type: 'string', default: '6' },
      seed: { type: 'string', default: '1' },
      keep: { type: 'boolean', default: false },
      help: { type: 'boolean', default: false },
    },
  });
  if (values.help) {
    say(HELP);
    return 0;
  }
  const [sets = 0, troubles = 0, seed = 0] = wholeNumbers({
    ...{ sets: values.sets, troubles: values.troubles, seed: values.seed },
  });
  const installed = ensureDebianPackages(['postgresql', 'patroni', 'etcd-server', 'haproxy']);
  // Debian starts these for the whole machine on installation; here they run only for this command.
  const services = { 'etcd-server': 'etcd', haproxy: 'haproxy', patroni: 'patroni' };
  for (const [name, service] of Object.entries(services))
    if (installed.some((each) => each === name))
      spawnSync('systemctl', ['disable', '--now', service], { stdio: 'ignore' });
  ensureNpmPackages();
  ensureBuilt();
  // Imported late, because it needs packages that this command has just installed.
  const { playThrough } = await import('./cluster/play.mjs');
  return (await playThrough({ sets, troubles, seed, keep: values.keep })) ? 0 : 1;
});
