import type {
  AthleteLadderReply,
  LadderReply,
  LadderSettingsBody,
  MoveEvidenceReply,
  PatternReply,
  RungMoveBody,
  RungMoveReply,
  SetReviewReply,
  SquadLineReply,
} from '@orthokin/contract';
import { blankPattern } from '@orthokin/core/footwork';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import {
  decide,
  USUAL_SEQUENTIAL_RULE,
  USUAL_STAIRCASE_RULE,
  USUAL_LADDER,
} from '@orthokin/core/progress';
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

let clock = Date.now() - (DAYS_AGO - 1) * DAY_MS;
async function run(
  line: SquadLineReply,
  times: typeof fast,
  { daysLater = 0, change = {} }: { daysLater?: number; change?: object } = {},
): Promise<RecordedSet> {
  clock += daysLater * DAY_MS + 60_000;
  return record(server, setOf(line, { ...times, at: new Date(clock) }), change);
}
const ladderOf = async ({ athlete, patternId }: SquadLineReply) =>
  (await server.get(server.club(`patterns/${patternId}/ladder/${athlete.id}`)).expect(200))
    .body as AthleteLadderReply;
const ladder = async (patternId: string) =>
  (await server.get(server.club(`patterns/${patternId}/ladder`)).expect(200)).body as LadderReply;
const placeOf = async ({ athlete, patternId }: SquadLineReply) =>
  (await ladder(patternId)).everyone.find((each) => each.athlete.id === athlete.id);
const review = async ({ id }: RecordedSet) =>
  (await server.get(server.club(`sets/${id}`)).expect(200)).body as SetReviewReply;
const saveRule = (patternId: string, rule: LadderSettingsBody['rule'] | object, more = {}) =>
  server.put(server.club(`ladders/${v7()}`), {
    patternId,
    savedAt: new Date((clock += 1000)).toISOString(),
    settings: { ...USUAL_LADDER, rule, ...more },
  });
const move = (set: RecordedSet, change: Partial<RungMoveBody>) =>
  server.put(server.club(`moves/${v7()}`), {
    ...{ athleteId: set.body.athleteId, patternId: set.body.patternId, setId: set.id },
    ...{ fromRung: set.body.rung, toRung: set.body.rung, basis: 'rule' },
    movedAt: new Date((clock += 1000)).toISOString(),
    ...change,
  });

test('the ladder shows everyone’s place, and what is kept of it follows every rep', async () => {
  const line = await server.lineOf('Lotte Brandvane');
  const before = await placeOf(line);
  expect(before).toMatchObject({ rung: line.rung });
  expect(await placeOf(line)).toEqual(before);
  const set = await run(line, slow, { daysLater: 1 });
  expect((await placeOf(line))?.decision.setIds).toContain(set.id);
  expect((await ladderOf(line)).evidence.map(({ setId }) => setId)).toContain(set.id);
});

test('easing back follows the rule, keeps its evidence, and replays to the same answer', async () => {
  const line = await server.lineOf('Rafe Lindhollow');
  const set = await run(line, slow, { daysLater: 1 });
  const { decision } = await review(set);
  expect(decision).toMatchObject({ answer: 'ease back', because: 'fewer than half passed' });
  await move(set, { toRung: line.rung + 1 }).expect(409);
  const moved = (await move(set, { toRung: line.rung - 1 }).expect(200)).body as RungMoveReply;
  expect(moved.decision).toEqual(decision);
  expect((await server.lineOf('Rafe Lindhollow')).rung).toBe(line.rung - 1);
  const stored = await server.get(server.club(`moves/${moved.id}`)).expect(200);
  const { evidence: grounds } = stored.body as MoveEvidenceReply;
  if (!grounds) throw new Error('no evidence');
  expect(JSON.parse(JSON.stringify(decide(grounds, decision.rule)))).toEqual(decision);
  const { evidence, moves } = await ladderOf(line);
  expect(moves.at(-1)).toMatchObject({ basis: 'rule', decision: { setIds: decision.setIds } });
  expect(evidence).toEqual([]);
});

