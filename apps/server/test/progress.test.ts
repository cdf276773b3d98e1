import type { Pattern } from '@orthokin/core/pattern';
import { decideHere, USUAL_LADDER } from '@orthokin/core/progress';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import type {
  AthleteLadderReply,
  DrillSetBody,
  RungMoveBody,
  RungMoveReply,
  SetReviewReply,
} from '@orthokin/contract';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf, type RecordedSet } from './support/sets.js';

const DAY_MS = 24 * 60 * 60 * 1000;
const DAYS_AGO = 40;

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start({ daysAgo: DAYS_AGO });
}, 60_000);
afterAll(() => server.stop());

const fast = { reactionMs: 200, recoveryMs: 700 };
const slow = { reactionMs: 200, recoveryMs: 2000 };

/** Runs a set a number of hours after the last one, so that the order is the order of the story. */
let clock = Date.now() - (DAYS_AGO - 1) * DAY_MS;
async function run(name: string, times: typeof fast, daysLater = 0): Promise<RecordedSet> {
  clock += daysLater * DAY_MS + 60_000;
  return record(server, setOf(await server.lineOf(name), { ...times, at: new Date(clock) }));
}
const review = async ({ id }: RecordedSet) =>
  (await server.get(server.club(`sets/${id}`)).expect(200)).body as SetReviewReply;

const move = (set: RecordedSet, change: Partial<RungMoveBody> = {}): RungMoveBody => ({
  athleteId: set.body.athleteId,
  patternId: set.body.patternId,
  fromRung: set.body.rung,
  toRung: set.body.rung + 1,
  basis: 'rule',
  setId: set.id,
  movedAt: new Date((clock += 1000)).toISOString(),
  ...change,
});
const send = (body: RungMoveBody, id = v7()) => server.put(server.club(`moves/${id}`), body);

test('the count rule over the wire: fail, pass, pass on another day, move, undo, move again', async () => {
  const name = 'Lotte Brandvane';
  const failed = await review(await run(name, slow, 1));
  expect(failed.decision).toMatchObject({ answer: 'stay', limiting: { gate: 'recovery' } });

  const first = await run(name, fast);
  expect((await review(first)).decision.answer).toBe('not enough reps yet');
  await send(move(first)).expect(409);

  const second = await run(name, fast, 1);
  expect(await review(second)).toMatchObject({
    decision: { answer: 'move up', state: { setsPassed: 2, daysPassed: 2 } },
    moved: null,
  });
  const id = v7();
  const body = move(second);
  await send(body, id).expect(200);
  await send(body, id).expect(200);
  expect((await server.lineOf(name)).rung).toBe(second.body.rung + 1);
  expect(await review(second)).toMatchObject({
    currentRung: second.body.rung + 1,
    moved: { toRung: second.body.rung + 1, basis: 'rule' },
  });

  const undo = move(second, {
    fromRung: second.body.rung + 1,
    toRung: second.body.rung,
    basis: 'undo',
  });
  await send(undo).expect(200);
  expect((await server.lineOf(name)).rung).toBe(second.body.rung);
  // What was shown before the move counts again.
  const third = await run(name, fast);
  expect((await review(third)).decision.answer).toBe('move up');
  await send(move(third)).expect(200);
});

test('an older set still says what was decided then', async () => {
  const name = 'Juno Marlock';
  const first = await run(name, slow, 1);
  await run(name, fast);
  await run(name, fast, 1);
  expect((await review(first)).decision.answer).toBe('ease back');
});

test.each<[string, Partial<DrillSetBody>]>([
  ['timed by another source', { source: 'hand' }],
  ['cued to another sense', { conditions: { ...PLAIN_CONDITIONS, cueKinds: ['marker'] } as never }],
])('sets %s are never pooled', async (_, other) => {
  const name = 'Wren Hallowby';
  await run(name, fast, 1);
  clock += DAY_MS;
  const set = setOf(await server.lineOf(name), { ...fast, at: new Date(clock) });
  await record(server, set, other);
  expect((await review(set)).decision).toMatchObject({
    answer: 'not enough reps yet',
    state: { setsPassed: 1, setsSeen: 1 },
  });
});

