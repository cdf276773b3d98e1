import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { UnderWay } from '../src/platform/http/under-way.js';
import { startHere } from './support/here.js';

const begin = (underWay: UnderWay): EventEmitter => {
  const response = new EventEmitter();
  let passed = false;
  underWay.middleware({} as Request, response as unknown as Response, () => (passed = true));
  expect(passed).toBe(true);
  return response;
};

test('a server that is told to stop waits for what it is answering', async () => {
  const underWay = new UnderWay();
  const [one, two] = [begin(underWay), begin(underWay)];
  let isOver = false;
  const finished = underWay.finish(0).then(() => (isOver = true));
  expect(underWay.isStopping).toBe(true);
  one.emit('close');
  await new Promise((done) => setTimeout(done, 150));
  expect(isOver).toBe(false);
  two.emit('close');
  await finished;
});

test('with nothing under way it waits until whatever stands in front has noticed', async () => {
  const began = performance.now();
  await new UnderWay().finish(200);
  expect(performance.now() - began).toBeGreaterThanOrEqual(190);
});

test('meanwhile it says that it is not well, and answers all the same', async () => {
  const { server, app } = await startHere();
  try {
    await server.get('/api/health').expect(200);
    await app.get(UnderWay).finish(0);
    await server.get('/api/health').expect(503);
    await server.get(server.club('squad')).expect(200);
  } finally {
    await server.stop();
  }
}, 60_000);
