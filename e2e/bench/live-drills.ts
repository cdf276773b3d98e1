import { expect } from '@playwright/test';
import type { LiveNews } from '@orthokin/contract';
import { ROOM_LENGTH, ROOM_LETTERS } from '@orthokin/contract/room';
import { WebSocket } from 'ws';
import { DEMO_CLUB } from '../stories/support/club.js';
import { Served, test } from '../stories/support/served.js';
import { PASSWORD } from '../stories/support/accounts.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

const DRILLS = Number(process.env['LIVE_DRILLS'] ?? 200);
/** What a drill says in a rep: coming, cued, three events, done; and a clock question now and then. */
const EVERY_MS = 400;
const FOR_MS = 20_000;

const roomOf = (n: number): string =>
  Array.from(
    { length: ROOM_LENGTH },
    (_, place) =>
      ROOM_LETTERS[Math.floor(n / ROOM_LETTERS.length ** place) % ROOM_LETTERS.length] ?? '',
  ).join('');

/** Many halls behind one proxy: more codes than a hall has would be taken for guesses. */
const BEHIND_PROXY = { TRUST_PROXY: '1' };
const hallOf = (n: number): string => `10.0.${n >> 8}.${n & 255}`;

const join = (
  address: string,
  query: string,
  headers: Record<string, string>,
): Promise<WebSocket> =>
  new Promise((open, fail) => {
    const socket = new WebSocket(`${address.replace('http', 'ws')}/api/live?${query}`, { headers });
    socket.once('open', () => open(socket)).once('error', fail);
  });

test(`${DRILLS} live drills, from an event to the second screen`, async ({ served, request }) => {
  test.setTimeout(120_000);
  const owner = { name: 'Mara', email: 'mara@example.org', password: PASSWORD };
  await request.put(`${DEMO_CLUB}/owner`, { data: owner });
  const { cookies } = await request.storageState();
  const Cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
  const [one, other] = [
    await Served.start(served.databaseUrl, BEHIND_PROXY),
    await Served.start(served.databaseUrl, BEHIND_PROXY),
  ];
  const waits = { same: [] as number[], other: [] as number[] };
  const drills = await Promise.all(
    Array.from({ length: DRILLS }, async (_, n) => {
      const room = roomOf(n);
      const where = n % 2 === 0 ? ('same' as const) : ('other' as const);
      const drill = await join(one.address, `room=${room}&screen=drill-${room}&role=drill`, {
        'X-Forwarded-For': hallOf(n),
        Cookie,
      });
      const screen = await join(
        where === 'same' ? one.address : other.address,
        `room=${room}&screen=screen-${room}&role=cues`,
        { 'X-Forwarded-For': hallOf(n) },
      );
      screen.on('message', (data: Buffer) => {
        const news = JSON.parse(data.toString()) as LiveNews;
        if (news.event === 'told')
          waits[where].push(performance.now() - (news.body as { sentAt: number }).sentAt);
      });
      return drill;
    }),
  );
  const timers: NodeJS.Timeout[] = [];
  for (const drill of drills) {
    const say = () =>
      drill.send(
        JSON.stringify({
          event: 'tell',
          data: {
            type: 'run',
            body: { sentAt: performance.now(), state: 'cued', events: 'x'.repeat(300) },
          },
        }),
      );
    // Drills do not speak in step.
    timers.push(
      setTimeout(() => timers.push(setInterval(say, EVERY_MS)), Math.random() * EVERY_MS),
    );
  }
  const taken = watchMachine();
  await new Promise((over) => setTimeout(over, FOR_MS));
  console.log(taken());
  for (const timer of timers) clearTimeout(timer);
  await new Promise((over) => setTimeout(over, 1000));
  // What was not heard has no waits, and would look quick.
  for (const heard of [waits.same, waits.other])
    expect(heard.length).toBeGreaterThan(0.9 * (DRILLS / 2) * (FOR_MS / EVERY_MS));
  console.log(figures(`${DRILLS} drills, screen at the same server`, waits.same));
  console.log(figures(`${DRILLS} drills, screen at another server`, waits.other));
  await other.stop();
  await one.stop();
});
