import type { EntityClass, EntityManager } from '@mikro-orm/postgresql';
import type { ClubList, InList } from '@orthokin/contract';
import { withoutName } from '@orthokin/core/people';
import { plainRows } from '../platform/storage/plain-rows.js';
import type { ClubOwned } from '../platform/storage/club-owned.js';
import { withValues } from '../platform/storage/with-values.js';
import { ahead } from '../platform/work/ahead.js';

/**
 * What a domain contributes to a club's file: how a list is exported and imported, which of its rows belong to an
 * athlete, and what happens to them when the athlete is deleted or erased. A new table needs one of these.
 */
export interface ClubPart<List extends ClubList> {
  readonly list: List;
  /** Exports the list, or the part that concerns one athlete, in pages of some hundred rows. */
  readonly take: (
    em: EntityManager,
    clubId: string,
    whose?: Whose,
  ) => AsyncIterable<readonly InList<List>[]>;
  /** An SQL condition for rows that concern an athlete, with a `?` for their id; `null` if none do. */
  readonly concerns: string | null;
  /** Imports rows into a club that has none of this list yet. */
  readonly bring: (
    em: EntityManager,
    clubId: string,
    rows: readonly InList<List>[],
  ) => Promise<void>;
  /**
   * Like `bring`, for lists so long that their rows should not be kept as objects until they are inserted: that takes
   * the garbage collector seconds.
   */
  readonly gather?: () => Gathering<InList<List>>;
  /** Removes a deleted athlete from rows shared by several; rows of theirs alone are deleted by a foreign key. */
  readonly forget?: (em: EntityManager, clubId: string, athleteId: string) => Promise<void>;
  /**
   * When an athlete is erased, moves rows that may stay without a name to an anonymous heir. What others wrote about
   * them is not moved. Without this method everything is deleted with the athlete.
   */
  readonly bequeath?: (
    em: EntityManager,
    clubId: string,
    athleteId: string,
    heir: string,
  ) => Promise<void>;
  /** Fields that hold the id of another list's row; those lists are imported first. */
  readonly names: Readonly<Partial<Record<keyof InList<List> & string, ClubList>>>;
}

/** Rows that are gathered one by one and inserted together. */
export interface Gathering<Row> {
  /** @param json the JSON the row was parsed from, if there is any */
  add(row: Row, json: string | null): void;
  store(em: EntityManager, clubId: string): Promise<void>;
}

/** A condition for rows that concern one athlete. */
export interface Whose {
  /** With a `?` for the athlete's id. */
  readonly sql: string;
  readonly athleteId: string;
}

const PAGE = 1000;

/** Pages of a club's table, ordered by id or another unique column, because a club may not fit into memory. */
export const pages = <Row extends ClubOwned>(
  em: EntityManager,
  entity: EntityClass<Row>,
  clubId: string,
  by: 'id' | (keyof Row & 'seq') = 'id',
  whose?: Whose,
): AsyncIterable<readonly Row[]> => ahead(pagesInTurn(em, entity, clubId, by, whose));

async function* pagesInTurn<Row extends ClubOwned>(
  em: EntityManager,
  entity: EntityClass<Row>,
  clubId: string,
  by: 'id' | (keyof Row & 'seq'),
  whose: Whose | undefined,
): AsyncIterable<readonly Row[]> {
  const pageAfter = (after: unknown): Promise<Row[]> =>
    plainRows(
      em,
      entity,
      `where club_id = ? ${whose ? `and ${whose.sql}` : ''}
       ${after === null ? '' : `and "${by}" > ?`} order by "${by}" limit ${PAGE}`,
      [clubId, ...(whose ? [whose.athleteId] : []), ...(after === null ? [] : [after])],
    );
  let rows = await pageAfter(null);
  while (rows.length > 0) {
    yield rows;
    rows = rows.length < PAGE ? [] : await pageAfter(rows.at(-1)?.[by]);
  }
}

/** Maps pages of rows to pages of a file. */
export async function* mapped<Row, InFile>(
  of: AsyncIterable<readonly Row[]>,
  map: (row: Row) => InFile,
): AsyncIterable<readonly InFile[]> {
  for await (const rows of of) yield rows.map(map);
}

export const date = (iso: string | null | undefined): Date | null => (iso ? new Date(iso) : null);

/** Inserts plain rows into a club's table. */
export const insertAll = async <Row extends object>(
  em: EntityManager,
  entity: EntityClass<Row>,
  clubId: string,
  rows: readonly object[],
): Promise<void> => {
  if (rows.length > 0)
    await em.insertMany(entity, rows.map((row) => ({ ...row, clubId })) as never);
};

/** Moves an athlete's rows of a table to another athlete. */
export const handedOver =
  (table: 'drill_set' | 'own_ladder'): NonNullable<ClubPart<ClubList>['bequeath']> =>
  async (em, clubId, athleteId, heir) => {
    await em.execute(`update ${table} set athlete_id = ? where club_id = ? and athlete_id = ?`, [
      ...[heir, clubId, athleteId],
    ]);
  };

/** Removes an athlete's id from a table's lists of ids. */
export const offLists =
  (table: 'training_group' | 'plan' | 'programme'): NonNullable<ClubPart<ClubList>['forget']> =>
  async (em, clubId, athleteId) => {
    await em.execute(
      `update ${table} set athlete_ids = athlete_ids - ?
       where club_id = ? and athlete_ids @> jsonb_build_array(?::text)`,
      [athleteId, clubId, athleteId],
    );
  };

/** Removes an athlete's name from block titles, because drafts name blocks after their athletes. */
export const offTitles =
  (table: 'plan' | 'held_session'): NonNullable<ClubPart<ClubList>['forget']> =>
  async (em, clubId, athleteId) => {
    const [athlete] = await em.execute<{ name: string }[]>(
      'select name from athlete where club_id = ? and id = ?',
      [clubId, athleteId],
    );
    if (!athlete) return;
    const rows = await em.execute<{ id: string; blocks: readonly { title: string }[] }[]>(
      `select id, blocks from ${table} where club_id = ? for update`,
      [clubId],
    );
    const changed = rows.flatMap(({ id, blocks }) => {
      const without = blocks.map((block) => ({
        ...block,
        title: withoutName(block.title, athlete.name),
      }));
      return without.some(({ title }, i) => title !== blocks[i]?.title)
        ? [{ id, blocks: without }]
        : [];
    });
    await withValues(
      em,
      `update ${table} set blocks = given.blocks
       from jsonb_to_recordset(?::jsonb) as given (id uuid, blocks jsonb)
       where club_id = ? and ${table}.id = given.id`,
      [JSON.stringify(changed), clubId],
    );
  };
