import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { DATA, ROOT } from './paths.mjs';
import { freePort, isFree } from './ports.mjs';
import { Refusal, say } from './say.mjs';

const DEBIAN_POSTGRES = '/usr/lib/postgresql';
const OLDEST_MAJOR = 14;
/** The role the server uses. It owns no table, so row-level security applies to it. */
const SERVING = 'orthokin_serving';

/** Folder of PostgreSQL's server programs, newest version first; null when there is none. */
export function postgresBin() {
  if (!existsSync(DEBIAN_POSTGRES)) return null;
  const version = readdirSync(DEBIAN_POSTGRES)
    .map(Number)
    .filter((major) => major >= OLDEST_MAJOR)
    .sort((a, b) => b - a)
    .find((major) => existsSync(join(DEBIAN_POSTGRES, String(major), 'bin/initdb')));
  return version === undefined ? null : join(DEBIAN_POSTGRES, String(version), 'bin');
}

/** The user who runs PostgreSQL, which refuses root; root uses Debian's own user for it. */
export function serverUser() {
  if (process.getuid?.() !== 0) return null;
  const id = (/** @type {string} */ flag) =>
    Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout);
  return { uid: id('-u'), gid: id('-g') };
}

/**
 * @param {string} program
 * @param {string[]} args
 * @param {NodeJS.ProcessEnv} [env]
 */
function postgres(program, args, env = {}) {
  const user = serverUser();
  // C.UTF-8 exists on every Debian; initdb would fail on a locale that is configured but not installed.
  const result = spawnSync(join(postgresBin() ?? '', program), args, {
    encoding: 'utf8',
    cwd: '/',
    env: { ...process.env, LC_ALL: 'C.UTF-8', ...env },
    stdio: program === 'pg_ctl' && args[0] === 'start' ? 'ignore' : 'pipe',
    ...(user ?? {}),
  });
  return { ok: result.status === 0, said: `${result.stdout ?? ''}${result.stderr ?? ''}`.trim() };
}

/**
 * Where a cluster's files go: in the project's data folder, or, when that cannot be entered by
 * the user who runs the server (a checkout in root's own home, say), under /var/lib.
 * @param {string} name
 */
export function clusterHome(name) {
  const home = join(DATA, name);
  mkdirSync(home, { recursive: true });
  const user = serverUser();
  if (!user) return home;
  const reachable = spawnSync('test', ['-x', home], { cwd: '/', ...user }).status === 0;
  if (reachable) return home;
  const checkout = createHash('sha256').update(ROOT).digest('hex').slice(0, 12);
  return join('/var/lib/orthokin', checkout, name);
}

/**
 * @typedef {object} Secrets
 * @property {string} adminPassword
 * @property {string} appPassword of the role that owns the tables
 * @property {string} [servingPassword] of the role that serves, and owns none
 * @property {string} [sessionSecret] signs the cookies of sessions
 * @property {string} [privateKeys] seal what is private, as PRIVATE_KEYS has them
 * @property {number} port
 */

/** @param {string} file @returns {Promise<Secrets>} */
async function readSecrets(file) {
  if (existsSync(file)) {
    try {
      return JSON.parse(readFileSync(file, 'utf8'));
    } catch {
      throw new Refusal(
        `${file} cannot be read as JSON. It holds the database's passwords: put the right one back, or move the folder it is in away and start afresh.`,
      );
    }
  }
  const password = () => randomBytes(24).toString('hex');
  const secrets = { adminPassword: password(), appPassword: password(), port: await freePort() };
  writeSecrets(file, secrets);
  return secrets;
}

/**
 * Adds secrets that a cluster from an older version does not have yet.
 * @param {string} file
 * @param {Secrets} secrets
 * @returns {Secrets}
 */
function withLater(file, secrets) {
  if (secrets.servingPassword && secrets.sessionSecret && secrets.privateKeys) return secrets;
  const secret = () => randomBytes(24).toString('hex');
  const all = {
    ...{ servingPassword: secret(), sessionSecret: secret(), privateKeys: newPrivateKey() },
    ...secrets,
  };
  writeSecrets(file, all);
  return all;
}

/** A key with a random name, so that two machines never use one name for two keys. */
export const newPrivateKey = () =>
  `${new Date().toISOString().slice(0, 10)}-${randomBytes(3).toString('hex')}:${randomBytes(32).toString('hex')}`;

/**
 * Adds keys to a cluster's secrets. With `first` private values are sealed anew at the next start; keys in `behind`
 * only open values that came from elsewhere.
 * @param {string} name folder under data/
 * @param {{ first?: string, behind?: string }} keys
 */
