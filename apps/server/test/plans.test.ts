import type { PlanBody, PlanReply, ProgrammeBody, ProgrammeReply } from '@orthokin/contract';
import { blocksFrom, sixWeeks, usualBlock } from '@orthokin/core/plan';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const plans = async (): Promise<PlanReply[]> =>
  (await server.get(server.club('plans')).expect(200)).body as PlanReply[];
const save = (body: object, id: string) => server.put(server.club(`plans/${id}`), body);

async function thursday(change: Partial<PlanBody> = {}): Promise<PlanBody> {
  const athleteIds = (await server.squad()).map(({ athlete }) => athlete.id).slice(0, 4);
  return {
    ...{ name: 'Thursday', day: '2026-11-26', startsAt: '17:00', minutes: 60, revision: 1 },
    ...{ athleteIds, blocks: blocksFrom('squad', v7), programmeId: null },
    ...change,
  };
}

test('a plan is kept as it was made, the latest day first, and can be taken away', async () => {
  const [first, second] = [v7(), v7()];
  const body = await thursday();
  await save(body, first).expect(200);
  await save({ ...body, day: '2026-12-03' }, second).expect(200);
  expect((await plans()).map(({ id }) => id)).toEqual([second, first]);
  expect((await server.get(server.club(`plans/${first}`)).expect(200)).body).toEqual({
    id: first,
    ...body,
  });
  await server.delete(server.club(`plans/${first}`)).expect(200);
  await server.delete(server.club(`plans/${first}`)).expect(404);
  await server.get(server.club(`plans/${first}`)).expect(404);
});

test('sent twice it is one change; of two who change it at once one is told', async () => {
  const id = v7();
  const body = await thursday();
  await save(body, id).expect(200);
  await save(body, id).expect(200);
  const changes = ['Early', 'Late', 'Never', 'Often'].map((name) => ({
    ...body,
    name,
    revision: 2,
  }));
  const answers = await Promise.all(changes.map((change) => save(change, id)));
  const taken = answers.filter(({ status }) => status === 200);
  expect(taken).toHaveLength(1);
  for (const { status, text } of answers.filter((answer) => !taken.includes(answer))) {
    expect(status).toBe(409);
    expect(text).toContain('somebody else has changed this plan meanwhile');
  }
  const kept = (await plans()).find((plan) => plan.id === id);
  expect(kept).toEqual(taken[0]?.body);
  // Who was told reads it anew and changes that.
  await save({ ...body, name: 'After all', revision: 3 }, id).expect(200);
});

test('weeks are kept, begin on a Monday, and count their changes; their sessions name them', async () => {
  const id = v7();
  const { athleteIds } = await thursday();
  const body: ProgrammeBody = {
    ...{ name: 'Autumn', startsOn: '2026-11-23', athleteIds, weeks: sixWeeks(), revision: 1 },
  };
  const saveWeeks = (change: Partial<ProgrammeBody> = {}) =>
    server.put(server.club(`programmes/${id}`), { ...body, ...change });
  await saveWeeks().expect(200);
  await saveWeeks().expect(200);
  await saveWeeks({ name: 'Winter', revision: 2 }).expect(200);
  await saveWeeks({ name: 'Spring', revision: 2 }).expect(409);
  const all = (await server.get(server.club('programmes')).expect(200)).body as ProgrammeReply[];
  expect(all).toEqual([{ id, ...body, name: 'Winter', revision: 2 }]);
  for (const [change, field] of [
    [{ startsOn: '2026-11-24' }, 'startsOn'],
    [{ weeks: [] }, 'weeks'],
    [{ athleteIds: [v7()] }, 'athleteIds[0]'],
  ] as const) {
    const { text } = await saveWeeks({ ...change, revision: 3 }).expect(400);
    expect(text).toContain(field);
  }
  const planId = v7();
  await save(await thursday({ programmeId: id }), planId).expect(200);
  await server.delete(server.club(`programmes/${id}`)).expect(200);
  expect((await plans()).find((plan) => plan.id === planId)?.programmeId).toBe(id);
});

test('what is no plan is refused by the field; who is gone is left out', async () => {
  const body = await thursday();
  const refused = async (change: Partial<PlanBody>, field: string) => {
    const { text } = await save({ ...body, ...change }, v7()).expect(400);
    expect(text).toContain(field);
  };
  const block = usualBlock(v7(), 'cued drill');
  await refused({ startsAt: '25:00' }, 'startsAt');
  await refused({ minutes: 0 }, 'minutes');
  await refused({ athleteIds: [v7()] }, 'athleteIds[0]');
  await refused({ blocks: [{ ...block, workS: 1 }] }, 'blocks[0].workS');
  await refused({ blocks: [block, block] }, 'blocks');
  await refused({ blocks: [{ ...block, patternId: v7() }] }, 'blocks[0].patternId');

  const { patternId } = await server.lineOf('Juno Marlock');
  const gone = v7();
  const person = { name: 'Tove', hand: 'left', ageBand: 'adult', colourVision: 'full', patternId };
  await server.put(server.club(`athletes/${gone}`), person).expect(200);
  const id = v7();
  await save({ ...body, athleteIds: [gone, ...body.athleteIds] }, id).expect(200);
  await server.delete(server.club(`athletes/${gone}`)).expect(200);
  expect((await plans()).find((plan) => plan.id === id)?.athleteIds).toEqual(body.athleteIds);
});
