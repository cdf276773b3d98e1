import { Migration } from '@mikro-orm/migrations';

/**
 * How many sets of an import are stored is counted athlete by athlete now: what was counted as they were sent says
 * nothing of which. What is stored already is found again, set by set.
 */
export class Migration20261224ImportsByAthlete extends Migration {
  override up(): void {
    this.addSql(`update import_job set done = 0 where state in ('waiting', 'storing')`);
  }
}
