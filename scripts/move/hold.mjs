import { literal, quoted, writtenTables } from './tables.mjs';

/** @typedef {import('pg').Client} Client */

const REFUSE = 'club_is_moving';
/** A table is asked for no longer than this: whoever writes at it goes first, and it is tried again. */
const LOCK_TIMEOUT = '500ms';
const TRIES = 40;
/** PostgreSQL's "cannot connect now": servers answer it as a database that is away, and devices try again. */
const AWAY = '57P03';

/**
 * Lets nobody write at a club until it is let go. Whatever is being written is finished first; pages go
 * on to be read. It costs nothing while no club is held.
 * @param {Client} client
 * @param {string} clubId
 */
export async function holdClub(client, clubId) {
  await client.query(
    `create or replace function ${REFUSE}() returns trigger language plpgsql as $$
     begin raise exception 'This club is being moved.' using errcode = '${AWAY}'; end $$`,
  );
  for (const table of await writtenTables(client)) await holdTable(client, clubId, table);
}

/** @param {Client} client @param {string} clubId @param {string} table */
async function holdTable(client, clubId, table) {
  const when = (/** @type {string} */ row) => `${row}.club_id = ${literal(clubId)}::uuid`;
  const trigger = (
    /** @type {string} */ name,
    /** @type {string} */ on,
    /** @type {string} */ row,
  ) =>
    `create trigger ${name} before ${on} on ${quoted(table)} for each row when (${when(row)})
     execute function ${REFUSE}()`;
  for (let tried = 1; ; tried++)
    try {
      await client.query('begin');
      await client.query(`set local lock_timeout = '${LOCK_TIMEOUT}'`);
      await client.query(trigger('moving_in', 'insert or update', 'new'));
      await client.query(trigger('moving_out', 'delete', 'old'));
      await client.query('commit');
      return;
    } catch (error) {
      await client.query('rollback');
      const isLocked = error instanceof Error && 'code' in error && error.code === '55P03';
      if (!isLocked || tried >= TRIES) throw error;
    }
}

/** Lets whoever was held write again. Nothing where none is. @param {Client} client */
export async function letGo(client) {
  await client.query(`drop function if exists ${REFUSE}() cascade`);
}
