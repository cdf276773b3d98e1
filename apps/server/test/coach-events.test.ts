import type { ClubReply, PatternReply, SetReviewReply, SquadLineReply } from '@orthokin/contract';
import type { CoachLimit } from '@orthokin/core/pattern';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { setOf, type RecordedSet } from './support/sets.js';

jest.setTimeout(60_000);

let server: TestServer;
let line: SquadLineReply;
let pattern: PatternReply;
beforeAll(async () => {
  server = await TestServer.start();
  line = await server.lineOf('Amara Quill');
  pattern = (await server.get(server.club(`patterns/${line.patternId}`)).expect(200))
    .body as PatternReply;
});
afterAll(() => server.stop());

const PREPARED: CoachLimit = { event: 'prepared', from: 'arrival', limitMs: -100 };

/** The pattern as its next version, with these limits on the rung that is worked on. */
function saved(version: number, coachLimits: readonly object[]) {
  const { id, version: _, ...body } = pattern;
  const rungs = body.rungs.map((rung) =>
    rung.number === line.rung ? { ...rung, coachLimits, limitsMs: { response: 3000 } } : rung,
  );
  return server.put(server.club(`patterns/${id}/versions/${version}`), { ...body, rungs });
}

/** Ten reps on film that arrive 0.8 s after their cues, prepared so long before that. */
function filmed(beforeMs: (rep: number) => number | null): RecordedSet {
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  return {
    ...set,
    body: { ...set.body, patternVersion: 2, source: 'film' },
    reps: set.reps.map(({ id, body }, rep) => {
      const cueMs = body.events.find(({ name }) => name === 'cue')?.atMs ?? NaN;
      const at = { sdMs: 5, source: 'film' } as const;
      const before = beforeMs(rep);
      const action = { name: 'action', atMs: cueMs + 900, ...at } as const;
      return {
        id,
        body: {
          ...body,
          events: [
            ...body.events.filter(({ name }) => name === 'cue' || name === 'firstMove'),
            { name: 'arrival', atMs: cueMs + 800, ...at },
            action,
          ],
          ...(before !== null && {
            marks: {
              coachEvents: [{ name: 'prepared', atMs: cueMs + 800 - before, ...at }],
            },
          }),
        },
      };
    }),
  };
}

async function reviewOf(set: RecordedSet): Promise<SetReviewReply> {
  const path = server.club(`sets/${set.id}`);
  await server.put(path, set.body).expect(200);
  for (const { id, body } of set.reps) await server.put(`${path}/reps/${id}`, body).expect(200);
  return (await server.get(path).expect(200)).body as SetReviewReply;
}

test.each<[string, readonly object[], string]>([
  ['what every rep has', [{ ...PREPARED, event: 'arrival' }], 'coachLimits[0].event'],
  ['no name', [{ ...PREPARED, event: '' }], 'coachLimits[0].event'],
  ['nothing to hold it against', [{ ...PREPARED, from: 'home' }], 'coachLimits[0].from'],
  ['a time nobody waits for', [{ ...PREPARED, limitMs: 1e9 }], 'coachLimits[0].limitMs'],
  ['the same twice', [PREPARED, PREPARED], 'coachLimits[1].event'],
  ['more than anybody marks', Array.from({ length: 5 }, () => PREPARED), 'coachLimits'],
])('a limit with %s is refused by the field', async (_, limits, field) => {
  const { body } = await saved(2, limits).expect(400);
  const { problems } = body as { problems: { field: string }[] };
  expect(problems[0]?.field).toMatch(
    new RegExp(`^rungs\\[\\d+\\]\\.${field.replace(/[[\]]/g, '\\$&')}`),
  );
});

describe('a rung that asks for one', () => {
  beforeAll(() => saved(2, [PREPARED]).expect(200));

  test('is met by sets that show it, held up by those that do not, and says by what', async () => {
    const kept = await reviewOf(filmed(() => 250));
    expect(kept.judgement).toMatchObject({
      outcome: 'passed',
      coach: [{ gate: 'coach event', event: 'prepared', passes: 10, fails: 0 }],
    });
    const late = await reviewOf(filmed((rep) => (rep < 5 ? 250 : 0)));
    expect(late.judgement).toMatchObject({
      outcome: 'not passed',
      coach: [{ passes: 5, fails: 5, needed: 8, overMs: 100 }],
    });
    expect(late.decision.limiting).toMatchObject({ gate: 'coach event', event: 'prepared' });
  });

  test('is not judged by reps in which nobody marked it, and counts them', async () => {
    const { judgement } = await reviewOf(filmed((rep) => (rep < 3 ? 250 : null)));
    expect(judgement).toMatchObject({
      outcome: 'too few reps',
      validReps: { reps: 3, untimed: { prepared: 7 } },
    });
  });

  test('goes out with its club and comes back, marks and limits as they were', async () => {
    const set = filmed(() => 250);
    await reviewOf(set);
    const file = await server.clubFile();
    const [club] = (await server.get('/api/clubs').expect(200)).body as ClubReply[];
    await server.delete(`/api/clubs/${server.clubId}`).send({ name: club?.name }).expect(200);
    await server.post('/api/clubs').set('Content-Type', 'application/zip').send(file).expect(200);
    const back = (await server.get(server.club(`sets/${set.id}`)).expect(200))
      .body as SetReviewReply;
    expect(back.reps.map(({ marks }) => marks)).toEqual(set.reps.map(({ body }) => body.marks));
    expect(back.pattern.rungs[line.rung - 1]?.coachLimits).toEqual([PREPARED]);
    expect(back.judgement).toMatchObject({ outcome: 'passed', coach: [{ passes: 10 }] });
  });
});

test('two events of one name in a rep are refused, and so is a fifth', async () => {
  const [rep] = filmed(() => 250).reps;
  const set = filmed(() => 250);
  const path = server.club(`sets/${set.id}`);
  await server.put(path, set.body).expect(200);
  const [event] = rep?.body.marks?.coachEvents ?? [];
  for (const coachEvents of [
    [event, event],
    ['a', 'b', 'c', 'd', 'e'].map((name) => ({ ...event, name })),
  ]) {
    const { body } = await server
      .put(`${path}/reps/${v7()}`, { ...rep?.body, marks: { coachEvents } })
      .expect(400);
    const { problems } = body as { problems: { field: string }[] };
    expect(problems[0]?.field).toBe('marks.coachEvents');
  }
});
