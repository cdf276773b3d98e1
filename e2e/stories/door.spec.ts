import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect } from '@playwright/test';
import type { ClubReply } from '@orthokin/contract';
import { test, untouchedTest } from './support/served.js';

test('a page of another origin can neither read nor change a club, nor listen in', async ({
  page,
  served,
}) => {
  const elsewhere = createServer((_, reply) => {
    reply.setHeader('Content-Type', 'text/html');
    reply.end('<title>Elsewhere</title>');
  });
  await new Promise<void>((done) => elsewhere.listen(0, '127.0.0.1', done));
  const { port } = elsewhere.address() as AddressInfo;
  await page.goto(`http://127.0.0.1:${port}/`);
  const tried = await page.evaluate(async (address) => {
    const outcome = (asked: Promise<Response>) =>
      asked.then(
        ({ type }) => type,
        () => 'failed',
      );
    const socket = new WebSocket(
      `${address.replace('http', 'ws')}/api/live?room=ACDEF3&screen=from-elsewhere&role=cues`,
    );
    const closed = new Promise<number>((done) => {
      socket.onclose = ({ code }) => done(code);
    });
    return {
      read: await outcome(fetch(`${address}/api/clubs`)),
      // What needs no leave of the other side is sent; the server must refuse it itself.
      blind: await outcome(
        fetch(`${address}/api/clubs`, {
          method: 'POST',
          mode: 'no-cors',
          headers: { 'Content-Type': 'text/plain' },
          body: '{}',
        }),
      ),
      wipe: await outcome(fetch(`${address}/api/clubs/x`, { method: 'DELETE' })),
      live: await closed,
    };
  }, served.address);
  elsewhere.close();
  expect(tried).toEqual({ read: 'failed', blind: 'opaque', wipe: 'failed', live: 1008 });
  const clubs = (await (
    await page.request.get(`${served.address}/api/clubs`)
  ).json()) as ClubReply[];
  expect(clubs).toHaveLength(1);
});

untouchedTest(
  'a row that cannot be read is said, left out, and taken out',
  async ({ page, untouched }) => {
    await untouched.run(`update drill_set set conditions = '[]'
    where id = (select id from drill_set order by started_at desc limit 1)`);
    await untouched.run(
      'delete from set_figures; delete from squad_line; delete from athlete_standing',
    );
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(8);
    await page.goto('/review/data');
    const part = page.getByRole('region', { name: 'What cannot be read' });
    await expect(part.getByRole('listitem')).toHaveCount(1);
    await part.getByRole('button', { name: 'Take it out' }).click();
    await part.getByRole('button', { name: 'Take it out for good' }).click();
    await expect(part).toHaveCount(0);
  },
);
