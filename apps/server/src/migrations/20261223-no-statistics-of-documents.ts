import { Migration } from '@mikro-orm/migrations';

/**
 * Nothing is found by what stands in these documents, and to compare thousands of them takes longer than all
 * else when the planner makes itself known to a table: of a hundred thousand reps 2.5 s rather than 0.4 s.
 */
export class Migration20261223NoStatisticsOfDocuments extends Migration {
  override up(): void {
    for (const [table, columns] of [
      ['rep', ['events', 'seen_faults', 'marks', 'corrected']],
      ['drill_set', ['cues', 'conditions', 'limits_ms']],
    ] as const)
      this.addSql(
        `alter table ${table} ${columns.map((column) => `alter column ${column} set statistics 0`).join(', ')}`,
      );
  }
}