describe('a move is refused', () => {
  test.each<[string, Partial<RungMoveBody>, string]>([
    ['from a rung the athlete is not on', { fromRung: 5 }, 'fromRung'],
    ['by two rungs at once', { toRung: 6 }, 'toRung'],
    ['when the rule does not say so', {}, 'basis'],
    ['on the set of somebody else', { athleteId: '019ab000-0000-7000-8000-00000000ffff' }, 'setId'],
    ['as an undo of nothing', { basis: 'undo' }, 'setId'],
  ])('%s', async (_, change, field) => {
    const set = await run('Oskar Tvedmoor', slow);
    const { body } = await send(move(set, change)).expect(409);
    expect(body).toMatchObject({ problems: [{ field }] });
  });

  test('for the second of two screens that press at once', async () => {
    const name = 'Rafe Lindhollow';
    await run(name, fast, 1);
    const set = await run(name, fast, 1);
    const replies = await Promise.all([send(move(set)), send(move(set))]);
    expect(replies.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 409]);
    expect((await server.lineOf(name)).rung).toBe(set.body.rung + 1);
  });
});

test('on a ladder that asks for a word nobody moves up without one, which is kept', async () => {
  const line = await server.lineOf('Rafe Lindhollow');
  const settings = { ...USUAL_LADDER, onWord: true };
  await server
    .put(server.club(`ladders/${v7()}`), {
      ...{ patternId: line.patternId, savedAt: new Date().toISOString(), settings },
    })
    .expect(200);
  const up: RungMoveBody = {
    ...{ athleteId: line.athlete.id, patternId: line.patternId, setId: null, basis: 'hand' },
    ...{ fromRung: line.rung, toRung: line.rung + 1, movedAt: new Date().toISOString() },
  };
  const refused = await send(up).expect(409);
  expect(refused.text).toContain('on whose word');
  expect((await server.lineOf('Rafe Lindhollow')).rung).toBe(line.rung);
  await send({ ...up, reason: 'Dr Sand: straight ways are free.' }).expect(200);
  expect((await server.lineOf('Rafe Lindhollow')).rung).toBe(line.rung + 1);
  // Down, and a move taken back, need nobody's word.
  await send({ ...up, fromRung: up.toRung, toRung: up.fromRung }).expect(200);
});

describe('a device without a network', () => {
  const ladderOf = async ({ athleteId, patternId }: DrillSetBody) =>
    (await server.get(server.club(`patterns/${patternId}/ladder/${athleteId}`)).expect(200))
      .body as AthleteLadderReply;

  test('says of a set what the server says once it has it', async () => {
    const name = 'Juno Marlock';
    const line = await server.lineOf(name);
    const patternId = line.patternId;
    for (const [times, daysLater] of [
      [slow, 1],
      [fast, 1],
      [fast, 1],
    ] as const) {
      clock += daysLater * DAY_MS;
      const set = setOf(await server.lineOf(name), { ...times, at: new Date(clock) });
      const { settings, ...ladder } = await ladderOf(set.body);
      const { body: version } = await server
        .get(server.club(`patterns/${patternId}/versions/${set.body.patternVersion}`))
        .expect(200);
      const here = decideHere(
        { ...ladder, rule: settings.rule },
        {
          ...{ ...set.body, id: set.id, limitsMs: set.body.limitsMs ?? null },
          ...{ conditions: set.body.conditions, pattern: version as Pattern },
        },
        set.reps.map(({ id, body }) => ({ ...body, id })),
      );
      await record(server, set);
      const { decision } = await ladderOf(set.body);
      expect(here?.decision).toEqual(decision);
    }
  });

  test('moved as the rule said there: it stands, as one against the rule, where all sets say otherwise', async () => {
    const set = await run('Cass Ondry', slow, 1);
    const id = v7();
    const body = { ...move(set), onDevice: true };
    await send(move(set)).expect(409);
    const first = await send(body, id).expect(200);
    expect(first.body).toMatchObject({ basis: 'overrule', onDevice: true, toRung: body.toRung });
    expect((first.body as RungMoveReply).decision?.answer).not.toBe('move up');
    // Sent again, as a device does that did not hear the answer, it is the same.
    expect((await send(body, id).expect(200)).body).toEqual(first.body);
    expect((await server.lineOf('Cass Ondry')).rung).toBe(body.toRung);
    const { moves } = await ladderOf(set.body);
    expect(moves.at(-1)).toMatchObject({ id, onDevice: true, basis: 'overrule' });
  });

  test('and where they say the same it is a move by the rule', async () => {
    const name = 'Idris Fennimar';
    await run(name, fast, 1);
    const set = await run(name, fast, 1);
    const { body } = await send({ ...move(set), onDevice: true }).expect(200);
    expect(body).toMatchObject({ basis: 'rule', onDevice: true });
  });
});
