import { Migration } from '@mikro-orm/migrations';
import { pack } from '../platform/storage/packed.js';

interface Kept {
  readonly club_id: string;
  readonly id: string;
  readonly body: unknown;
}

const inHex = (value: unknown): string => `\\x${pack(value).toString('hex')}`;

/** What an import has yet to store is kept compressed; what is over needs none of it. */
export class Migration20261227PackedImports extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table import_job add column packed bytea not null default '${inHex([])}'`);
    const unfinished = (await this.execute(
      `select club_id, id, body from import_job where state in ('waiting', 'storing', 'given up')`,
    )) as Kept[];
    for (const { club_id, id, body } of unfinished)
      this.addSql(
        `update import_job set packed = '${inHex(body)}' where club_id = '${club_id}' and id = '${id}'`,
      );
    this.addSql(`alter table import_job drop column body`);
    this.addSql(`alter table import_job rename column packed to body`);
    this.addSql(`alter table import_job alter column body drop default`);
  }
}
