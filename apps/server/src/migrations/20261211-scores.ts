import { Migration } from '@mikro-orm/migrations';

/** What somebody reached in the blocks of a session. */
export class Migration20261211Scores extends Migration {
  override up(): void {
    this.addSql(`alter table attendance add column scores jsonb not null default '[]'`);
  }
}
