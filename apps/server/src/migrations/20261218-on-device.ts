import { Migration } from '@mikro-orm/migrations';

/** Moves that a device without a network made by the evidence it had. */
export class Migration20261218OnDevice extends Migration {
  override up(): void {
    this.addSql(`alter table rung_move add on_device boolean not null default false`);
  }
}
