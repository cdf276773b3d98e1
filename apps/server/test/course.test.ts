import type {
  AthleteCourseReply,
  AthleteRepsReply,
  DrillSetupReply,
  StandingReply,
} from '@orthokin/contract';
import { median } from '@orthokin/core/numeric';
import { rungOf } from '@orthokin/core/pattern';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { setOf, type RecordedSet } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const courseOf = async (name: string): Promise<AthleteCourseReply> => {
  const { athlete } = await server.lineOf(name);
  const reply = await server.get(server.club(`athletes/${athlete.id}/course`)).expect(200);
  return reply.body as AthleteCourseReply;
};

async function run(name: string, at = new Date()): Promise<RecordedSet> {
  const line = await server.lineOf(name);
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900, at });
  await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
  for (const { id, body } of set.reps)
    await server.put(server.club(`sets/${set.id}/reps/${id}`), body).expect(200);
  return set;
}

test('a course holds every set, oldest first, with its figures, moves and patterns', async () => {
  const course = await courseOf('Amara Quill');
  expect(course.sets.length).toBeGreaterThan(20);
  const times = course.sets.map(({ atMs }) => atMs);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  for (const { figures } of course.sets) {
    expect(figures.counted).toBeGreaterThan(5);
    expect(figures.mediansMs.cycle).toBeGreaterThan(1000);
  }
  expect(course.moves.map(({ fromRung, toRung }) => toRung - fromRung)).not.toContain(0);
  expect(course.patterns.map(({ id }) => id)).toContain(course.patternId);
});

test('of sets past counting each is there once, in its order, though many began at one moment', async () => {
  const before = (await courseOf('Wren Hallowby')).sets;
  const [set] = before;
  const more = 1101;
  // As an import would leave them: all of one evening, and no figures kept yet.
  await server.run(
    `insert into drill_set select s.* from generate_series(1, ${more}) n,
       lateral (select (jsonb_populate_record(d, jsonb_build_object(
         'id', md5(n::text)::uuid, 'started_at', d.started_at + interval '1 minute'))).*
         from drill_set d where d.id = '${set?.setId}') s`,
  );
  const after = (await courseOf('Wren Hallowby')).sets;
  expect(after).toHaveLength(before.length + more);
  expect(new Set(after.map(({ setId }) => setId)).size).toBe(after.length);
  const times = after.map(({ atMs }) => atMs);
  expect(times).toEqual(times.toSorted((a, b) => a - b));
  await server.run(`delete from drill_set where started_at = (
    select started_at + interval '1 minute' from drill_set where id = '${set?.setId}')`);
});

test('a correction changes what follows from its set at once', async () => {
  const set = await run('Cass Ondry');
  const before = (await courseOf('Cass Ondry')).sets.at(-1);
  expect(before).toMatchObject({ setId: set.id, figures: { counted: 10 } });
  const [rep] = set.reps;
  const corrected = { by: 'Mara', at: new Date().toISOString() };
  const struck = { ...rep?.body, struckOut: true, replaces: rep?.id, corrected };
  await server.put(server.club(`sets/${set.id}/reps/${v7()}`), struck).expect(200);
  const after = (await courseOf('Cass Ondry')).sets.at(-1);
  expect(after).toMatchObject({ setId: set.id, figures: { counted: 9, cued: 9 } });
});

test('a correction says by whom; one that is nobody’s is refused by name', async () => {
  const set = await run('Cass Ondry');
  const body = { ...set.reps[0]?.body, replaces: set.reps[0]?.id };
  const send = (corrected: object) =>
    server.put(server.club(`sets/${set.id}/reps/${v7()}`), { ...body, corrected });
  await send({ by: 'Mara', at: '2026-01-31T10:00:00.000Z' }).expect(200);
  const refused = await send({ by: '', at: 'yesterday' }).expect(400);
  const { problems } = refused.body as { problems: { field: string }[] };
  expect(problems.map(({ field }) => field)).toEqual(['corrected.by', 'corrected.at']);
  const [stored] = (
    (await server.get(server.club(`sets/${set.id}`))).body as { reps: object[] }
  ).reps.slice(-1);
  expect(stored).toMatchObject({ corrected: { by: 'Mara' }, replaces: set.reps[0]?.id });
});

