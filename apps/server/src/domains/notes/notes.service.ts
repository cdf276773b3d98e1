import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { SetNoteBody, SetNoteReply } from '@orthokin/contract';
import { saidBy } from '../../platform/auth/caller.js';
import { refuseAhead } from '../ahead.js';
import { DrillsService } from '../drills/drills.service.js';
import { SetNote } from './set-note.entity.js';

interface NoteRow {
  readonly id: string;
  readonly set_id: string;
  readonly text: string;
  readonly written_by: string;
  readonly written_at: string;
}

/** Coaches' notes on sets. */
@Injectable()
export class NotesService {
  constructor(
    private readonly em: EntityManager,
    private readonly drills: DrillsService,
  ) {}

  /** An athlete's notes that were not withdrawn, oldest first. */
  async ofAthlete(clubId: string, athleteId: string): Promise<SetNoteReply[]> {
    const rows = await this.em.execute<NoteRow[]>(
      `select n.id, n.set_id, n.text, n.written_by, n.written_at
       from set_note n join drill_set s on s.club_id = n.club_id and s.id = n.set_id
       where n.club_id = ? and s.athlete_id = ? and n.removed_at is null order by n.written_at`,
      [clubId, athleteId],
    );
    return rows.map((row) => ({
      id: row.id,
      setId: row.set_id,
      text: row.text,
      writtenBy: row.written_by,
      writtenAt: new Date(row.written_at).toISOString(),
      removed: false,
    }));
  }

  /** Writes, withdraws or restores a note. */
  async write(clubId: string, id: string, body: SetNoteBody): Promise<SetNoteReply> {
    await this.drills.set(clubId, body.setId);
    // Withdrawing a note does not make somebody its author.
    const writtenBy = body.removed ? body.writtenBy : saidBy(body.writtenBy);
    const { removed, writtenAt, ...note } = { ...body, writtenBy };
    refuseAhead('writtenAt', writtenAt);
    await this.em.upsert(SetNote, {
      ...{ clubId, id, ...note },
      writtenAt: new Date(writtenAt),
      removedAt: removed ? new Date() : null,
    });
    return { id, ...body, writtenBy };
  }
}
