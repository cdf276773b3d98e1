import { EntityManager } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type {
  DrillSetBody,
  DrillSetReply,
  RepBody,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { wrong } from '@orthokin/core/result';
import { checkEvents } from '@orthokin/core/timing';
import { AthletesService } from '../athletes/athletes.service.js';
import { insertOnce } from '../storage/insert-once.js';
import { accepted, unknown } from '../http/refusals.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { DrillSet } from './drill-set.entity.js';
import { RepRow } from './rep.entity.js';

/** Takes in sets and reps as they were recorded, and gives them out again. */
@Injectable()
export class DrillsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
  ) {}

  async recordSet(clubId: string, id: string, body: DrillSetBody): Promise<DrillSetReply> {
    await this.athletes.one(clubId, body.athleteId);
    const { patternId, patternVersion } = body;
    const { body: pattern } = await this.patterns.version(clubId, patternId, patternVersion);
    const rung = rungOf(pattern, body.rung);
    if (!rung) accepted(wrong('rung', body.rung, `1 to ${pattern.rungs.length}`));
    const stray = body.cues.findIndex(({ target }) => !rung?.targets.includes(target));
    if (stray >= 0)
      accepted(
        wrong(`cues[${stray}].target`, body.cues[stray]?.target, rung?.targets.join(', ') ?? ''),
      );
    await insertOnce(this.em, DrillSet, {
      clubId,
      id,
      ...body,
      startedAt: new Date(body.startedAt),
    });
    return setReply(await this.set(clubId, id));
  }

  async endSet(
    clubId: string,
    id: string,
    { endedAt, reason }: SetEndBody,
  ): Promise<DrillSetReply> {
    await this.em.nativeUpdate(
      DrillSet,
      { clubId, id, endedAt: null },
      { endedAt: new Date(endedAt), endReason: reason },
    );
    return setReply(await this.set(clubId, id));
  }

  async recordRep(clubId: string, setId: string, id: string, body: RepBody): Promise<RepReply> {
    const set = await this.set(clubId, setId);
    accepted(checkEvents(body.events));
    const cue = set.cues.find(({ ordinal }) => ordinal === body.ordinal);
    if (!cue) accepted(wrong('ordinal', body.ordinal, `a cue of the set: 1 to ${set.cues.length}`));
    if (cue?.target !== body.target)
      accepted(
        wrong('target', body.target, `${cue?.target ?? ''}, the target of cue ${body.ordinal}`),
      );
    if (body.replaces) {
      const replaced = await this.em.findOne(RepRow, { clubId, id: body.replaces, setId });
      if (!replaced) throw unknown('replaces', body.replaces, 'a rep of this set');
    }
    await insertOnce(this.em, RepRow, { clubId, id, setId, ...body });
    return { ...body, id };
  }

  async set(clubId: string, id: string): Promise<DrillSet> {
    const set = await this.em.findOne(DrillSet, { clubId, id });
    if (!set) throw unknown('setId', id, 'a set');
    return set;
  }

  /** Every rep recorded in these sets, replaced ones too, in the order of their ids (of recording). */
  reps(clubId: string, setIds: readonly string[]): Promise<RepRow[]> {
    return this.em.find(
      RepRow,
      { clubId, setId: { $in: [...setIds] } },
      { orderBy: { id: 'asc' } },
    );
  }
}

export const setReply = (set: DrillSet): DrillSetReply => ({
  id: set.id,
  athleteId: set.athleteId,
  patternId: set.patternId,
  patternVersion: set.patternVersion,
  rung: set.rung,
  source: set.source,
  startedAt: set.startedAt.toISOString(),
  day: set.day,
  seed: set.seed,
  falseStartMs: set.falseStartMs,
  responseLimitMs: set.responseLimitMs,
  cues: set.cues,
  endedAt: set.endedAt?.toISOString() ?? null,
  endReason: set.endReason,
});

export const repReply = ({
  id,
  ordinal,
  target,
  events,
  seenFaults,
  struckOut,
  replaces,
}: RepRow): RepReply => ({ id, ordinal, target, events, seenFaults, struckOut, replaces });