test('the coach overrules with a reason, moves by hand, and takes the newest move back', async () => {
  const line = await server.lineOf('Idris Fennimar');
  const set = await run(line, slow, { daysLater: 1 });
  await move(set, { basis: 'overrule' }).expect(400);
  const reason = 'back from a fever, asked for the easy pace';
  const kept = await move(set, { basis: 'overrule', reason }).expect(200);
  expect(kept.body).toMatchObject({ toRung: line.rung, reason, decision: { answer: 'ease back' } });
  // What was shown is used up: the next answer rests on new sets.
  expect((await ladderOf(line)).evidence).toEqual([]);

  await move(set, { basis: 'hand', setId: null }).expect(409);
  await move(set, { basis: 'hand', setId: null, toRung: 30 }).expect(409);
  const up = await move(set, { basis: 'hand', setId: null, toRung: line.rung + 1 }).expect(200);
  expect(up.body).toMatchObject({ basis: 'hand', decision: null });
  await move(set, { basis: 'undo', fromRung: line.rung + 1 }).expect(409);
  const undo = { basis: 'undo', setId: null, fromRung: line.rung + 1 } as const;
  await move(set, undo).expect(200);
  expect((await server.lineOf('Idris Fennimar')).rung).toBe(line.rung);
});

test('limits of one’s own judge the sets run against them, and start the count anew', async () => {
  const line = await server.lineOf('Cass Ondry');
  await run(line, fast, { daysLater: 1 });
  const limits = [
    {
      rung: line.rung,
      limitsMs: { recovery: 600 },
      limitSources: { recovery: { kind: 'budget', budgetMs: 545, factor: 1.1, flight: 'a ball' } },
    },
  ];
  const own = { athleteId: line.athlete.id, patternId: line.patternId, limits };
  const save = (change = {}) =>
    server.put(server.club(`own-ladders/${v7()}`), {
      ...own,
      savedAt: new Date((clock += 1000)).toISOString(),
      ...change,
    });
  await save({ limits: [{ ...limits[0], rung: 40 }] }).expect(400);
  await save({ limits: [{ ...limits[0], limitSources: { recovery: { kind: 'guess' } } }] }).expect(
    400,
  );
  await save().expect(200);

  const setup = await server.get(server.club(`athletes/${line.athlete.id}/drill-setup`));
  expect(setup.body).toMatchObject({ ownLimits: [line.rung], ladder: USUAL_LADDER.test ?? {} });
  const { evidence, pattern } = await ladderOf(line);
  expect(evidence).toEqual([]);
  const asked = pattern.rungs.find(({ number }) => number === line.rung);
  expect(asked?.limitsMs).toMatchObject({ recovery: 600, reaction: expect.any(Number) as number });
  expect(asked?.limitSources.recovery).toMatchObject({ kind: 'budget' });

  const set = await run(line, fast, { daysLater: 1, change: { limitsMs: asked?.limitsMs } });
  const { judgement, pattern: asRun } = await review(set);
  expect(judgement.times.find(({ gate }) => gate === 'recovery')).toMatchObject({ limitMs: 600 });
  expect(asRun.rungs[line.rung - 1]?.limitsMs.recovery).toBe(600);
  expect((await ladderOf(line)).evidence.map(({ setId }) => setId)).toEqual([set.id]);
  await save({ limits: [] }).expect(200);
});

test('a new version that asks the same keeps the evidence; one that asks more does not', async () => {
  const line = await server.lineOf('Oskar Tvedmoor');
  const set = await run(line, fast, { daysLater: 1 });
  const path = server.club(`patterns/${line.patternId}`);
  const { id, version, ...body } = (await server.get(path)).body as PatternReply;
  const save = (next: number, change: object) =>
    server.put(`${path}/versions/${next}`, { ...body, ...change }).expect(200);
  await save(version + 1, { notes: `${body.notes} Eyes up.` });
  expect((await ladderOf(line)).evidence.map(({ setId }) => setId)).toContain(set.id);
  const rungs = body.rungs.map((rung) => ({ ...rung, doing: 'implement' }));
  await save(version + 2, { rungs });
  expect((await ladderOf(line)).evidence).toEqual([]);
  await save(version + 3, {});
  expect(id).toBe(line.patternId);
});

