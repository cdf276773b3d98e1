import { spawnSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Moves a club from one database to another while it is used: copied, followed as it changes,
held for as long as the last of it needs, compared, and led on. See docs/scaling.md.

  npm run move-club -- --from URL --to URL --club ID --lead COMMAND [--hold SECONDS]
  npm run move-club -- --wipe URL --club ID
  npm run move-club -- --let-go URL --club ID
  npm run move-club -- --trial

  --from, --to URL   both databases, as a superuser; the first has wal_level = logical
  --club ID          of the club
  --lead COMMAND     run once all is there: leads whoever asks for the club to the other side.
                     Where it fails it must have changed nothing: the club then stays where it was
  --hold SECONDS     so long nobody may write at the most (default 60); else it stays where it was
  --wipe URL         takes the rows away that were left where the club was; at the earliest when
                     nobody is led there any more
  --let-go URL       lets a club be written at again where a move was broken off by force
  --trial            on this machine: two databases, two servers, haproxy, devices that record
                     meanwhile; fails when anything is lost or doubled`;

/** @param {string | undefined} value @param {string} name */
function needed(value, name) {
  if (!value) throw new Refusal(`--${name} is missing. See npm run move-club -- --help.`);
  return value;
}

/** @param {string} command */
async function lead(command) {
  const { status } = spawnSync('sh', ['-c', command], { stdio: 'inherit' });
  if (status !== 0) throw new Refusal(`"${command}" failed: the club stays where it was.`);
}

await run(async () => {
  const { values } = parseArgs({
    options: {
      from: { type: 'string' },
      to: { type: 'string' },
      club: { type: 'string' },
      lead: { type: 'string' },
      hold: { type: 'string', default: '60' },
      wipe: { type: 'string' },
      'let-go': { type: 'string' },
      trial: { type: 'boolean', default: false },
      help: { type: 'boolean', default: false },
    },
  });
  if (values.help) {
    say(HELP);
    return 0;
  }
  if (values.trial) ensureDebianPackages(['postgresql', 'haproxy']);
  ensureNpmPackages();
  if (values.trial) {
    ensureBuilt();
    const { tryMove } = await import('./move/trial.mjs');
    return (await tryMove()) ? 0 : 1;
  }
  const { default: pg } = await import('pg');
  const { letGo } = await import('./move/hold.mjs');
  const { moveClub, wipe } = await import('./move/move.mjs');
  const clubId = needed(values.club, 'club');
  const opened = async (/** @type {string} */ connectionString) => {
    const client = new pg.Client({ connectionString });
    await client.connect();
    return client;
  };
  if (values.wipe) {
    const client = await opened(values.wipe);
    await wipe(client, clubId);
    await client.end();
    say(`${clubId}: nothing of it is left there.`);
    return 0;
  }
  if (values['let-go']) {
    const client = await opened(values['let-go']);
    await letGo(client, clubId);
    await client.end();
    say(`${clubId}: it can be written at again there.`);
    return 0;
  }
  const seconds = Number(values.hold);
  if (!Number.isInteger(seconds) || seconds < 1)
    throw new Refusal(`--hold: ${values.hold} given, allowed 1 or more seconds.`);
  const fromUrl = needed(values.from, 'from');
  const command = needed(values.lead, 'lead');
  const [from, to] = [await opened(fromUrl), await opened(needed(values.to, 'to'))];
  try {
    const { rows, copiedMs, heldMs } = await moveClub({
      ...{ from, to, fromUrl, clubId, holdAtMostMs: 1000 * seconds },
      lead: () => lead(command),
    });
    say(
      `${rows} rows moved: copied in ${(copiedMs / 1000).toFixed(1)} s while it was used, held for ${(heldMs / 1000).toFixed(1)} s. Where it was it is held; wipe it there once nobody comes any more.`,
    );
    return 0;
  } finally {
    await from.end();
    await to.end();
  }
});
