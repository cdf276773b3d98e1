import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chownSync, mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { zipSync, strToU8 } from 'fflate';
import pg from 'pg';
import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster, serverUser, testDatabase } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { DATA, ROOT } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { randomOf, setOf, squadWithSetups, wait } from './lib/recording.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Besieges a server of its own: sets are recorded while server, database and connections are
killed, files made to burst it are sent, and every field of every route is tried with everything.
Says what was acknowledged and what is stored, how much memory it took, and how long the slowest of
those fields; fails when a rep that was acknowledged is not there, or memory or an answer (but for
files) went over its bound.

  npm run siege -- [--sets N] [--kills N] [--seed N] [--no-fields] [--small-disk FOLDER]

  --sets N      sets that are recorded (default 200)
  --kills N     times that something is killed meanwhile (default 12)
  --seed N      of what is killed when (default 1)
  --no-fields   without the fields of every route, which take some minutes
  --small-disk FOLDER
                has the database there, and fills the disk it is on while as many sets are recorded again;
                an empty folder on a disk of its own of at most 1 GB, such as
                sudo mount -t tmpfs -o size=300m tmpfs FOLDER`;

const MOST_MB = 700;
const LONGEST_MS = 1000;
/** Requests handled by worker threads, which may take seconds to start without holding up other requests. */
const BY_A_THREAD = /\/imports\/|\.(csv|zip)$/;
const MB = 2 ** 20;
const CLIENTS = 8;
/** A larger disk might be one that somebody needs. */
const LARGEST_SMALL_DISK = 2 ** 30;
const FULL_FOR_MS = 8000;

class Besieged {
  /** @param {{ databaseUrl: string, servingUrl: string }} urls @param {number} port */
  constructor({ databaseUrl, servingUrl }, port) {
    this.databaseUrl = databaseUrl;
    this.servingUrl = servingUrl;
    this.port = port;
    this.mostMb = 0;
    /** Replies that asked to try again later (503). */
    this.putOff = 0;
    /** @type {import('node:child_process').ChildProcess | null} */
    this.process = null;
    this.over = false;
  }

  /** Starts the server, and restarts it whenever it dies. */
  async start() {
    const child = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], {
      env: {
        ...process.env,
        ...{ DATABASE_URL: this.databaseUrl, SERVING_DATABASE_URL: this.servingUrl },
        ...{ PORT: String(this.port), DEMO: 'once' },
        LOG_LEVEL: 'fatal',
      },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    this.process = child;
    child.on('exit', () => {
      if (!this.over && this.process === child) setTimeout(() => void this.start(), 300);
    });
    await new Promise((done) => {
      child.once('message', done);
      child.once('exit', done);
    });
  }

  watch() {
    const timer = setInterval(() => {
      try {
        const status = readFileSync(`/proc/${this.process?.pid}/status`, 'utf8');
        const kb = Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0);
        this.mostMb = Math.max(this.mostMb, kb / 1024);
      } catch {
        // It is just being restarted.
      }
    }, 100);
    return () => clearInterval(timer);
  }

  stop() {
    this.over = true;
    this.process?.kill('SIGTERM');
  }

  /** @param {string} method @param {string} path @param {object | Uint8Array} [body] */
  async ask(method, path, body) {
    const isFile = body instanceof Uint8Array;
    const response = await fetch(`http://127.0.0.1:${this.port}/api/${path}`, {
      method,
      ...(body && {
        body: isFile ? body : JSON.stringify(body),
        headers: { 'Content-Type': isFile ? 'application/zip' : 'application/json' },
      }),
      signal: AbortSignal.timeout(20_000),
    });
    return { status: response.status, body: await response.json().catch(() => null) };
  }

  /** Sends until acknowledged, as a device does. @param {string} path @param {object} body */
  async put(path, body) {
    for (;;) {
      try {
        const { status, body: said } = await this.ask('PUT', path, body);
        if (status === 200) return;
        if (status < 500) throw new Refusal(`${path}: ${status} ${JSON.stringify(said)}`);
        this.putOff += 1;
      } catch (error) {
        if (error instanceof Refusal) throw error;
      }
      await wait(150);
    }
  }
}

/**
 * Records sets while something is done to the server, and reports acknowledged reps that are not stored.
 * @param {Besieged} server
 * @param {number} sets
 * @param {(isRecording: () => boolean) => Promise<void>} meanwhile
 */
