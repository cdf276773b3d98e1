import { Migration } from '@mikro-orm/migrations';

/** What a pattern of the first tables lacks: no feet laid yet, an ordinary stance and build. */
const ADDED = JSON.stringify({
  ...{ sport: '', notes: '', tags: [], hand: 'right', sizeM: null, legs: [], accepted: [] },
  stance: {
    left: { at: { x: -0.294, y: 0 }, headingDeg: -10 },
    right: { at: { x: 0.294, y: 0 }, headingDeg: 10 },
    leftWeight: 0.5,
  },
  positions: {
    stance: { cue: '', checkPoints: [] },
    split: { cue: '', checkPoints: [] },
    recovery: { cue: '', checkPoints: [] },
  },
  laidFor: {
    ...{ shoulderM: 0.42, strideM: 1.6, reachM: 0, reactionMs: 220 },
    travel: { acceleration: 12, topSpeed: 4.4 },
  },
});

/** A pattern is kept version by version; a set names the version it was timed on. */
export class Migration20261125PatternVersions extends Migration {
  override up(): void {
    this.addSql(`
      create table pattern_version (
        club_id uuid not null,
        pattern_id uuid not null,
        version int not null check (version >= 1),
        body jsonb not null,
        saved_at timestamptz not null,
        primary key (club_id, pattern_id, version),
        foreign key (club_id, pattern_id) references pattern on delete cascade
      )`);
    this.addSql(`
      insert into pattern_version (club_id, pattern_id, version, body, saved_at)
      select club_id, id, 1, '${ADDED}'::jsonb || body, now() from pattern`);
    this.addSql(`
      alter table pattern
        drop column name,
        drop column body,
        add column archived_at timestamptz`);
    this.addSql(`alter table drill_set add column pattern_version int not null default 1`);
    this.addSql(`
      alter table drill_set
        alter column pattern_version drop default,
        add foreign key (club_id, pattern_id, pattern_version) references pattern_version`);
    this.addSql(`create index drill_set_by_pattern on drill_set (club_id, pattern_id)`);
  }
}
