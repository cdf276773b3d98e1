import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type { GroupBody, GroupReply } from '@orthokin/contract';
import { unknown } from '../../platform/http/refusals.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { Club } from '../clubs/club.entity.js';
import { TrainingGroup } from './training-group.entity.js';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly athlete_ids: string[];
}

/** A club's squads. */
@Injectable()
export class GroupsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** By name, without athletes that no longer exist. */
  async of(clubId: string): Promise<GroupReply[]> {
    const rows = await this.em.execute<Row[]>(
      `select g.id, g.name,
         coalesce((
           select jsonb_agg(a.id order by m.place)
           from jsonb_array_elements_text(
             case jsonb_typeof(g.athlete_ids) when 'array' then g.athlete_ids else '[]' end
           ) with ordinality as m (id, place)
           join athlete a on a.club_id = g.club_id and a.id::text = m.id), '[]') as athlete_ids
       from training_group g where g.club_id = ? order by g.name, g.id`,
      [clubId],
    );
    return rows.map(({ id, name, athlete_ids }) => ({ id, name, athleteIds: athlete_ids }));
  }

  /** Creates or changes a squad: its members and their order. */
  async save(clubId: string, id: string, body: GroupBody): Promise<GroupReply> {
    if (!(await this.em.findOne(Club, { clubId }))) throw unknown('clubId', clubId, 'a club');
    await this.athletes.checkNamed(clubId, body.athleteIds);
    await this.em.upsert(TrainingGroup, { clubId, id, ...body });
    return { id, ...body };
  }

  /** Deletes a squad; its athletes stay. */
  async remove(clubId: string, id: string): Promise<void> {
    if ((await this.em.nativeDelete(TrainingGroup, { clubId, id })) === 0)
      throw unknown('groupId', id, 'a group');
  }
}
