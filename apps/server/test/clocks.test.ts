import type {
  AthleteLadderReply,
  RungMoveBody,
  SetReviewReply,
  SquadLineReply,
} from '@orthokin/contract';
import { USUAL_LADDER } from '@orthokin/core/progress';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const ago = (ms: number) => new Date(Date.now() - ms).toISOString();

const moveOf = (line: SquadLineReply, toRung: number, movedAt: string): RungMoveBody => ({
  ...{ athleteId: line.athlete.id, patternId: line.patternId, fromRung: line.rung, toRung },
  ...{ basis: 'hand', setId: null, movedAt },
});
const move = (body: RungMoveBody) => server.put(server.club(`moves/${v7()}`), body);
const problemOf = (reply: { body: unknown }) =>
  (reply.body as { problems: { field: string; allowed: string }[] }).problems[0];

describe('a device whose clock is a day ahead', () => {
  test('silences no later move', async () => {
    const name = 'Lotte Brandvane';
    const line = await server.lineOf(name);
    await move(moveOf(line, line.rung + 1, ago(-DAY_MS))).expect(200);
    const moved = await server.lineOf(name);
    expect(moved.rung).toBe(line.rung + 1);
    // Made after it, by a device whose clock is right.
    await move(moveOf(moved, line.rung, ago(0))).expect(200);
    expect((await server.lineOf(name)).rung).toBe(line.rung);
  });

  test('has its move taken back like any other', async () => {
    const name = 'Juno Marlock';
    const line = await server.lineOf(name);
    await move(moveOf(line, line.rung + 1, ago(-DAY_MS))).expect(200);
    const undo = {
      ...moveOf(await server.lineOf(name), line.rung, ago(0)),
      basis: 'undo' as const,
    };
    await move(undo).expect(200);
    expect((await server.lineOf(name)).rung).toBe(line.rung);
  });

  test('does not use up the sets that come after its move', async () => {
    const name = 'Oskar Tvedmoor';
    const line = await server.lineOf(name);
    await move(moveOf(line, line.rung - 1, ago(-DAY_MS))).expect(200);
    const now = await server.lineOf(name);
    const set = await record(
      server,
      setOf(now, { reactionMs: 200, recoveryMs: 700, at: new Date(Date.now() + 5000) }),
    );
    const { body } = await server
      .get(server.club(`patterns/${line.patternId}/ladder/${line.athlete.id}`))
      .expect(200);
    expect((body as AthleteLadderReply).evidence).toHaveLength(1);
    const review = await server.get(server.club(`sets/${set.id}`)).expect(200);
    expect((review.body as SetReviewReply).decision.setIds).toEqual([set.id]);
  });

  test('silences no later settings of a ladder', async () => {
    const { patternId } = await server.lineOf('Amara Quill');
    const save = (savedAt: string, school: string) =>
      server
        .put(server.club(`ladders/${v7()}`), {
          ...{ patternId, savedAt, settings: { ...USUAL_LADDER, school } },
        })
        .expect(200);
    await save(ago(-DAY_MS), 'reading first');
    await save(ago(0), 'pattern first');
    const { body } = await server.get(server.club(`patterns/${patternId}/ladder`)).expect(200);
    expect(body).toMatchObject({ settings: { school: 'pattern first' } });
  });

  test('silences no later limits of an athlete’s own', async () => {
    const line = await server.lineOf('Wren Hallowby');
    const save = (savedAt: string, reaction: number) =>
      server
        .put(server.club(`own-ladders/${v7()}`), {
          ...{ athleteId: line.athlete.id, patternId: line.patternId, savedAt },
          limits: [
            { rung: 1, limitsMs: { reaction }, limitSources: { reaction: { kind: 'coach' } } },
          ],
        })
        .expect(200);
    await save(ago(-DAY_MS), 500);
    await save(ago(DAY_MS), 300);
    const { body } = await server
      .get(server.club(`patterns/${line.patternId}/ladder/${line.athlete.id}`))
      .expect(200);
    expect(body).toMatchObject({ ownLimits: [{ limitsMs: { reaction: 300 } }] });
  });
});

