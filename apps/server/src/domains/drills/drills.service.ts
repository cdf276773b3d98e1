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
import { saidBy } from '../../platform/auth/caller.js';
import { accepted, unknown } from '../../platform/http/refusals.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { refuseAhead } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { holdAthlete } from '../athletes/hold-athletes.js';
import { Changes } from '../changes.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { DrillSet } from './drill-set.entity.js';
import { repsIn } from './drills.part.js';
import { RepRow } from './rep.entity.js';
import { setReply } from './replies.js';
import { checkAgainst, checkAnswers } from './set-checks.js';

/** Refuses if a set was deleted meanwhile. The caller has locked its athlete, as deleting a set does. */
async function refuseGone(em: EntityManager, clubId: string, id: string): Promise<void> {
  const found = await em.execute<object[]>('select 1 from drill_set where club_id = ? and id = ?', [
    ...[clubId, id],
  ]);
  if (found.length === 0) throw unknown('setId', id, 'a set');
}

/** Stores recorded sets and reps, and reads them. */
@Injectable()
export class DrillsService {
  constructor(
    private readonly em: EntityManager,
    private readonly athletes: AthletesService,
    private readonly patterns: PatternsService,
    private readonly changes: Changes,
  ) {}

  async recordSet(clubId: string, id: string, body: DrillSetBody): Promise<DrillSetReply> {
    await this.checkSet(clubId, body);
    const { athleteId } = body;
    await this.em.transactional(async (em) => {
      await holdAthlete(em, clubId, athleteId);
      await insertOnce(em, DrillSet, {
        clubId,
        id,
        ...body,
        source: await this.sourceNow(em, clubId, id, body),
        limitsMs: body.limitsMs ?? null,
        startedAt: new Date(body.startedAt),
      });
      await this.changes.tell(em, { of: 'sets', clubId, athleteId });
    });
    return setReply(await this.set(clubId, id));
  }

  /**
   * The timing source to store. A set without one becomes `film` once it is marked on film, and stays so when the
   * device sends it again.
   */
  private async sourceNow(
    em: EntityManager,
    clubId: string,
    id: string,
    { source }: DrillSetBody,
  ): Promise<DrillSetBody['source']> {
    const stored = source === 'none' ? await em.findOne(DrillSet, { clubId, id }) : null;
    return stored?.source === 'film' ? 'film' : source;
  }

  private async checkSet(clubId: string, body: DrillSetBody): Promise<void> {
    await this.athletes.one(clubId, body.athleteId);
    const { patternId, patternVersion } = body;
    checkAgainst((await this.patterns.version(clubId, patternId, patternVersion)).body, body);
  }

  async endSet(
    clubId: string,
    id: string,
    { endedAt, reason }: SetEndBody,
  ): Promise<DrillSetReply> {
    refuseAhead('endedAt', endedAt);
    await this.em.nativeUpdate(
      DrillSet,
      { clubId, id, endedAt: null },
      { endedAt: new Date(endedAt), endReason: reason },
    );
    return setReply(await this.set(clubId, id));
  }

  async recordRep(clubId: string, setId: string, id: string, sent: RepBody): Promise<RepReply> {
    const { corrected } = sent;
    const body = corrected
      ? { ...sent, corrected: { ...corrected, by: saidBy(corrected.by) } }
      : sent;
    if (body.corrected) refuseAhead('corrected.at', body.corrected.at);
    const set = await this.set(clubId, setId);
    const cue = set.cues.find(({ ordinal }) => ordinal === body.ordinal);
    accepted(checkEvents(body.events, !cue?.catch));
    if (set.conditions.order === 'called') await this.checkCalled(set, body.target);
    else accepted(checkAnswers(body, set.cues));
    if (body.replaces) {
      const replaced = await this.em.findOne(RepRow, { clubId, id: body.replaces, setId });
      if (!replaced) throw unknown('replaces', body.replaces, 'a rep of this set');
    }
    await this.em.transactional(async (em) => {
      // While the athlete is locked nothing is cached that would miss this rep.
      const { athleteId } = set;
      await holdAthlete(em, clubId, athleteId);
      await refuseGone(em, clubId, setId);
      await insertOnce(em, RepRow, { clubId, id, setId, ...body });
      if (isMarkedOnFilm(body)) {
        const untimed = { clubId, id: setId, source: 'none' as const };
        const changed = await em.nativeUpdate(DrillSet, untimed, { source: 'film' });
        if (changed > 0) await this.changes.tell(em, { of: 'sets', clubId, athleteId });
      }
      await this.changes.tell(em, { of: 'reps', clubId, athleteId, setIds: [setId] });
    });
    return { ...body, id };
  }

  /** A called target must have been in play. */
  private async checkCalled(set: DrillSet, target: string): Promise<void> {
    const { clubId, patternId, patternVersion } = set;
    const { body: pattern } = await this.patterns.version(clubId, patternId, patternVersion);
    const { targets = [] } = rungOf(pattern, set.rung) ?? {};
    if (!targets.includes(target)) accepted(wrong('target', target, targets.join(', ')));
  }

  async set(clubId: string, id: string): Promise<DrillSet> {
    const set = await this.em.findOne(DrillSet, { clubId, id });
    if (!set) throw unknown('setId', id, 'a set');
    return set;
  }

  /** An athlete's sets on one pattern version with one timing source, oldest first. */
  setsOf(
    clubId: string,
    of: Pick<DrillSet, 'athleteId' | 'patternId' | 'patternVersion' | 'source'>,
  ): Promise<DrillSet[]> {
    return this.em.find(DrillSet, { clubId, ...of }, { orderBy: { startedAt: 'asc' } });
  }

  /** Like {@link reps}, grouped by set id. */
  async repsOfSets(clubId: string, setIds: readonly string[]): Promise<Map<string, RepRow[]>> {
    const of = new Map<string, RepRow[]>(setIds.map((id) => [id, []]));
    for (const rep of await this.reps(clubId, setIds)) of.get(rep.setId)?.push(rep);
    return of;
  }

  /** All reps of some sets, replaced ones included, in order of their ids (the order of recording). */
  reps(clubId: string, setIds: readonly string[]): Promise<RepRow[]> {
    return repsIn(this.em, clubId, setIds);
  }
}

/** Whether any event but the cue was read off film, which times a set that had no timing source. */
const isMarkedOnFilm = ({ events }: RepBody): boolean =>
  events.some(({ name, source }) => name !== 'cue' && source === 'film');