export async function addPrivateKeys(name, { first = '', behind = '' }) {
  const file = join(clusterHome(name), 'secrets.json');
  if (!existsSync(file)) throw new Refusal(`${file} is not there yet: run ./start once.`);
  const secrets = withLater(file, await readSecrets(file));
  const keys = [first, secrets.privateKeys, behind].join(' ').split(' ').filter(Boolean);
  writeSecrets(file, { ...secrets, privateKeys: [...new Set(keys)].join(' ') });
}

/** @param {string} file @param {Secrets} secrets */
function writeSecrets(file, secrets) {
  writeFileSync(file, `${JSON.stringify(secrets, null, 2)}\n`, { mode: 0o600 });
  chmodSync(file, 0o600);
}

/** @param {string} home @param {string} folder @param {Secrets} secrets */
function makeCluster(home, folder, secrets) {
  say('Making the database');
  // Created under another name and then moved, so that an interrupted start leaves no half-made cluster.
  const making = join(home, 'cluster.making');
  const passwordFile = join(home, 'admin-password.making');
  rmSync(making, { recursive: true, force: true });
  writeFileSync(passwordFile, secrets.adminPassword, { mode: 0o600 });
  const user = serverUser();
  mkdirSync(making, { mode: 0o700 });
  if (user) {
    chownSync(passwordFile, user.uid, user.gid);
    chownSync(making, user.uid, user.gid);
  }
  const made = postgres('initdb', [
    ...['-D', making, '-U', 'admin', '--pwfile', passwordFile],
    ...['--auth=scram-sha-256', '--encoding=UTF8', '--locale=C.UTF-8'],
  ]);
  rmSync(passwordFile, { force: true });
  if (!made.ok) throw new Refusal(`The database could not be made in ${home}: ${made.said}`);
  renameSync(making, folder);
}

/** @param {string} folder */
function checkCluster(folder) {
  const whole = ['PG_VERSION', 'global/pg_control', 'postgresql.conf'].every((file) =>
    existsSync(join(folder, file)),
  );
  if (!whole)
    throw new Refusal(
      `The database folder ${folder} is not whole. Move it away ("mv ${folder} ${folder}.broken") and run this again for a new one, or put a backup in its place.`,
    );
  const made = readFileSync(join(folder, 'PG_VERSION'), 'utf8').trim();
  const bin = postgresBin() ?? '';
  if (!bin.includes(`/${made}/`) && !existsSync(join(DEBIAN_POSTGRES, made, 'bin/postgres')))
    throw new Refusal(
      `The database in ${folder} was made by PostgreSQL ${made}, which is not installed. Install postgresql-${made}, or move the folder away for a new one.`,
    );
}

/** @param {string} folder @returns {number | null} the port of the server that runs on it now */
function runningPort(folder) {
  if (!postgres('pg_ctl', ['status', '-D', folder]).ok) return null;
  const port = Number(readFileSync(join(folder, 'postmaster.pid'), 'utf8').split('\n')[3]);
  return Number.isInteger(port) ? port : null;
}