test('a move by a clock that is behind does not use up the set it is about once it is undone', async () => {
  const line = await server.lineOf('Cass Ondry');
  const set = await record(server, setOf(line, { reactionMs: 200, recoveryMs: 2000 }));
  const decided = async () => {
    const { body } = await server.get(server.club(`sets/${set.id}`)).expect(200);
    return (body as SetReviewReply).decision.answer;
  };
  expect(await decided()).toBe('ease back');
  const about = (change: Partial<RungMoveBody>): RungMoveBody => ({
    ...{ ...moveOf(line, line.rung, ago(0)), setId: set.id },
    ...change,
  });
  await move(about({ basis: 'overrule', reason: 'slept badly', movedAt: ago(HOUR_MS) })).expect(
    200,
  );
  await move(about({ basis: 'undo' })).expect(200);
  expect(await decided()).toBe('ease back');
  await move(about({ basis: 'rule', toRung: line.rung - 1 })).expect(200);
});

describe('a moment that has not come', () => {
  const far = new Date(Date.now() + 400 * DAY_MS).toISOString();

  test.each([ago(-30 * HOUR_MS), far])('is refused of a set, by its field', async (at) => {
    const line = await server.lineOf('Juno Marlock');
    const set = setOf(line, { reactionMs: 200, recoveryMs: 700, at: new Date(at) });
    const refused = await server.put(server.club(`sets/${set.id}`), set.body).expect(400);
    expect(problemOf(refused)).toMatchObject({ field: 'startedAt' });
    expect(problemOf(refused)?.allowed).toMatch(/by the server’s clock$/);
  });

  test('is refused of a day that is not the set’s', async () => {
    const line = await server.lineOf('Juno Marlock');
    const set = setOf(line, { reactionMs: 200, recoveryMs: 700 });
    const body = { ...set.body, day: far.slice(0, 10) };
    expect(
      problemOf(await server.put(server.club(`sets/${set.id}`), body).expect(400)),
    ).toMatchObject({
      field: 'day',
    });
  });

  test('is refused of moves, settings, notes and ends', async () => {
    const line = await server.lineOf('Juno Marlock');
    const set = await record(server, setOf(line, { reactionMs: 200, recoveryMs: 700 }));
    const { athlete, patternId } = line;
    const tried: readonly (readonly [string, object, string])[] = [
      [`moves/${v7()}`, moveOf(line, line.rung + 1, far), 'movedAt'],
      [`ladders/${v7()}`, { patternId, savedAt: far, settings: USUAL_LADDER }, 'savedAt'],
      [
        `own-ladders/${v7()}`,
        { athleteId: athlete.id, patternId, savedAt: far, limits: [] },
        'savedAt',
      ],
      [
        `notes/${v7()}`,
        { setId: set.id, text: 'x', writtenBy: 'Mara', writtenAt: far, removed: false },
        'writtenAt',
      ],
      [`sets/${set.id}/end`, { endedAt: far, reason: 'completed' }, 'endedAt'],
      [
        `sets/${set.id}/reps/${v7()}`,
        { ...set.reps[0]?.body, replaces: set.reps[0]?.id, corrected: { by: 'Mara', at: far } },
        'corrected.at',
      ],
    ];
    for (const [path, body, field] of tried)
      expect(problemOf(await server.put(server.club(path), body).expect(400))).toMatchObject({
        field,
      });
  });

  test('of another millennium is refused by its shape already', async () => {
    const line = await server.lineOf('Juno Marlock');
    for (const movedAt of [
      '9999-01-01T00:00:00Z',
      '0001-01-01T00:00:00Z',
      '+12026-01-01T00:00:00Z',
    ])
      expect(problemOf(await move(moveOf(line, line.rung + 1, movedAt)).expect(400))).toMatchObject(
        {
          field: 'movedAt',
        },
      );
  });

  test('sent twice, what was taken is what it was', async () => {
    const line = await server.lineOf('Cass Ondry');
    const set = setOf(line, {
      reactionMs: 200,
      recoveryMs: 700,
      at: new Date(Date.now() + HOUR_MS),
    });
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
  });
});
