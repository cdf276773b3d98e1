import type { SetSource } from '@orthokin/core/run';
import type { ConditionsBody, ImportBody, PatternReply } from '@orthokin/contract';
import { MAX_REPS, seededRandom } from '@orthokin/core/cue';
import { PLAIN_CONDITIONS, type Conditions } from '@orthokin/core/drill';
import type { ImportedSet, RowProblem } from '@orthokin/core/formats';
import { USUAL_FALSE_START_MS, USUAL_RESPONSE_LIMIT_MS } from '@orthokin/core/timing';
import { v7 } from 'uuid';
import { say } from '../../words/review.js';

/** Facts about the sets that the table does not contain. */
export interface About {
  readonly pattern: PatternReply;
  readonly rung: number;
  readonly source: SetSource;
  readonly sense: 'heard' | 'seen';
  readonly athleteIds: ReadonlyMap<string, string>;
}

/** Distance between imported reps on the set's clock, since their true times are unknown. */
const APART_MS = 70_000;
const SETS_APART_MS = 60_000;
const ID_BYTES = 16;

/** Hashes a text to a whole number (FNV-1a, 32 bits). */
function hashOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++)
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash;
}

/** Ids derived from the content, so that importing a file twice stores it once. */
const idOf = (text: string, msecs: number): string => {
  const random = seededRandom(hashOf(text));
  return v7({
    msecs,
    random: Uint8Array.from({ length: ID_BYTES }, () => Math.floor(random() * 256)),
  });
};

/** Sets with more reps than a set can have. */
export const tooLong = (sets: readonly ImportedSet[]): RowProblem[] =>
  sets
    .filter(({ reps }) => reps.length > MAX_REPS)
    .map(({ athlete, day, set, reps }) => ({
      row: reps[MAX_REPS]?.row ?? 0,
      field: 'set',
      given: say('repsRepsAthleteDaySetSet', { reps: reps.length, athlete, day, set }),
      allowed: say('mostMaxrepsRepsSet', { MAXREPS: MAX_REPS }),
    }));

/** The import's request. */
export function importBody(sets: readonly ImportedSet[], about: About): ImportBody {
  const { pattern, rung, source, sense, athleteIds } = about;
  const conditions: Conditions = {
    ...PLAIN_CONDITIONS,
    cueKinds: [sense === 'heard' ? 'tone' : 'marker'],
  };
  return {
    sets: sets.map(({ athlete, day, set, reps }, n) => {
      const startMs = Date.parse(`${day}T12:00:00Z`) + n * SETS_APART_MS;
      const name = JSON.stringify([pattern.id, pattern.version, rung, source, athlete, day, set]);
      return {
        id: idOf(name, startMs),
        endedAt: new Date(startMs + (reps.length + 1) * APART_MS).toISOString(),
        body: {
          athleteId: athleteIds.get(athlete) ?? '',
          patternId: pattern.id,
          patternVersion: pattern.version,
          ...{ rung, source, day },
          startedAt: new Date(startMs).toISOString(),
          seed: hashOf(name),
          falseStartMs: USUAL_FALSE_START_MS,
          responseLimitMs: USUAL_RESPONSE_LIMIT_MS,
          conditions: conditions as ConditionsBody,
          cues: reps.map(({ target }, i) => ({ ordinal: i + 1, target, foreperiodMs: 0 })),
        },
        reps: reps.map(({ target, events, row }, i) => ({
          id: idOf(`${name} ${row}`, startMs + (i + 1) * APART_MS),
          body: {
            ordinal: i + 1,
            target,
            events: events.map((event) => ({
              ...event,
              atMs: event.atMs + (i + 1) * APART_MS,
            })),
            seenFaults: [],
            struckOut: false,
            replaces: null,
          },
        })),
      };
    }),
  };
}
