import { Migration } from '@mikro-orm/migrations';

/**
 * Counts, of each athlete, the changes that something may follow from: what is worked out is kept if there was none
 * meanwhile, and nobody is held for it.
 */
export class Migration20261225ChangesCounted extends Migration {
  override up(): void {
    this.addSql(`alter table athlete add changes integer not null default 0`);
  }
}
