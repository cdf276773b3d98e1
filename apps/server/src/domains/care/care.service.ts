import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import { CareBody, type CareReply } from '@orthokin/contract';
import {
  checkAgreement,
  checkLooked,
  checkRestriction,
  type CareKind,
} from '@orthokin/core/people';
import { wrong } from '@orthokin/core/result';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { saidBy } from '../../platform/auth/caller.js';
import { accepted, unknown } from '../../platform/http/refusals.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { refuseAhead } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { CareRecord, type Said } from './care-record.entity.js';

const FIELD_OF: Readonly<Record<CareKind, keyof Said>> = {
  restriction: 'restriction',
  check: 'check',
  agreement: 'agreement',
  'go-ahead': 'goAhead',
};

/** Care records of athletes: restrictions, readiness checks, agreements and go-aheads. */
@Injectable()
export class CareService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
  ) {}

  /** An athlete's records that were not withdrawn, oldest first; unreadable ones are left out. */
  async ofAthlete(clubId: string, athleteId: string): Promise<CareReply[]> {
    const rows = await this.em.find(
      CareRecord,
      { clubId, athleteId, takenBack: null },
      { orderBy: { seq: 'asc' } },
    );
    return rows.map(careReply).filter(isReadable);
  }

  /** A club's care records that cannot be read. */
  async unreadable(clubId: string): Promise<CareRecord[]> {
    const rows = await this.em.find(CareRecord, { clubId }, { orderBy: { seq: 'asc' } });
    return rows.filter((row) => !isReadable(careReply(row)));
  }

  /** Deletes a record for good, which is all that can be done with an unreadable one. */
  async takeOut(clubId: string, id: string): Promise<void> {
    if ((await this.em.nativeDelete(CareRecord, { clubId, id })) === 0)
      throw unknown('careId', id, 'a record of care');
  }

  /** Writes, withdraws or restores a record. */
  async say(clubId: string, id: string, body: CareBody): Promise<CareReply> {
    await this.athletes.one(clubId, body.athleteId);
    refuseAhead('at', body.at);
    const said = onlyItsOwn(body);
    if (said.restriction) accepted(checkRestriction(said.restriction));
    if (said.check) accepted(checkLooked(said.check));
    if (said.agreement) accepted(checkAgreement(said.agreement));
    const { athleteId, kind, by, at, takenBack } = body;
    await insertOnce(this.em, CareRecord, {
      ...{ clubId, id, athleteId, kind, said },
      ...{ saidBy: saidBy(by), saidAt: new Date(at), until: lastDay(said) },
    });
    // A repeated first request says nothing about withdrawal, and must not restore a withdrawn record.
    if (takenBack !== undefined)
      await this.em.nativeUpdate(
        CareRecord,
        { clubId, id },
        { takenBack: takenBack && { ...takenBack, by: saidBy(takenBack.by) } },
      );
    return careReply(await this.em.findOneOrFail(CareRecord, { clubId, id }, { refresh: true }));
  }
}

/** The part of a body that belongs to its kind. */
export const saidOf = (body: Said & Pick<CareBody, 'kind'>): Said => ({
  [FIELD_OF[body.kind]]: body[FIELD_OF[body.kind]],
});

/** The last day a restriction holds, if it names one. */
export const lastDay = ({ restriction }: Said): string | null => restriction?.until ?? null;

/**
 * Like {@link saidOf}.
 * @throws if the body has fields of another kind
 */
function onlyItsOwn(body: CareBody): Said {
  for (const field of Object.values(FIELD_OF))
    if (field !== FIELD_OF[body.kind] && body[field])
      accepted(wrong(field, 'an object', `nothing with ${body.kind}`));
  return saidOf(body);
}

/** Somebody may have edited the database directly. */
const isReadable = (reply: CareReply): boolean =>
  validateSync(plainToInstance(CareBody, reply)).length === 0;

export const careReply = ({
  id,
  athleteId,
  kind,
  said,
  saidBy: by,
  saidAt,
  takenBack,
}: CareRecord): CareReply => ({
  ...{ id, athleteId, kind, ...said },
  ...{ by, at: saidAt.toISOString(), takenBack },
});
