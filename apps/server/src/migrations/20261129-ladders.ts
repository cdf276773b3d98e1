import { Migration } from '@mikro-orm/migrations';

/** What a rung of the tables before these lacks: all as usual. */
const USUAL = JSON.stringify({
  ...{ order: 'shuffled', catchShare: 0, switchShare: 0, timeFactor: 1, doing: 'feet only' },
  ...{ pressure: 'none', floorScale: 1, limitSources: {}, cleanShare: 0.8, heldShare: 0.8 },
  mostSpread: null,
});

/** Ladders with rules of their own, limits of an athlete's own, and moves that keep their evidence. */
export class Migration20261129Ladders extends Migration {
  override up(): void {
    this.addSql(`
      update pattern_version set body = jsonb_set(body, '{rungs}', coalesce(
        (select jsonb_agg('${USUAL}'::jsonb || rung order by nr)
         from jsonb_array_elements(body->'rungs') with ordinality as each (rung, nr)), '[]'))`);
    this.addSql(`alter table drill_set add column limits_ms jsonb`);
    this.addSql(`
      alter table rung_move
        alter column set_id drop not null,
        add column reason text,
        add column decision jsonb,
        add column evidence jsonb`);
    // What follows from the reps is worked out anew, by the gates there are now.
    this.addSql(`delete from set_figures`);
    this.addSql(`alter table set_figures add column staircase jsonb`);
    this.addSql(`
      create table ladder (
        club_id uuid not null,
        id uuid not null,
        pattern_id uuid not null,
        saved_at timestamptz not null,
        settings jsonb not null,
        primary key (club_id, id),
        foreign key (club_id, pattern_id) references pattern on delete cascade
      )`);
    this.addSql(`create index ladder_by_pattern on ladder (club_id, pattern_id, saved_at desc)`);
    this.addSql(`
      create table own_ladder (
        club_id uuid not null,
        id uuid not null,
        athlete_id uuid not null,
        pattern_id uuid not null,
        saved_at timestamptz not null,
        limits jsonb not null,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade,
        foreign key (club_id, pattern_id) references pattern on delete cascade
      )`);
    this.addSql(
      `create index own_ladder_by_athlete on own_ladder (club_id, athlete_id, pattern_id, saved_at desc)`,
    );
    this.addSql(`
      create table ladder_standing (
        club_id uuid not null,
        athlete_id uuid not null,
        pattern_id uuid not null,
        pattern_version int not null,
        rung int not null,
        decision jsonb not null,
        primary key (club_id, athlete_id, pattern_id),
        foreign key (club_id, athlete_id) references athlete on delete cascade,
        foreign key (club_id, pattern_id) references pattern on delete cascade
      )`);
  }
}
