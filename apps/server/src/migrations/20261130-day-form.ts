import { Migration } from '@mikro-orm/migrations';

/**
 * Standings are judged over days, against what is usual in the squad; the first page's lines are
 * kept. Everything that is worked out is worked out anew. What a staircase calls its turning points
 * is renamed where it stands in the evidence that moves keep.
 */
export class Migration20261130DayForm extends Migration {
  override up(): void {
    this.addSql(`delete from set_figures`);
    // Read with every course: out of the judgement it would have to be unpacked each time.
    this.addSql(`alter table set_figures add column outcome text not null`);
    this.addSql(`delete from athlete_standing`);
    this.addSql(`delete from ladder_standing`);
    this.addSql(`alter table ladder_standing add column held jsonb`);
    this.addSql(`
      create table squad_line (
        club_id uuid not null,
        id uuid not null,
        pattern_id uuid not null,
        line jsonb not null,
        primary key (club_id, id),
        foreign key (club_id, id) references athlete on delete cascade
      )`);
    this.addSql(`
      create table squad_form (
        club_id uuid primary key references club on delete cascade,
        day date not null,
        form jsonb not null
      )`);
    this.addSql(`
      update rung_move set
        decision = replace(decision::text, '"turns":', '"reversalsMs":')::jsonb,
        evidence = replace(evidence::text, '"turns":', '"reversalsMs":')::jsonb
      where decision::text like '%"turns":%' or evidence::text like '%"turns":%'`);
  }
}
