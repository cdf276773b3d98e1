import { Migration } from '@mikro-orm/migrations';

/** Sessions that are planned. */
export class Migration20261208Plans extends Migration {
  override up(): void {
    this.addSql(`
      create table plan (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        day date not null,
        starts_at text not null,
        minutes int not null,
        athlete_ids jsonb not null,
        blocks jsonb not null,
        revision int not null,
        primary key (club_id, id)
      )`);
    this.addSql(`create index plan_by_day on plan (club_id, day)`);
  }
}
