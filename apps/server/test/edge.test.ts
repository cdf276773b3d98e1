import type { IncomingMessage } from 'node:http';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ConnectionException, DeadlockException } from '@mikro-orm/core';
import {
  BadRequestException,
  NotFoundException,
  type ArgumentsHost,
  type HttpException,
} from '@nestjs/common';
import type { RefusalReply } from '@orthokin/contract';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { refuseAhead, refuseOtherDay } from '../src/domains/ahead.js';
import { Addresses } from '../src/platform/http/addresses.js';
import { counted, TooMuch } from '../src/platform/http/counted.js';
import { RefusalFilter } from '../src/platform/http/refusal.filter.js';
import { refuseProblems } from '../src/platform/http/refusals.js';
import { requestId } from '../src/platform/http/request-id.js';
import { readSettings } from '../src/platform/settings.js';
import { Unpacked, Unreadable } from '../src/transfer/work/unpack.js';

describe('the names a server answers to', () => {
  const loopback = new Addresses({ host: '127.0.0.1' });
  const lan = new Addresses({ host: '0.0.0.0' });
  const behind = new Addresses({ host: '127.0.0.1', publicAddress: 'https://orthokin.example' });

  test.each(['localhost', 'localhost:4310', '127.0.0.1:4310', '[::1]:80'])(
    '%s is its own',
    (host) => {
      expect(loopback.isOwnHost(host)).toBe(true);
    },
  );

  test.each([
    undefined,
    '',
    'evil.example',
    '127.0.0.1.evil.example',
    'localhost.evil.example:80',
    'a b',
  ])('%s is not', (host) => expect(loopback.isOwnHost(host)).toBe(false));

  test('on a network it answers to this machine’s addresses, and to no other', () => {
    const own = Object.values(networkInterfaces())
      .flatMap((each) => each ?? [])
      .filter(({ family }) => family === 'IPv4');
    for (const { address } of own) expect(lan.isOwnHost(`${address}:4310`)).toBe(true);
    expect(lan.isOwnHost('192.0.2.77')).toBe(false);
    expect(loopback.isOwnHost('192.0.2.77')).toBe(false);
  });

  test('who asks is told by as many proxies as are trusted, and by nobody else', () => {
    const request = {
      headers: { 'x-forwarded-for': '198.51.100.9, 203.0.113.7' },
      socket: { remoteAddress: '127.0.0.1' },
    } as unknown as IncomingMessage;
    const by = (trustedProxies: number) =>
      new Addresses({ host: '127.0.0.1', trustedProxies }).askedFrom(request);
    expect([by(0), by(1), by(2)]).toEqual(['127.0.0.1', '203.0.113.7', '198.51.100.9']);
  });

  test('behind a proxy it answers to that name too, and to its pages', () => {
    expect(behind.isOwnHost('orthokin.example')).toBe(true);
    expect(behind.isOwnOrigin('https://orthokin.example', '127.0.0.1:4310')).toBe(true);
    expect(behind.isOwnOrigin('http://orthokin.example', '127.0.0.1:4310')).toBe(false);
  });

  test.each([
    [undefined, 'localhost:1', true],
    ['http://localhost:1', 'localhost:1', true],
    ['http://localhost:2', 'localhost:1', false],
    ['null', 'localhost:1', false],
    ['http://evil.example', 'localhost:1', false],
  ])('a page of %s asking %s: %s', (origin, host, isOwn) => {
    expect(loopback.isOwnOrigin(origin, host)).toBe(isOwn);
  });

  test('whatever is said as a name never throws', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (host, origin) => {
        expect(typeof loopback.isOwnHost(host)).toBe('boolean');
        expect(typeof loopback.isOwnOrigin(origin, host)).toBe('boolean');
      }),
    );
  });
});

