import { spawn } from 'node:child_process';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { isFree } from './lib/ports.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const USUAL_PORT = 4310;
/** Where the app looks for beacons until it is told another address. */
const BEACONS_PORT = 4320;

const HELP = `Starts Orthokin on this machine: installs what is missing, builds, starts the
database, loads the demo club the first time, serves, and prints the address.

  ./start [--port N] [--lan] [--reset-demo]

  --port N       serve on 127.0.0.1:N (default ${USUAL_PORT})
  --lan          let other devices of this network in, for second screens
  --reset-demo   make the demo club anew; other clubs stay as they are
  --help         this text

DATABASE_URL=postgresql://…  uses that PostgreSQL (14 or newer) instead of one of its own.
Ctrl-C stops what this command started.`;

function readArguments() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string', default: String(USUAL_PORT) },
        lan: { type: 'boolean', default: false },
        'reset-demo': { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    });
    return values;
  } catch (error) {
    throw new Refusal(`${error instanceof Error ? error.message : error}. See ./start --help.`);
  }
}

/** This machine's address on its network, as other devices reach it. */
const lanAddress = () =>
  Object.values(networkInterfaces())
    .flat()
    .find((each) => each?.family === 'IPv4' && !each.internal)?.address ?? '127.0.0.1';

/** @param {string} given */
async function checkedPort(given) {
  const port = Number(given);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Refusal(`--port: given ${given}, allowed a whole number from 1 to 65535.`);
  if (!(await isFree(port)))
    throw new Refusal(
      `Port ${port} is taken by another program (or another ./start). Stop that, or choose another: ./start --port ${port + 1}`,
    );
  return port;
}

/** The stand-in for beacons, beside the app: so that a whole chain can be tried on one machine. */
function serveStandIn() {
  const child = spawn(process.execPath, [join(ROOT, 'apps/beacons/dist/main.js')], {
    env: { ...process.env, PORT: String(BEACONS_PORT) },
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  // Its port may be taken, by another ./start or by real beacons: the app runs without it.
  child.on('error', () => undefined);
  return child;
}

/**
 * Runs the server until it ends or we are told to stop.
 * @param {NodeJS.ProcessEnv} env
 * @param {string} address
 * @returns {Promise<number>} its exit status
 */
function serve(env, address) {
  const server = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], {
    env: { ...process.env, ...env },
    // The channel tells the server when this process is gone, however it went.
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const standIn = serveStandIn();
  let stopping = false;
  const stop = () => {
    stopping = true;
    server.kill('SIGTERM');
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  server.on('message', (message) => {
    if (message === 'listening') say(`\nOrthokin is ready: ${address}\nCtrl-C stops it.`);
  });
  return new Promise((resolve) => {
    server.on('exit', (code) => {
      standIn?.kill('SIGTERM');
      resolve(stopping ? 0 : (code ?? 1));
    });
  });
}

await run(async () => {
  const given = readArguments();
  if (given.help) {
    say(HELP);
    return 0;
  }
  const port = await checkedPort(given.port);
  const ownDatabase = process.env['DATABASE_URL'];
  ensureDebianPackages(ownDatabase ? [] : ['postgresql']);
  ensureNpmPackages();
  ensureBuilt();
  const cluster = ownDatabase ? null : await ensureCluster('user');
  try {
    return await serve(
      {
        NODE_ENV: 'production',
        DATABASE_URL: cluster?.url('orthokin') ?? ownDatabase,
        PORT: String(port),
        HOST: given.lan ? '0.0.0.0' : '127.0.0.1',
        DEMO: given['reset-demo'] ? 'reset' : 'once',
      },
      `http://${given.lan ? lanAddress() : '127.0.0.1'}:${port}`,
    );
  } finally {
    cluster?.stop();
  }
});
