import { Migration } from '@mikro-orm/migrations';

/** Passkeys of accounts; whoever answers by one is not known before. */
export class Migration20261215Passkeys extends Migration {
  override up(): void {
    this.addSql(`
      create table passkey (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        account_id uuid not null,
        name text not null,
        credential_id text not null unique,
        public_key text not null,
        counter bigint not null,
        made_at timestamptz not null,
        primary key (club_id, id),
        foreign key (club_id, account_id) references account on delete cascade
      )`);
    this.addSql(`alter table passkey enable row level security`);
    this.addSql(`
      create policy wall on passkey using (
        club_id = (select nullif(current_setting('app.club', true), '')::uuid)
        and (select coalesce(current_setting('app.athletes', true), '') = ''))`);
    this.addSql(`
      create function passkey_with_credential(given text) returns setof passkey
      language sql stable security definer set search_path = public, pg_temp
      as $$ select p.* from passkey p where p.credential_id = given $$`);
    this.addSql(`revoke execute on function passkey_with_credential(text) from public`);
  }
}
