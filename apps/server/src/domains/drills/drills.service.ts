import { EntityManager, LockMode } from '@mikro-orm/postgresql';
import { Injectable } from '@nestjs/common';
import type {
  DrillSetBody,
  DrillSetReply,
  RepBody,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import type { Cue } from '@orthokin/core/cue';
import { ok, wrong, type Result } from '@orthokin/core/result';
import { checkEvents } from '@orthokin/core/timing';
import { Athlete } from '../athletes/athlete.entity.js';
import { refuseAhead, refuseOtherDay } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { accepted, conflict, unknown } from '../../platform/http/refusals.js';
import { Changes } from '../changes.js';
import { PatternsService } from '../patterns/patterns.service.js';
import { DrillSet } from './drill-set.entity.js';
import { repsPart } from './drills.part.js';
import { setReply } from './replies.js';
import { RepRow } from './rep.entity.js';

/** A rep of a set that comes as a whole. */
interface WholeRep {
  readonly id: string;
  readonly body: RepBody;
}

/** Whoever works out what follows from an athlete's sets holds the athlete too. */
const HELD = { lockMode: LockMode.PESSIMISTIC_WRITE } as const;

/** Takes in sets and reps as they were recorded, and gives them out again. */
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
      await em.findOneOrFail(Athlete, { clubId, id: athleteId }, HELD);
      await insertOnce(em, DrillSet, {
        clubId,
        id,
        ...body,
        limitsMs: body.limitsMs ?? null,
        startedAt: new Date(body.startedAt),
      });
      await this.changes.tell(em, { of: 'sets', clubId, athleteId });
    });
    return setReply(await this.set(clubId, id));
  }

  private async checkSet(clubId: string, body: DrillSetBody): Promise<void> {
    refuseAhead('startedAt', body.startedAt);
    refuseOtherDay('day', body.day, body.startedAt);
    await this.athletes.one(clubId, body.athleteId);
    const { patternId, patternVersion } = body;
    const { body: pattern } = await this.patterns.version(clubId, patternId, patternVersion);
    const rung = rungOf(pattern, body.rung);
    if (!rung) accepted(wrong('rung', body.rung, `1 to ${pattern.rungs.length}`));
    accepted(checkCues(body, rung?.targets ?? []));
  }

  /** Refuses a set with all its reps that could not be stored; stores nothing. */
  async checkWhole(
    clubId: string,
    id: string,
    body: DrillSetBody,
    reps: readonly WholeRep[],
  ): Promise<void> {
    await this.checkSet(clubId, body);
    const seen = new Set<string>();
    for (const [i, rep] of reps.entries()) {
      const field = `reps[${i}]`;
      if (seen.has(rep.id))
        throw conflict(`${field}.id`, rep.id, `an id that no other rep of ${id} has`);
      seen.add(rep.id);
      accepted(within(field, checkRep(rep.body, body.cues)));
      const { replaces } = rep.body;
      if (replaces && !seen.has(replaces))
        throw unknown(`${field}.replaces`, replaces, 'a rep before it');
    }
  }

  /**
   * Stores a set that is over with all its reps, in one short transaction. Sent again it changes nothing, and is
   * refused where it says something else.
   */
  async storeWhole(
    clubId: string,
    id: string,
    body: DrillSetBody,
    reps: readonly WholeRep[],
    endedAt: string,
  ): Promise<void> {
    // What is there already may be this very set, or another one under its id: one by one that shows.
    if (await this.em.findOne(DrillSet, { clubId, id }, { fields: ['id'] })) {
      await this.recordSet(clubId, id, body);
      for (const rep of reps) await this.recordRep(clubId, id, rep.id, rep.body);
      await this.endSet(clubId, id, { endedAt, reason: 'completed' });
      return;
    }
    const { athleteId } = body;
    await this.em.transactional(async (em) => {
      await em.findOneOrFail(Athlete, { clubId, id: athleteId }, HELD);
      await em.insert(DrillSet, {
        ...{ clubId, id, ...body, limitsMs: body.limitsMs ?? null },
        ...{ startedAt: new Date(body.startedAt), endedAt: new Date(endedAt) },
        endReason: 'completed',
      });
      await repsPart.bring(
        em,
        clubId,
        reps.map((rep) => ({ ...rep.body, id: rep.id, setId: id })),
      );
      await this.changes.tell(em, { of: 'reps', clubId, athleteId, setId: id });
    });
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

  async recordRep(clubId: string, setId: string, id: string, body: RepBody): Promise<RepReply> {
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
      // While athlete and set are held nobody works out figures that would miss this rep.
      const { athleteId } = set;
      await em.findOneOrFail(Athlete, { clubId, id: athleteId }, HELD);
      await em.findOneOrFail(DrillSet, { clubId, id: setId }, HELD);
      await insertOnce(em, RepRow, { clubId, id, setId, ...body });
      await this.changes.tell(em, { of: 'reps', clubId, athleteId, setId });
    });
    return { ...body, id };
  }

  /** What was called live must be a target that was in play. */
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

  /** Every set of a club, oldest first. */
  allSets(clubId: string): Promise<DrillSet[]> {
    return this.em.find(
      DrillSet,
      { clubId },
      { orderBy: [{ startedAt: 'asc' }, { id: 'asc' }], disableIdentityMap: true },
    );
  }

  /** Sets of an athlete of one version and source, oldest first. */
  setsOf(
    clubId: string,
    of: Pick<DrillSet, 'athleteId' | 'patternId' | 'patternVersion' | 'source'>,
  ): Promise<DrillSet[]> {
    return this.em.find(DrillSet, { clubId, ...of }, { orderBy: { startedAt: 'asc' } });
  }

  /** The same reps as `reps`, by set. */
  async repsOfSets(clubId: string, setIds: readonly string[]): Promise<Map<string, RepRow[]>> {
    const of = new Map<string, RepRow[]>(setIds.map((id) => [id, []]));
    for (const rep of await this.reps(clubId, setIds)) of.get(rep.setId)?.push(rep);
    return of;
  }

  /** Every rep recorded in these sets, replaced ones too, in the order of their ids (of recording). */
  reps(clubId: string, setIds: readonly string[]): Promise<RepRow[]> {
    return this.em.find(
      RepRow,
      { clubId, setId: { $in: [...setIds] } },
      // Read to be read: a club's reps must not be kept for as long as whoever asked for them.
      { orderBy: { id: 'asc' }, disableIdentityMap: true },
    );
  }
}

