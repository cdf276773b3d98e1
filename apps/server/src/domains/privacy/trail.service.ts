import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { TrailEntryReply } from '@orthokin/contract';
import type { PrivateMatter, TrailDeed } from '@orthokin/core/people';
import { v7 } from 'uuid';
import type { SignedIn } from '../../platform/auth/caller.js';
import { TrailEntry } from './trail-entry.entity.js';

const NEWEST = 200;

/** Who saw and changed what is private of athletes. */
@Injectable()
export class TrailService {
  constructor(private readonly em: EntityManager) {}

  /** Writes down what somebody did; once more on the same day at the same device it is counted. */
  async note(
    { clubId, deviceId, name, role }: SignedIn,
    athleteId: string | null,
    matter: PrivateMatter,
    deed: TrailDeed,
  ): Promise<void> {
    const now = new Date();
    // Nobody waits for the disk: a power cut may cost the trail of the last second, never a reply its time.
    await this.em.execute(
      `insert into trail_entry
         (club_id, id, athlete_id, day, device_id, name, role, matter, deed, times, last_at)
       select ?, ?, ?, ?, ?, ?, ?, ?, ?, 1, ? from set_config('synchronous_commit', 'off', true)
       on conflict (club_id, coalesce(athlete_id, club_id), day, device_id, matter, deed)
       do update set times = trail_entry.times + 1, last_at = excluded.last_at`,
      [
        ...[clubId, v7(), athleteId, now.toISOString().slice(0, 10), deviceId],
        ...[name, role, matter, deed, now],
      ],
    );
  }

  /** What was done with what is private of an athlete, and of everybody, the newest first. */
  async of(clubId: string, athleteId: string): Promise<TrailEntryReply[]> {
    const rows = await this.em.find(
      TrailEntry,
      { clubId, $or: [{ athleteId }, { athleteId: null }] },
      { orderBy: { lastAt: 'desc', id: 'desc' }, limit: NEWEST },
    );
    return rows.map(({ id, name, role, matter, deed, athleteId: whose, day, times, lastAt }) => ({
      ...{ id, name, role, matter, deed, day, times },
      ...{ ofEverybody: whose === null, lastAt: lastAt.toISOString() },
    }));
  }
}
