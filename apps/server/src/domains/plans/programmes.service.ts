import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { ProgrammeBody, ProgrammeReply } from '@orthokin/contract';
import { weekdayOf } from '@orthokin/core/plan';
import { wrong } from '@orthokin/core/result';
import { accepted, unknown } from '../../platform/http/refusals.js';
import { saveRevised } from '../../platform/storage/save-revised.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { ProgrammeRow } from './programme.entity.js';

/** A club's programmes of several weeks. */
@Injectable()
export class ProgrammesService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** All programmes, latest first, without deleted athletes. */
  async of(clubId: string): Promise<ProgrammeReply[]> {
    const rows = await this.em
      .fork()
      .find(ProgrammeRow, { clubId }, { orderBy: { startsOn: 'desc', id: 'desc' } });
    const known = await this.athletes.among(
      clubId,
      rows.flatMap(({ athleteIds }) => athleteIds),
    );
    return rows.map(({ id, name, startsOn, athleteIds, weeks, revision }) => ({
      ...{ id, name, startsOn, weeks, revision },
      athleteIds: athleteIds.filter((athleteId) => known.has(athleteId)),
    }));
  }

  /** Creates or changes a programme; refused if somebody else changed it meanwhile. */
  async save(clubId: string, id: string, body: ProgrammeBody): Promise<ProgrammeReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    if (weekdayOf(body.startsOn) !== 0)
      accepted(wrong('startsOn', body.startsOn, 'the day of a Monday'));
    await this.athletes.checkNamed(clubId, body.athleteIds);
    await saveRevised(this.em, ProgrammeRow, { clubId, id, ...body }, 'programme');
    return { id, ...body };
  }

  /** Deletes a programme; its sessions stay. */
  async remove(clubId: string, id: string): Promise<void> {
    if ((await this.em.nativeDelete(ProgrammeRow, { clubId, id })) === 0)
      throw unknown('programmeId', id, 'a programme');
  }
}
