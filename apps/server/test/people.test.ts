import type {
  AthleteBody,
  ClubReply,
  DrillSetupReply,
  PatternBody,
  PatternReply,
  PersonReply,
  SquadLineReply,
} from '@orthokin/contract';
import { unzipSync, zipSync } from 'fflate';
import request from 'supertest';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const personOf = (patternId: string, more: Partial<AthleteBody> = {}): AthleteBody => ({
  ...{ name: 'Nell Harrowby', hand: 'left', ageBand: 'adult', colourVision: 'full', patternId },
  ...more,
});
const people = async (at = server.club('athletes')) =>
  (await server.get(at).expect(200)).body as PersonReply[];
const add = async (more: Partial<AthleteBody> = {}) => {
  const { patternId } = await server.lineOf('Juno Marlock');
  const id = v7();
  const { body } = await server
    .put(server.club(`athletes/${id}`), personOf(patternId, more))
    .expect(200);
  return body as PersonReply;
};

describe('many athletes at once', () => {
  const named = async (...names: string[]) => {
    const { patternId } = await server.lineOf('Juno Marlock');
    return names.map((name) => ({ ...personOf(patternId, { name }), id: v7() }));
  };
  const addAll = (athletes: readonly object[]) => server.put(server.club('athletes'), { athletes });
  const names = async () => (await people()).map(({ name }) => name);

  test('are added together, and sent again they are the same', async () => {
    const athletes = await named('Aino Sten', 'Bo Sten', 'Cleo Sten');
    expect((await addAll(athletes).expect(200)).body).toHaveLength(3);
    await addAll(athletes).expect(200);
    expect((await names()).filter((name) => name.endsWith(' Sten'))).toHaveLength(3);
    expect((await server.lineOf('Cleo Sten')).rung).toBe(1);
  });

  test.each([
    ['a pattern that is not there', { patternId: v7() }, 404, 'athletes[1].patternId'],
    ['somebody born tomorrow', { bornOn: '2099-01-01' }, 400, 'athletes[1].bornOn'],
    ['a name too long', { name: 'x'.repeat(61) }, 400, 'athletes[1].name'],
  ])('with %s none of them is', async (_, change, status, field) => {
    const [first = {}, second = {}] = await named('Fay Holm', 'Gil Holm');
    const { text } = await addAll([first, { ...second, ...change }]).expect(status);
    expect(text).toContain(field);
    expect(await names()).not.toContain('Fay Holm');
  });
});

