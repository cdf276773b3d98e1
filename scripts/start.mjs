import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { backUp, keepNightly, restore } from './lib/backup.mjs';
import { ensureCertificate, namesOfMachine } from './lib/certificate.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { addPrivateKeys, ensureCluster, newPrivateKey } from './lib/cluster.mjs';
import { keepRunning } from './lib/keep-running.mjs';
import { keepServing } from './lib/keep-serving.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { DATA, ROOT } from './lib/paths.mjs';
import { isFree } from './lib/ports.mjs';
import { Refusal, reasonOf, run, say } from './lib/say.mjs';

const USUAL_PORT = 4310;
/** The beacons' default address in the app. */
const BEACONS_PORT = 4320;

const HELP = `Starts Orthokin on this machine: installs what is missing, builds, starts the
database, loads the demo club the first time, serves, and prints the address.

  ./start [--port N] [--lan] [--gateway ADDRESS] [--reset-demo]
  ./start backup FILE [--passphrase-file FILE]
  ./start restore FILE [--passphrase-file FILE]
  ./start new-key

  --port N       serve on 127.0.0.1:N (default ${USUAL_PORT})
  --lan          let other devices of this network in, over HTTPS by a certificate of the
                 club's own; they are told how to trust it one port above
  --gateway ADDRESS  a gateway of beacons on the network, e.g. ws://192.168.1.20:4320; may be
                 given more than once
  --reset-demo   make the demo club anew; other clubs stay as they are
  --help         this text

  backup         keeps the whole database in one file, also while it is used; encrypted with
                 the first line of the passphrase file where one is given
  restore        puts a backup in the place of all that is there, once ./start is stopped;
                 what was there is backed up first, in data/backups
  new-key        seals what is private with a new key from the next start on; older ones stay
                 in data/user/secrets.json for older backups

DATABASE_URL=postgresql://…  uses that PostgreSQL (14 or newer) instead of one of its own.
Ctrl-C stops what this command started.`;

function readArguments() {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        port: { type: 'string', default: String(USUAL_PORT) },
        lan: { type: 'boolean', default: false },
        gateway: { type: 'string', multiple: true, default: [] },
        'reset-demo': { type: 'boolean', default: false },
        'passphrase-file': { type: 'string' },
        help: { type: 'boolean', default: false },
      },
    });
    return { ...values, positionals };
  } catch (error) {
    throw new Refusal(`${reasonOf(error)}. See ./start --help.`);
  }
}

/** @param {string | undefined} file @returns {string | null} */
function passphraseIn(file) {
  if (file === undefined) return null;
  const [line = ''] = existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
  if (line.trim() === '')
    throw new Refusal(
      `--passphrase-file: given ${file}, allowed a file whose first line is the passphrase.`,
    );
  return line.trim();
}

/**
 * The keys that private values are sealed with: from our own cluster, or the environment. @param {{ privateKeys:
 * string } | null} cluster
 */
const keysOf = (cluster) => cluster?.privateKeys ?? process.env['PRIVATE_KEYS'] ?? '';

/**
 * What to tell about the keys in a backup.
 * @param {{ privateKeys: string } | null} cluster @param {string | null} passphrase
 */
function aboutKeys(cluster, passphrase) {
  if (keysOf(cluster) === '')
    return 'PRIVATE_KEYS was not given here: if the server has keys, they did not go along.';
  if (passphrase !== null) return 'The keys of what is private went along.';
  const where = cluster ? 'this machine’s keys (data/user/secrets.json)' : 'today’s PRIVATE_KEYS';
  return `What is private in it can be read only with ${where}; with --passphrase-file they go along.`;
}

/**
 * Backs the database up, puts a backup in its place, or gives it a new key.
 * @param {string[]} asked
 * @param {string | null} passphrase
 * @returns {Promise<number>} the exit status
 */