test('sets cued more guessably than the rung asks are no evidence', async () => {
  const line = await server.lineOf('Wren Hallowby');
  const conditions = { ...PLAIN_CONDITIONS, order: 'known' };
  const easy = await run(line, fast, { daysLater: 1, change: { conditions } });
  expect((await ladderOf(line)).evidence.map(({ setId }) => setId)).not.toContain(easy.id);
  expect((await review(easy)).judgement.outcome).toBe('passed');
});

test('a set that nobody timed is no evidence, and parts none', async () => {
  const line = await server.lineOf('Lotte Brandvane');
  const timed = await run(line, fast, { daysLater: 1 });
  const untimed = await run(line, fast, { change: { source: 'none' } });
  const ids = (await ladderOf(line)).evidence.map(({ setId }) => setId);
  expect(ids).toContain(timed.id);
  expect(ids).not.toContain(untimed.id);
});

describe('another rule', () => {
  test('the sequential test counts reps, over sets', async () => {
    const line = await server.lineOf('Amara Quill');
    await saveRule(line.patternId, USUAL_SEQUENTIAL_RULE).expect(200);
    await run(line, fast, { daysLater: 1 });
    const second = await run(line, fast);
    const { decision } = await ladderOf(line);
    expect(decision.state).toMatchObject({ kind: 'sequential' });
    expect((await review(second)).decision.rule).toEqual(USUAL_SEQUENTIAL_RULE);
  });

  test('the staircase reads the pace each set settled at', async () => {
    const line = await server.lineOf('Amara Quill');
    await saveRule(line.patternId, USUAL_STAIRCASE_RULE).expect(200);
    const { kind: _, ...steps } = USUAL_STAIRCASE_RULE;
    const pace = { kind: 'staircase', everyMs: 2000, steps };
    const conditions = { ...PLAIN_CONDITIONS, pace };
    await run(line, fast, { daysLater: 1, change: { conditions } });
    const { evidence, decision } = await ladderOf(line);
    // Ten reps of 1.9 s: three passes at 2.0 s, then nothing but fails, and easier again.
    expect(evidence.at(-1)?.staircase?.pacesMs.slice(0, 5)).toEqual([2000, 2000, 2000, 1800, 1900]);
    expect(decision.state).toMatchObject({ kind: 'staircase', wantedMs: null, met: false });
  });

  test.each<[string, object, object, string]>([
    ['of a kind there is not', { kind: 'whim' }, {}, 'settings.rule.kind'],
    ['without its settings', { kind: 'count' }, {}, 'settings.rule.setsNeeded'],
    ['that cannot be', { ...USUAL_LADDER.rule, ofLast: 50 }, {}, 'settings.rule.ofLast'],
    [
      'tested on no rung',
      USUAL_LADDER.rule,
      { test: { rung: 29, reps: 12, seed: 1 } },
      'test.rung',
    ],
  ])('%s is refused by name', async (_, rule, more, field) => {
    const { patternId } = await server.lineOf('Amara Quill');
    const { body } = await saveRule(patternId, rule, more).expect(400);
    expect(
      (body as { problems: { field: string }[] }).problems.map((each) => each.field),
    ).toContain(field);
  });
});

test('a pattern without targets has no ladder to stand on, and says so', async () => {
  const line = await server.lineOf('Juno Marlock');
  const bare = { ...blankPattern('Nothing yet'), splitWindowMs: [-60, 120] };
  const id = v7();
  await server.put(server.club(`patterns/${id}/versions/1`), bare).expect(200);
  expect(await ladder(id)).toMatchObject({ everyone: [] });
  const { body } = await server
    .get(server.club(`patterns/${id}/ladder/${line.athlete.id}`))
    .expect(409);
  expect(body).toMatchObject({ problems: [{ field: 'patternId' }] });
  const refused = await server.put(server.club(`ladders/${v7()}`), {
    ...{ patternId: id, savedAt: new Date().toISOString() },
    settings: { ...USUAL_LADDER, test: { rung: 1, reps: 12, seed: 1 } },
  });
  expect(refused.body).toMatchObject({ problems: [{ field: 'test.rung' }] });
});

test('what a move rests on can be asked for; a move nobody made cannot', async () => {
  const { body } = await server.get(server.club(`moves/${v7()}`)).expect(404);
  expect(body).toMatchObject({ problems: [{ field: 'moveId' }] });
});
