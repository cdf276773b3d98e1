import { randomUUID } from 'node:crypto';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { LiveNews, LiveRole } from '@orthokin/contract';
import { LRUCache } from 'lru-cache';
import { Notices } from './notices.js';

const MOST_SHUT_OUT = 10_000;

/** How other screens know a screen. */
export interface Seat {
  readonly room: string;
  readonly screen: string;
}

/** A screen connected to this process. */
export interface Member extends Seat {
  readonly role: LiveRole;
  /** Of the signed-in account; empty if nobody is signed in. */
  readonly name: string;
  readonly device: string;
  readonly since: Date;
  readonly hear: (news: string) => void;
  /** Disconnects the screen for good. */
  readonly end: () => void;
}

/** A message between processes. */
interface Notice {
  readonly origin: string;
  /** A counter: within a transaction PostgreSQL drops notifications that are equal. */
  readonly n: number;
  readonly room: string;
  readonly from: string;
  readonly to: string | null;
  /** `null` tells the addressed screen to leave. */
  readonly news: LiveNews | null;
}

/**
 * Delivers messages within rooms. A process knows only its own screens: it delivers to those directly, and to all
 * other processes through the database, so that the screens of a room may be on different servers.
 */
@Injectable()
export class Rooms implements OnModuleInit {
  private readonly members = new Map<string, Set<Member>>();
  private readonly shutOut = new LRUCache<string, true>({ max: MOST_SHUT_OUT });
  private readonly origin = randomUUID();
  private said = 0;

  constructor(private readonly notices: Notices) {}

  onModuleInit(): void {
    this.notices.onNotice((payload) => {
      const notice = JSON.parse(payload) as Notice;
      if (notice.origin !== this.origin) this.deliver(notice);
    });
  }

  /** Whether a screen was expelled from a room; it can only come back with the room's next code. */
  isShutOut({ room, screen }: Seat): boolean {
    return this.shutOut.has(`${room} ${screen}`);
  }

  join(member: Member): void {
    const room = this.members.get(member.room) ?? new Set();
    this.members.set(member.room, room.add(member));
    this.say(member, null, { event: 'came', from: member.screen, role: member.role });
  }

  leave(member: Member): void {
    const room = this.members.get(member.room);
    if (!room?.delete(member)) return;
    if (room.size === 0) this.members.delete(member.room);
    this.say(member, null, { event: 'went', from: member.screen, role: member.role });
  }

  /** Expels a screen, on whichever process it is. */
  end({ room, screen }: Seat): void {
    this.say({ room, screen: '' }, screen, null);
  }

  say({ room, screen }: Seat, to: string | null, news: LiveNews | null): void {
    const notice: Notice = { origin: this.origin, n: this.said++, room, from: screen, to, news };
    this.deliver(notice);
    this.notices.send(JSON.stringify(notice));
  }

  private deliver({ room, from, to, news }: Notice): void {
    if (news === null) {
      this.shutOut.set(`${room} ${to ?? ''}`, true);
      for (const member of [...(this.members.get(room) ?? [])])
        if (member.screen === to) member.end();
      return;
    }
    const text = JSON.stringify(news);
    for (const { screen, hear } of this.members.get(room) ?? [])
      if (screen !== from && (to === null || to === screen)) hear(text);
  }
}
