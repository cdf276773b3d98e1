import 'fake-indexeddb/auto';
import { webcrypto } from 'node:crypto';
import { openDB } from 'idb';
import {
  forgetReplies,
  keepFor,
  keepReply,
  keptReply,
  keptSummary,
} from '../src/device/kept-replies.js';

const page = globalThis as unknown as Record<string, unknown>;
beforeAll(() => {
  page['window'] = { isSecureContext: true };
  page['crypto'] ??= webcrypto;
});
beforeEach(() => forgetReplies());

const SQUAD = [{ athlete: { name: 'Juno Marlock', note: 'Ankle, week three' } }];

test('what is put aside is read back as it was, with when it was read', async () => {
  await keepFor('mara');
  await keepReply('clubs/c/squad', SQUAD, 1000);
  await keepReply('clubs/c/people', [], 5000);
  expect(await keptReply('clubs/c/squad')).toEqual({ reply: SQUAD, at: 1000 });
  expect(await keptReply('clubs/c/plans')).toBeNull();
  expect(await keptSummary()).toMatchObject({ replies: 2, oldest: 1000, newest: 5000 });
  await keepReply('clubs/c/squad', [], 9000);
  expect(await keptReply('clubs/c/squad')).toEqual({ reply: [], at: 9000 });
});

test('nothing is put aside before it is known whose it is', async () => {
  await keepReply('clubs/c/squad', SQUAD);
  expect(await keptReply('clubs/c/squad')).toBeNull();
});

test('it tells nothing to whoever reads the disk, and its key is not given out', async () => {
  await keepFor('mara');
  await keepReply('clubs/c/squad', SQUAD);
  const db = await openDB('orthokin-kept');
  const [row] = (await db.getAll('replies')) as { sealed: ArrayBuffer }[];
  const { key } = (await db.get('owner', 'owner')) as { key: CryptoKey };
  db.close();
  expect(Buffer.from(row?.sealed ?? new ArrayBuffer(0)).toString('latin1')).not.toContain('Juno');
  expect(key.extractable).toBe(false);
});

test('whoever comes next finds nothing of the one before; the same one finds all of it', async () => {
  await keepFor('mara');
  await keepReply('clubs/c/squad', SQUAD);
  await keepFor('mara');
  expect((await keptReply('clubs/c/squad'))?.reply).toEqual(SQUAD);
  await keepFor('rowan');
  expect(await keptReply('clubs/c/squad')).toBeNull();
  await keepFor('mara');
  expect(await keptReply('clubs/c/squad')).toBeNull();
  expect(await keptSummary()).toMatchObject({ replies: 0, newest: null });
});

test('a page that is not secure keeps nothing, and misses nothing', async () => {
  page['window'] = { isSecureContext: false };
  await keepFor('mara');
  await keepReply('clubs/c/squad', SQUAD);
  expect(await keptReply('clubs/c/squad')).toBeNull();
  page['window'] = { isSecureContext: true };
});
