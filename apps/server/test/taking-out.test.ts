import type { AthleteCourseReply, PatternReply, SetReviewReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf, type RecordedSet } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const fast = { reactionMs: 200, recoveryMs: 700 };
const remove = async (path: string) => {
  const reply = await fetch(`${server.address}${server.club(path)}`, { method: 'DELETE' });
  return { status: reply.status, body: (await reply.json()) as object };
};
const courseOf = async (athleteId: string) =>
  (await server.get(server.club(`athletes/${athleteId}/course`)).expect(200))
    .body as AthleteCourseReply;
const review = async ({ id }: RecordedSet) =>
  (await server.get(server.club(`sets/${id}`)).expect(200)).body as SetReviewReply;
const patternOf = async (id: string) => {
  const { body } = await server.get(server.club(`patterns/${id}`)).expect(200);
  const { id: _, version: __, ...pattern } = body as PatternReply;
  return pattern;
};

describe('one set', () => {
  test('goes with its reps and notes, and all that followed from it', async () => {
    const line = await server.lineOf('Juno Marlock');
    const before = (await courseOf(line.athlete.id)).sets.length;
    const set = await record(server, setOf(line, fast));
    await server
      .put(server.club(`notes/${v7()}`), {
        ...{ setId: set.id, text: 'Windy.', writtenBy: 'Mara', removed: false },
        writtenAt: new Date().toISOString(),
      })
      .expect(200);
    expect((await courseOf(line.athlete.id)).sets).toHaveLength(before + 1);
    expect((await server.lineOf('Juno Marlock')).lastSet?.id).toBe(set.id);
    expect(await remove(`sets/${set.id}`)).toMatchObject({ status: 200 });
    expect((await courseOf(line.athlete.id)).sets).toHaveLength(before);
    expect((await server.lineOf('Juno Marlock')).lastSet?.id).not.toBe(set.id);
    await server.get(server.club(`sets/${set.id}`)).expect(404);
  });

  test('that is not there says so, and nothing is changed', async () => {
    expect(await remove(`sets/${v7()}`)).toMatchObject({
      ...{ status: 404, body: { problems: [{ field: 'setId' }] } },
    });
    expect(await remove('sets/x')).toMatchObject({ status: 400 });
    expect(await server.squad()).toHaveLength(8);
  });

  test('of another club stays', async () => {
    const line = await server.lineOf('Juno Marlock');
    const set = await record(server, setOf(line, fast));
    const path = `/api/clubs/${v7()}/sets/${set.id}`;
    expect((await fetch(`${server.address}${path}`, { method: 'DELETE' })).status).toBe(404);
    expect((await review(set)).set.id).toBe(set.id);
  });

  test('taken out while its reps still come costs a 404 each, and nobody else anything', async () => {
    const line = await server.lineOf('Oskar Tvedmoor');
    const set = setOf(line, fast);
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    const [first, ...others] = set.reps;
    await server.put(server.club(`sets/${set.id}/reps/${first?.id ?? ''}`), first?.body ?? {});
    const answers = await Promise.all([
      ...others.map(({ id, body }) =>
        server.put(server.club(`sets/${set.id}/reps/${id}`), body).then(({ status }) => status),
      ),
      remove(`sets/${set.id}`).then(({ status }) => status),
    ]);
    expect(answers.filter((status) => status !== 200 && status !== 404)).toEqual([]);
    await server.get(server.club(`sets/${set.id}`)).expect(404);
    expect(await server.squad()).toHaveLength(8);
  });
});

describe('one version of a pattern', () => {
  test('goes with the sets run on it; the others stay', async () => {
    const line = await server.lineOf('Wren Hallowby');
    const id = v7();
    const pattern = await patternOf(line.patternId);
    await server.put(server.club(`patterns/${id}/versions/1`), pattern).expect(200);
    const newer = { ...pattern, notes: 'A word more.' };
    await server.put(server.club(`patterns/${id}/versions/2`), newer).expect(200);
    const on = (patternVersion: number) =>
      record(server, setOf(line, fast), { patternId: id, patternVersion, rung: 1 });
    const [old, fresh] = [await on(1), await on(2)];
    expect(await remove(`patterns/${id}/versions/1`)).toMatchObject({ status: 200 });
    await server.get(server.club(`sets/${old.id}`)).expect(404);
    expect((await review(fresh)).pattern.version).toBe(2);
    expect(await patternOf(id)).toMatchObject({ notes: 'A word more.' });
    expect(await remove(`patterns/${id}/versions/1`)).toMatchObject({ status: 404 });
  });

  test('that an athlete began with stays while it is the only one', async () => {
    const { patternId } = await server.lineOf('Amara Quill');
    const taken = await remove(`patterns/${patternId}/versions/1`);
    expect(taken).toMatchObject({ status: 409, body: { problems: [{ field: 'version' }] } });
    expect(await server.squad()).toHaveLength(8);
  });

  test('that nobody uses takes its pattern with it', async () => {
    const { patternId } = await server.lineOf('Amara Quill');
    const id = v7();
    await server
      .put(server.club(`patterns/${id}/versions/1`), await patternOf(patternId))
      .expect(200);
    expect(await remove(`patterns/${id}/versions/1`)).toMatchObject({ status: 200 });
    await server.get(server.club(`patterns/${id}`)).expect(404);
  });
});

describe('a club', () => {
  test('wiped while reps come and pages are read leaves no half of itself, and fails nobody', async () => {
    // Whoever moved to another pattern above has no first version of it.
    const lines = (await server.squad()).filter(({ athlete }) => athlete.name !== 'Wren Hallowby');
    const sets = lines.map((line) => setOf(line, fast));
    for (const set of sets) await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    const coming = sets.flatMap((set) =>
      set.reps.map(({ id, body }) =>
        server.put(server.club(`sets/${set.id}/reps/${id}`), body).then(({ status }) => status),
      ),
    );
    const reading = ['squad', 'standings', 'patterns', 'sets.csv'].map((path) =>
      server.get(server.club(path)).then(({ status }) => status),
    );
    const wiped = fetch(`${server.address}/api/clubs/${server.clubId}`, {
      method: 'DELETE',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ name: 'Tiller Lane Squash' }),
    }).then(({ status }) => status);
    const answers = await Promise.all([wiped, ...coming, ...reading]);
    expect(answers.filter((status) => status >= 500)).toEqual([]);
    expect((await server.get('/api/clubs')).body).toEqual([]);
  }, 60_000);
});