describe('an athlete', () => {
  test('is added with what is known, and can start a drill at once', async () => {
    const { id } = await add({ name: 'Nell Harrowby', heightM: 1.68, goal: 'Back to the T.' });
    const line = await server.lineOf('Nell Harrowby');
    expect(line).toMatchObject({ athlete: { id, hand: 'left' }, lastSet: null, rung: 1 });
    const { body } = await server.get(server.club(`athletes/${id}/drill-setup`)).expect(200);
    expect((body as DrillSetupReply).athlete.name).toBe('Nell Harrowby');
    await record(server, setOf(line, { reactionMs: 250, recoveryMs: 900 }));
    expect((await server.lineOf('Nell Harrowby')).lastSet).not.toBeNull();
  });

  test('is changed as a whole: what was not said is not known any more', async () => {
    const { id, patternId } = await add({ name: 'Odd Tamsin', called: 'Tam', shoulderM: 0.4 });
    const { body } = await server
      .put(server.club(`athletes/${id}`), personOf(patternId, { name: 'Odd Tamsin', hipM: 0.3 }))
      .expect(200);
    expect(body).toMatchObject({ id, called: null, shoulderM: null, hipM: 0.3 });
    expect((await people()).filter((person) => person.id === id)).toHaveLength(1);
  });

  test('has a reach with what is held at each sport, and a drill says with which it is laid', async () => {
    const reaches = { racket: 1.4, paddle: 0.9 };
    const { id, patternId } = await add({ name: 'Ros Penmarric', reachM: 1.1, reaches });
    const path = server.club(`athletes/${id}`);
    expect((await people()).find((person) => person.id === id)).toMatchObject({ reaches });
    const built = async () =>
      ((await server.get(`${path}/drill-setup`).expect(200)).body as DrillSetupReply).built;
    const pattern = (await server.get(server.club(`patterns/${patternId}`))).body as PatternReply;
    const { id: _, version, ...body } = pattern;
    await server
      .put(server.club(`patterns/${patternId}/versions/${version + 1}`), {
        ...{ ...body, laidFor: { ...body.laidFor, reachM: 1 } },
      })
      .expect(200);
    expect(await built()).toMatchObject({ reachM: 'measured', held: 'racket' });
    await server.put(path, personOf(patternId, { name: 'Ros Penmarric', reachM: 1.1 })).expect(200);
    expect(await built()).toMatchObject({ reachM: 'measured', held: null });
    const { body: refused } = await server
      .put(path, personOf(patternId, { name: 'Ros Penmarric', reaches: { bat: 9 } }))
      .expect(400);
    expect(refused).toMatchObject({ problems: [{ field: 'reaches.bat', given: '9' }] });
  });

  test('is in the band of their age today, whatever was chosen before', async () => {
    const year = new Date().getFullYear();
    await add({ name: 'Pim Lark', ageBand: 'adult', bornOn: `${year - 10}-01-01` });
    expect((await server.lineOf('Pim Lark')).athlete.ageBand).toBe('under 11');
  });

  test('who works on another pattern begins there', async () => {
    const elsewhere = await server.lineOf('Oskar Tvedmoor');
    const { id } = await add({ name: 'Quill Fenner' });
    const before = await server.lineOf('Quill Fenner');
    await server
      .put(server.club(`athletes/${id}`), personOf(elsewhere.patternId, { name: 'Quill Fenner' }))
      .expect(200);
    const after = await server.lineOf('Quill Fenner');
    expect([before.patternId, after.patternId]).not.toContain(undefined);
    expect(after.patternName).toBe(elsewhere.patternName);
  });

  test('put away is in no list of who trains, keeps all they did, and comes back', async () => {
    const line = await server.lineOf('Wren Hallowby');
    const at = server.club(`athletes/${line.athlete.id}/archived`);
    const names = async () => (await server.squad()).map(({ athlete }) => athlete.name);
    await server.put(at, { archived: true }).expect(200);
    expect(await names()).not.toContain('Wren Hallowby');
    const standings = await server.get(server.club('standings')).expect(200);
    expect(JSON.stringify(standings.body)).not.toContain('Wren Hallowby');
    const table = await server.get(server.club('sets.csv')).expect(200);
    expect(table.text).toContain('Wren Hallowby');
    const drill = await server.get(server.club(`athletes/${line.athlete.id}/drill-setup`));
    expect([drill.status, drill.text]).toEqual([409, expect.stringContaining('put away')]);
    expect(await people()).toContainEqual(
      expect.objectContaining({ name: 'Wren Hallowby', archived: true }),
    );
    await server.put(at, { archived: false }).expect(200);
    expect((await server.lineOf('Wren Hallowby')).lastSet?.id).toBe(line.lastSet?.id);
  });

  test.each<[string, object, string]>([
    ['without a name', { name: '' }, 'name'],
    ['9 m wide', { shoulderM: 9 }, 'shoulderM'],
    ['with a goal without end', { goal: 'a'.repeat(10_000) }, 'goal'],
    ['born tomorrow', { bornOn: '2099-01-01' }, 'bornOn'],
    ['born on a day that is none', { bornOn: '2010-02-30' }, 'bornOn'],
    ['on a pattern that is not there', { patternId: v7() }, 'patternId'],
  ])('%s is refused by that field, and nobody is added', async (_, more, field) => {
    const before = (await people()).length;
    const { patternId } = await server.lineOf('Juno Marlock');
    const reply = await server.put(server.club(`athletes/${v7()}`), {
      ...personOf(patternId),
      ...more,
    });
    expect([400, 404]).toContain(reply.status);
    expect(reply.body).toMatchObject({ problems: [{ field }] });
    expect(await people()).toHaveLength(before);
  });
});

