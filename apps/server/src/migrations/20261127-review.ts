import { Migration } from '@mikro-orm/migrations';

/** What follows from a set is kept beside it; corrections say by whom; coaches write notes. */
export class Migration20261127Review extends Migration {
  override up(): void {
    this.addSql(`
      create table set_figures (
        club_id uuid not null,
        id uuid not null,
        figures jsonb not null,
        judgement jsonb not null,
        primary key (club_id, id),
        foreign key (club_id, id) references drill_set on delete cascade
      )`);
    this.addSql(`alter table rep add column corrected jsonb`);
    this.addSql(`
      create table set_note (
        club_id uuid not null,
        id uuid not null,
        set_id uuid not null,
        text text not null,
        written_by text not null,
        written_at timestamptz not null,
        removed_at timestamptz,
        primary key (club_id, id),
        foreign key (club_id, set_id) references drill_set on delete cascade
      )`);
    this.addSql(`create index set_note_by_set on set_note (club_id, set_id)`);
  }
}