async function withDatabase([what = '', file, ...more], passphrase) {
  if (what === 'new-key' && file === undefined) {
    await addPrivateKeys('user', { first: newPrivateKey() });
    say('From the next ./start on what is private is sealed with a new key.');
    return 0;
  }
  if (!['backup', 'restore'].includes(what) || file === undefined || more.length > 0)
    throw new Refusal(
      `Given ${[what, file, ...more].filter(Boolean).join(' ')}, allowed backup FILE, restore FILE or new-key. See ./start --help.`,
    );
  const ownDatabase = process.env['DATABASE_URL'];
  ensureDebianPackages(['postgresql']);
  ensureNpmPackages();
  const cluster = ownDatabase ? null : await ensureCluster('user');
  try {
    const address = cluster?.url('orthokin') ?? ownDatabase ?? '';
    if (what === 'backup') {
      await backUp(address, file, passphrase, keysOf(cluster));
      say(`Everything is kept in ${file}. ${aboutKeys(cluster, passphrase)}`);
      return 0;
    }
    ensureBuilt();
    const { MIGRATIONS } = await import('../apps/server/dist/migrations/index.js');
    const known = MIGRATIONS.map((/** @type {{ name: string }} */ { name }) => name);
    const { madeAt, before, privateKeys } = await restore(address, file, passphrase, known);
    if (cluster) await addPrivateKeys('user', { behind: privateKeys });
    else if (privateKeys !== '') say(`What is private in it needs PRIVATE_KEYS="${privateKeys}".`);
    say(
      `Everything is as it was on ${madeAt}.${before ? ` What was there is kept in ${before}.` : ''}`,
    );
    return 0;
  } finally {
    cluster?.stop();
  }
}

/** How often to check whether today's backup exists. */
const NIGHTLY_EVERY_MS = 60 * 60 * 1000;

/**
 * Makes a backup a day while the server runs.
 * @param {() => string | undefined} address
 * @returns stops it
 */
function keepBackups(address) {
  const keep = () => {
    const at = address();
    if (at) keepNightly(at).catch((error) => say(`Today's backup was not made: ${error.message}`));
  };
  const timer = setInterval(keep, NIGHTLY_EVERY_MS);
  return { keep, stop: () => clearInterval(timer) };
}

/** The folder for mail, writable by the server after it has given up root. */
function outboxFolder() {
  const folder = join(DATA, 'outbox');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const id = (/** @type {string} */ flag) =>
    Number(spawnSync('id', [flag, 'nobody'], { encoding: 'utf8' }).stdout);
  if (process.getuid?.() === 0) chownSync(folder, id('-u'), id('-g'));
  return folder;
}

/** This machine's address on the local network. */
const lanAddress = () => namesOfMachine().find((name) => /^[\d.]+$/.test(name)) ?? '127.0.0.1';

/** How often to check whether the certificate is about to expire. */
const CERTIFICATE_EVERY_MS = 12 * 60 * 60 * 1000;

/**
 * Renews the certificate before it expires, and when this machine's address changes.
 * @param {(renewed: { cert: string, key: string }) => void} onRenewed
 */
function keepCertificate(onRenewed) {
  const files = ensureCertificate();
  let before = readFileSync(files.cert, 'utf8');
  const timer = setInterval(() => {
    try {
      ensureCertificate();
    } catch (error) {
      // The old certificate is still valid for weeks, in which this can be repaired.
      say(`The certificate was not renewed: ${reasonOf(error)}`);
    }
    const cert = readFileSync(files.cert, 'utf8');
    if (cert === before) return;
    before = cert;
    onRenewed({ cert, key: readFileSync(files.key, 'utf8') });
  }, CERTIFICATE_EVERY_MS);
  return { files, stop: () => clearInterval(timer) };
}

