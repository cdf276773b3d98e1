import type { AthleteLoadReply, HomePracticeBody, HomePracticeReply } from '@orthokin/contract';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';

let server: TestServer;
let athleteId: string;
beforeAll(async () => {
  server = await TestServer.start();
  athleteId = (await server.lineOf('Juno Marlock')).athlete.id;
}, 60_000);
afterAll(() => server.stop());

const practice = (change: Partial<HomePracticeBody> = {}): HomePracticeBody => ({
  ...{ athleteId, day: '2026-03-05', minutes: 15, effort: 4, text: 'Left is slow.' },
  ...{ writtenAt: '2026-03-05T19:00:00.000Z', removed: false },
  ...change,
});
const write = (id: string, change: Partial<HomePracticeBody> = {}) =>
  server.put(server.club(`home-practice/${id}`), practice(change));
const all = async () =>
  (await server.get(server.club('home-practice')).expect(200)).body as HomePracticeReply[];

test('what was practised is kept as it was said last, taken back, and put back', async () => {
  const id = v7();
  // A phone that is not sure its first try arrived tries again.
  await Promise.all([write(id).expect(200), write(id).expect(200)]);
  expect((await all()).filter((one) => one.id === id)).toEqual([{ id, ...practice() }]);
  await write(id, { removed: true }).expect(200);
  expect((await all()).some((one) => one.id === id)).toBe(false);
  await write(id, { minutes: 20 }).expect(200);
  expect((await all()).find((one) => one.id === id)?.minutes).toBe(20);
});

test('what somebody asked themselves stays with it, in the club’s file too', async () => {
  const id = v7();
  const checks = [
    { ask: 'Load: weight inside the foot', holds: true },
    { ask: 'Stance: heels light', holds: false },
  ];
  await write(id, { checks }).expect(200);
  expect((await all()).find((one) => one.id === id)?.checks).toEqual(checks);
  const file = await server.get(server.club(`athletes/${athleteId}/everything.json`)).expect(200);
  expect(file.text).toContain('heels light');
  // Written again without, it has none.
  await write(id).expect(200);
  expect((await all()).find((one) => one.id === id)?.checks).toBeUndefined();
  const many = Array.from({ length: 41 }, () => checks[0] ?? { ask: 'x', holds: true });
  expect((await write(v7(), { checks: many }).expect(400)).text).toContain('checks');
  const long = [{ ask: 'x'.repeat(161), holds: true }];
  expect((await write(v7(), { checks: long }).expect(400)).text).toContain('checks[0].ask');
});

test('what cannot be is refused by its field', async () => {
  const refused = async (change: Partial<HomePracticeBody>, field: string) => {
    const { text } = await write(v7(), change).expect(400);
    expect(text).toContain(field);
  };
  await refused({ minutes: 0 }, 'minutes');
  await refused({ effort: 11 }, 'effort');
  await refused({ day: '2099-01-01' }, 'day');
  await write(v7(), { athleteId: v7() }).expect(404);
});

test('it counts in the week’s load like a session; what was taken back does not', async () => {
  const loadOn = async (day: string) => {
    const { body } = await server.get(server.club(`loads?day=${day}`)).expect(200);
    const own = (body as AthleteLoadReply[]).find((one) => one.athleteId === athleteId);
    return own?.weeks.at(-1);
  };
  const day = '2025-06-04';
  const [kept, gone] = [v7(), v7()];
  await write(kept, { day, minutes: 30, effort: 5 }).expect(200);
  await write(gone, { day, minutes: 60, effort: 9 }).expect(200);
  await write(gone, { day, minutes: 60, effort: 9, removed: true }).expect(200);
  expect(await loadOn(day)).toMatchObject({ monday: '2025-06-02', minutes: 30, effort: 150 });
});