async function recording(server, sets, meanwhile) {
  const get = async (/** @type {string} */ path) =>
    /** @type {any} */ ((await server.ask('GET', path)).body);
  const clubs = await get('clubs');
  const at = `clubs/${clubs[0].clubId}`;
  const squad = await squadWithSetups(get, at);
  /** @type {string[]} */
  const acknowledged = [];
  let begun = 0;
  const client = async () => {
    while (begun < sets) {
      const set = setOf(squad[begun++ % squad.length]);
      await server.put(`${at}/sets/${set.id}`, set.body);
      for (const rep of set.reps) {
        await server.put(`${at}/sets/${set.id}/reps/${rep.id}`, rep.body);
        acknowledged.push(rep.id);
      }
    }
  };
  await Promise.all([...Array.from({ length: CLIENTS }, client), meanwhile(() => begun < sets)]);
  const database = new pg.Client({ connectionString: server.databaseUrl });
  await database.connect();
  const { rows } = await database.query('select id from rep where id = any ($1::uuid[])', [
    acknowledged,
  ]);
  await database.end();
  say(`${acknowledged.length} reps acknowledged, ${rows.length} of them stored`);
  return rows.length === acknowledged.length;
}

/** Kills the server, the database or its connections in random order. */
const killing =
  (
    /** @type {Besieged} */ server,
    /** @type {import('./lib/cluster.mjs').RunningCluster} */ cluster,
    /** @type {{ kills: number, seed: number }} */ { kills, seed },
  ) =>
  async (/** @type {() => boolean} */ isRecording) => {
    const random = randomOf(seed);
    for (let n = 0; n < kills && isRecording(); n++) {
      await wait(800 + 1500 * random());
      const what = Math.floor(3 * random());
      if (what === 0) server.process?.kill('SIGKILL');
      else if (what === 1) cluster.crash();
      else await disconnect(server.databaseUrl);
      say(`killed ${['the server', 'the database', 'every connection'][what]}`);
    }
  };

/** Fills a disk completely for a while. @param {string} folder */
const filling = (folder) => async () => {
  const ballast = join(folder, 'ballast');
  await wait(1000);
  for (let size = MB; size >= 1024;)
    try {
      writeFileSync(ballast, new Uint8Array(size), { flag: 'a' });
    } catch {
      size /= 2;
    }
  say('the disk is full');
  await wait(FULL_FOR_MS);
  rmSync(ballast);
  say('there is room again');
};

/** A folder for the database on the disk that is to be filled. @param {string} folder */
function placeOn(folder) {
  const { blocks, bsize } = statfsSync(folder);
  if (blocks * bsize > LARGEST_SMALL_DISK)
    throw new Refusal(
      `--small-disk ${folder}: the disk it is on has ${Math.round((blocks * bsize) / MB)} MB; allowed at most ${LARGEST_SMALL_DISK / MB} MB, since it is filled.`,
    );
  const place = join(folder, 'database');
  mkdirSync(place, { mode: 0o700 });
  const user = serverUser();
  if (user) chownSync(place, user.uid, user.gid);
  return place;
}

/** @param {string} databaseUrl */
async function disconnect(databaseUrl) {
  const database = new pg.Client({ connectionString: databaseUrl });
  database.on('error', () => undefined);
  await database.connect().catch(() => undefined);
  await database
    .query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
    )
    .catch(() => undefined);
  await database.end().catch(() => undefined);
}

/**
 * Reports how long the event loop was blocked since the metrics were last read. prom-client samples it every 10 ms.
 * @param {string} metrics
 */
function sayHeld(metrics) {
  const ms = (/** @type {string} */ which) => {
    const [, seconds] =
      new RegExp(`^nodejs_eventloop_lag_${which}_seconds (\\S+)`, 'm').exec(metrics) ?? [];
    return Math.round(1000 * Number(seconds));
  };
  say(
    `its event loop was held for ${ms('p99')} ms at the 99th of 100 looks, ${ms('max')} ms at most`,
  );
}

/** Sends zip bombs and other files that unpack to far more than their size. @param {Besieged} server */
async function bursting(server) {
  const head = () =>
    strToU8(
      JSON.stringify({
        format: 'orthokin club',
        version: 2,
        club: { clubId: randomUUID(), name: 'x' },
      }),
    );
  const blanks = (/** @type {number} */ mb) => new Uint8Array(mb * MB).fill(32);
  const FILES = /** @type {const} */ ([
    [
      'lists in a list, 200 MB',
      () => ({ 'club.json': strToU8(`{"x":[${'[],'.repeat(66 * MB)}[]]}`) }),
    ],
    ['blanks, 400 MB', () => ({ 'club.json': head(), 'reps.jsonl': blanks(400) })],
    [
      'empty athletes',
      () => ({
        'club.json': strToU8(
          JSON.stringify({
            format: 'orthokin club',
            version: 1,
            athletes: Array(150_001).fill({}),
          }),
        ),
      }),
    ],
  ]);
  let good = true;
  for (const [what, make] of FILES) {
    const file = zipSync(make(), { level: 9 });
    // Packing blocked this process: give it time to notice connections the server closed meanwhile.
    await wait(200);
    const began = Date.now();
    const { status } = await server.ask('POST', 'clubs', file);
    const healthy = (await server.ask('GET', 'health')).status === 200;
    say(`${what}, ${Math.round(file.length / 1024)} KB: ${status} after ${Date.now() - began} ms`);
    good &&= status >= 400 && status < 500 && healthy;
  }
  const metrics = await fetch(`http://127.0.0.1:${server.port}/api/metrics`);
  sayHeld(await metrics.text());
  return good;
}

