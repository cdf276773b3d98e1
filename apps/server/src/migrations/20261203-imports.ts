import { Migration } from '@mikro-orm/migrations';

/** What is being brought in, until it is: whoever starts the server anew goes on with it. */
export class Migration20261203Imports extends Migration {
  override up(): void {
    this.addSql(`
      create table import_job (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        body jsonb not null,
        sets int not null,
        reps int not null,
        done int not null default 0,
        state text not null,
        problems jsonb not null,
        asked_at timestamptz not null default now(),
        primary key (club_id, id)
      )`);
  }
}
