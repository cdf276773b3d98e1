import type { EntityClass, EntityManager } from '@mikro-orm/postgresql';
import type { ClubList, InList } from '@orthokin/contract';
import { withoutName } from '@orthokin/core/people';
import { plainRows } from '../platform/storage/plain-rows.js';
import type { ClubOwned } from '../platform/storage/club-owned.js';
import { withValues } from '../platform/storage/with-values.js';
import { ahead } from '../platform/work/ahead.js';

/**
 * What a domain keeps of a club, as a club's file has it: how it is taken out, and stored again. A new
 * table is one more of these; what a row names says whose it is.
 */
export interface ClubPart<List extends ClubList> {
  readonly list: List;
  /** All of it, or what of it concerns one athlete, some hundred rows at a time. */
  readonly take: (
    em: EntityManager,
    clubId: string,
    whose?: Whose,
  ) => AsyncIterable<readonly InList<List>[]>;
  /** Which of its rows concern an athlete, as SQL with a `?` for their id; `null` where none does. */
  readonly concerns: string | null;
  /** Stores rows of a club that has none of them yet. */
  readonly bring: (
    em: EntityManager,
    clubId: string,
    rows: readonly InList<List>[],
  ) => Promise<void>;
  /** Takes an athlete who is deleted out of what is of several; what is theirs alone goes with them. */
  readonly forget?: (em: EntityManager, clubId: string, athleteId: string) => Promise<void>;
  /**
   * Gives what can stay without a name to another athlete, when one is erased so; what somebody wrote
   * about them is not of that kind. Where there is none of this everything goes with the athlete.
   */
  readonly bequeath?: (
    em: EntityManager,
    clubId: string,
    athleteId: string,
    heir: string,
  ) => Promise<void>;
  /** Which list each field names a row of; those rows come before. */
  readonly names: Readonly<Partial<Record<keyof InList<List> & string, ClubList>>>;
}

/** Rows that concern one athlete. */
export interface Whose {
  /** With a `?` for the athlete's id. */
  readonly sql: string;
  readonly athleteId: string;
}

const PAGE = 1000;

/**
 * Rows of a club's table in the order of their ids (or of another column in which each differs), a
 * page at a time: a club need not fit into memory.
 */
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

/** Pages of a table as pages of a file. */
export async function* mapped<Row, InFile>(
  of: AsyncIterable<readonly Row[]>,
  map: (row: Row) => InFile,
): AsyncIterable<readonly InFile[]> {
  for await (const rows of of) yield rows.map(map);
}

export const date = (iso: string | null | undefined): Date | null => (iso ? new Date(iso) : null);

/** Inserts plain rows of a club's table. */
export const insertAll = async <Row extends object>(
  em: EntityManager,
  entity: EntityClass<Row>,
  clubId: string,
  rows: readonly object[],
): Promise<void> => {
  if (rows.length > 0)
    await em.insertMany(entity, rows.map((row) => ({ ...row, clubId })) as never);
};

/** Gives an athlete's rows of a table to another. */
export const handedOver =
  (table: 'drill_set' | 'own_ladder'): NonNullable<ClubPart<ClubList>['bequeath']> =>
  async (em, clubId, athleteId, heir) => {
    await em.execute(`update ${table} set athlete_id = ? where club_id = ? and athlete_id = ?`, [
      ...[heir, clubId, athleteId],
    ]);
  };

/** Takes an athlete off a table's lists of who is meant. */
export const offLists =
  (table: 'training_group' | 'plan' | 'programme'): NonNullable<ClubPart<ClubList>['forget']> =>
  async (em, clubId, athleteId) => {
    await em.execute(
      `update ${table} set athlete_ids = athlete_ids - ?
       where club_id = ? and athlete_ids @> jsonb_build_array(?::text)`,
      [athleteId, clubId, athleteId],
    );
  };

/** Takes an athlete's name out of what blocks are called: a draft calls them by whom they are for. */
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
