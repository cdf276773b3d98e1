import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { TrailEntryReply } from '@orthokin/contract';
import type { PrivateMatter, TrailDeed } from '@orthokin/core/people';
import { v7 } from 'uuid';
import type { SignedIn } from '../../platform/auth/caller.js';
import { TrailEntry } from './trail-entry.entity.js';

const NEWEST = 200;

/** The trail: who saw or changed athletes' private data. */
@Injectable()
export class TrailService {
  constructor(private readonly em: EntityManager) {}

  /** Records an access; a repeated one on the same day from the same device is counted. */
  async note(
    { clubId, deviceId, name, role }: SignedIn,
    athleteId: string | null,
    matter: PrivateMatter,
    deed: TrailDeed,
  ): Promise<void> {
    const now = new Date();
    // Asynchronous commit: a power cut may lose the last second of the trail, but no reply waits for the disk.
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

  /** The trail of an athlete, including accesses to everybody's data, newest first. */
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
