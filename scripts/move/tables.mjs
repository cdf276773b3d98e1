/** @typedef {import('pg').Client} Client */

/** @param {string} name */
export const quoted = (name) => `"${name.replaceAll('"', '""')}"`;
/** @param {string} text */
export const literal = (text) => `'${text.replaceAll("'", "''")}'`;

/**
 * Every table that holds rows of clubs. Parts of a table are none of their own; what is not written to the
 * log (who is at a screen now) is not moved.
 * @param {Client} client
 * @returns {Promise<string[]>}
 */
export async function clubTables(client) {
  const { rows } = await client.query(
    `select c.relname as name from pg_class c
     join pg_attribute a on a.attrelid = c.oid and a.attname = 'club_id' and not a.attisdropped
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')
       and c.relpersistence = 'p' order by 1`,
  );
  return rows.map(({ name }) => name);
}

/** Tables with derived rows, which may differ between two databases without anything being wrong. */
const WORKED_OUT = [
  'athlete_standing',
  'ladder_standing',
  'set_figures',
  'squad_form',
  'squad_line',
];

/**
 * The tables of clubs that somebody writes at.
 * @param {Client} client
 * @returns {Promise<string[]>}
 */
export const writtenTables = async (client) =>
  (await clubTables(client)).filter((table) => !WORKED_OUT.includes(table));

/**
 * How many rows each table that is written at has of a club, and a sum over all that is in them, in
 * whatever order they lie.
 * @param {Client} client
 * @param {string} clubId
 * @returns {Promise<Record<string, string>>}
 */
export async function contentOf(client, clubId) {
  /** @type {Record<string, string>} */
  const content = {};
  for (const table of await writtenTables(client)) {
    const { rows } = await client.query(
      `select count(*) || ' rows, ' || coalesce(sum(hashtextextended(t::text, 0)), 0) as said
       from ${quoted(table)} t where club_id = $1`,
      [clubId],
    );
    content[table] = rows[0]?.said;
  }
  return content;
}
