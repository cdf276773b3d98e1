import { Migration } from '@mikro-orm/migrations';

/**
 * What an athlete works on is a choice. Until now it followed the newest set: it stays what it was by
 * that, and changes no more by itself.
 */
export class Migration20261207WorksOn extends Migration {
  override up(): void {
    this.addSql(`
      update athlete a set pattern_id = newest.pattern_id
      from (select distinct on (club_id, athlete_id) club_id, athlete_id, pattern_id from drill_set
            order by club_id, athlete_id, started_at desc, id desc) as newest
      where newest.club_id = a.club_id and newest.athlete_id = a.id`);
    this.addSql(`delete from squad_line`);
  }
}
