import 'fake-indexeddb/auto';
import { webcrypto } from 'node:crypto';
import type { AthleteBody, DrillSetupReply, PersonReply, SquadLineReply } from '@orthokin/contract';
import { firstPattern } from '@orthokin/core/progress';
import { QueryClient } from '@tanstack/react-query';
import { showAddedHere } from '../src/api/added-here.js';
import { keys } from '../src/api/keys.js';
import { forgetReplies, keepFor, keepReply, keptReply } from '../src/device/kept-replies.js';

const page = globalThis as unknown as Record<string, unknown>;
beforeAll(() => {
  page['window'] = { isSecureContext: true };
  page['crypto'] ??= webcrypto;
});

const star = firstPattern({ name: 'Star', sport: 'squash', court: 'squash', hand: 'right' });
const pattern = { ...star, laidFor: { ...star.laidFor, reachM: 1 }, id: 'star', version: 1 };
const BO: AthleteBody = {
  ...{ name: 'Bo Lund', hand: 'right', ageBand: 'adult', colourVision: 'full' },
  ...{ patternId: 'star', heightM: 1.8, reaches: { racket: 1.35 } },
};
const CY = {
  ...{ id: 'cy', name: 'Cy Marsh', hand: 'right', ageBand: 'adult', colourVision: 'full' },
  ...{ patternId: 'star', archived: false, changes: 3 },
};
const lineOfCy = {
  ...{ athlete: { id: 'cy', name: 'Cy Marsh' }, patternId: 'star', rung: 2 },
  lastSet: { id: 'set-of-cy' },
};

let client: QueryClient;
beforeEach(async () => {
  client = new QueryClient();
  await forgetReplies();
  await keepFor('nobody');
  await keepReply('clubs/c/athletes', [CY], 1000);
  await keepReply('clubs/c/squad', [lineOfCy], 2000);
});
afterEach(() => client.clear());

const ladder = () =>
  keepReply('clubs/c/patterns/star/ladder', { pattern, settings: { rule: 'any' }, athletes: [] });
const squad = () => client.getQueryData<SquadLineReply[]>(keys.squad('c'));
const kept = async <Reply>(path: string) => (await keptReply(path))?.reply as Reply | undefined;

test('somebody new stands in the lists, with a drill ready for them', async () => {
  await ladder();
  await showAddedHere(client, 'c', 'bo', BO);
  const people = client.getQueryData<PersonReply[]>(keys.people('c'));
  expect(people?.map(({ name }) => name)).toEqual(['Bo Lund', 'Cy Marsh']);
  expect(squad()?.[0]).toMatchObject({
    ...{ athlete: { id: 'bo' }, need: 'not timed yet', rung: 1, lastSet: null },
    rungName: star.rungs[0]?.name,
  });
  const setup = await kept<DrillSetupReply>('clubs/c/athletes/bo/drill-setup');
  expect(setup).toMatchObject({
    ...{ rung: 1, athlete: { name: 'Bo Lund' }, worksOn: { id: 'star' }, usualMs: {} },
    // By what is known of them, as the server lays it.
    built: { reachM: 'measured', held: 'racket', strideM: 'from height', shoulderM: 'from height' },
  });
  expect(setup?.pattern.laidFor.reachM).toBe(1.35);
});

test('what was put aside keeps its age: a list with somebody more was not read again', async () => {
  await ladder();
  await showAddedHere(client, 'c', 'bo', BO);
  expect((await keptReply('clubs/c/athletes'))?.at).toBe(1000);
  expect((await keptReply('clubs/c/squad'))?.at).toBe(2000);
});

test('somebody who is changed keeps what they have done, and the set-up they have', async () => {
  await ladder();
  await showAddedHere(client, 'c', 'cy', { ...BO, name: 'Cyra Marsh', revision: 4 });
  expect(squad()).toHaveLength(1);
  expect(squad()?.[0]).toMatchObject({
    ...{ athlete: { id: 'cy', name: 'Cyra Marsh' }, rung: 2, lastSet: { id: 'set-of-cy' } },
  });
  expect(client.getQueryData<PersonReply[]>(keys.people('c'))).toMatchObject([
    { id: 'cy', name: 'Cyra Marsh', changes: 4 },
  ]);
  expect(await keptReply('clubs/c/athletes/cy/drill-setup')).toBeNull();
});

test('their band is that of their age today, where a date of birth is known', async () => {
  const year = new Date().getFullYear();
  await showAddedHere(client, 'c', 'bo', { ...BO, bornOn: `${year - 10}-01-01` });
  expect(client.getQueryData<PersonReply[]>(keys.people('c'))?.[0]?.ageBand).toBe('under 11');
});

test('on a pattern that this device does not have they are known, and run no drill yet', async () => {
  await showAddedHere(client, 'c', 'bo', BO);
  expect(client.getQueryData<PersonReply[]>(keys.people('c'))).toHaveLength(2);
  expect(squad()).toBeUndefined();
  expect(await keptReply('clubs/c/athletes/bo/drill-setup')).toBeNull();
});
