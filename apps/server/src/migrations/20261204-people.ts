import { Migration } from '@mikro-orm/migrations';

/** Clubs of one's own, and what is known of the people in them. */
export class Migration20261204People extends Migration {
  override up(): void {
    this.addSql(`
      alter table club
        add column sport text not null default '',
        add column unit text not null default 'metres'`);
    this.addSql(`
      alter table athlete
        add column called text,
        add column born_on date,
        add column foot text,
        add column height_m double precision,
        add column shoulder_m double precision,
        add column hip_m double precision,
        add column reach_m double precision,
        add column goal text,
        add column archived_at timestamptz`);
  }
}
