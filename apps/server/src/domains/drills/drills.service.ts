import { EntityManager } from '@mikro-orm/postgresql';
import { HttpException, Injectable } from '@nestjs/common';
import { saidBy } from '../../platform/auth/caller.js';
import type {
  DrillSetBody,
  DrillSetReply,
  RepBody,
  RepReply,
  SetEndBody,
} from '@orthokin/contract';
import { rungOf, type Pattern } from '@orthokin/core/pattern';
import type { Cue } from '@orthokin/core/cue';
import { ok, wrong, type Result } from '@orthokin/core/result';
import { checkEvents } from '@orthokin/core/timing';
import { refuseAhead, refuseOtherDay } from '../ahead.js';
import { AthletesService } from '../athletes/athletes.service.js';
import { insertOnce } from '../../platform/storage/insert-once.js';
import { piecemeal } from '../../platform/work/piecemeal.js';
import { accepted, conflict, unknown } from '../../platform/http/refusals.js';
import { Changes } from '../changes.js';
import { PatternsService, versionKey } from '../patterns/patterns.service.js';
import { DrillSet } from './drill-set.entity.js';
import { insertSets, repsIn, repsPart } from './drills.part.js';
import { setReply } from './replies.js';
import { RepRow } from './rep.entity.js';

/** A rep of a set that comes as a whole. */
interface WholeRep {
  readonly id: string;
  readonly body: RepBody;
}

/** A set that comes as a whole. */
export interface WholeSet {
  readonly id: string;
  readonly body: DrillSetBody;
  readonly reps: readonly WholeRep[];
  readonly endedAt: string;
}

const versionOf = ({ patternId, patternVersion }: DrillSetBody) => ({
  patternId,
  version: patternVersion,
});

/** Refuses a set that its pattern does not fit. */
function checkAgainst(pattern: Pattern, body: DrillSetBody): void {
  refuseAhead('startedAt', body.startedAt);
  refuseOtherDay('day', body.day, body.startedAt);
  const rung = rungOf(pattern, body.rung);
  if (!rung) accepted(wrong('rung', body.rung, `1 to ${pattern.rungs.length}`));
  accepted(checkCues(body, rung?.targets ?? []));
}

/** Holds a row until the transaction is over. @returns whether it is there */
async function held(
  em: EntityManager,
  table: 'athlete' | 'drill_set',
  clubId: string,
  id: string,
): Promise<boolean> {
  const rows = await em.execute<object[]>(
    `select 1 from ${table} where club_id = ? and id = ? for update`,
    [clubId, id],
  );
  return rows.length === 1;
}

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
      await this.hold(em, clubId, athleteId);
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

  /** Sent again, a set that nobody timed may have been marked on film since: it stays timed by that. */
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

  /** Looks at sets with all their reps: the first that could not be stored, and why. Stores nothing. */
  async firstWrong(
    clubId: string,
    sets: readonly WholeSet[],
  ): Promise<{ readonly at: number; readonly error: HttpException } | null> {
    const athletes = await this.athletes.among(
      clubId,
      sets.map(({ body }) => body.athleteId),
    );
    const versions = await this.patterns.versions(
      clubId,
      sets.map(({ body }) => versionOf(body)),
    );
    const owners = await this.ownersOf(
      clubId,
      sets.flatMap(({ reps }) => reps.map(({ id }) => id)),
    );
    const seen = new Set<string>();
    let at = 0;
    try {
      await piecemeal(sets, (set, i) => {
        at = i;
        const { athleteId, patternVersion } = set.body;
        if (seen.has(set.id)) throw conflict('id', set.id, 'an id that no other set has');
        seen.add(set.id);
        const version = versions.get(versionKey(versionOf(set.body)));
        if (!athletes.has(athleteId)) throw unknown('athleteId', athleteId, 'an athlete');
        if (!version) throw unknown('version', String(patternVersion), 'a version of a pattern');
        this.checkWhole(version.body, set);
        for (const [nr, { id }] of set.reps.entries()) {
          if ((owners.get(id) ?? set.id) !== set.id)
            throw conflict(`reps[${nr}].id`, id, 'an id that no rep of another set has');
          owners.set(id, set.id);
        }
      });
    } catch (error) {
      if (!(error instanceof HttpException)) throw error;
      return { at, error };
    }
    return null;
  }

  /** Which set each of some reps is of, as far as they are stored. */
  private async ownersOf(clubId: string, repIds: readonly string[]): Promise<Map<string, string>> {
    const rows = await this.em.execute<{ id: string; setId: string }[]>(
      `select id, set_id as "setId" from rep where club_id = ? and id = any (?::uuid[])`,
      [clubId, `{${repIds.join(',')}}`],
    );
    return new Map(rows.map(({ id, setId }) => [id, setId]));
  }

  private checkWhole(pattern: Pattern, { id, body, reps }: WholeSet): void {
    checkAgainst(pattern, body);
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
   * Stores sets of one athlete that are over, with all their reps, in one short transaction; of a set whose id is
   * taken nothing. @returns the ids of those that were stored
   */
  async storeNew(
    clubId: string,
    athleteId: string,
    sets: readonly WholeSet[],
  ): Promise<ReadonlySet<string>> {
    return this.em.transactional(async (em) => {
      await this.hold(em, clubId, athleteId);
      const stored = await insertSets(
        em,
        clubId,
        sets.map(({ id, body, endedAt }) => ({ ...body, id, endedAt, endReason: 'completed' })),
      );
      const reps = sets.flatMap((set) =>
        stored.has(set.id) ? set.reps.map(({ id, body }) => ({ ...body, id, setId: set.id })) : [],
      );
      await repsPart.bring(em, clubId, reps);
      await this.changes.tell(em, { of: 'reps', clubId, athleteId, setIds: [...stored] });
      return stored;
    });
  }

  /**
   * Stores what is not there yet of a set under whose id something is. Sent again it changes nothing; where it says
   * something else it is refused.
   */
  async storeAgain(clubId: string, { id, body, reps, endedAt }: WholeSet): Promise<void> {
    await this.recordSet(clubId, id, body);
    for (const rep of reps) await this.recordRep(clubId, id, rep.id, rep.body);
    await this.endSet(clubId, id, { endedAt, reason: 'completed' });
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
      // While athlete and set are held nobody works out figures that would miss this rep.
      const { athleteId } = set;
      await this.hold(em, clubId, athleteId);
      if (!(await held(em, 'drill_set', clubId, setId))) throw unknown('setId', setId, 'a set');
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

  /** Whoever works out what follows from an athlete's sets holds the athlete too. */
  private async hold(em: EntityManager, clubId: string, athleteId: string): Promise<void> {
    if (!(await held(em, 'athlete', clubId, athleteId)))
      throw unknown('athleteId', athleteId, 'an athlete');
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
    return repsIn(this.em, clubId, setIds);
  }
}

/** Whether anything but the cue was read off film: then a set that nobody timed is timed. */
const isMarkedOnFilm = ({ events }: RepBody): boolean =>
  events.some(({ name, source }) => name !== 'cue' && source === 'film');

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