/**
 * Tries every field of every route with every kind of bad value, and reports the slowest replies.
 * @param {import('./lib/cluster.mjs').RunningCluster} cluster
 */
function fields(cluster) {
  const report = join(DATA, 'siege-fields.json');
  rmSync(report, { force: true });
  const { status } = spawnSync(
    'npx',
    ['jest', '--selectProjects', 'server', '--testPathPatterns', 'door.test'],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, SIEGE: '1', SIEGE_REPORT: report, ...testDatabase(cluster) },
    },
  );
  if (status !== 0) return false;
  /** @type {{ taken: { of: string, ms: number, bytes: number }[], metrics: string }} */
  const { taken, metrics } = JSON.parse(readFileSync(report, 'utf8'));
  rmSync(report);
  const slowest = taken.sort((a, b) => b.ms - a.ms);
  const bound = slowest.find(({ of }) => !BY_A_THREAD.test(of));
  const largest = Math.max(...taken.map(({ bytes }) => bytes));
  say(`${taken.length} requests, no answer over ${Math.ceil(largest / 1024)} KB; the slowest:`);
  for (const { of, ms } of slowest.slice(0, 8)) say(`  ${Math.round(ms)} ms ${of}`);
  say(`the slowest but for files: ${Math.round(bound?.ms ?? 0)} ms (bound ${LONGEST_MS})`);
  sayHeld(metrics);
  return (bound?.ms ?? 0) <= LONGEST_MS;
}

await run(async () => {
  const { values } = parseArgs({
    options: {
      sets: { type: 'string', default: '200' },
      kills: { type: 'string', default: '12' },
      seed: { type: 'string', default: '1' },
      'no-fields': { type: 'boolean', default: false },
      'small-disk': { type: 'string' },
      help: { type: 'boolean', default: false },
    },
  });
  if (values.help) {
    say(HELP);
    return 0;
  }
  const [sets, kills, seed] = [values.sets, values.kills, values.seed].map(Number);
  for (const [name, value] of Object.entries({ sets, kills, seed }))
    if (!Number.isInteger(value) || Number(value) < 0)
      throw new Refusal(`--${name}: allowed a whole number from 0. See npm run siege -- --help.`);
  ensureDebianPackages(['postgresql']);
  ensureNpmPackages();
  ensureBuilt();
  const cluster = await ensureCluster('test', { mayCreate: true });
  const name = `siege_${process.pid}`;
  const smallDisk = values['small-disk'];
  const place = smallDisk === undefined ? null : placeOn(smallDisk);
  const admin = async (/** @type {string[]} */ ...statements) => {
    const database = new pg.Client({ connectionString: cluster.adminUrl('orthokin') });
    await database.connect();
    for (const statement of statements) await database.query(statement);
    await database.end();
  };
  const onPlace = place === null ? '' : ` tablespace ${name}`;
  await admin(
    ...(place === null ? [] : [`create tablespace ${name} location '${place}'`]),
    `create database ${name} owner orthokin${onPlace}`,
  );
  const server = new Besieged(
    { databaseUrl: cluster.url(name), servingUrl: cluster.servingUrl(name) },
    await freePort(),
  );
  await server.start();
  const unwatch = server.watch();
  try {
    const checks = [
      await bursting(server),
      await recording(
        server,
        sets ?? 0,
        killing(server, cluster, { kills: kills ?? 0, seed: seed ?? 0 }),
      ),
    ];
    if (smallDisk !== undefined) {
      server.putOff = 0;
      checks.push(await recording(server, sets ?? 0, filling(smallDisk)), server.putOff > 0);
      say(`${server.putOff} answers put off while it was full`);
    }
    say(`most memory of the server: ${Math.round(server.mostMb)} MB (bound ${MOST_MB})`);
    checks.push(server.mostMb < MOST_MB);
    if (!values['no-fields']) checks.push(fields(cluster));
    return checks.every(Boolean) ? 0 : 1;
  } finally {
    unwatch();
    server.stop();
    await wait(1000);
    await admin(
      `drop database ${name} with (force)`,
      ...(place === null ? [] : [`drop tablespace ${name}`]),
    );
    if (place !== null) rmSync(place, { recursive: true });
    cluster.stop();
  }
});
