import type {
  AthleteCareReply,
  ClubReply,
  DrillSetupReply,
  FaultCountReply,
  PersonReply,
} from '@orthokin/contract';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const lately = async () =>
  (await server.get(server.club('faults')).expect(200)).body as FaultCountReply[];
const seen = (counts: readonly FaultCountReply[], fault: string) =>
  counts.find((one) => one.fault === fault)?.seen ?? 0;
const careOf = async (athleteId: string) =>
  (await server.get(server.club(`athletes/${athleteId}/care`)).expect(200))
    .body as AthleteCareReply;

describe('faults that were seen lately', () => {
  test('are counted for the club and for each athlete, a corrected rep as it was corrected', async () => {
    const line = await server.lineOf('Juno Marlock');
    const before = seen(await lately(), 'own 1');
    const set = setOf(line, { reactionMs: 250, recoveryMs: 900, reps: 3 });
    const [first, second] = set.reps;
    if (!first || !second) throw new Error('No reps.');
    await record(server, {
      ...set,
      reps: [first, second].map((rep) => ({
        ...rep,
        body: { ...rep.body, seenFaults: ['own 1', 'lean'] },
      })),
    });
    expect(seen(await lately(), 'own 1') - before).toBe(2);
    // Taken back: it was no fault after all.
    await server
      .put(server.club(`sets/${set.id}/reps/${v7()}`), {
        ...first.body,
        seenFaults: [],
        replaces: first.id,
        corrected: { by: 'Mara', at: new Date().toISOString() },
      })
      .expect(200);
    expect(seen(await lately(), 'own 1') - before).toBe(1);
    const { faultsLately } = await careOf(line.athlete.id);
    expect(seen(faultsLately, 'own 1')).toBe(1);
    const other = await server.lineOf('Wren Hallowby');
    expect(seen((await careOf(other.athlete.id)).faultsLately, 'own 1')).toBe(0);
    const counts = (await lately()).map((one) => one.seen);
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
  });

  test('of more than four weeks ago are not lately', async () => {
    const line = await server.lineOf('Wren Hallowby');
    const at = new Date(Date.now() - 40 * 24 * 60 * 60 * 1000);
    const set = setOf(line, { reactionMs: 250, recoveryMs: 900, reps: 1, at });
    await record(server, {
      ...set,
      reps: set.reps.map((rep) => ({ ...rep, body: { ...rep.body, seenFaults: ['own 6'] } })),
    });
    expect(seen((await careOf(line.athlete.id)).faultsLately, 'own 6')).toBe(0);
  });
});

describe('what is watched', () => {
  const watch = (athleteId: string, watched: readonly string[]) =>
    server.put(server.club(`athletes/${athleteId}/watched`), { watched });

  test('is the athlete’s, is what the floor begins with, and is kept when they are changed', async () => {
    const { athlete } = await server.lineOf('Oskar Tvedmoor');
    await watch(athlete.id, ['lean', 'own 2']).expect(200);
    const { body } = await server
      .get(server.club(`athletes/${athlete.id}/drill-setup`))
      .expect(200);
    expect((body as DrillSetupReply).watched).toEqual(['lean', 'own 2']);
    const people = (await server.get(server.club('athletes')).expect(200)).body as PersonReply[];
    const {
      id,
      archived: _,
      changes: __,
      ...person
    } = people.find((one) => one.id === athlete.id) ?? ({} as PersonReply);
    const changed = await server.put(server.club(`athletes/${id}`), { ...person, called: 'Os' });
    expect((changed.body as PersonReply).watched).toEqual(['lean', 'own 2']);
  });

  test.each([
    ['three at a time', ['lean', 'detour', 'flat feet']],
    ['one twice', ['lean', 'lean']],
    ['one that follows from the times', ['false start']],
    ['one nobody knows', ['sneezing']],
  ])('never %s', async (_, watched) => {
    const { athlete } = await server.lineOf('Oskar Tvedmoor');
    expect((await watch(athlete.id, watched).expect(400)).text).toContain('watched');
  });
});

test('a club says what its faults are called; saying something else leaves them', async () => {
  const at = `/api/clubs/${server.clubId}`;
  const own = { fault: 'own 1', name: 'late racket', say: 'Early.', mend: '' };
  const club = { name: 'Tiller Lane Squash', sport: 'squash', unit: 'metres' };
  await server.put(at, { ...club, faults: [own] }).expect(200);
  await server.put(at, club).expect(200);
  const clubs = (await server.get('/api/clubs').expect(200)).body as ClubReply[];
  expect(clubs.find(({ clubId }) => clubId === server.clubId)?.faults).toEqual([own]);
  expect((await server.put(at, { ...club, faults: [own, own] }).expect(400)).text).toContain(
    'faults',
  );
  await server
    .put(at, { ...club, faults: [{ ...own, name: 'x'.repeat(41) }] })
    .expect(400)
    .expect(({ text }) => expect(text).toContain('faults[0].name'));
});
