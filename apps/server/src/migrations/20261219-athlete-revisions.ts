import { Migration } from '@mikro-orm/migrations';

/** Changes of athletes are counted: whoever changed one without knowing of another's change is told. */
export class Migration20261219AthleteRevisions extends Migration {
  override up(): void {
    this.addSql(`alter table athlete add revision integer not null default 1`);
  }
}
