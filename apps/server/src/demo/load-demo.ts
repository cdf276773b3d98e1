import type { EntityManager } from '@mikro-orm/postgresql';
import { seededRandom, type Random } from '@orthokin/core/cue';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { QUICK_COUNT_RULE, USUAL_LADDER } from '@orthokin/core/progress';
import { USUAL_FALSE_START_MS, USUAL_RESPONSE_LIMIT_MS } from '@orthokin/core/timing';
import { v7 } from 'uuid';
import { Athlete } from '../domains/athletes/athlete.entity.js';
import { lastDay } from '../domains/care/care.service.js';
import { CareRecord } from '../domains/care/care-record.entity.js';
import { Club } from '../domains/clubs/club.entity.js';
import { DrillSet } from '../domains/drills/drill-set.entity.js';
import { RepRow } from '../domains/drills/rep.entity.js';
import { TrainingGroup } from '../domains/groups/training-group.entity.js';
import { PatternRow } from '../domains/patterns/pattern.entity.js';
import { PatternVersion } from '../domains/patterns/pattern-version.entity.js';
import { homePracticePart } from '../domains/practice/practice.part.js';
import { sessionNotesPart, sessionsPart } from '../domains/sessions/sessions.part.js';
import { Ladder } from '../domains/progress/ladder.entity.js';
import { RungMove } from '../domains/progress/rung-move.entity.js';
import { DEMO_GROUPS, demoCare, demoEmergency } from './care.js';
import { DEMO_CAST, DEMO_CLUB, type DemoAthlete } from './cast.js';
import { pastSets, REPS_A_SET, TEST_SEED, type PastSet } from './history.js';
import { pastPractice, pastSessions, type SetOfDay } from './sessions.js';
import { DEMO_PATTERNS, type DemoPattern } from './patterns.js';

const SEED = 20_261_124;
const CLUB_ID = DEMO_CLUB_ID;
const MOVE_AFTER_MS = 30_000;
const BY_RULE = { basis: 'rule' } as const;

/** Creates UUIDv7s for given times that are the same on every load. */
const idMaker =
  (random: Random) =>
  (at: Date): string =>
    v7({
      msecs: at.getTime(),
      random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)),
    });

/**
 * Loads the demo club. `once`: only into a database without any club; `missing`: if it does not exist; `reset`:
 * replaces it. Other clubs are never touched.
 */
export async function loadDemo(
  em: EntityManager,
  mode: 'once' | 'missing' | 'reset',
): Promise<void> {
  if (mode === 'once' && (await em.count(Club)) > 0) return;
  await em.transactional(async (tx) => {
    // Two simultaneous requests create one club.
    await tx.execute(`select pg_advisory_xact_lock(hashtext('orthokin demo'))`);
    if (mode === 'missing' && (await tx.count(Club, { clubId: CLUB_ID })) > 0) return;
    // Sets and athletes refer to patterns, so those are deleted last.
    await tx.nativeDelete(Athlete, { clubId: CLUB_ID });
    await tx.nativeDelete(Club, { clubId: CLUB_ID });
    await tx.insert(Club, {
      ...{ clubId: CLUB_ID, name: DEMO_CLUB, sport: 'squash', unit: 'metres' },
      faults: [],
    });
    await new DemoLoader(tx, new Date()).load();
  });
}

class DemoLoader {
  private readonly random = seededRandom(SEED);
  private readonly sets: SetOfDay[] = [];
  private readonly newId = idMaker(seededRandom(SEED + 1));

  constructor(
    private readonly em: EntityManager,
    private readonly now: Date,
  ) {}

