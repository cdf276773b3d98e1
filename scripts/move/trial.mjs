import { randomBytes } from 'node:crypto';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import pg from 'pg';
import { Program } from '../cluster/program.mjs';
import { Player } from '../cluster/player.mjs';
import { until } from '../cluster/machines.mjs';
import { ensureCluster } from '../lib/cluster.mjs';
import { DATA, ROOT } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { wait } from '../lib/recording.mjs';
import { Refusal, say } from '../lib/say.mjs';
import { moveClub } from './move.mjs';

const HOME = join(DATA, 'move');
const CLIENTS = 4;
const PLAYED_BEFORE_MS = 3000;
const PLAYED_AFTER_MS = 5000;

/** A place a club can be moved from or to: a database and a server. */
class Place {
  /**
   * @param {import('../lib/cluster.mjs').RunningCluster} cluster
   * @param {Program} server
   * @param {string} address
   */
  constructor(cluster, server, address) {
    this.cluster = cluster;
    this.server = server;
    this.address = address;
  }

  /** @param {string} name @param {NodeJS.ProcessEnv} shared what servers of one address have in common */
  static async begin(name, shared) {
    const cluster = await ensureCluster(`move-${name}`);
    await asAdmin(cluster, (admin) => admin.query(`alter system set wal_level = logical`));
    cluster.restart();
    const port = await freePort();
    const server = new Program(
      join(HOME, `server-${name}.log`),
      process.execPath,
      [join(ROOT, 'apps/server/dist/main.js')],
      {
        NODE_ENV: 'production',
        DATABASE_URL: cluster.url('orthokin'),
        SERVING_DATABASE_URL: cluster.servingUrl('orthokin'),
        PORT: String(port),
        TRUST_PROXY: '1',
        LOG_LEVEL: 'warn',
        DEMO: name === 'one' ? 'once' : 'none',
        ...shared,
      },
      { asRoot: true },
    );
    server.start();
    const address = `http://127.0.0.1:${port}`;
    await until(async () => (await fetch(`${address}/api/health`)).ok, `Server ${name}`);
    return new Place(cluster, server, address);
  }

  async end() {
    await this.server.kill('SIGTERM');
    this.cluster.stop();
  }
}

/**
 * @template Value
 * @param {import('../lib/cluster.mjs').RunningCluster} cluster
 * @param {(admin: pg.Client) => Promise<Value>} act
 */
async function asAdmin(cluster, act) {
  const admin = new pg.Client({ connectionString: cluster.adminUrl('orthokin') });
  await admin.connect();
  try {
    return await act(admin);
  } finally {
    await admin.end();
  }
}

/** Sends a command to haproxy's socket. @param {string} socket @param {string} command */
const tell = (socket, command) =>
  new Promise((done, fail) => {
    const line = connect(socket, () => line.end(`${command}\n`));
    line.on('error', fail).on('close', done).resume();
  });

/**
 * Moves the demo club between two places while devices record sets.
 * @returns whether nothing was lost
 */
export async function tryMove() {
  for (const name of ['move', 'move-one', 'move-two'])
    rmSync(join(DATA, name), { recursive: true, force: true });
  mkdirSync(HOME, { recursive: true, mode: 0o777 });
  const pages = await freePort();
  const address = `http://127.0.0.1:${pages}`;
  const shared = {
    SESSION_SECRET: randomBytes(24).toString('hex'),
    PRIVATE_KEYS: `trial:${randomBytes(32).toString('hex')}`,
    PUBLIC_ADDRESS: address,
  };
  /** @type {Place[]} */
  const places = [];
  const [map, socket] = [join(HOME, 'clubs.map'), join(HOME, 'haproxy.sock')];
  writeFileSync(map, '127.0.0.1 one\n');
  /** @type {Program | null} */
  let proxy = null;
  try {
    const one = await Place.begin('one', shared);
    places.push(one);
    const two = await Place.begin('two', shared);
    places.push(two);
    proxy = new Program(
      join(HOME, 'proxy.log'),
      '/usr/sbin/haproxy',
      ['-db', '-f', join(ROOT, 'deploy/haproxy-clubs.cfg')],
      {
        ORTHOKIN_BIND: `127.0.0.1:${pages}`,
        ORTHOKIN_CLUBS_SOCKET: socket,
        ORTHOKIN_CLUBS_MAP: map,
        ORTHOKIN_SERVER_1: new URL(one.address).host,
        ORTHOKIN_SERVER_2: new URL(two.address).host,
      },
      { asRoot: true },
    );
    proxy.start();
    await until(async () => (await fetch(`${address}/api/health`)).ok, 'haproxy');
    say('Two places, haproxy in front: up');
    return await playAndMove(one, two, address, () =>
      tell(socket, `set map ${map} 127.0.0.1 two`).then(() => undefined),
    );
  } finally {
    await proxy?.kill();
    for (const place of places) await place.end();
  }
}

/** @param {Place} one @param {Place} two @param {string} address @param {() => Promise<void>} lead */
async function playAndMove(one, two, address, lead) {
  const player = await Player.signIn({ own: [one.address], address });
  const [club] = await player.get('clubs');
  let isOver = false;
  const playing = player.play(CLIENTS, () => isOver);
  await wait(PLAYED_BEFORE_MS);
  const began = Date.now();
  const move = (/** @type {() => Promise<void>} */ leading) =>
    asAdmin(one.cluster, (from) =>
      asAdmin(two.cluster, (to) =>
        moveClub({
          ...{ from, to, lead: leading, clubId: club.clubId, holdAtMostMs: 60_000 },
          fromUrl: one.cluster.adminUrl('orthokin'),
        }),
      ),
    );
  const nobodyLed = new Refusal('nobody was led on');
  const failed = await move(() => Promise.reject(nobodyLed)).catch((error) => error);
  if (failed !== nobodyLed) throw failed;
  say(
    'Nobody could be led on: the club stays where it was, and nothing is left where it should go',
  );
  const { rows, copiedMs, heldMs } = await move(lead);
  await wait(PLAYED_AFTER_MS);
  isOver = true;
  await playing;
  const ids = [...player.acknowledged.keys()];
  const stored = await asAdmin(two.cluster, async (admin) => {
    const found = await admin.query(
      `select id, count(*)::int as times from rep where club_id = $1 and id = any ($2::uuid[]) group by id`,
      [club.clubId, ids],
    );
    return new Map(found.rows.map(({ id, times }) => [id, times]));
  });
  const lost = ids.filter((id) => !stored.has(id)).length;
  const doubled = [...stored.values()].filter((times) => times !== 1).length;
  const s = (/** @type {number} */ ms) => (ms / 1000).toFixed(1);
  say(
    `${rows} rows moved: copied in ${s(copiedMs)} s while it was used, held for ${s(heldMs)} s; the longest time in which nothing was acknowledged was ${s(player.longestPauseMs(began))} s`,
  );
  say(
    `${ids.length} reps of ${player.sets.size} sets acknowledged before, meanwhile and after: ${lost} lost, ${doubled} doubled`,
  );
  return lost + doubled === 0;
}