/** @param {string} home @param {string} folder @param {number} port */
function startServer(home, folder, port) {
  const log = join(home, 'postgres.log');
  if (!existsSync(log)) writeFileSync(log, '', { mode: 0o600 });
  const user = serverUser();
  if (user) chownSync(log, user.uid, user.gid);
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=''`;
  const started = postgres('pg_ctl', [
    'start',
    '-w',
    '-t',
    '60',
    '-D',
    folder,
    '-l',
    log,
    '-o',
    options,
  ]);
  if (!started.ok) {
    const lines = readFileSync(log, 'utf8').trim().split('\n').slice(-3).join('\n');
    throw new Refusal(`The database did not start. The last lines of ${log}:\n${lines}`);
  }
}

/**
 * The statements that prepare a cluster, each with a query that tells whether it was done already.
 * @param {Pick<Secrets, 'appPassword' | 'servingPassword'>} secrets
 * @param {string} database
 * @param {boolean} mayCreate whether the application's role may make databases
 */
export function databaseSteps({ appPassword, servingPassword }, database, mayCreate) {
  const role = (/** @type {string} */ name) => `select 1 from pg_roles where rolname = '${name}'`;
  return [
    {
      done: role('orthokin'),
      sql: `create role orthokin login ${mayCreate ? 'createdb' : 'nocreatedb'} password '${appPassword}'`,
    },
    { done: role(SERVING), sql: `create role ${SERVING} login password '${servingPassword}'` },
    {
      done: `select 1 from pg_auth_members where roleid = '${SERVING}'::regrole and member = 'orthokin'::regrole`,
      sql: `grant ${SERVING} to orthokin`,
    },
    // To drop databases the role must be able to stop autovacuum workers in them, which belong to nobody.
    ...(mayCreate
      ? [
          {
            done: `select 1 where pg_has_role('orthokin', 'pg_signal_backend', 'member')`,
            sql: 'grant pg_signal_backend to orthokin',
          },
        ]
      : []),
    {
      done: `select 1 from pg_database where datname = '${database}'`,
      sql: `create database ${database} owner orthokin`,
    },
  ];
}

/** @param {number} port @param {Secrets} secrets @param {string} database @param {boolean} mayCreate */
function ensureDatabase(port, secrets, database, mayCreate) {
  const must = (/** @type {string} */ statement) => {
    const { ok, said } = postgres(
      'psql',
      ['-h', '127.0.0.1', '-p', String(port), '-U', 'admin', '-d', 'postgres', '-XAtqc', statement],
      { PGPASSWORD: secrets.adminPassword },
    );
    if (!ok) throw new Refusal(`The database could not be set up: ${said}`);
    return said;
  };
  for (const { done, sql } of databaseSteps(secrets, database, mayCreate))
    if (must(done) !== '1') must(sql);
}

/**
 * @typedef {object} RunningCluster
 * @property {(database: string) => string} url address of one of its databases, for who owns its tables
 * @property {(database: string) => string} servingUrl the same, for the server
 * @property {(database: string) => string} adminUrl the same, for who may do anything
 * @property {string} sessionSecret signs the cookies of sessions
 * @property {string} privateKeys seal what is private, the newest first
 * @property {() => void} restart stops the server and starts it again
 * @property {() => void} crash kills the server as a power cut would, and starts it again
 * @property {() => boolean} isRunning whether the server runs, or is on its way there after a crash
 * @property {() => void} bringBack starts the server again that stopped by itself; from then on it is this call's
 * @property {() => void} stop stops the server, if this call started it
 */

/**
 * A running cluster of our own, in its own data folder and on its own loopback port; made,
 * started and given its role and database as needed.
 * @param {string} name folder under data/
 * @param {{ mayCreate?: boolean }} [options] whether the application's role may make databases
 * @returns {Promise<RunningCluster>}
 */
export async function ensureCluster(name, { mayCreate = false } = {}) {
  const home = clusterHome(name);
  mkdirSync(home, { recursive: true });
  const secretsFile = join(home, 'secrets.json');
  const folder = join(home, 'cluster');
  if (existsSync(folder) && !existsSync(secretsFile))
    throw new Refusal(
      `${secretsFile} is gone, and with it the password of the database beside it. Put it back, or move ${folder} away for a new one.`,
    );
  const secrets = withLater(secretsFile, await readSecrets(secretsFile));
  if (existsSync(folder)) checkCluster(folder);
  else makeCluster(home, folder, secrets);

  const running = runningPort(folder);
  const port = running ?? ((await isFree(secrets.port)) ? secrets.port : await freePort());
  let isOurs = running === null;
  if (isOurs) {
    if (port !== secrets.port) writeSecrets(secretsFile, { ...secrets, port });
    startServer(home, folder, port);
  }
  ensureDatabase(port, secrets, 'orthokin', mayCreate);
  const address = (/** @type {string} */ who, /** @type {string} */ database) =>
    `postgresql://${who}@127.0.0.1:${port}/${database}`;
  return {
    url: (database) => address(`orthokin:${secrets.appPassword}`, database),
    adminUrl: (database) => address(`admin:${secrets.adminPassword}`, database),
    servingUrl: (database) => address(`${SERVING}:${secrets.servingPassword}`, database),
    sessionSecret: secrets.sessionSecret ?? '',
    privateKeys: secrets.privateKeys ?? '',
    restart: () => {
      postgres('pg_ctl', ['stop', '-w', '-m', 'fast', '-D', folder]);
      startServer(home, folder, port);
    },
    crash: () => {
      postgres('pg_ctl', ['stop', '-w', '-m', 'immediate', '-D', folder]);
      startServer(home, folder, port);
    },
    isRunning: () => runningPort(folder) !== null,
    bringBack: () => {
      startServer(home, folder, port);
      isOurs = true;
    },
    stop: () => {
      if (isOurs) postgres('pg_ctl', ['stop', '-w', '-m', 'fast', '-D', folder]);
    },
  };
}

/**
 * Environment variables that tell tests about their cluster.
 * @param {RunningCluster} cluster
 * @returns {NodeJS.ProcessEnv}
 */
export const testDatabase = (cluster) => ({
  TEST_DATABASE_URL: cluster.url('orthokin'),
  TEST_SERVING_URL: cluster.servingUrl('orthokin'),
  PRIVATE_KEYS: cluster.privateKeys,
});
