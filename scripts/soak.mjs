import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { freePort } from './lib/ports.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `A busy club's hours, hurried, at a server of its own: twelve floors, each with a drill and a screen
that joined it, sixty athletes; set after set is recorded and its review, the squad and a ladder are looked
at, and beside it somebody marks a film. Says hour by hour how much memory (the server's, and that of the
film's page), how many connections, how much disk a set and how many waiting jobs it takes; fails where they
grow from hour to hour.

  npm run soak -- [--hours N]

  --hours N   simulated hours (default 8), some 45 s each`;

const FLOORS = 12;
const ATHLETES = 60;
/** A set takes about three minutes, rest included. */
const SETS_AN_HOUR = 20 * FLOORS;
/** By then everything that is loaded only once has been loaded. */
const WARM_HOURS = 2;
const MOST_GROWTH = 1.2;
const MB = 2 ** 20;

/** @typedef {{ memoryMb: number, heldMb: number, filmMb: number, connections: number, diskMb: number, jobs: number }} Taken */

/** @param {number[]} values */
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** @param {number | undefined} pid */
const memoryMb = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** The size of a server's heap, including garbage. @param {string} address */
async function heapMb(address) {
  const text = await (await fetch(`${address}/api/metrics`)).text();
  return Number(/^nodejs_heap_size_used_bytes (\S+)$/m.exec(text)?.[1] ?? NaN) / MB;
}

/**
 * Whether the last hour used no more than the first after warming up.
 * @param {readonly Taken[]} hours
 */
function isFlat(hours) {
  const [warm, last] = [hours[WARM_HOURS - 1], hours.at(-1)];
  if (!warm || !last) return true;
  return (
    last.memoryMb < warm.memoryMb * MOST_GROWTH &&
    last.heldMb < warm.heldMb * MOST_GROWTH &&
    last.filmMb < warm.filmMb * MOST_GROWTH &&
    last.connections <= warm.connections + 2 &&
    last.jobs <= FLOORS &&
    last.diskMb < warm.diskMb * MOST_GROWTH + 0.5
  );
}

/**
 * @param {string} address @param {string} databaseUrl @param {number | undefined} pid @param {number} count
 * @param {import('./lib/open-film.mjs').OpenFilm} film
 */
async function soak(address, databaseUrl, pid, count, film) {
  // Imported late, because they need packages that this command has just installed.
  const [{ default: pg }, { WebSocket }, { v7 }, recording] = await Promise.all([
    import('pg'),
    import('ws'),
    import('uuid'),
    import('./lib/recording.mjs'),
  ]);
  /** @param {string} method @param {string} path @param {object} [body] */
  const ask = async (method, path, body) => {
    const answered = await fetch(`${address}/api/${path}`, {
      method,
      ...(body && { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
    });
    if (!answered.ok)
      throw new Refusal(`${method} ${path}: ${answered.status} ${await answered.text()}`);
    return /** @type {Promise<any>} */ (answered.json());
  };
  const get = (/** @type {string} */ path) => ask('GET', path);
  const [club] = await get('clubs');
  const at = `clubs/${club.clubId}`;
  const [line, ...others] = await get(`${at}/squad`);
  const { patternId } = line;
  await ask('PUT', `${at}/athletes`, {
    athletes: Array.from({ length: ATHLETES - 1 - others.length }, (_, i) => ({
      ...{ id: v7(), name: `Athlete ${i + 1}`, hand: 'right', ageBand: 'adult' },
      ...{ colourVision: 'full', patternId },
    })),
  });
  const ready = await recording.squadWithSetups(get, at);
  const rooms = Array.from({ length: FLOORS }, (_, floor) => `ACDEF${'HJKLMNPRTUVW'[floor]}`);
  const sockets = rooms.flatMap((room) =>
    ['drill', 'cues'].map(
      (role) =>
        new WebSocket(
          `${address.replace('http', 'ws')}/api/live?room=${room}&screen=${v7()}&role=${role}`,
        ),
    ),
  );
  await Promise.all(sockets.map((socket) => new Promise((done) => socket.once('open', done))));
  const database = new pg.Client({ connectionString: databaseUrl });
  await database.connect();
  const taken = async () => {
    const { rows } = await database.query(
      `select (select count(*) from pg_stat_activity where datname = current_database()) as connections,
         pg_database_size(current_database()) as disk,
         (select count(*) from jobs.job where state < 'completed') as jobs`,
    );
    const [{ connections, disk, jobs }] = rows;
    return { connections: Number(connections), disk: Number(disk), jobs: Number(jobs) };
  };
  let next = 0;
  const floorHour = async (/** @type {number} */ floor, /** @type {number} */ sets) => {
    for (let n = 0; n < sets; n++) {
      const who = ready[next++ % ready.length];
      const set = recording.setOf(who);
      await ask('PUT', `${at}/sets/${set.id}`, set.body);
      for (const rep of set.reps) {
        sockets[2 * floor]?.send(
          JSON.stringify({ event: 'tell', data: { type: 'clear', body: {} } }),
        );
        await ask('PUT', `${at}/sets/${set.id}/reps/${rep.id}`, rep.body);
      }
      await get(`${at}/sets/${set.id}`);
      await get(n % 2 === 0 ? `${at}/squad` : `${at}/patterns/${patternId}/ladder`);
    }
  };
  /** @type {Taken[]} */
  const hours = [];
  try {
    for (let hour = 0; hour < count; hour++) {
      const before = await taken();
      /** @type {number[]} */
      const memory = [];
      /** @type {number[]} */
      const heap = [];
      const watch = setInterval(() => {
        memory.push(memoryMb(pid));
        void heapMb(address).then((mb) => heap.push(mb));
      }, 200);
      const began = Date.now();
      await Promise.all([
        film.work(),
        ...Array.from({ length: FLOORS }, (_, floor) => floorHour(floor, SETS_AN_HOUR / FLOORS)),
      ]).finally(() => clearInterval(watch));
      const after = await taken();
      const one = {
        memoryMb: median(memory),
        // The lowest heap size: what remains after a garbage collection.
        heldMb: Math.min(...heap),
        filmMb: (await film.pids()).reduce((sum, page) => sum + memoryMb(page), 0),
        connections: after.connections,
        diskMb: (after.disk - before.disk) / MB,
        jobs: after.jobs,
      };
      hours.push(one);
      say(
        `hour ${hour + 1}, in ${Math.round((Date.now() - began) / 1000)} s: ${one.memoryMb.toFixed(0)} MB of memory (${one.heldMb.toFixed(0)} held), ${one.filmMb.toFixed(0)} MB of the film's page, ${one.connections} connections, ${one.diskMb.toFixed(1)} MB of disk for ${SETS_AN_HOUR} sets, ${one.jobs} jobs waiting`,
      );
    }
  } finally {
    await database.end();
    for (const socket of sockets) socket.close();
  }
  return isFlat(hours);
}

