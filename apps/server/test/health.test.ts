import { statfs } from 'node:fs/promises';
import { ServiceUnavailableException } from '@nestjs/common';
import { MikroOrmHealthIndicator, TerminusModule } from '@nestjs/terminus';
import { Test } from '@nestjs/testing';
import { HealthController } from '../src/platform/health/health.controller.js';
import { UnderWay } from '../src/platform/http/under-way.js';

jest.mock('node:fs/promises', () => ({
  ...jest.requireActual<object>('node:fs/promises'),
  statfs: jest.fn(),
}));

async function healthWith(bfree: number, bavail: number) {
  jest.mocked(statfs).mockResolvedValue({ blocks: 1000, bfree, bavail } as never);
  const module = await Test.createTestingModule({
    imports: [TerminusModule.forRoot({ logger: false })],
    controllers: [HealthController],
    providers: [UnderWay],
  })
    .overrideProvider(MikroOrmHealthIndicator)
    .useValue({ pingCheck: () => Promise.resolve({ database: { status: 'up' } }) })
    .compile();
  return module.get(HealthController).check();
}

test('a disk is full by what is left for others than its owner, and that is said', async () => {
  expect((await healthWith(100, 50)).info).toMatchObject({ disk: { status: 'up' } });
  const refused: unknown = await healthWith(40, 10).catch((error: unknown) => error);
  expect(refused).toBeInstanceOf(ServiceUnavailableException);
  expect((refused as ServiceUnavailableException).getResponse()).toMatchObject({
    error: { disk: { status: 'down', message: 'The disk is 98 % full.' } },
    info: { database: { status: 'up' } },
  });
});
