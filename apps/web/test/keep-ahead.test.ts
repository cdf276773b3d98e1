import 'fake-indexeddb/auto';
import { webcrypto } from 'node:crypto';
import type { Role } from '@orthokin/core/people';
import { isKeptAhead, keepAhead } from '../src/api/keep-ahead.js';
import { forgetReplies, keepFor, keptReply } from '../src/device/kept-replies.js';

const page = globalThis as unknown as Record<string, unknown>;
beforeAll(() => {
  page['window'] = { isSecureContext: true };
  page['crypto'] ??= webcrypto;
});

const lineOf = (id: string, rung = 1) => ({
  athlete: { id },
  patternId: 'star',
  rung,
  lastSet: { id: `set-of-${id}` },
});

let squad = [lineOf('ada'), lineOf('bo')];
let patterns = [{ id: 'star', version: 1 }];
let asked: string[] = [];
let answers: (path: string) => unknown;

beforeEach(async () => {
  await forgetReplies();
  await keepFor('nobody');
  [squad, patterns, asked] = [[lineOf('ada'), lineOf('bo')], [{ id: 'star', version: 1 }], []];
  answers = () => [];
  page['fetch'] = (url: string) => {
    const path = url.replace('/api/', '').replace('clubs/c/', '');
    asked.push(path);
    const reply = { me: {}, squad, patterns }[path] ?? answers(path);
    return reply instanceof Error
      ? Promise.reject(reply)
      : Promise.resolve(reply instanceof Response ? reply : new Response(JSON.stringify(reply)));
  };
});

const read = async (role: Role = 'coach'): Promise<{ whole: boolean; paths: string[] }> => {
  asked = [];
  const whole = await keepAhead('c', role, new AbortController().signal);
  return { whole, paths: [...asked] };
};
const of = (paths: readonly string[], id: string) => paths.filter((path) => path.includes(id));

test('at first all that pages show is read, and put aside', async () => {
  const { whole, paths } = await read();
  expect(whole).toBe(true);
  for (const path of ['plans', 'groups', 'programmes', 'patterns/star', 'sets/set-of-ada'])
    expect(paths).toContain(path);
  expect(of(paths, 'ada').length).toBeGreaterThanOrEqual(4);
  expect(await isKeptAhead('c')).toBe(true);
  expect(await keptReply('clubs/c/plans')).toMatchObject({ reply: [] });
});

test('later only what has changed: of athletes by their line, of patterns by their version', async () => {
  await read();
  expect((await read()).paths.filter((path) => /ada|bo|star/.test(path))).toEqual([]);
  squad = [lineOf('ada', 2), lineOf('bo')];
  const moved = (await read()).paths;
  expect(of(moved, 'ada').length).toBeGreaterThanOrEqual(4);
  expect(of(moved, 'bo')).toEqual([]);
  // The ladder of the pattern they work on shows where they stand.
  expect(moved).toContain('patterns/star/ladder');
  expect(moved).not.toContain('patterns/star');
  patterns = [{ id: 'star', version: 2 }];
  expect((await read()).paths).toContain('patterns/star');
});

test('somebody new is read whole', async () => {
  await read();
  squad = [...squad, lineOf('cy')];
  const { paths } = await read();
  expect(of(paths, 'cy').length).toBeGreaterThanOrEqual(4);
  expect(of(paths, 'bo')).toEqual([]);
});

test('what comes to no end is read anew as a whole, and does not count as kept', async () => {
  answers = (path) => (path.includes('bo') ? new Error('gone') : []);
  expect((await read()).whole).toBe(false);
  expect(await isKeptAhead('c')).toBe(false);
  answers = () => [];
  const { whole, paths } = await read();
  expect(whole).toBe(true);
  expect(of(paths, 'ada').length).toBeGreaterThanOrEqual(4);
});

test('what is refused is an answer: it is refused again, and holds nothing up', async () => {
  answers = (path) =>
    path.includes('bo') ? new Response('{"message":"Not yours."}', { status: 403 }) : [];
  expect((await read()).whole).toBe(true);
});

test('whoever may see less asks for less, and nothing after it was called off', async () => {
  const all = (await read('owner')).paths;
  await forgetReplies();
  await keepFor('nobody');
  const own = (await read('athlete')).paths;
  expect(own.length).toBeLessThan(all.length);
  expect(own.every((path) => all.includes(path))).toBe(true);
  const off = new AbortController();
  off.abort();
  asked = [];
  expect(await keepAhead('c', 'coach', off.signal)).toBe(false);
  expect(of(asked, 'plans')).toEqual([]);
});