  async load(): Promise<void> {
    const patternIds = new Map<DemoPattern, string>();
    for (const [key, body] of Object.entries(DEMO_PATTERNS)) {
      const id = this.newId(this.now);
      patternIds.set(key as DemoPattern, id);
      await this.em.insert(PatternRow, { clubId: CLUB_ID, id, archivedAt: null });
      const first = { clubId: CLUB_ID, patternId: id, version: 1, body, savedAt: this.now };
      await this.em.insert(PatternVersion, first);
      await this.em.insert(Ladder, {
        ...{ clubId: CLUB_ID, id: this.newId(this.now), patternId: id, savedAt: this.now },
        // Eight weeks are short: under the careful default rule hardly anybody would have moved up.
        settings: {
          ...USUAL_LADDER,
          rule: QUICK_COUNT_RULE,
          test: { rung: 1, reps: REPS_A_SET, seed: TEST_SEED },
        },
      });
    }
    const athleteIds = new Map<DemoAthlete, string>();
    for (const person of DEMO_CAST)
      athleteIds.set(person, await this.loadAthlete(person, patternIds.get(person.pattern) ?? ''));
    for (const [person, athleteId] of athleteIds) await this.loadCare(person, athleteId);
    await this.em.insertMany(
      TrainingGroup,
      DEMO_GROUPS.map(([name, holds]) => ({
        ...{ clubId: CLUB_ID, id: this.newId(this.now), name },
        athleteIds: [...athleteIds].filter(([person]) => holds(person)).map(([, id]) => id),
      })),
    );
    await this.loadSessions();
  }

  private async loadSessions(): Promise<void> {
    const { now, newId } = this;
    const { sessions, notes } = pastSessions(this.sets, {
      ...{ now, newId },
      random: seededRandom(SEED + 2),
    });
    await sessionsPart.bring(this.em, CLUB_ID, sessions);
    await sessionNotesPart.bring(this.em, CLUB_ID, notes);
    await homePracticePart.bring(
      this.em,
      CLUB_ID,
      pastPractice(new Map(this.sets.map(({ name, athleteId }) => [name, athleteId])), {
        now,
        newId,
      }),
    );
  }

  private async loadCare(person: DemoAthlete, athleteId: string): Promise<void> {
    await this.em.insertMany(
      CareRecord,
      demoCare(person, this.now).map(({ kind, by, at, ...said }) => ({
        ...{ clubId: CLUB_ID, id: this.newId(new Date(at)), athleteId, kind, said },
        ...{ saidBy: by, saidAt: new Date(at), takenBack: null, until: lastDay(said) },
      })),
    );
  }

  private async loadAthlete(person: DemoAthlete, patternId: string): Promise<string> {
    const athleteId = this.newId(this.now);
    const { name, hand, ageBand, colourVision, note, model } = person;
    await this.em.insert(Athlete, {
      ...{ clubId: CLUB_ID, id: athleteId, patternId, simulated: model },
      ...{ name, hand, ageBand, colourVision, note },
      ...{ heightM: person.heightM ?? null, shoulderM: person.shoulderM ?? null },
      ...{ emergency: demoEmergency(person), watched: [] },
    });
    const seed = Math.floor(this.random() * 2 ** 32);
    const pattern = DEMO_PATTERNS[person.pattern];
    const past = pastSets(person, pattern, this.now, seed, this.newId);
    for (const { day, startedAt, endedAt } of past)
      this.sets.push({ athleteId, name, day, startedAt, endedAt });
    await this.em.insertMany(
      DrillSet,
      past.map(({ reps, moved, cues, ...set }) => ({
        ...{ clubId: CLUB_ID, athleteId, patternId, patternVersion: 1 },
        source: 'simulated' as const,
        conditions: PLAIN_CONDITIONS,
        falseStartMs: USUAL_FALSE_START_MS,
        responseLimitMs: USUAL_RESPONSE_LIMIT_MS,
        ...set,
        limitsMs: null,
        cues: [...cues],
        endReason: 'completed' as const,
      })),
    );
    await this.em.insertMany(
      RepRow,
      past.flatMap((set) => this.repRows(set)),
    );
    await this.em.insertMany(
      RungMove,
      past.flatMap(({ id: setId, rung: fromRung, moved, endedAt }) => {
        if (!moved) return [];
        const movedAt = new Date(endedAt.getTime() + MOVE_AFTER_MS);
        const where = { clubId: CLUB_ID, id: this.newId(movedAt), athleteId, patternId };
        return [{ ...where, ...moved, ...{ setId, fromRung, movedAt, reason: null }, ...BY_RULE }];
      }),
    );
    return athleteId;
  }

  private repRows(set: PastSet) {
    return set.reps.map((rep) => ({
      ...{ clubId: CLUB_ID, id: this.newId(set.endedAt), setId: set.id, replaces: null },
      ordinal: rep.ordinal,
      target: rep.target,
      events: [...rep.events],
      seenFaults: [...rep.seenFaults],
      struckOut: rep.struckOut,
      marks: null,
    }));
  }
}
