import type { DrillSetBody, RepBody, SquadLineReply } from '@orthokin/contract';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { v7 } from 'uuid';
import type { TestServer } from './server.js';

export interface RecordedSet {
  readonly id: string;
  readonly body: DrillSetBody;
  readonly reps: readonly { readonly id: string; readonly body: RepBody }[];
}

/** Stores a set and its reps over HTTP; `change` is what its beginning says otherwise. */
export async function record(
  server: TestServer,
  set: RecordedSet,
  change: object = {},
): Promise<RecordedSet> {
  await server.put(server.club(`sets/${set.id}`), { ...set.body, ...change }).expect(200);
  for (const { id, body } of set.reps)
    await server.put(server.club(`sets/${set.id}/reps/${id}`), body).expect(200);
  return set;
}

/** Ten reps to one target and back, each with the reaction and recovery asked for. */
export function setOf(
  line: SquadLineReply,
  times: { reactionMs: number; recoveryMs: number; reps?: number; at?: Date },
): RecordedSet {
  const { reactionMs, recoveryMs, reps = 10, at = new Date() } = times;
  const cues = Array.from({ length: reps }, (_, i) => ({
    ordinal: i + 1,
    target: i % 2 ? 'B' : 'A',
    foreperiodMs: 1000,
  }));
  return {
    id: v7(),
    body: {
      athleteId: line.athlete.id,
      patternId: line.patternId,
      patternVersion: 1,
      rung: line.rung,
      source: 'simulated',
      startedAt: at.toISOString(),
      day: at.toISOString().slice(0, 10),
      seed: 1,
      falseStartMs: 100,
      responseLimitMs: 3000,
      conditions: PLAIN_CONDITIONS as DrillSetBody['conditions'],
      cues,
    },
    reps: cues.map(({ ordinal, target }) => {
      const cue = ordinal * 5000;
      const event = (name: RepBody['events'][number]['name'], offset: number) => ({
        name,
        atMs: cue + offset,
        sdMs: 0,
        source: 'simulated' as const,
      });
      return {
        id: v7(),
        body: {
          ordinal,
          target,
          events: [
            event('cue', 0),
            event('firstMove', reactionMs),
            event('action', 1200),
            event('home', 1200 + recoveryMs),
          ],
          seenFaults: [],
          struckOut: false,
          replaces: null,
        },
      };
    }),
  };
}