/** @param {string} address @param {number} trustPort */
async function sayHowToJoin(address, trustPort) {
  const trust = `http://${lanAddress()}:${trustPort}/trust`;
  say(`\nOn each device, once, before the first time:\n\n  ${trust}\n`);
  // Imported late, because it needs packages that this command has just installed.
  const { default: qrcode } = await import('qrcode');
  say(await qrcode.toString(trust, { type: 'terminal', small: true }));
  say(`After that the app is at ${address}, a secure page that keeps its screen awake.`);
}

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

/** Runs the simulated beacons beside the app, so that everything can be tried on one machine. */
function serveStandIn() {
  const child = spawn(process.execPath, [join(ROOT, 'apps/beacons/dist/main.js')], {
    env: { ...process.env, PORT: String(BEACONS_PORT) },
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  // Its port may be taken, by another ./start or by real beacons; the app runs without it.
  child.on('error', () => undefined);
  return child;
}

await run(async () => {
  const given = readArguments();
  if (given.help) {
    say(HELP);
    return 0;
  }
  if (given.positionals.length > 0)
    return withDatabase(given.positionals, passphraseIn(given['passphrase-file']));
  const port = await checkedPort(given.port);
  const ownDatabase = process.env['DATABASE_URL'];
  ensureDebianPackages([
    ...(ownDatabase ? [] : [/** @type {const} */ ('postgresql')]),
    ...(given.lan ? [/** @type {const} */ ('mkcert')] : []),
  ]);
  ensureNpmPackages();
  ensureBuilt();
  /** @type {import('node:child_process').ChildProcess | null} */
  let server = null;
  const certificate = given.lan ? keepCertificate((renewed) => server?.send(renewed)) : null;
  if (certificate && !(await isFree(port + 1)))
    throw new Refusal(
      `Port ${port + 1} is taken: devices are told there how to trust this one. Choose another: ./start --lan --port ${port + 10}`,
    );
  let cluster = ownDatabase ? null : await ensureCluster('user');
  let demo = given['reset-demo'] ? 'reset' : 'once';
  const surroundings = async () => {
    // The database may have died with the server; if it runs it is left alone.
    if (!ownDatabase) {
      const [before, now] = [cluster, await ensureCluster('user')];
      // Only the one that started the database stops it.
      const stop = () => [before, now].forEach((each) => each?.stop());
      cluster = { ...now, stop };
    }
    const env = {
      NODE_ENV: 'production',
      DATABASE_URL: cluster?.url('orthokin') ?? ownDatabase,
      ...(cluster && {
        SERVING_DATABASE_URL: cluster.servingUrl('orthokin'),
        SESSION_SECRET: cluster.sessionSecret,
        PRIVATE_KEYS: cluster.privateKeys,
      }),
      OUTBOX: outboxFolder(),
      PORT: String(port),
      HOST: given.lan ? '0.0.0.0' : '127.0.0.1',
      GATEWAYS: given.gateway.join(' '),
      ...(certificate && {
        TLS_CERT: certificate.files.cert,
        TLS_KEY: certificate.files.key,
        TLS_CA: certificate.files.ca,
      }),
      DEMO: demo,
    };
    // Only for the first start: a restarted server must not reset what was recorded since.
    demo = 'once';
    return env;
  };
  // Other databases are backed up by whoever provides them.
  const backups = keepBackups(() => cluster?.url('orthokin'));
  const database = keepRunning(() => cluster);
  const standIn = serveStandIn();
  try {
    const address = given.lan ? `https://${lanAddress()}:${port}` : `http://127.0.0.1:${port}`;
    return await keepServing({
      main: join(ROOT, 'apps/server/dist/main.js'),
      surroundings,
      onStarted: (started) => (server = started),
      onServing: () => {
        say(`\nOrthokin is ready: ${address}\nCtrl-C stops it.`);
        backups.keep();
        if (given.lan) void sayHowToJoin(address, port + 1);
      },
    });
  } finally {
    standIn.kill('SIGTERM');
    certificate?.stop();
    backups.stop();
    database.stop();
    cluster?.stop();
  }
});
