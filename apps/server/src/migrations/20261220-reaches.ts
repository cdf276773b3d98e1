import { Migration } from '@mikro-orm/migrations';

/** Somebody who plays two sports has a reach with what is held at each. */
export class Migration20261220Reaches extends Migration {
  override up(): void {
    this.addSql(`alter table athlete add reaches jsonb`);
  }
}