describe('a refusal', () => {
  /** What is answered to an error, and with which headers. */
  function answerTo(error: unknown): { reply: RefusalReply; headers: Record<string, string> } {
    const headers: Record<string, string> = {};
    const replies: RefusalReply[] = [];
    const response = {
      headersSent: false,
      setHeader: (name: string, value: string) => (headers[name] = value),
      status: () => response,
      json: (body: RefusalReply) => replies.push(body),
    };
    const host = { switchToHttp: () => ({ getResponse: () => response }) };
    new RefusalFilter().catch(error, host as unknown as ArgumentsHost);
    const [reply] = replies;
    if (!reply) throw new Error('Nothing was answered.');
    return { reply, headers };
  }
  const asDriver = (of: new (error: Error) => Error, code: string, detail = '') =>
    new of(Object.assign(new Error('insert into athlete values (Mara)'), { code, detail }));

  test.each<[string, HttpException, number, string]>([
    [
      'names the field',
      refuseProblems([{ field: 'rung', given: '9', allowed: '1 to 3' }]),
      400,
      'rung',
    ],
    ['of an unknown address', new NotFoundException(), 404, 'address'],
    ['of a body that is no JSON', new BadRequestException('Unexpected token'), 400, 'body'],
  ])('%s', (_, error, status, field) => {
    const { reply } = answerTo(error);
    expect(reply).toMatchObject({ statusCode: status, problems: [{ field }] });
  });

  test.each([
    ['entity.too.large', 413, { limit: 4096 }, 'at most 4096 bytes'],
    ['entity.parse.failed', 400, {}, 'JSON'],
    ['charset.unsupported', 415, {}, 'UTF-8'],
  ])('of %s says what is allowed', (type, status, more, allowed) => {
    const { reply } = answerTo(Object.assign(new Error('no'), { status, type, ...more }));
    expect(reply).toMatchObject({ statusCode: status, problems: [{ field: 'body', allowed }] });
  });

  test.each([
    ['is away', asDriver(ConnectionException, '08006')],
    ['refuses connections', Object.assign(new Error('connect'), { code: 'ECONNREFUSED' })],
    ['is starting', Object.assign(new Error('starting up'), { code: '57P03' })],
    ['has no room', Object.assign(new Error('disk'), { code: '53100' })],
    ['stood in its own way', asDriver(DeadlockException, '40P01')],
  ])('while the database %s says to come again', (_, error) => {
    const { reply, headers } = answerTo(error);
    expect(reply.statusCode).toBe(503);
    expect(headers['Retry-After']).toBe('2');
  });

  test('of an error of ours says nothing of the inside', () => {
    const { reply } = answerTo(new TypeError('secret of Mara'));
    expect(reply).toEqual({
      ...{ statusCode: 500, problems: [], message: 'Something went wrong here; try again.' },
    });
    expect(answerTo('not an error').reply.statusCode).toBe(500);
    expect(answerTo(null).reply.statusCode).toBe(500);
  });

  test('of many problems says the first twenty, and how many more', () => {
    const many = Array.from({ length: 50 }, (_, i) => ({
      field: `f${i}`,
      given: 'x',
      allowed: 'y',
    }));
    const { reply } = answerTo(refuseProblems(many));
    expect(reply.problems).toHaveLength(20);
    expect(reply.message).toMatch(/And 30 more\.$/);
  });
});

describe('the id of a request', () => {
  const idOf = (given?: string) => {
    const set: string[] = [];
    const response = { setHeader: (_: string, value: string) => set.push(value) };
    const id = requestId(
      { headers: given === undefined ? {} : { 'x-request-id': given } } as never,
      response as never,
    );
    expect(set).toEqual([id]);
    return id;
  };

  test('is the proxy’s where it gave one that can be written', () => {
    expect(idOf('from-a-proxy-7')).toBe('from-a-proxy-7');
  });

  test.each([
    undefined,
    '',
    'short',
    'with spaces in it',
    'x'.repeat(200),
    '<script>alert</script>',
  ])('is made here instead of %s', (given) => expect(idOf(given)).toMatch(/^[0-9a-f-]{36}$/));
});

describe('settings', () => {
  const url = { DATABASE_URL: 'postgresql://a:b@127.0.0.1/c' };

  test('are usual where nothing is said', () => {
    expect(readSettings(url)).toEqual({
      ...{ databaseUrl: url.DATABASE_URL, servingUrl: url.DATABASE_URL, host: '127.0.0.1' },
      ...{ standbyUrl: null, port: 4310, demo: 'none', publicAddress: null, trustedProxies: 0 },
      ...{ sessionSecret: null, outbox: null, gateways: [], tryRoles: true, tls: null },
      readyThreads: 1,
    });
  });

  test.each([
    [{}, /DATABASE_URL/],
    [{ ...url, PORT: 'x' }, /^PORT: given x/],
    [{ ...url, PORT: '70000' }, /^PORT/],
    [{ ...url, DEMO: 'sometimes' }, /^DEMO: given sometimes/],
    [{ ...url, SERVING_DATABASE_URL: 'x' }, /^SERVING_DATABASE_URL/],
    [{ ...url, STANDBY_DATABASE_URL: 'x' }, /^STANDBY_DATABASE_URL/],
    [{ ...url, DEMO_SIGN_IN: 'maybe' }, /^DEMO_SIGN_IN: given maybe, allowed on or off/],
    [{ ...url, DEMO_SIGN_IN: 'on', HOST: '0.0.0.0' }, /^DEMO_SIGN_IN: given on, allowed off/],
    [{ ...url, GATEWAYS: 'ws://ok:1 http://x' }, /^GATEWAYS: given http:\/\/x/],
    [{ ...url, TLS_CERT: 'server.pem' }, /^TLS_CERT, TLS_KEY and TLS_CA/],
    [{ ...url, PRIVATE_KEYS: 'a:12' }, /^PRIVATE_KEYS: allowed keys like/],
    [{ ...url, READY_THREADS: '9' }, /^READY_THREADS: given 9, allowed .*0 to 2/],
    [{ ...url, TRUST_PROXY: 'all' }, /^TRUST_PROXY: given all/],
    [{ ...url, PUBLIC_ADDRESS: 'orthokin' }, /^PUBLIC_ADDRESS: given orthokin/],
  ])('%j is refused by name', (env, words) => {
    expect(() => readSettings(env)).toThrow(words);
  });
});

