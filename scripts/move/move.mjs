import { setTimeout as wait } from 'node:timers/promises';
import { Refusal } from '../lib/say.mjs';
import { holdClub, letGo } from './hold.mjs';
import { clubTables, contentOf, literal, quoted } from './tables.mjs';

/** @typedef {import('pg').Client} Client */

const NAME = 'orthokin_move';
const LOOK_EVERY_MS = 100;
/** The longest the copy may take. Nothing is held meanwhile; it only follows what is written. */
const COPY_WITHIN_MS = 6 * 60 * 60 * 1000;

/**
 * @template Value
 * @param {() => Promise<Value | null | undefined>} look
 * @param {number} withinMs
 * @param {string} what
 * @returns {Promise<Value>}
 */
async function until(look, withinMs, what) {
  const end = Date.now() + withinMs;
  for (;;) {
    const seen = await look();
    if (seen != null) return seen;
    if (Date.now() > end) throw new Refusal(`${what} took longer than ${withinMs / 1000} s.`);
    await wait(LOOK_EVERY_MS);
  }
}

/** @param {Client} client @param {string} sql @param {unknown[]} [given] @returns {Promise<any>} */
const one = async (client, sql, given = []) =>
  Object.values((await client.query(sql, given)).rows[0] ?? {})[0];

/**
 * Finds reasons why a move would fail half way, before it begins.
 * @param {Client} from @param {Client} to @param {string} clubId
 */
async function check(from, to, clubId) {
  if ((await one(from, 'show wal_level')) !== 'logical')
    throw new Refusal(
      `The database the club is in has wal_level ${await one(from, 'show wal_level')}: set "wal_level = logical" and restart it.`,
    );
  if (!(await one(from, 'select true from club where club_id = $1', [clubId])))
    throw new Refusal(`${clubId}: no club of this id is there.`);
  if (await one(to, 'select true from club where club_id = $1', [clubId]))
    throw new Refusal(`${clubId}: a club of this id is where it should go already.`);
  const version = "select string_agg(name, ' ' order by name) from migration";
  if ((await one(from, version)) !== (await one(to, version)))
    throw new Refusal(
      'Both databases must have the tables of the same version: upgrade one of them first.',
    );
}

/**
 * An import is stored by whoever took it on: its job is no row of the club and would be left behind.
 * @param {Client} from @param {string} clubId
 */
async function checkImports(from, clubId) {
  const underWay = `select true from import_job where club_id = $1 and state in ('waiting', 'storing')`;
  if (await one(from, underWay, [clubId]))
    throw new Refusal('An import is under way at this club: move it once all is stored.');
}

/** Ends what a move has begun; safe to repeat. @param {Client} from @param {Client} to */
export async function tidyUp(from, to) {
  if (await one(to, 'select true from pg_subscription where subname = $1', [NAME])) {
    await to.query(`alter subscription ${NAME} disable`);
    // This also drops the replication slot on the other side.
    await to.query(`drop subscription ${NAME}`);
  }
  await from.query(`drop publication if exists ${NAME}`);
}

/**
 * Moves a club from one database to another while it is used. Its rows are copied, and followed as they
 * change; then nobody may write at it for as long as the last of them need, both sides are compared, and
 * whoever asks is led to the other side. Where anything fails before that, the club stays where it was.
 * Rows of the club are left where it was, held: they can be wiped once nobody comes there any more.
 *
 * @param {{
 *   from: Client, to: Client, fromUrl: string, clubId: string,
 *   holdAtMostMs: number, lead: () => Promise<void>,
 * }} move both connected as superusers; `lead` leads whoever asks for the club to the other side
 * @returns {Promise<{ rows: number, copiedMs: number, heldMs: number }>}
 */
