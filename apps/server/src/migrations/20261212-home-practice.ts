import { Migration } from '@mikro-orm/migrations';

/** What athletes practise without the coach. */
export class Migration20261212HomePractice extends Migration {
  override up(): void {
    this.addSql(`
      create table home_practice (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        athlete_id uuid not null,
        day date not null,
        minutes int not null,
        effort int,
        text text not null,
        written_at timestamptz not null,
        removed boolean not null,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade
      )`);
    this.addSql(`create index home_practice_by_day on home_practice (club_id, day)`);
    this.addSql(`create index home_practice_by_athlete on home_practice (club_id, athlete_id)`);
  }
}
