import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import type { JoinedScreenReply } from '@orthokin/contract';
import { LRUCache } from 'lru-cache';
import { withinClub } from '../auth/scope.js';
import type { Member, Seat } from './rooms.js';

const WRITE_EVERY_MS = 10_000;
/** Arrivals within this time are written together. */
const SOON_MS = 300;
/** A screen whose server stopped reporting it for this long is gone. */
const GONE_AFTER_S = 30;
const MOST_ROOMS = 100_000;

/**
 * Records joined screens in the database, so that a club's owner sees all of them, on whichever server they are. The
 * live channel does not depend on it, and goes on when writing fails.
 */
@Injectable()
export class Present implements OnModuleDestroy {
  private readonly log = new Logger('live');
  private readonly here = new Set<Member>();
  private readonly clubs = new LRUCache<string, string>({ max: MOST_ROOMS });
  private readonly every = setInterval(() => void this.write(), WRITE_EVERY_MS);
  private soon: NodeJS.Timeout | undefined;
  private isEnding = false;

  constructor(private readonly em: EntityManager) {}

  onModuleDestroy(): void {
    this.isEnding = true;
    clearInterval(this.every);
    clearTimeout(this.soon);
  }

  /** Notes the club a room belongs to, once somebody who may run its drills holds the room. */
  isOf(room: string, clubId: string): void {
    this.clubs.set(room, clubId);
  }

  came(member: Member): void {
    this.here.add(member);
    this.soon ??= setTimeout(() => void this.write(), SOON_MS);
  }

  went(member: Member): void {
    this.here.delete(member);
    const clubId = this.clubs.get(member.room);
    // When this server ends all its screens disconnect at once: they reconnect elsewhere, or time out.
    if (clubId !== undefined && !this.isEnding) void this.quietly(this.takeOut(clubId, member));
  }

  /** Joined screens of a club, grouped by room, with the screen that runs the room first. */
  of(clubId: string): Promise<JoinedScreenReply[]> {
    return this.em.fork().execute<JoinedScreenReply[]>(
      `select room, screen, role, name, device, since from joined_screen
       where club_id = ? and seen_at > now() - make_interval(secs => ?)
       order by room, role not in ('drill', 'session'), since, screen`,
      [clubId, GONE_AFTER_S],
    );
  }

  private takeOut(clubId: string, { room, screen }: Seat): Promise<unknown> {
    return withinClub(clubId, () =>
      this.em
        .fork()
        .execute(`delete from joined_screen where club_id = ? and room = ? and screen = ?`, [
          ...[clubId, room, screen],
        ]),
    );
  }

  private async write(): Promise<void> {
    clearTimeout(this.soon);
    this.soon = undefined;
    const byClub = new Map<string, Member[]>();
    for (const member of this.here) {
      const clubId = await this.clubOf(member.room);
      if (clubId !== null) byClub.set(clubId, [...(byClub.get(clubId) ?? []), member]);
    }
    for (const [clubId, members] of byClub)
      await this.quietly(withinClub(clubId, () => this.writeOf(clubId, members)));
  }

  private async writeOf(clubId: string, members: readonly Member[]): Promise<void> {
    const em = this.em.fork();
    await em.execute(
      `insert into joined_screen (club_id, room, screen, role, name, device, since, seen_at)
       select ?, s.room, s.screen, s.role, s.name, s.device, s.since, now()
       from json_to_recordset(?) as s
         (room text, screen text, role text, name text, device text, since timestamptz)
       on conflict (club_id, room, screen) do update set seen_at = now(), role = excluded.role`,
      [clubId, JSON.stringify(members)],
    );
    await em.execute(
      `delete from joined_screen
       where club_id = ? and seen_at < now() - make_interval(secs => ?)`,
      [clubId, GONE_AFTER_S],
    );
  }

  /** `null` while nobody runs the room on any server. */
  private async clubOf(room: string): Promise<string | null> {
    const known = this.clubs.get(room);
    if (known !== undefined) return known;
    const asked = this.em
      .fork()
      .execute<{ club: string | null }[]>(`select club_of_room(?) as club`, [room]);
    const clubId = (await this.quietly(asked))?.[0]?.club ?? null;
    if (clubId !== null) this.clubs.set(room, clubId);
    return clubId;
  }

  private quietly<Value>(work: Promise<Value>): Promise<Value | null> {
    return work.catch((error: unknown) => {
      if (!this.isEnding) this.log.warn(`Joined screens were not written: ${String(error)}`);
      return null;
    });
  }
}
