import type {
  AthleteCareReply,
  CareBody,
  DrillSetupReply,
  GroupReply,
  RestrictionBody,
  UnreadableReply,
} from '@orthokin/contract';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const AT = '2026-03-01T10:00:00.000Z';
const RESTRICTION: RestrictionBody = {
  ...{ kind: 'no turning', leg: 'left', moves: [], most: null },
  ...{ from: '2026-03-01', until: null, clinician: false, note: 'Ankle, week three.' },
};
const restricted = (athleteId: string, more: Partial<RestrictionBody> = {}): CareBody => ({
  ...{ athleteId, kind: 'restriction', by: 'Mara Quint', at: AT },
  restriction: { ...RESTRICTION, ...more },
});
const say = (body: object, id = v7()) => server.put(server.club(`care/${id}`), body);
const athleteOf = async (name: string) => (await server.lineOf(name)).athlete.id;
const careOf = async (athleteId: string) =>
  (await server.get(server.club(`athletes/${athleteId}/care`)).expect(200))
    .body as AthleteCareReply;
/** Without what the demo club comes with. */
const saidHere = async (athleteId: string) =>
  (await careOf(athleteId)).said.filter(({ at }) => at === AT);

describe('what is said of somebody’s care', () => {
  test('is kept in order, shown to the floor, and marks the squad’s line', async () => {
    const athleteId = await athleteOf('Juno Marlock');
    await say(restricted(athleteId)).expect(200);
    await say({
      ...{ athleteId, kind: 'check', by: 'Mara Quint', at: AT },
      check: { check: 'hop and stick', leg: 'left', result: 'hurts', day: '2026-03-01' },
    }).expect(200);
    const said = await saidHere(athleteId);
    expect(said.map(({ kind }) => kind)).toEqual(['restriction', 'check']);
    expect(said[0]).toMatchObject(restricted(athleteId));
    const { body } = await server.get(server.club(`athletes/${athleteId}/drill-setup`)).expect(200);
    expect((body as DrillSetupReply).care).toEqual(await careOf(athleteId));
    expect((await server.lineOf('Juno Marlock')).restricted).toBe(true);
    expect((await server.lineOf('Wren Hallowby')).restricted).toBe(false);
  });

  test('stays as it was said; it can be taken back, and put back', async () => {
    const athleteId = await athleteOf('Oskar Tvedmoor');
    const id = v7();
    const body = restricted(athleteId);
    await say(body, id).expect(200);
    await say(body, id).expect(200);
    const changed = await say(restricted(athleteId, { leg: 'right' }), id).expect(409);
    expect(changed.text).toContain('said');
    await say({ ...body, takenBack: { by: 'Dr Sand', at: AT } }, id).expect(200);
    expect(await saidHere(athleteId)).toEqual([]);
    expect((await server.lineOf('Oskar Tvedmoor')).restricted).toBe(false);
    const resent = await say(body, id).expect(200);
    expect(resent.body).toMatchObject({ takenBack: { by: 'Dr Sand' } });
    await say({ ...body, takenBack: null }, id).expect(200);
    expect(await saidHere(athleteId)).toHaveLength(1);
  });

  test('over since yesterday marks nobody', async () => {
    const athleteId = await athleteOf('Wren Hallowby');
    await say(restricted(athleteId, { until: '2026-03-20' })).expect(200);
    expect((await server.lineOf('Wren Hallowby')).restricted).toBe(false);
  });

  test.each([
    ['a leg where none is meant', { kind: 'no jumping' }, 'restriction.leg'],
    ['a number that is missing', { kind: 'splits a day', leg: null }, 'restriction.most'],
    ['a number that is too much', { most: 40 }, 'restriction.most'],
    ['an end before the beginning', { until: '2026-02-28' }, 'restriction.until'],
    ['a kind nobody knows', { kind: 'no whistling' }, 'restriction.kind'],
    ['a list that is not asked', { moves: ['run'] }, 'restriction.moves'],
    ['ten thousand characters', { note: 'x'.repeat(10_000) }, 'restriction.note'],
  ] as const)('%s is refused by its field', async (_, more, field) => {
    const athleteId = await athleteOf('Juno Marlock');
    const before = (await careOf(athleteId)).said.length;
    const { body } = await say(restricted(athleteId, more as Partial<RestrictionBody>)).expect(400);
    expect((body as { problems: { field: string }[] }).problems[0]?.field).toBe(field);
    expect((await careOf(athleteId)).said).toHaveLength(before);
  });

  test('is of one kind alone, of somebody who is here, and not of tomorrow', async () => {
    const athleteId = await athleteOf('Juno Marlock');
    const check = { check: 'side-step', leg: null, result: 'yes', day: '2026-03-01' };
    const both = await say({ ...restricted(athleteId), check }).expect(400);
    expect(both.text).toContain('check');
    expect((await say({ ...restricted(athleteId), restriction: null }).expect(400)).text).toContain(
      'restriction',
    );
    await say(restricted(v7())).expect(404);
    const ahead = await say({ ...restricted(athleteId), at: '2099-01-01T00:00:00Z' }).expect(400);
    expect(ahead.text).toContain('at:');
    const legless = { ...check, check: 'hop and stick' };
    const { text } = await say({
      ...{ athleteId, kind: 'check', by: 'Mara', at: AT, check: legless },
    }).expect(400);
    expect(text).toContain('left or right');
  });

  test('that somebody wrote past the door costs no page', async () => {
    const athleteId = await athleteOf('Juno Marlock');
    await server.run(
      `insert into care_record (club_id, id, athlete_id, kind, said, said_by, said_at)
       select club_id, '${v7()}', id, 'restriction', '{"restriction":{"kind":7}}', 'x', now()
       from athlete where id = '${athleteId}'`,
    );
    const { said } = await careOf(athleteId);
    expect(said.map(({ restriction }) => restriction?.kind)).not.toContain(7);
    expect((await server.squad()).length).toBeGreaterThan(5);
    // It is listed, and can be taken out.
    const unreadable = async () =>
      (await server.get(server.club('unreadable')).expect(200)).body as UnreadableReply[];
    const [broken] = await unreadable();
    expect(broken).toMatchObject({ kind: 'care', athlete: 'Juno Marlock', sets: 0 });
    await server.delete(server.club(`care/${broken?.id ?? ''}`)).expect(200);
    await server.delete(server.club(`care/${broken?.id ?? ''}`)).expect(404);
    expect(await unreadable()).toEqual([]);
  });
});