await run(async () => {
  const { values } = parseArgs({
    options: { hours: { type: 'string', default: '8' }, help: { type: 'boolean', default: false } },
  });
  if (values.help) {
    say(HELP);
    return 0;
  }
  const hours = Number(values.hours);
  if (!Number.isInteger(hours) || hours < 1)
    throw new Refusal(`--hours: given ${values.hours}, allowed a whole number from 1.`);
  ensureDebianPackages(['postgresql', 'chromium']);
  ensureNpmPackages();
  ensureBuilt();
  const cluster = await ensureCluster('test', { mayCreate: true });
  const { default: pg } = await import('pg');
  const admin = async (/** @type {string} */ sql) => {
    const database = new pg.Client({ connectionString: cluster.url('orthokin') });
    await database.connect();
    await database.query(sql);
    await database.end();
  };
  const name = `soak_${process.pid}`;
  await admin(`create database ${name}`);
  const port = await freePort();
  const server = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], {
    env: {
      ...process.env,
      ...{ DATABASE_URL: cluster.url(name), SERVING_DATABASE_URL: cluster.servingUrl(name) },
      ...{ NODE_ENV: 'production', PORT: String(port), DEMO: 'once', LOG_LEVEL: 'fatal' },
    },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  try {
    await new Promise((done) => {
      server.once('message', done);
      server.once('exit', done);
    });
    const address = `http://127.0.0.1:${port}`;
    // Opened first: later sets of this soak would be newer than the one the shipped film belongs to.
    const film = await (await import('./lib/open-film.mjs')).openFilm(address);
    const isGood = await soak(address, cluster.url(name), server.pid, hours, film).finally(
      film.close,
    );
    say(
      isGood ? 'Nothing grows from hour to hour.' : 'Something grows from hour to hour: see above.',
    );
    return isGood ? 0 : 1;
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
    await admin(`drop database ${name} with (force)`);
    cluster.stop();
  }
});
