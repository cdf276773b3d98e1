import { Migration } from '@mikro-orm/migrations';

/** How athletes stand is kept, so that the squad's page need not read weeks of sets each time. */
export class Migration20261128Standings extends Migration {
  override up(): void {
    this.addSql(`
      create table athlete_standing (
        club_id uuid not null,
        id uuid not null,
        day date not null,
        standing jsonb not null,
        primary key (club_id, id),
        foreign key (club_id, id) references athlete on delete cascade
      )`);
    this.addSql(`create index drill_set_by_time on drill_set (club_id, started_at)`);
  }
}
