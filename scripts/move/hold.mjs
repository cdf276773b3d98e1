import { literal, quoted, writtenTables } from './tables.mjs';

/** @typedef {import('pg').Client} Client */

const REFUSE = 'club_is_moving';
/** The longest wait for a table's lock: others write meanwhile, and it is tried again. */
const LOCK_TIMEOUT = '500ms';
const TRIES = 40;
/** PostgreSQL's "cannot connect now": servers treat it like a database that is away, and devices try again. */
const AWAY = '57P03';

/** The triggers of a club: others may be held at the same time, where they were moved from. @param {string} clubId */
const triggersOf = (clubId) =>
  /** @type {const} */ ([
    [quoted(`moving in ${clubId}`), 'insert or update', 'new'],
    [quoted(`moving out ${clubId}`), 'delete', 'old'],
  ]);

/**
 * Lets nobody write at a club until it is let go. Whatever is being written is finished first; pages go
 * on to be read. It costs nothing while no club is held. Safe to repeat.
 * @param {Client} client
 * @param {string} clubId
 */
export async function holdClub(client, clubId) {
  await client.query(
    `create or replace function ${REFUSE}() returns trigger language plpgsql as $$
     begin raise exception 'This club is being moved.' using errcode = '${AWAY}'; end $$`,
  );
  for (const table of await writtenTables(client))
    await patiently(
      client,
      triggersOf(clubId).map(
        ([name, on, row]) =>
          `create or replace trigger ${name} before ${on} on ${quoted(table)} for each row
           when (${row}.club_id = ${literal(clubId)}::uuid) execute function ${REFUSE}()`,
      ),
    );
}

/** Lets everybody write to the club again. @param {Client} client @param {string} clubId */
export async function letGo(client, clubId) {
  for (const table of await writtenTables(client))
    await patiently(
      client,
      triggersOf(clubId).map(([name]) => `drop trigger if exists ${name} on ${quoted(table)}`),
    );
}

/**
 * Changes tables in use, giving way to others who write to them.
 * @param {Client} client
 * @param {readonly string[]} statements all of them or none
 */
async function patiently(client, statements) {
  for (let tried = 1; ; tried++)
    try {
      await client.query('begin');
      await client.query(`set local lock_timeout = '${LOCK_TIMEOUT}'`);
      for (const statement of statements) await client.query(statement);
      await client.query('commit');
      return;
    } catch (error) {
      await client.query('rollback');
      const isLocked = error instanceof Error && 'code' in error && error.code === '55P03';
      if (!isLocked || tried >= TRIES) throw error;
    }
}
