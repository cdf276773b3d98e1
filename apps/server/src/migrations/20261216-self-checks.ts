import { Migration } from '@mikro-orm/migrations';

/** What somebody asked themselves at practice at home. */
export class Migration20261216SelfChecks extends Migration {
  override up(): void {
    this.addSql(`alter table home_practice add checks jsonb`);
  }
}
