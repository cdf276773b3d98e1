import { Migration } from '@mikro-orm/migrations';

/** Sessions that were held, who was there and how hard it was for them, and what was seen meanwhile. */
export class Migration20261209Sessions extends Migration {
  override up(): void {
    this.addSql(`
      create table held_session (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        plan_id uuid,
        name text not null,
        day date not null,
        started_at timestamptz not null,
        ended_at timestamptz not null,
        blocks jsonb not null,
        primary key (club_id, id)
      )`);
    this.addSql(`create index held_session_by_day on held_session (club_id, day)`);
    this.addSql(`
      create table attendance (
        club_id uuid not null,
        session_id uuid not null,
        athlete_id uuid not null,
        minutes int not null,
        effort int,
        primary key (club_id, session_id, athlete_id),
        foreign key (club_id, session_id) references held_session on delete cascade,
        foreign key (club_id, athlete_id) references athlete on delete cascade
      )`);
    this.addSql(`create index attendance_by_athlete on attendance (club_id, athlete_id)`);
    this.addSql(`
      create table session_note (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        session_id uuid not null,
        day date not null,
        athlete_id uuid,
        fault text,
        text text not null,
        written_by text not null,
        written_at timestamptz not null,
        removed boolean not null,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade
      )`);
    this.addSql(`create index session_note_by_day on session_note (club_id, day)`);
  }
}
