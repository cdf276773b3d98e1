import { Migration } from '@mikro-orm/migrations';

/**
 * Every key starts with `club_id`, so that the tables can be spread by club over several servers
 * without changing a query; foreign keys carry it too and never cross clubs.
 */
export class Migration20261124GroundTables extends Migration {
  override up(): void {
    this.addSql(`
      create table club (
        club_id uuid primary key,
        name text not null
      )`);
    this.addSql(`
      create table pattern (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        body jsonb not null,
        primary key (club_id, id)
      )`);
    this.addSql(`
      create table athlete (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        hand text not null check (hand in ('left', 'right')),
        age_band text not null,
        note text,
        pattern_id uuid not null,
        simulated jsonb,
        primary key (club_id, id),
        foreign key (club_id, pattern_id) references pattern
      )`);
    this.addSql(`
      create table drill_set (
        club_id uuid not null,
        id uuid not null,
        athlete_id uuid not null,
        pattern_id uuid not null,
        rung int not null check (rung >= 1),
        source text not null,
        started_at timestamptz not null,
        day date not null,
        seed bigint not null,
        false_start_ms int not null,
        response_limit_ms int not null,
        cues jsonb not null,
        ended_at timestamptz,
        end_reason text,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade,
        foreign key (club_id, pattern_id) references pattern
      )`);
    this.addSql(
      `create index drill_set_by_athlete on drill_set (club_id, athlete_id, started_at desc)`,
    );
    this.addSql(`
      create table rep (
        club_id uuid not null,
        id uuid not null,
        set_id uuid not null,
        ordinal int not null,
        target text not null,
        events jsonb not null,
        seen_faults jsonb not null,
        struck_out boolean not null,
        replaces uuid,
        primary key (club_id, id),
        foreign key (club_id, set_id) references drill_set on delete cascade,
        foreign key (club_id, replaces) references rep
      )`);
    this.addSql(`create index rep_by_set on rep (club_id, set_id, ordinal)`);
    // Without it every delete of a rep would read the whole table for rows that replace it.
    this.addSql(
      `create index rep_by_replaced on rep (club_id, replaces) where replaces is not null`,
    );
    this.addSql(`
      create table rung_move (
        club_id uuid not null,
        id uuid not null,
        athlete_id uuid not null,
        pattern_id uuid not null,
        from_rung int not null,
        to_rung int not null,
        basis text not null,
        set_id uuid not null,
        moved_at timestamptz not null,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade,
        foreign key (club_id, pattern_id) references pattern,
        foreign key (club_id, set_id) references drill_set on delete cascade
      )`);
    this.addSql(
      `create index rung_move_by_athlete on rung_move (club_id, athlete_id, pattern_id, moved_at desc)`,
    );
  }
}
