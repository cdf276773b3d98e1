import { Migration } from '@mikro-orm/migrations';

const CLUB = `club_id = (select nullif(current_setting('app.club', true), '')::uuid)`;
const WHOLE = `(select coalesce(current_setting('app.athletes', true), '') = '')`;
const OWN = `any ((select string_to_array(current_setting('app.athletes', true), ',')::uuid[])::uuid[])`;

/** What of a club is shown to whom: everything to those who see the whole of it, to an athlete what is theirs. */
const SHOWN: Readonly<Record<string, string>> = {
  club: 'true',
  pattern: 'true',
  pattern_version: 'true',
  ladder: 'true',
  squad_form: 'true',
  athlete: `(${WHOLE} or id = ${OWN})`,
  athlete_standing: `(${WHOLE} or id = ${OWN})`,
  squad_line: `(${WHOLE} or id = ${OWN})`,
  ...Object.fromEntries(
    [
      ...['drill_set', 'rung_move', 'own_ladder', 'ladder_standing', 'care_record'],
      ...['attendance', 'session_note', 'home_practice'],
    ].map((table) => [table, `(${WHOLE} or athlete_id = ${OWN})`]),
  ),
  // Their sets are shown by the rule above.
  rep: ofShownSet('rep', 'set_id'),
  set_note: ofShownSet('set_note', 'set_id'),
  set_figures: ofShownSet('set_figures', 'id'),
  ...Object.fromEntries(
    ['training_group', 'plan', 'programme', 'held_session', 'import_job'].map((table) => [
      table,
      WHOLE,
    ]),
  ),
  account: WHOLE,
  invitation: WHOLE,
};

function ofShownSet(table: string, column: string): string {
  return `(${WHOLE} or exists (
    select from drill_set s where s.club_id = ${table}.club_id and s.id = ${table}.${column}))`;
}

/**
 * Accounts, invitations and sessions, and the second wall: whoever connects as a role that owns no
 * table sees and writes only what the settings `app.club` and `app.athletes` of the connection say.
 */
export class Migration20261213Accounts extends Migration {
  override up(): void {
    this.addSql(`
      create table account (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        email text not null unique,
        role text not null,
        athlete_ids jsonb not null,
        password_hash text not null,
        made_at timestamptz not null,
        primary key (club_id, id)
      )`);
    this.addSql(`
      create table invitation (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        name text not null,
        role text not null,
        athlete_ids jsonb not null,
        account_id uuid,
        token_hash text not null unique,
        until timestamptz not null,
        primary key (club_id, id),
        foreign key (club_id, account_id) references account on delete cascade
      )`);
    // As the store of the sessions wants it.
    this.addSql(`
      create table web_session (
        sid text primary key,
        sess json not null,
        expire timestamptz not null
      )`);
    this.addSql(`create index web_session_by_expiry on web_session (expire)`);
    this.addSql(`create index web_session_by_club on web_session ((sess #>> '{signedIn,clubId}'))`);
    for (const [table, shown] of Object.entries(SHOWN)) {
      this.addSql(`alter table ${table} enable row level security`);
      this.addSql(`create policy wall on ${table} using (${CLUB} and ${shown})`);
    }
    // What must be known before it is known whose it is: each answers one question and no more.
    this.addFunction(
      'has_owner(club uuid)',
      'boolean',
      `exists (select from account a where a.club_id = club and a.role = 'owner')`,
    );
    this.addFunction(
      'has_owned_club()',
      'boolean',
      `exists (select from account where role = 'owner')`,
    );
    this.addFunction(
      'open_clubs()',
      'setof club',
      `c.* from club c where not has_owner(c.club_id)`,
    );
    this.addFunction(
      'account_with_email(given text)',
      'setof account',
      `a.* from account a where a.email = given`,
    );
    this.addFunction(
      'invitation_with_token(hash text)',
      'setof invitation',
      `i.* from invitation i where i.token_hash = hash and i.until > now()`,
    );
  }

  private addFunction(head: string, gives: string, select: string): void {
    this.addSql(`
      create function ${head} returns ${gives} language sql stable security definer
      set search_path = public, pg_temp as $$ select ${select} $$`);
    this.addSql(`revoke execute on function ${head} from public`);
  }
}
