import type { RepBody, SetReviewReply } from '@orthokin/contract';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { v4, v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { setOf, type RecordedSet } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const path = (set: RecordedSet, rest = '') => server.club(`sets/${set.id}${rest}`);
const fresh = async (times = { reactionMs: 250, recoveryMs: 900 }) =>
  setOf(await server.lineOf('Wren Hallowby'), times);

async function store(set: RecordedSet): Promise<void> {
  await server.put(path(set), set.body).expect(200);
  for (const { id, body } of set.reps) await server.put(path(set, `/reps/${id}`), body).expect(200);
}
const review = async (set: RecordedSet) =>
  (await server.get(path(set)).expect(200)).body as SetReviewReply;

describe('recording', () => {
  test('a set and its reps come back as they were sent', async () => {
    const set = await fresh();
    await store(set);
    const { set: stored, reps } = await review(set);
    expect(stored).toMatchObject(set.body);
    expect(reps).toEqual(
      set.reps.map(({ id, body }) => ({ marks: null, corrected: null, ...body, id })),
    );
  });

  test('everything sent twice changes nothing', async () => {
    const set = await fresh();
    const end = { endedAt: new Date().toISOString(), reason: 'completed' };
    await store(set);
    await server.put(path(set, '/end'), end).expect(200);
    const once = await review(set);
    await store(set);
    await server
      .put(path(set, '/end'), {
        ...end,
        endedAt: '2001-01-01T00:00:00.000Z',
        reason: 'stopped early',
      })
      .expect(200);
    expect(await review(set)).toEqual(once);
  });

  test('the same id with other content is refused, and the first stays', async () => {
    const set = await fresh();
    await store(set);
    const [rep] = set.reps;
    const refused = await server
      .put(path(set, `/reps/${rep?.id ?? ''}`), { ...rep?.body, struckOut: true })
      .expect(409);
    expect(refused.body).toMatchObject({ problems: [{ field: 'struckOut', given: 'true' }] });
    expect((await review(set)).reps[0]?.struckOut).toBe(false);
  });

  test('a correction is a new rep that names the one it replaces', async () => {
    const set = await fresh();
    await store(set);
    const [rep] = set.reps;
    await server
      .put(path(set, `/reps/${v7()}`), { ...rep?.body, struckOut: true, replaces: rep?.id })
      .expect(200);
    const { reps, judgement } = await review(set);
    expect(reps).toHaveLength(11);
    expect(judgement.validReps.reps).toBe(9);
  });
});

describe('refusing', () => {
  test.each<[string, number, object, string, string]>([
    [
      'a time that is no number',
      400,
      { events: [{ name: 'cue', atMs: 'soon', sdMs: 0, source: 'hand' }] },
      'events[0].atMs',
      'soon',
    ],
    ['an unknown field', 400, { mood: 'good' }, 'mood', 'good'],
    ['a cue the set does not have', 400, { ordinal: 99 }, 'ordinal', '99'],
    ['another target than was cued', 400, { target: 'B' }, 'target', 'B'],
    ['a replaced rep nobody knows', 404, { replaces: v7() }, 'replaces', ''],
    [
      'events out of order, naming both',
      400,
      {
        events: [
          { name: 'cue', atMs: 0, sdMs: 0, source: 'hand' },
          { name: 'action', atMs: 900, sdMs: 0, source: 'hand' },
          { name: 'home', atMs: 800, sdMs: 0, source: 'hand' },
        ],
      },
      'events[2].atMs',
      'home at 800 ms, before action at 900 ms',
    ],
  ])('%s', async (_, status, change, field, given) => {
    const set = await fresh();
    await server.put(path(set), set.body).expect(200);
    const { body } = await server
      .put(path(set, `/reps/${v7()}`), { ...set.reps[0]?.body, ...change })
      .expect(status);
    expect(body).toMatchObject({ statusCode: status, problems: [{ field }] });
    const [problem] = (body as { problems: { given: string; allowed: string }[] }).problems;
    expect(problem?.given).toContain(given);
    expect(problem?.allowed).not.toBe('');
    expect((await review(set)).reps).toEqual([]);
  });

  test.each<[string, number, object, string]>([
    ['an athlete of nowhere', 404, { athleteId: v7() }, 'athleteId'],
    ['a pattern of nowhere', 404, { patternId: v7() }, 'patternId'],
    ['a rung the pattern does not have', 400, { rung: 9 }, 'rung'],
    [
      'a cue for a target not in play',
      400,
      { cues: [{ ordinal: 1, target: 'Z', foreperiodMs: 9 }] },
      'cues[0].target',
    ],
  ])('a set for %s', async (_, status, change, field) => {
    const set = await fresh();
    const { body } = await server.put(path(set), { ...set.body, ...change }).expect(status);
    expect(body).toMatchObject({ problems: [{ field }] });
  });

  test('a rep of a set that was never sent, an id that is not of version 7, a body that is not JSON', async () => {
    const set = await fresh();
    const [rep] = set.reps;
    await server.put(path(set, `/reps/${v7()}`), rep?.body ?? {}).expect(404);
    const wrongId = await server.put(server.club(`sets/${v4()}`), set.body).expect(400);
    expect(wrongId.body).toMatchObject({ problems: [{ field: 'setId' }] });
    const notJson = await fetch(`${server.address}${path(set)}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: '{"athleteId": ',
    });
    expect(notJson.status).toBe(400);
    expect(await notJson.json()).toMatchObject({
      ...{ statusCode: 400, problems: [{ field: 'body', allowed: 'JSON' }] },
    });
  });

  test('another club sees nothing of a set', async () => {
    const set = await fresh();
    await store(set);
    await server.get(`/api/clubs/${v4()}/sets/${set.id}`).expect(404);
  });
});

describe('sets out of the ordinary', () => {
  const called = { ...PLAIN_CONDITIONS, order: 'called' };

  test('a catch trial that was held is a rep without events; other reps need their cue', async () => {
    const set = await fresh();
    const [first, ...rest] = set.body.cues;
    const cues = [{ ...first, catch: true }, ...rest];
    await server.put(path(set), { ...set.body, cues }).expect(200);
    const [one, two] = set.reps;
    const held = { ...one?.body, events: [] };
    await server.put(path(set, `/reps/${v7()}`), held).expect(200);
    const { body } = await server
      .put(path(set, `/reps/${v7()}`), { ...two?.body, events: [] })
      .expect(400);
    expect(body).toMatchObject({ problems: [{ field: 'events', allowed: 'a cue among them' }] });
    expect((await review(set)).reps).toHaveLength(1);
  });

  test('a set called live has no cues; its reps name targets in play, with what was marked', async () => {
    const set = await fresh();
    const live = { ...set.body, conditions: called };
    const refused = await server.put(path(set), live).expect(400);
    expect(refused.body).toMatchObject({ problems: [{ field: 'cues' }] });
    await server.put(path(set), { ...live, cues: [] }).expect(200);
    const [rep] = set.reps;
    const coachEvents = [{ name: 'prepared', atMs: 5300.4, sdMs: 8, source: 'film' }];
    const marks = { lateRight: false, checked: { held: 2, of: 3 }, coachEvents };
    await server.put(path(set, `/reps/${v7()}`), { ...rep?.body, marks }).expect(200);
    const stray = { ...rep?.body, target: 'Z' };
    const { body } = await server.put(path(set, `/reps/${v7()}`), stray).expect(400);
    expect(body).toMatchObject({ problems: [{ field: 'target', given: 'Z' }] });
    expect((await review(set)).reps).toMatchObject([{ marks }]);
    const twice = { ...rep?.body, marks: { coachEvents: [...coachEvents, ...coachEvents] } };
    await server.put(path(set, `/reps/${v7()}`), twice).expect(400);
    const { text } = await server.get(path(set, '/reps.csv')).expect(200);
    expect(text).toContain('prepared 5300 ±8');
  });

  test('a set nobody times is kept with its cues', async () => {
    const set = await fresh();
    await server.put(path(set), { ...set.body, source: 'none' }).expect(200);
    const [rep] = set.reps;
    const events = rep?.body.events.filter(({ name }) => name === 'cue');
    await server.put(path(set, `/reps/${v7()}`), { ...rep?.body, events }).expect(200);
    expect((await review(set)).judgement).toMatchObject({ outcome: 'too few reps' });
  });

  test('once a rep is marked on film, the set is timed by film; what is not marked yet is not missed', async () => {
    const set = await fresh();
    const untimed = { ...set.body, source: 'none' };
    await server.put(path(set), untimed).expect(200);
    const bare = set.reps.map(({ id, body }) => ({
      id,
      body: { ...body, events: body.events.filter(({ name }) => name === 'cue') },
    }));
    for (const { id, body } of bare) await server.put(path(set, `/reps/${id}`), body).expect(200);
    const [first] = bare;
    const corrected = { by: 'Mara', at: new Date().toISOString() };
    const mark = (events: RepBody['events']) =>
      server
        .put(path(set, `/reps/${v7()}`), {
          ...first?.body,
          ...{ events, replaces: first?.id, corrected },
        })
        .expect(200);
    // A cue alone, moved to where it was heard, times nothing.
    const onFilm = set.reps[0]?.body.events.map((each) => ({ ...each, source: 'film', sdMs: 9 }));
    const events = (onFilm ?? []) as RepBody['events'];
    await mark(events.slice(0, 1));
    expect((await review(set)).set.source).toBe('none');
    await mark(events);
    const marked = await review(set);
    expect(marked.set.source).toBe('film');
    expect(marked.judgement.validReps).toMatchObject({ reps: 1 });
    // The device may say the beginning of the set once more, as it was then.
    await server.put(path(set), untimed).expect(200);
    expect((await review(set)).set.source).toBe('film');
  });

  test.each<[string, object, string]>([
    [
      'a switch to a target not in play',
      { switchTo: { target: 'Z', afterMs: 120 } },
      'cues[0].switchTo.target',
    ],
    ['a target moved too far', { movedM: 9 }, 'cues[0].movedM'],
    [
      'nobody knows what at arrival',
      { late: { kind: 'sound', show: 'left' } },
      'cues[0].late.kind',
    ],
  ])('%s is refused', async (_, change, field) => {
    const set = await fresh();
    const cues = set.body.cues.map((cue, i) => (i === 0 ? { ...cue, ...change } : cue));
    const { body } = await server.put(path(set), { ...set.body, cues }).expect(400);
    expect(body).toMatchObject({ problems: [{ field }] });
  });

  test('conditions nobody can run are refused', async () => {
    const set = await fresh();
    const conditions = {
      ...PLAIN_CONDITIONS,
      watched: ['lean', 'lean'],
      cueKinds: [],
    };
    const { body } = await server.put(path(set), { ...set.body, conditions }).expect(400);
    const fields = (body as { problems: { field: string }[] }).problems.map(({ field }) => field);
    expect(fields).toEqual(['conditions.cueKinds', 'conditions.watched']);
  });
});

describe('files', () => {
  test('reps as CSV: one row a rep, columns as the dictionary names them', async () => {
    const set = await fresh({ reactionMs: 250, recoveryMs: 900 });
    await store(set);
    const csv = await server.get(path(set, '/reps.csv')).expect(200);
    expect(csv.headers['content-type']).toContain('text/csv');
    const [header = '', ...rows] = csv.text.trim().split('\n');
    expect(rows).toHaveLength(10);
    const cells = (rows[0] ?? '').split(',');
    const cell = (name: string) => cells[header.split(',').indexOf(name)];
    expect([cell('rep'), cell('reaction_ms'), cell('recovery_ms'), cell('travel_ms')]).toEqual([
      '1',
      '250',
      '900',
      '',
    ]);
    expect(cell('recovery_limit_ms')).toMatch(/^\d+$/);
    expect(cell('recovery_against_limit')).toMatch(/^(inside|over|too close to call)$/);
    const dictionary = await server.get('/api/reps-dictionary.csv').expect(200);
    for (const name of header.split(',')) expect(dictionary.text).toContain(`\n${name},`);
  });
});
