import { Migration } from '@mikro-orm/migrations';

const CLUB = `club_id = (select nullif(current_setting('app.club', true), '')::uuid)`;
const WHOLE = `(select coalesce(current_setting('app.athletes', true), '') = '')`;
const OWN = `any ((select string_to_array(current_setting('app.athletes', true), ',')::uuid[])::uuid[])`;

/** Columns that a dump must not tell; who looked at what is private, and who was erased; who moved somebody. */
export class Migration20261214Privacy extends Migration {
  override up(): void {
    // As JSON in text; the server seals them when it starts.
    this.addSql(`
      alter table athlete
        alter note type text using to_json(note)::text,
        alter born_on type text using to_json(born_on)::text,
        alter emergency type text using emergency::text`);
    this.addSql(`alter table care_record add until text`);
    this.addSql(`update care_record set until = said #>> '{restriction,until}'`);
    this.addSql(`alter table care_record alter said type text using said::text`);
    this.addSql(`alter table rung_move add moved_by text`);
    this.addSql(`alter table club add keep_years integer`);
    this.addSql(`
      create table trail_entry (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        athlete_id uuid,
        day date not null,
        device_id uuid not null,
        name text not null,
        role text not null,
        matter text not null,
        deed text not null,
        times integer not null,
        last_at timestamptz not null,
        primary key (club_id, id),
        foreign key (club_id, athlete_id) references athlete on delete cascade
      )`);
    // Of everybody at once it names no athlete, and is one entry all the same.
    this.addSql(`
      create unique index trail_entry_once on trail_entry
        (club_id, coalesce(athlete_id, club_id), day, device_id, matter, deed)`);
    this.addSql(`
      create table erasure (
        club_id uuid not null references club on delete cascade,
        id uuid not null,
        athlete_id uuid not null,
        how text not null,
        sets integer not null,
        reps integer not null,
        erased_by text not null,
        erased_at timestamptz not null,
        primary key (club_id, id)
      )`);
    // A look at everybody was one at them too.
    this.addSql(`alter table trail_entry enable row level security`);
    this.addSql(`
      create policy wall on trail_entry
        using (${CLUB} and (${WHOLE} or athlete_id is null or athlete_id = ${OWN}))`);
    this.addSql(`alter table erasure enable row level security`);
    this.addSql(`create policy wall on erasure using (${CLUB} and ${WHOLE})`);
  }
}
