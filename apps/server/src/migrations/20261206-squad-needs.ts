import { Migration } from '@mikro-orm/migrations';

/** A kept line of the first page knows what is claimed of its athlete, and for which day. */
export class Migration20261206SquadNeeds extends Migration {
  override up(): void {
    this.addSql(`delete from squad_line`);
    this.addSql(`
      alter table squad_line
        add column day date not null,
        add column member jsonb not null`);
  }
}
