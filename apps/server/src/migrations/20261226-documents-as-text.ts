import { Migration } from '@mikro-orm/migrations';

/**
 * What is read as a whole and never searched is kept as it came. To take it apart for searching was half of what
 * storing a rep costs the database, and to put it together again four fifths of reading one.
 */
export class Migration20261226DocumentsAsText extends Migration {
  override up(): void {
    this.addSql(`alter table rep alter column events type json`);
    this.addSql(`alter table drill_set alter column cues type json`);
  }
}
