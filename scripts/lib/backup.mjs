import { spawn } from 'node:child_process';
import { createCipheriv, createDecipheriv, createHash, randomBytes, scryptSync } from 'node:crypto';
import {
  closeSync,
  createReadStream,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { postgresBin } from './cluster.mjs';
import { DATA } from './paths.mjs';
import { Refusal } from './say.mjs';

const FORMAT = 'orthokin backup';
const VERSION = 1;
/** The head is a line of JSON; a longer first line is none. */
const LONGEST_HEAD = 4096;
const TAG_BYTES = 16;
/** About 0.2 s and 64 MB per guess of a passphrase. */
const SCRYPT = { N: 65_536, r: 8, p: 1, maxmem: 128 * 1024 * 1024 };

/**
 * The first line of a backup; what follows is a dump of the whole database as of one moment.
 * @typedef {object} Head
 * @property {string} format
 * @property {number} version
 * @property {string} madeAt
 * @property {string} migration the newest one that had run
 * @property {string} sha256 of all that follows
 * @property {{ salt: string, iv: string, keys?: { iv: string, sealed: string } } | null} encrypted with the
 *   keys of what is private in it, sealed by the same passphrase: it can be read on another machine
 */

/** Keeps the password out of the command line, which everybody on the machine can read. @param {string} address */
function connection(address) {
  const url = new URL(address);
  const password = decodeURIComponent(url.password);
  url.password = '';
  return { url: url.href, env: { ...process.env, PGPASSWORD: password, LC_ALL: 'C.UTF-8' } };
}

/** @param {string} program */
function tool(program) {
  const bin = postgresBin();
  if (!bin) throw new Refusal('Backups need PostgreSQL’s own programs: install postgresql.');
  return join(bin, program);
}

/**
 * Runs one of PostgreSQL's programs to its end.
 * @param {string} program
 * @param {string[]} args
 * @param {NodeJS.ProcessEnv} env
 * @param {NodeJS.ReadableStream} [input]
 * @returns {Promise<string>} what it wrote
 */
async function ran(program, args, env, input) {
  const child = spawn(tool(program), args, { env, stdio: ['pipe', 'pipe', 'pipe'] });
  let out = '';
  let said = '';
  child.stdout.setEncoding('utf8').on('data', (text) => (out += text));
  child.stderr.setEncoding('utf8').on('data', (text) => (said += text));
  const ended = new Promise((done) => child.on('close', done));
  if (input) await pipeline(input, child.stdin).catch(() => undefined);
  else child.stdin.end();
  if ((await ended) !== 0)
    throw new Refusal(`${program}: ${said.trim().split('\n').slice(-3).join(' ')}`);
  return out;
}

/** @param {string} address @param {string} statement */
const ask = (address, statement) => {
  const { url, env } = connection(address);
  return ran('psql', ['-d', url, '-XAtqc', statement], env).then((said) => said.trim());
};

/** @param {string} passphrase @param {Buffer} salt */
const keyOf = (passphrase, salt) => scryptSync(passphrase, salt, 32, SCRYPT);

/** @param {string} privateKeys @param {Buffer} key */
function sealKeys(privateKeys, key) {
  const iv = randomBytes(12);
  const cipher = createCipheriv('aes-256-gcm', key, iv);
  const sealed = Buffer.concat([cipher.update(privateKeys, 'utf8'), cipher.final()]);
  return {
    iv: iv.toString('base64'),
    sealed: Buffer.concat([cipher.getAuthTag(), sealed]).toString('base64'),
  };
}

/**
 * The private keys that came with a backup; empty if it is not encrypted.
 * @param {Head} head
 * @param {string | null} passphrase the one that opened it
 */
function keysIn({ encrypted }, passphrase) {
  if (!encrypted?.keys || passphrase === null) return '';
  const sealed = Buffer.from(encrypted.keys.sealed, 'base64');
  const decipher = createDecipheriv(
    'aes-256-gcm',
    keyOf(passphrase, Buffer.from(encrypted.salt, 'base64')),
    Buffer.from(encrypted.keys.iv, 'base64'),
  ).setAuthTag(sealed.subarray(0, TAG_BYTES));
  return decipher.update(sealed.subarray(TAG_BYTES), undefined, 'utf8') + decipher.final('utf8');
}

/**
 * Runs `act` with a temporary folder that is deleted afterwards. @template T @param {(folder: string) => Promise<T>}
 * act
 */
async function inFolder(act) {
  mkdirSync(DATA, { recursive: true });
  const folder = mkdtempSync(join(DATA, 'backup-'));
  try {
    return await act(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** @param {string} file */
async function sha256Of(file, from = 0) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file, { start: from }), hash);
  return hash.digest('hex');
}

/**
 * Keeps the whole database in one file, as of one moment, while it is used; checked before it gets its name.
 * @param {string} address of the database
 * @param {string} file
 * @param {string | null} passphrase it is encrypted with; `null` for none
 * @param {string} privateKeys what is private in it is sealed with; goes along where it is encrypted
 */
export async function backUp(address, file, passphrase, privateKeys = '') {
  if (existsSync(file)) throw new Refusal(`${file} is there already: give another name.`);
  if (!existsSync(dirname(file))) throw new Refusal(`${dirname(file)} is no folder.`);
  const { url, env } = connection(address);
  await inFolder(async (folder) => {
    const dump = join(folder, 'dump');
    await ran('pg_dump', ['-d', url, '-Fc', '--no-owner', '--no-privileges', '-f', dump], env);
    await ran('pg_restore', ['--list', dump], env);
    const sealed = passphrase === null ? dump : join(folder, 'sealed');
    /** @type {Head['encrypted']} */
    let encrypted = null;
    if (passphrase !== null) {
      const [salt, iv] = [randomBytes(16), randomBytes(12)];
      const key = keyOf(passphrase, salt);
      const cipher = createCipheriv('aes-256-gcm', key, iv);
      const withTag = new Transform({
        transform: (chunk, _, done) => done(null, chunk),
        flush(done) {
          this.push(cipher.getAuthTag());
          done();
        },
      });
      await pipeline(
        createReadStream(dump),
        cipher,
        withTag,
        createWriteStream(sealed, { mode: 0o600 }),
      );
      encrypted = {
        ...{ salt: salt.toString('base64'), iv: iv.toString('base64') },
        keys: sealKeys(privateKeys, key),
      };
    }
    /** @type {Head} */
    const head = {
      ...{ format: FORMAT, version: VERSION, madeAt: new Date().toISOString() },
      migration: await ask(address, 'select name from migration order by id desc limit 1'),
      ...{ sha256: await sha256Of(sealed), encrypted },
    };
    const making = `${file}.making`;
    try {
      const out = createWriteStream(making, { mode: 0o600 });
      out.write(`${JSON.stringify(head)}\n`);
      await pipeline(createReadStream(sealed), out);
      const written = openSync(making, 'r');
      fsyncSync(written);
      closeSync(written);
      renameSync(making, file);
    } finally {
      rmSync(making, { force: true });
    }
  });
}

/** @param {string} file @returns {{ head: Head, from: number }} */
function headOf(file) {
  if (!existsSync(file)) throw new Refusal(`${file} is not there.`);
  const start = Buffer.alloc(LONGEST_HEAD);
  const opened = openSync(file, 'r');
  const read = readSync(opened, start, 0, LONGEST_HEAD, 0);
  closeSync(opened);
  const end = start.subarray(0, read).indexOf('\n');
  try {
    const head = JSON.parse(start.subarray(0, end).toString('utf8'));
    if (end > 0 && head.format === FORMAT && head.version === VERSION)
      return { head, from: end + 1 };
  } catch {
    // Reported below.
  }
  throw new Refusal(`${file} is no backup of Orthokin.`);
}

/**
 * The dump that a backup holds, checked, in a file of its own.
 * @param {string} file
 * @param {string | null} passphrase
 * @param {string} into
 * @returns {Promise<Head>}
 */
async function openBackup(file, passphrase, into) {
  const { head, from } = headOf(file);
  if ((await sha256Of(file, from)) !== head.sha256)
    throw new Refusal(`${file} is damaged: it is not what was written then.`);
  if (!head.encrypted) {
    await pipeline(
      createReadStream(file, { start: from }),
      createWriteStream(into, { mode: 0o600 }),
    );
    return head;
  }
  if (passphrase === null)
    throw new Refusal(`${file} is encrypted: give its passphrase with --passphrase-file.`);
  const sealedTo = statSync(file).size - TAG_BYTES;
  const tag = Buffer.alloc(TAG_BYTES);
  const opened = openSync(file, 'r');
  readSync(opened, tag, 0, TAG_BYTES, sealedTo);
  closeSync(opened);
  const [salt, iv] = [head.encrypted.salt, head.encrypted.iv].map((part) =>
    Buffer.from(part, 'base64'),
  );
  const decipher = createDecipheriv(
    'aes-256-gcm',
    keyOf(passphrase, salt ?? Buffer.alloc(0)),
    iv ?? Buffer.alloc(12),
  ).setAuthTag(tag);
  try {
    await pipeline(
      createReadStream(file, { start: from, end: sealedTo - 1 }),
      decipher,
      createWriteStream(into, { mode: 0o600 }),
    );
  } catch {
    throw new Refusal('The passphrase is not the one it was encrypted with.');
  }
  return head;
}

/**
 * Puts a backup in the place of all that is in a database, in one transaction: it is there whole, or
 * nothing has changed. What was there is backed up first.
 * @param {string} address
 * @param {string} file
 * @param {string | null} passphrase
 * @param {readonly string[]} migrations all that this version knows
 * @returns {Promise<{ madeAt: string, before: string | null, privateKeys: string }>} when it was made, where
 *   what was there is kept, and the keys that came along
 */
export async function restore(address, file, passphrase, migrations) {
  return inFolder(async (folder) => {
    const dump = join(folder, 'dump');
    const head = await openBackup(file, passphrase, dump);
    const { migration, madeAt } = head;
    if (!migrations.includes(migration))
      throw new Refusal(
        `${file} was made by a newer version of Orthokin. Restore it with that one.`,
      );
    const others = await ask(
      address,
      `select count(*) from pg_stat_activity where datname = current_database()
         and pid <> pg_backend_pid() and backend_type = 'client backend'`,
    );
    if (others !== '0') throw new Refusal('Orthokin is running on this database: stop it first.');
    const before = await backUpBefore(address);
    const { url, env } = connection(address);
    const sql = join(folder, 'sql');
    await ran('pg_restore', ['--no-owner', '--no-privileges', '-f', sql, dump], env);
    // `commit` comes last: if the stream breaks off nothing has changed.
    async function* whole() {
      // The job queue belongs to the serving role, and is created again when the server starts.
      yield 'begin;\ndrop schema if exists jobs cascade;\ndrop owned by current_user cascade;\n';
      yield* createReadStream(sql);
      yield '\ncommit;\n';
    }
    await ran(
      'psql',
      ['-d', url, '-Xq', '-v', 'ON_ERROR_STOP=1', '-o', '/dev/null'],
      env,
      Readable.from(whole()),
    );
    return { madeAt, before, privateKeys: keysIn(head, passphrase) };
  });
}

/** @param {string} address */
async function backUpBefore(address) {
  const isEmpty = await ask(address, `select to_regclass('migration') is null`);
  if (isEmpty === 't') return null;
  const file = join(
    nightlyFolder(),
    `before-restore-${new Date().toISOString().replaceAll(':', '-')}.backup`,
  );
  await backUp(address, file, null);
  return file;
}

const KEPT_NIGHTS = 7;
const NIGHTLY = /^night-\d{4}-\d{2}-\d{2}\.backup$/;

function nightlyFolder() {
  const folder = join(DATA, 'backups');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return folder;
}

/**
 * Makes today's backup, unless it exists, and keeps the newest seven.
 * @param {string} address
 */
export async function keepNightly(address, now = new Date(), folder = nightlyFolder()) {
  const file = join(folder, `night-${now.toISOString().slice(0, 10)}.backup`);
  if (!existsSync(file)) await backUp(address, file, null);
  const kept = readdirSync(folder)
    .filter((name) => NIGHTLY.test(name))
    .sort()
    .reverse();
  for (const old of kept.slice(KEPT_NIGHTS)) rmSync(join(folder, old));
}