export async function moveClub({ from, to, fromUrl, clubId, holdAtMostMs, lead }) {
  await check(from, to, clubId);
  await checkImports(from, clubId);
  await tidyUp(from, to);
  const began = Date.now();
  const tables = await clubTables(from);
  const only = `where (club_id = ${literal(clubId)}::uuid)`;
  let heldAt = 0;
  let rows = 0;
  let copiedMs = 0;
  try {
    await from.query(
      `create publication ${NAME} for table ${tables.map((table) => `${quoted(table)} ${only}`).join(', ')}
       with (publish_via_partition_root = true)`,
    );
    await to.query(
      `create subscription ${NAME} connection ${literal(fromUrl)} publication ${NAME}`,
    );
    await until(
      () =>
        one(
          to,
          `select nullif(bool_and(srsubstate = 'r'), false) from pg_subscription_rel
           join pg_subscription s on s.oid = srsubid where s.subname = $1`,
          [NAME],
        ),
      COPY_WITHIN_MS,
      'Copying the club',
    );
    copiedMs = Date.now() - began;
    heldAt = Date.now();
    await holdClub(from, clubId);
    // An import may have begun since.
    await checkImports(from, clubId);
    const last = await one(from, 'select pg_current_wal_lsn()');
    await until(
      () =>
        one(
          from,
          `select true from pg_replication_slots
           where slot_name = $1 and confirmed_flush_lsn >= $2::pg_lsn`,
          [NAME, last],
        ),
      Math.max(0, holdAtMostMs - (Date.now() - heldAt)),
      'What was written last',
    );
    await bringSessions(from, to, clubId);
    await countOn(to);
    rows = await compare(from, to, clubId);
    await lead();
  } catch (error) {
    // Whatever fails from here on, nobody must be left waiting.
    await letGo(from, clubId);
    await tidyUp(from, to);
    await wipe(to, clubId);
    throw error;
  }
  const heldMs = Date.now() - heldAt;
  await tidyUp(from, to);
  return { rows, copiedMs, heldMs };
}

/**
 * @param {Client} from @param {Client} to @param {string} clubId
 * @returns {Promise<number>} rows that are on both sides
 */
async function compare(from, to, clubId) {
  const [there, here] = await Promise.all([contentOf(from, clubId), contentOf(to, clubId)]);
  const differs = Object.keys(there).find((table) => there[table] !== here[table]);
  if (differs)
    throw new Refusal(
      `${differs} is not the same on both sides: ${there[differs]}, and ${here[differs]}.`,
    );
  return Object.values(there).reduce((sum, said) => sum + Number(said.split(' ')[0]), 0);
}

/**
 * Moves sessions, so that everybody stays signed in. They name a club but are not in a club's tables.
 * @param {Client} from @param {Client} to @param {string} clubId
 */
async function bringSessions(from, to, clubId) {
  const { rows } = await from.query(
    `select sid, sess, expire from web_session where sess #>> '{signedIn,clubId}' = $1`,
    [clubId],
  );
  for (const { sid, sess, expire } of rows)
    await to.query(
      `insert into web_session (sid, sess, expire) values ($1, $2, $3) on conflict (sid) do nothing`,
      [sid, JSON.stringify(sess), expire],
    );
}

/** Sets sequences beyond the rows that were moved. @param {Client} to */
async function countOn(to) {
  const { rows } = await to.query(
    `select c.relname as table, a.attname as column from pg_attribute a join pg_class c on c.oid = a.attrelid
     where a.attidentity <> '' and c.relnamespace = 'public'::regnamespace`,
  );
  for (const { table, column } of rows)
    await to.query(
      `select setval(pg_get_serial_sequence($1, $2),
         greatest(nextval(pg_get_serial_sequence($1, $2)), (select coalesce(max(${quoted(column)}), 0) + 1 from ${quoted(table)})))`,
      [table, column],
    );
}

/** Deletes all rows of a club, in spite of foreign keys. @param {Client} client @param {string} clubId */
export async function wipe(client, clubId) {
  await letGo(client, clubId);
  await client.query('begin');
  try {
    await client.query('delete from athlete where club_id = $1', [clubId]);
    await client.query('delete from club where club_id = $1', [clubId]);
    await client.query('commit');
  } catch (error) {
    await client.query('rollback');
    throw error;
  }
}
