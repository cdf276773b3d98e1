import { randomUUID } from 'node:crypto';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { LiveNews, LiveRole } from '@orthokin/contract';
import { LRUCache } from 'lru-cache';
import { Notices } from './notices.js';

const MOST_SHUT_OUT = 10_000;

/** A screen as it is known in its room. */
export interface Seat {
  readonly room: string;
  readonly screen: string;
}

/** A screen joined at this process. */
export interface Member extends Seat {
  readonly role: LiveRole;
  /** Of the account that is signed in there; empty where nobody is. */
  readonly name: string;
  readonly device: string;
  readonly since: Date;
  readonly hear: (news: string) => void;
  /** Is shown the door. */
  readonly end: () => void;
}

/** What goes from process to process. */
interface Notice {
  readonly origin: string;
  /** Counted: PostgreSQL drops a notice that is the same as another of its transaction. */
  readonly n: number;
  readonly room: string;
  readonly from: string;
  readonly to: string | null;
  /** `null` shows the one it is for the door. */
  readonly news: LiveNews | null;
}

/**
 * Who hears whom. A process knows only the screens joined at itself; what they say goes to them at
 * once and to all other processes through the database, so that it does not matter which of
 * several processes a screen came to.
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

  /** Whether a screen was shown the door of a room; it knows no other way in than the room's next code. */
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

  /** Shows a screen the door, whichever process it came to. */
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
