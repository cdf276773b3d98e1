import express from 'express';
import request from 'supertest';
import { pagePolicy } from '../src/platform/http/page-policy.js';

/** What a page of an app may connect to, whose gateways are found so. */
async function connects(gatewaysFor: () => Promise<readonly string[]>, path = '/floor') {
  const app = express();
  app.use(...pagePolicy(gatewaysFor));
  app.use((_request, response) => void response.send('a page'));
  const { headers } = await request(app).get(path).set('Accept', 'text/html').expect(200);
  return /connect-src ([^;]*)/.exec(headers['content-security-policy'] ?? '')?.[1]?.trim();
}

const OWN = "'self' ws://127.0.0.1:* ws://localhost:*";

test('a page connects to the gateways of whoever opens it; what is no page asks for none', async () => {
  const asked = jest.fn(() => Promise.resolve(['ws://192.168.1.20:4320', 'wss://gate.local']));
  expect(await connects(asked)).toBe(`${OWN} ws://192.168.1.20:4320 wss://gate.local`);
  expect(await connects(asked, '/api/clubs')).toBe(OWN);
  expect(await connects(asked, '/assets/a.js')).toBe(OWN);
  expect(asked).toHaveBeenCalledTimes(1);
});

test.each([
  ['refuses', () => Promise.reject(new Error('away'))],
  ['does not answer', () => new Promise<never>(() => undefined)],
])('with a database that %s it opens without them', async (_, gatewaysFor) => {
  expect(await connects(gatewaysFor)).toBe(OWN);
});
