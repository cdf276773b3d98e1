import { Migration } from '@mikro-orm/migrations';

/** How every set was run before there was a choice. */
const THEN = JSON.stringify({
  ...{ order: 'shuffled', maxRun: 2, catchShare: 0, switchShare: 0, freezeShare: 0 },
  ...{ switchAfterMs: 120, freezeAt: 'load', late: null, varyM: 0, workMs: null },
  foreperiod: { kind: 'uniform', leastMs: 900, mostMs: 1900 },
  pace: { kind: 'self', everyMs: null },
  ...{ cueKinds: ['marker', 'tone'], homeRule: 'home zone', watched: [] },
});

/** A set keeps how it was run, a rep what was marked in it, an athlete how they see colour. */
export class Migration20261126SetConditions extends Migration {
  override up(): void {
    this.addSql(`alter table drill_set add column conditions jsonb not null default '${THEN}'`);
    this.addSql(`alter table drill_set alter column conditions drop default`);
    this.addSql(`alter table rep add column marks jsonb`);
    this.addSql(`alter table athlete add column colour_vision text not null default 'full'`);
    this.addSql(`alter table athlete alter column colour_vision drop default`);
  }
}
