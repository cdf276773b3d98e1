import { Migration } from '@mikro-orm/migrations';

/** As many as machines a cluster of databases may ever spread over, with room; none is ever split. */
const PARTS = 16;

const CLUB = `club_id = (select nullif(current_setting('app.club', true), '')::uuid)`;
const WHOLE = `(select coalesce(current_setting('app.athletes', true), '') = '')`;
const ofShownSet = (table: string, column: string): string =>
  `${WHOLE} or exists (select from drill_set s where s.club_id = ${table}.club_id and s.id = ${table}.${column})`;

/**
 * The two tables that hold nearly all there is are laid in parts by hash of the club: each part is
 * tidied up, indexed and moved by itself, and a club's rows lie together. The parts have a schema of
 * their own, which the role that serves cannot look into: the walls stand on the whole tables.
 */
export class Migration20261221Partitions extends Migration {
  override up(): void {
    this.addSql(`create schema partitions`);
    this.layInParts('rep', {
      indexes: [
        `create index rep_by_set on rep (club_id, set_id, ordinal)`,
        `create index rep_by_replaced on rep (club_id, replaces) where replaces is not null`,
      ],
      keys: [
        `foreign key (club_id, set_id) references drill_set on delete cascade`,
        `foreign key (club_id, replaces) references rep`,
      ],
      shown: ofShownSet('rep', 'set_id'),
    });
    this.layInParts('set_figures', {
      indexes: [],
      keys: [`foreign key (club_id, id) references drill_set on delete cascade`],
      shown: ofShownSet('set_figures', 'id'),
    });
  }

  private layInParts(
    table: string,
    {
      indexes,
      keys,
      shown,
    }: {
      readonly indexes: readonly string[];
      readonly keys: readonly string[];
      readonly shown: string;
    },
  ): void {
    const before = `${table}_in_one`;
    this.addSql(`alter table ${table} rename to ${before}`);
    this.addSql(
      `create table ${table} (like ${before} including defaults) partition by hash (club_id)`,
    );
    for (let part = 0; part < PARTS; part++)
      this.addSql(`
        create table partitions.${table}_${part} partition of ${table}
        for values with (modulus ${PARTS}, remainder ${part})`);
    this.addSql(`insert into ${table} select * from ${before}`);
    this.addSql(`drop table ${before}`);
    // Made over rows that are there, keys and indexes take a third of the time.
    this.addSql(`alter table ${table} add primary key (club_id, id)`);
    for (const index of indexes) this.addSql(index);
    for (const key of keys) this.addSql(`alter table ${table} add ${key}`);
    this.addSql(`alter table ${table} enable row level security`);
    this.addSql(`create policy wall on ${table} using (${CLUB} and (${shown}))`);
  }
}
