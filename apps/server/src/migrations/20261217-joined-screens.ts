import { Migration } from '@mikro-orm/migrations';

/** Screens that are joined at any server, and gateways of beacons that a club's pages may connect to. */
export class Migration20261217JoinedScreens extends Migration {
  override up(): void {
    // Of this minute: it is written again by whoever has the screens, and need not outlive a crash.
    this.addSql(`
      create unlogged table joined_screen (
        club_id uuid not null references club on delete cascade,
        room text not null,
        screen text not null,
        role text not null,
        name text not null,
        device text not null,
        since timestamptz not null,
        seen_at timestamptz not null,
        primary key (club_id, room, screen)
      )`);
    this.addSql(`create index joined_screen_room on joined_screen (room)`);
    this.addSql(`alter table joined_screen enable row level security`);
    this.addSql(`
      create policy wall on joined_screen using (
        club_id = (select nullif(current_setting('app.club', true), '')::uuid)
        and (select coalesce(current_setting('app.athletes', true), '') = ''))`);
    // A screen that joins knows the room's code and nothing of the club it is of.
    this.addSql(`
      create function club_of_room(given text) returns uuid
      language sql stable security definer set search_path = public, pg_temp
      as $$
        select club_id from joined_screen
        where room = given and role in ('drill', 'session')
        order by seen_at desc limit 1
      $$`);
    this.addSql(`revoke execute on function club_of_room(text) from public`);
    this.addSql(`alter table club add gateways text[] not null default '{}'`);
  }
}
