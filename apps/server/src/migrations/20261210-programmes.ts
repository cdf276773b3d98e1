import { Migration } from '@mikro-orm/migrations';

/** Training over weeks, and which sessions are part of it. */
export class Migration20261210Programmes extends Migration {
  override up(): void {
    this.addSql(`
      create table programme (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        starts_on date not null,
        athlete_ids jsonb not null,
        weeks jsonb not null,
        revision int not null,
        primary key (club_id, id)
      )`);
    this.addSql(`alter table plan add column programme_id uuid`);
  }
}
