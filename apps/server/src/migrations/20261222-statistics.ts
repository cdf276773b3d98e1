import { Migration } from '@mikro-orm/migrations';

/**
 * After a whole club has come in, the planner still takes its part of the reps for what it was, perhaps empty: it then
 * finds a set's reps by going through all of the club's, and wiping a hundred thousand took eight minutes rather than
 * fifteen seconds. By itself the database looks again within a minute. Only an owner of tables may ask it to.
 */
export class Migration20261222Statistics extends Migration {
  override up(): void {
    this.addSql(`
      create function know_tables_anew(club uuid) returns void
      language plpgsql security definer set search_path = public, pg_temp
      as $$
        declare part regclass;
        begin
          select tableoid::regclass into part from rep where club_id = club limit 1;
          if part is not null then execute format('analyze %s', part); end if;
          analyze drill_set;
        end
      $$`);
    this.addSql(`revoke execute on function know_tables_anew(uuid) from public`);
  }
}