describe('a club of one’s own', () => {
  const clubs = async () => (await server.get('/api/clubs').expect(200)).body as ClubReply[];

  test('begins empty, beside the demo, and holds its first athlete alone', async () => {
    const clubId = v7();
    const at = `/api/clubs/${clubId}`;
    await server.put(at, { name: 'Harbour Lane', sport: 'badminton', unit: 'feet' }).expect(200);
    expect(await clubs()).toContainEqual({
      ...{ clubId, name: 'Harbour Lane', sport: 'badminton', unit: 'feet', faults: [] },
    });
    expect((await server.get(`${at}/squad`).expect(200)).body).toEqual([]);
    const line = await server.lineOf('Juno Marlock');
    const { body } = await server.get(server.club(`patterns/${line.patternId}`)).expect(200);
    const { id: _, version: __, ...pattern } = body as PatternBody & Record<string, unknown>;
    const patternId = v7();
    await server.put(`${at}/patterns/${patternId}/versions/1`, pattern).expect(200);
    await server.put(`${at}/athletes/${v7()}`, personOf(patternId)).expect(200);
    const squad = (await server.get(`${at}/squad`).expect(200)).body as SquadLineReply[];
    expect(squad.map(({ athlete }) => athlete.name)).toEqual(['Nell Harrowby']);
    // The demo's pattern is not this club's.
    await server.put(`${at}/athletes/${v7()}`, personOf(line.patternId)).expect(404);

    const file = await request(server.address)
      .get(`${at}/club.zip`)
      .buffer()
      .parse((reply, done) => {
        const parts: Buffer[] = [];
        reply.on('data', (part: Buffer) => parts.push(part));
        reply.on('end', () => done(null, Buffer.concat(parts)));
      });
    const people0 = await people(`${at}/athletes`);
    await request(server.address).delete(at).send({ name: 'Harbour Lane' }).expect(200);
    await request(server.address)
      .post('/api/clubs')
      .set('Content-Type', 'application/zip')
      .send(Buffer.from(zipSync(unzipSync(new Uint8Array(file.body as Buffer)))))
      .expect(200);
    expect(await clubs()).toContainEqual(expect.objectContaining({ clubId, unit: 'feet' }));
    expect(await people(`${at}/athletes`)).toEqual(people0);
  });

  test('said twice is one club, called as it was called last', async () => {
    const clubId = v7();
    await server.put(`/api/clubs/${clubId}`, { name: 'One' }).expect(200);
    await server.put(`/api/clubs/${clubId}`, { name: 'Two' }).expect(200);
    const own = (await clubs()).filter((club) => club.clubId === clubId);
    expect(own).toEqual([{ clubId, name: 'Two', sport: '', unit: 'metres', faults: [] }]);
  });
});

test('the demo club that was thrown away comes back as new, once, however often it is asked', async () => {
  await server
    .delete(`/api/clubs/${server.clubId}`)
    .send({ name: 'Tiller Lane Squash' })
    .expect(200);
  expect(await server.squad()).toEqual([]);
  const bring = () => server.post('/api/demo').expect(200);
  const [one, two] = await Promise.all([bring(), bring()]);
  expect([one.body, two.body]).toEqual([one.body, one.body]);
  expect((one.body as ClubReply).clubId).toBe(server.clubId);
  const names = (await server.squad()).map(({ athlete }) => athlete.name);
  expect(names).toHaveLength(8);
  expect(names).toContain('Juno Marlock');
}, 60_000);

test('whoever changes somebody without knowing of another change is told; nothing is laid over it', async () => {
  const { id, archived: _, changes, ...known } = await add();
  const goalNow = async () => (await people()).find((each) => each.id === id)?.goal;
  const path = server.club(`athletes/${id}`);
  const follows = { ...known, revision: changes + 1 };
  const first = { ...follows, goal: 'Home sooner, every time.' };
  expect((await server.put(path, first).expect(200)).body).toMatchObject({ changes: changes + 1 });
  // Sent again it is no change.
  expect((await server.put(path, first).expect(200)).body).toMatchObject({ changes: changes + 1 });
  const { body } = await server.put(path, { ...follows, goal: 'Quieter feet.' }).expect(409);
  expect(body).toMatchObject({ problems: [{ field: 'revision', given: String(changes + 1) }] });
  expect(await goalNow()).toBe('Home sooner, every time.');
  const theirs = { ...known, goal: 'Quieter feet.', revision: changes + 2 };
  await server.put(path, theirs).expect(200);
  // Two at once: one of them follows on nothing that is still so.
  const both = await Promise.all(
    ['One.', 'Two.'].map((goal) => server.put(path, { ...known, goal, revision: changes + 3 })),
  );
  expect(both.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 409]);
  // What is watched, or worked on, is a change as well.
  await server.put(`${path}/watched`, { watched: ['lean'] }).expect(200);
  await server.put(path, { ...known, goal: 'Three.', revision: changes + 4 }).expect(409);
});