test('the newest day says how much was done on it', async () => {
  const line = await server.lineOf('Amara Quill');
  const set = setOf(line, { reactionMs: 250, recoveryMs: 900 });
  await record(server, set);
  const endedAt = new Date(Date.parse(set.body.startedAt) + 90_000).toISOString();
  await server.put(server.club(`sets/${set.id}/end`), { endedAt, reason: 'completed' }).expect(200);
  const { lastDay } = await careOf(line.athlete.id);
  expect(lastDay?.splits).toBe(set.reps.length);
  expect(lastDay?.minutes).toBeCloseTo(1.5);
});

describe('a squad', () => {
  const groups = async () =>
    (await server.get(server.club('groups')).expect(200)).body as GroupReply[];
  const save = (body: object, id = v7()) => server.put(server.club(`groups/${id}`), body);

  test('keeps the coach’s order, changes as a whole, and goes without its athletes', async () => {
    const [wren, juno] = [await athleteOf('Wren Hallowby'), await athleteOf('Juno Marlock')];
    const id = v7();
    await save({ name: 'Juniors', athleteIds: [wren, juno] }, id).expect(200);
    expect(await groups()).toContainEqual({ id, name: 'Juniors', athleteIds: [wren, juno] });
    await save({ name: 'Early birds', athleteIds: [juno] }, id).expect(200);
    expect(await groups()).toContainEqual({ id, name: 'Early birds', athleteIds: [juno] });
    await server.delete(server.club(`groups/${id}`)).expect(200);
    expect((await groups()).map((group) => group.id)).not.toContain(id);
    await server.delete(server.club(`groups/${id}`)).expect(404);
    expect((await server.squad()).map(({ athlete }) => athlete.id)).toContain(juno);
  });

  test('is left by whoever is deleted', async () => {
    const { patternId } = await server.lineOf('Juno Marlock');
    const gone = v7();
    const body = { ...{ hand: 'left', ageBand: 'adult', colourVision: 'full', patternId } };
    await server.put(server.club(`athletes/${gone}`), { name: 'Tove', ...body }).expect(200);
    const id = v7();
    const juno = await athleteOf('Juno Marlock');
    await save({ name: 'Two', athleteIds: [gone, juno] }, id).expect(200);
    await server.delete(server.club(`athletes/${gone}`)).expect(200);
    expect((await groups()).find((group) => group.id === id)?.athleteIds).toEqual([juno]);
    const { text } = await save({ name: 'Two', athleteIds: [juno, gone] }, id).expect(400);
    expect(text).toContain('athleteIds[1]');
  });

  test('with nobody, and without a name', async () => {
    const id = v7();
    await save({ name: 'Nobody yet', athleteIds: [] }, id).expect(200);
    expect(await groups()).toContainEqual({ id, name: 'Nobody yet', athleteIds: [] });
    expect((await save({ name: '', athleteIds: [] }).expect(400)).text).toContain('name');
  });
});