describe('moments', () => {
  const ahead = (ms: number) => new Date(Date.now() + ms).toISOString();
  const DAY_MS = 24 * 60 * 60 * 1000;

  test.each([-400 * DAY_MS, 0, DAY_MS])(
    'that have come, or are a zone away (%d ms), are taken',
    (ms) => {
      expect(() => refuseAhead('startedAt', ahead(ms))).not.toThrow();
    },
  );

  test.each([2 * DAY_MS, 8000 * DAY_MS])('%d ms ahead are refused by name', (ms) => {
    expect(() => refuseAhead('startedAt', ahead(ms))).toThrow(/startedAt: given/);
  });

  test.each([
    ['2026-03-01', '2026-03-01T23:30:00Z', true],
    ['2026-03-02', '2026-03-01T23:30:00Z', true],
    ['2026-02-28', '2026-03-01T00:30:00Z', true],
    ['2026-03-05', '2026-03-01T10:00:00Z', false],
    ['2027-03-01', '2026-03-01T10:00:00Z', false],
  ])('the day %s of %s: %s', (day, moment, isTaken) => {
    const refuse = () => refuseOtherDay('day', day, moment);
    if (isTaken) expect(refuse).not.toThrow();
    else expect(refuse).toThrow(/^day: given|day/);
  });
});

describe('bytes', () => {
  const through = async (sizes: readonly number[], most: number) => {
    let came = 0;
    const end = new Writable({
      write(chunk: Buffer, _, done) {
        came += chunk.length;
        done();
      },
    });
    await pipeline(Readable.from(sizes.map((n) => Buffer.alloc(n))), counted(most), end);
    return came;
  };

  test('go through up to the bound, however they come', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 1, max: 500 }), { maxLength: 20 }),
        async (sizes) => {
          const all = sizes.reduce((sum, n) => sum + n, 0);
          expect(await through(sizes, all)).toBe(all);
          if (all > 0) await expect(through(sizes, all - 1)).rejects.toBeInstanceOf(TooMuch);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a zip', () => {
  let folder = '';
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'orthokin-zip-'));
  });
  afterAll(() => rm(folder, { recursive: true }));
  let made = 0;
  const opened = async (bytes: Uint8Array) => {
    const path = join(folder, String(made++));
    await pipeline(Readable.from([Buffer.from(bytes)]), createWriteStream(path));
    return Unpacked.open(path);
  };
  const linesIn = async (zip: Unpacked, name: string) => {
    const lines: string[] = [];
    for await (const some of zip.lines(name)) lines.push(...some);
    return lines;
  };

  test('is read line by line, over the edges of what comes at once', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.string({ minLength: 1, unit: 'binary' }).filter((line) => !/\n/.test(line)),
          {
            maxLength: 30,
          },
        ),
        async (lines) => {
          const zip = await opened(zipSync({ 'a.jsonl': strToU8(lines.join('\n')) }));
          expect(await linesIn(zip, 'a.jsonl')).toEqual(lines);
          zip.close();
        },
      ),
      { numRuns: 25 },
    );
    const long = 'ä'.repeat(300_000);
    const zip = await opened(zipSync({ 'a.jsonl': strToU8(`${long}\n${long}\n`) }));
    expect(await linesIn(zip, 'a.jsonl')).toEqual([long, long]);
  });

  test('tells what is in it, and what is not', async () => {
    const zip = await opened(zipSync({ 'a.jsonl': strToU8('1') }));
    expect([zip.has('a.jsonl'), zip.has('b.jsonl')]).toEqual([true, false]);
    await expect(linesIn(zip, 'b.jsonl')).rejects.toMatchObject({
      problems: [{ field: 'file', given: 'no b.jsonl' }],
    });
  });

  test('with too much text in it is refused while it is unpacked', async () => {
    const zip = await opened(zipSync({ 'a.json': strToU8('x'.repeat(100_000)) }));
    await expect(zip.text('a.json', 1000)).rejects.toBeInstanceOf(Unreadable);
    expect(await zip.text('a.json', 100_000)).toHaveLength(100_000);
  });

  test('with two hundred files in it is none of a club', async () => {
    const files = Object.fromEntries(
      Array.from({ length: 200 }, (_, i) => [`f${i}`, strToU8('x')]),
    );
    await expect(opened(zipSync(files))).rejects.toBeInstanceOf(Unreadable);
  });

  test.each([strToU8('no zip'), new Uint8Array(0), new Uint8Array(100)])(
    'that is none is refused',
    async (bytes) => {
      await expect(opened(bytes)).rejects.toMatchObject({ problems: [{ field: 'file' }] });
    },
  );
});