test('counted reps come as columns, only those that may be pooled', async () => {
  const course = await courseOf('Wren Hallowby');
  const last = course.sets.at(-1);
  const query = `patternId=${last?.patternId ?? ''}&patternVersion=1&sense=heard`;
  const path = server.club(`athletes/${course.athlete.id}/reps?${query}`);
  const { body } = await server.get(`${path}&source=simulated`).expect(200);
  const columns = body as AthleteRepsReply;
  const lengths = ['set', 'target', 'reaction', 'cycle'].map(
    (name) => columns[name as 'set'].length,
  );
  expect(new Set(lengths)).toEqual(
    new Set([course.sets.reduce((n, { figures }) => n + figures.counted, 0)]),
  );
  // What the page works out of the columns is what the server keeps of the set.
  const index = columns.setIds.indexOf(last?.setId ?? '');
  const own = columns.cycle.filter((_, i) => columns.set[i] === index);
  expect(median(own.map((ms) => ms ?? NaN))).toBe(last?.figures.mediansMs.cycle);
  expect((await server.get(`${path}&source=hand`)).body).toMatchObject({ setIds: [], set: [] });
  const refused = await server.get(`${path}&source=guess`).expect(400);
  expect(refused.body).toMatchObject({ problems: [{ field: 'source', given: 'guess' }] });
});

test('the squad: everyone once, with the standard test’s change, sides and the last time', async () => {
  const { body } = await server.get(server.club('standings')).expect(200);
  const standings = body as StandingReply[];
  expect(standings).toHaveLength(8);
  for (const { standing } of standings) {
    expect(standing.basis).toBe('the standard test');
    expect(standing.lastTimedMs).toBeLessThanOrEqual(Date.now());
  }
  const of = (name: string) => standings.find(({ athlete }) => athlete.name === name)?.standing;
  expect(of('Wren Hallowby')?.change?.words).toBe('clearly faster');
  expect(of('Cass Ondry')?.change?.words).not.toMatch(/^clearly/);
  const said = (name: string) => standings.find(({ athlete }) => athlete.name === name)?.claims;
  expect(said('Lotte Brandvane')).toMatchObject({ isNewLean: true, slowerSide: 'right' });
  expect(said('Cass Ondry')).toMatchObject({ change: null });
  // The first page says the same of everyone, with the days in the duration that holds them back.
  const squad = await server.squad();
  expect(squad.map(({ claims }) => claims)).toEqual(standings.map(({ claims }) => claims));
  const lotte = await server.lineOf('Lotte Brandvane');
  expect([lotte.need, lotte.course?.daysMs.length]).toEqual(['changed', 12]);
  const { body: setup } = await server.get(server.club(`athletes/${lotte.athlete.id}/drill-setup`));
  const { pattern } = setup as DrillSetupReply;
  const { duration = 'cycle', limitMs } = lotte.course ?? {};
  expect(limitMs).toBe(rungOf(pattern, lotte.rung)?.limitsMs[duration as 'cycle']);
  const wren = standings.find(({ athlete }) => athlete.name === 'Wren Hallowby');
  const lastTest = (await courseOf('Wren Hallowby')).sets.filter(({ seed }) => seed === 20_261);
  expect(wren?.standing.afterSetId).toBe(lastTest.at(-1)?.setId);
});

test('the usual times of a set-up are of sets timed as the newest was, no others', async () => {
  const { athlete } = await server.lineOf('Wren Hallowby');
  const usual = async () => {
    const at = server.club(`athletes/${athlete.id}/drill-setup`);
    return ((await server.get(at).expect(200)).body as DrillSetupReply).usualMs;
  };
  const before = await usual();
  expect(before.cycle).toBeGreaterThan(1000);
  const set = setOf(await server.lineOf('Wren Hallowby'), { reactionMs: 250, recoveryMs: 900 });
  await server.put(server.club(`sets/${set.id}`), { ...set.body, source: 'hand' }).expect(200);
  for (const { id, body } of set.reps) {
    const events = body.events.map((event) => ({ ...event, source: 'hand' }));
    await server.put(server.club(`sets/${set.id}/reps/${id}`), { ...body, events }).expect(200);
  }
  // One set by hand, after weeks of others: its own times, not a middle of both.
  expect(await usual()).toMatchObject({ reaction: 250, recovery: 900 });
});

test('a note of a set is written, changed, taken back and put back', async () => {
  const { sets } = await courseOf('Juno Marlock');
  const id = v7();
  const note = {
    ...{ setId: sets[3]?.setId ?? '', text: 'New shoes.', writtenBy: 'Mara' },
    ...{ writtenAt: '2026-02-01T10:00:00.000Z', removed: false },
  };
  const send = (change: object, as = id) =>
    server.put(server.club(`notes/${as}`), { ...note, ...change });
  await send({}).expect(200);
  await send({ text: 'New shoes, half a size up.' }).expect(200);
  expect((await courseOf('Juno Marlock')).notes).toEqual([
    { id, ...note, text: 'New shoes, half a size up.' },
  ]);
  await send({ removed: true }).expect(200);
  expect((await courseOf('Juno Marlock')).notes).toEqual([]);
  await send({}).expect(200);
  expect((await courseOf('Juno Marlock')).notes).toHaveLength(1);
  expect((await send({ text: '' }).expect(400)).body).toMatchObject({
    problems: [{ field: 'text' }],
  });
  await send({ setId: v7() }, v7()).expect(404);
});
