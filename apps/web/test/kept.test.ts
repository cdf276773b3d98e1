import 'fake-indexeddb/auto';
import { webcrypto } from 'node:crypto';
import { ROUTES } from '@orthokin/contract/routes';
import { askOrKept, isKept } from '../src/api/kept.js';
import { forgetReplies, keepFor, keepReply, keptReply } from '../src/device/kept-replies.js';
import { shownSinceNow } from '../src/device/without-network.js';

const page = globalThis as unknown as Record<string, unknown>;
beforeAll(() => {
  page['window'] = { isSecureContext: true };
  page['crypto'] ??= webcrypto;
});
beforeEach(async () => {
  await forgetReplies();
  await keepFor('nobody');
});

class Silence extends Error {}
const isSilence = (error: unknown) => error instanceof Silence;
const ask = (answer: () => Promise<unknown>) =>
  askOrKept(ROUTES.squad, 'clubs/c/squad', answer, isSilence);
const silence = () => Promise.reject(new Silence());

test('while the server answers it is what it says, and that is put aside', async () => {
  await keepReply('clubs/c/squad', ['old'], 1000);
  expect(await ask(() => Promise.resolve(['new']))).toEqual(['new']);
  expect(shownSinceNow()).toBeNull();
  while ((await keptReply('clubs/c/squad'))?.at === 1000) await Promise.resolve();
  expect((await keptReply('clubs/c/squad'))?.reply).toEqual(['new']);
});

test('while it does not, what was put aside is shown, with of when it is, until it does again', async () => {
  await keepReply('clubs/c/squad', ['old'], 1000);
  expect(await ask(silence)).toEqual(['old']);
  expect(shownSinceNow()).toBe(1000);
  expect(await ask(() => Promise.resolve(['new']))).toEqual(['new']);
  expect(shownSinceNow()).toBeNull();
});

test('where nothing was put aside silence stays silence, and a refusal is never covered up', async () => {
  await expect(ask(silence)).rejects.toThrow(Silence);
  await keepReply('clubs/c/squad', ['old'], 1000);
  const refused = new Error('not for you');
  await expect(ask(() => Promise.reject(refused))).rejects.toBe(refused);
});

test('somebody else being signed in gives up what was put aside', async () => {
  await keepReply('clubs/c/squad', ['old'], 1000);
  const me = {
    signedIn: { clubId: 'c', role: 'coach', name: 'Rowan', accountId: 'r', athleteIds: null },
  };
  await askOrKept(ROUTES.me, 'me', () => Promise.resolve(me), isSilence);
  while ((await keptReply('me')) === null) await Promise.resolve();
  expect(await keptReply('clubs/c/squad')).toBeNull();
});

test('what changes something, or is nobody’s business at the floor, is not put aside', () => {
  for (const route of [ROUTES.signIn, ROUTES.accounts, ROUTES.trail, ROUTES.recordRep])
    expect(isKept(route)).toBe(false);
  for (const route of [ROUTES.squad, ROUTES.drillSetup, ROUTES.plan])
    expect(isKept(route)).toBe(true);
});
