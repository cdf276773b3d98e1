import type {
  AthleteLoadReply,
  HeldSessionBody,
  HeldSessionReply,
  SessionNoteBody,
  SessionNoteReply,
  SessionSetReply,
} from '@orthokin/contract';
import { loadRises } from '@orthokin/core/plan';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';

let server: TestServer;
let athleteId: string;
beforeAll(async () => {
  server = await TestServer.start();
  athleteId = (await server.lineOf('Juno Marlock')).athlete.id;
}, 60_000);
afterAll(() => server.stop());

const held = async (): Promise<HeldSessionReply[]> =>
  (await server.get(server.club('held-sessions')).expect(200)).body as HeldSessionReply[];
const hold = (body: object, id: string) => server.put(server.club(`held-sessions/${id}`), body);
const loadsOn = async (day: string): Promise<AthleteLoadReply[]> =>
  (await server.get(server.club(`loads?day=${day}`)).expect(200)).body as AthleteLoadReply[];

const session = (change: Partial<HeldSessionBody> = {}): HeldSessionBody => ({
  ...{ planId: v7(), name: 'Thursday', day: '2026-03-05' },
  ...{ startedAt: '2026-03-05T17:00:00.000Z', endedAt: '2026-03-05T18:00:00.000Z' },
  blocks: [
    {
      ...{ blockId: v7(), kind: 'play', title: 'Play to nine' },
      ...{ startedAt: '2026-03-05T17:00:00.000Z', endedAt: '2026-03-05T18:00:00.000Z' },
    },
  ],
  attended: [{ athleteId, minutes: 60, effort: 5, scores: [] }],
  ...change,
});

test('a session that was held is kept as it was said last, and can be taken away', async () => {
  const [id, body] = [v7(), session()];
  await hold(body, id).expect(200);
  const harder = {
    ...body,
    attended: [
      {
        athleteId,
        minutes: 45,
        effort: 8,
        scores: [{ blockId: body.blocks[0]?.blockId ?? '', count: 14 }],
      },
    ],
  };
  // Both hands of a coach: whichever comes last stands, and nothing is there twice.
  await Promise.all([hold(harder, id).expect(200), hold(harder, id).expect(200)]);
  expect((await server.get(server.club(`held-sessions/${id}`)).expect(200)).body).toEqual({
    id,
    ...harder,
  });
  expect((await held()).filter((one) => one.id === id)).toHaveLength(1);
  await server.delete(server.club(`held-sessions/${id}`)).expect(200);
  await server.get(server.club(`held-sessions/${id}`)).expect(404);
});

test('what is no session is refused by the field', async () => {
  const refused = async (change: Partial<HeldSessionBody>, field: string) => {
    const { text } = await hold(session(change), v7()).expect(400);
    expect(text).toContain(field);
  };
  await refused({ attended: [{ athleteId, minutes: 60, effort: 11 }] }, 'attended[0].effort');
  await refused(
    { attended: [{ athleteId: v7(), minutes: 9, effort: 1 }] },
    'attended[0].athleteId',
  );
  await refused({ endedAt: '2026-03-05T16:00:00.000Z' }, 'endedAt');
  await refused({ day: '2026-03-09' }, 'day');
});

test('weeks: minutes times effort, and what the reps asked of the legs; before the first nothing is known', async () => {
  const person = v7();
  const { patternId } = await server.lineOf('Juno Marlock');
  const about = { name: 'Tove', hand: 'left', ageBand: 'adult', colourVision: 'full', patternId };
  await server.put(server.club(`athletes/${person}`), about).expect(200);
  const on = (day: string, minutes: number, effort: number | null) =>
    hold(
      session({
        ...{ day, startedAt: `${day}T17:00:00.000Z`, endedAt: `${day}T18:00:00.000Z`, blocks: [] },
        attended: [{ athleteId: person, minutes, effort }],
      }),
      v7(),
    ).expect(200);
  await on('2026-02-02', 60, 5);
  await on('2026-02-12', 60, null);
  await on('2026-02-17', 60, 5);
  await on('2026-02-24', 60, 5);
  await on('2026-03-02', 60, 5);
  await on('2026-03-08', 60, 5);
  const line = await server.lineOf('Tove');
  const at = new Date('2026-03-06T10:00:00Z');
  const { reps } = await record(server, setOf(line, { reactionMs: 300, recoveryMs: 900, at }));

  const weeks = (await loadsOn('2026-03-05')).find((one) => one.athleteId === person)?.weeks ?? [];
  expect(weeks.map(({ monday, effort }) => [monday, effort])).toEqual([
    ['2026-02-02', 300],
    ['2026-02-09', 0],
    ['2026-02-16', 300],
    ['2026-02-23', 300],
    ['2026-03-02', 600],
  ]);
  expect(weeks.map(({ minutes }) => minutes)).toEqual([60, 60, 60, 60, 120]);
  expect(weeks.slice(0, 4).map(({ movements }) => movements)).toEqual([null, null, null, null]);
  expect(weeks[4]?.movements?.splits).toBe(reps.length);
  expect(loadRises(weeks)).toEqual([{ figure: 'effort', now: 600, usual: 225 }]);
  const earlier = (await loadsOn('2026-02-20')).find((one) => one.athleteId === person)?.weeks;
  expect(earlier?.map(({ effort }) => effort)).toEqual([null, null, 300, 0, 300]);

  // Whoever is deleted takes along what was said of them.
  await server.delete(server.club(`athletes/${person}`)).expect(200);
  const left = (await held()).flatMap(({ attended }) => attended);
  expect(left.some((one) => one.athleteId === person)).toBe(false);
});

test('what was seen is kept, taken back and put back; it says something, of somebody there is', async () => {
  const [id, sessionId] = [v7(), v7()];
  const note: SessionNoteBody = {
    ...{ sessionId, day: '2026-03-05', athleteId, fault: 'late split', text: '' },
    ...{ writtenBy: 'Mara', writtenAt: '2026-03-05T17:20:00.000Z', removed: false },
  };
  const write = (change: Partial<SessionNoteBody> = {}) =>
    server.put(server.club(`session-notes/${id}`), { ...note, ...change });
  const all = async () =>
    (await server.get(server.club('session-notes')).expect(200)).body as SessionNoteReply[];
  await write().expect(200);
  await write().expect(200);
  expect((await all()).filter((one) => one.id === id)).toEqual([{ id, ...note }]);
  await write({ removed: true }).expect(200);
  expect((await all()).filter((one) => one.id === id)).toEqual([]);
  await write({ removed: false, athleteId: null, text: 'Loud.' }).expect(200);
  expect((await all()).find((one) => one.id === id)?.text).toBe('Loud.');
  const { text } = await write({ fault: null, text: ' ' }).expect(400);
  expect(text).toContain('text');
  await write({ athleteId: v7() }).expect(404);
});

test('the demo’s sessions hold whoever has sets of that day, with what was seen', async () => {
  const sessions = (await held()).filter(({ name }) => name.startsWith('Squad'));
  expect(sessions.length).toBeGreaterThan(10);
  for (const { attended, blocks } of sessions) {
    expect(attended.length).toBeGreaterThan(0);
    expect(blocks.map(({ kind }) => kind)).toContain('cued drill');
  }
  const [newest] = sessions;
  const { body } = await server.get(server.club(`held-sessions/${newest?.id}/sets`)).expect(200);
  const sets = body as SessionSetReply[];
  expect(new Set(sets.map((set) => set.athleteId))).toEqual(
    new Set(newest?.attended.map((one) => one.athleteId)),
  );
  expect(new Set(sets.map(({ day }) => day))).toEqual(new Set([newest?.day]));
});
