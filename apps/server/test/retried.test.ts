import { Controller, Get, Put, type INestApplication } from '@nestjs/common';
import { Test } from '@nestjs/testing';
import request from 'supertest';
import { Retried } from '../src/platform/http/retried.js';

let failures: object[] = [];
let calls = 0;

@Controller()
class Crossing {
  @Get('read')
  read(): Promise<string> {
    return this.work();
  }

  @Put('write')
  write(): Promise<string> {
    return this.work();
  }

  private work(): Promise<string> {
    calls++;
    const failure = failures.shift();
    return failure
      ? Promise.reject(Object.assign(new Error('from the database'), failure))
      : Promise.resolve('done');
  }
}

let app: INestApplication;
beforeAll(async () => {
  const module = await Test.createTestingModule({ controllers: [Crossing] }).compile();
  app = module.createNestApplication({ logger: false });
  app.useGlobalInterceptors(new Retried());
  await app.init();
});
afterAll(() => app.close());
beforeEach(() => {
  calls = 0;
});

const ask = (path: 'read' | 'write') => {
  const agent = request(app.getHttpServer() as Parameters<typeof request>[0]);
  return path === 'read' ? agent.get('/read') : agent.put('/write').send({ a: 1 });
};
const deadlock = { code: '40P01' };

describe('work that crossed another’s', () => {
  test.each(['read', 'write'] as const)('is done once more: %s', async (path) => {
    failures = [deadlock, { code: '40001' }];
    await ask(path).expect(200, 'done');
    expect(calls).toBe(3);
  });

  test('is given up after four times', async () => {
    failures = Array.from({ length: 9 }, () => deadlock);
    await ask('write').expect(500);
    expect(calls).toBe(4);
  });

  test.each([{ code: '23505' }, { code: 'ECONNREFUSED' }, {}])(
    'is not what %j says: that is done once',
    async (failure) => {
      failures = [failure];
      await ask('write').expect(500);
      expect(calls).toBe(1);
    },
  );

  test('is not done again where what came was read as it came', async () => {
    failures = [deadlock];
    const agent = request(app.getHttpServer() as Parameters<typeof request>[0]);
    await agent.put('/write').set('Content-Type', 'application/zip').send('bytes').expect(500);
    expect(calls).toBe(1);
  });
});