/** Cues there must be, unless somebody calls them live; and of targets in play. */
function checkCues({ cues, conditions }: DrillSetBody, inPlay: readonly string[]): Result<null> {
  const isCalled = conditions.order === 'called';
  if (isCalled !== (cues.length === 0))
    return wrong('cues', cues.length, isCalled ? 'none: they are called live' : 'at least one');
  for (const [i, { target, switchTo }] of cues.entries()) {
    const stray = [target, switchTo?.target].find((letter) => letter && !inPlay.includes(letter));
    if (stray)
      return wrong(
        `cues[${i}].${stray === target ? 'target' : 'switchTo.target'}`,
        stray,
        inPlay.join(', '),
      );
  }
  return ok(null);
}

/** A rep of a set that is there as a whole: its events, and that it answers a cue. */
function checkRep(body: RepBody, cues: readonly Cue[]): Result<null> {
  const cue = cues.find(({ ordinal }) => ordinal === body.ordinal);
  const events = checkEvents(body.events, !cue?.catch);
  if (!events.ok) return events;
  // Called live, a set has no cues to answer.
  return cues.length === 0 ? ok(null) : checkAnswers(body, cues);
}

/** The same result, its problem named within something larger. */
const within = <T>(field: string, result: Result<T>): Result<T> =>
  result.ok
    ? result
    : wrong(`${field}.${result.problem.field}`, result.problem.given, result.problem.allowed);

/** A rep answers a cue of its set. */
function checkAnswers({ ordinal, target }: RepBody, cues: readonly Cue[]): Result<null> {
  const cue = cues.find((each) => each.ordinal === ordinal);
  if (!cue) return wrong('ordinal', ordinal, `a cue of the set: 1 to ${cues.length}`);
  if (cue.target !== target)
    return wrong('target', target, `${cue.target}, the target of cue ${ordinal}`);
  return ok(null);
}
