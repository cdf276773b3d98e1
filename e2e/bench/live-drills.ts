import type { LiveNews } from '@orthokin/contract';
import { ROOM_LENGTH, ROOM_LETTERS } from '@orthokin/contract/room';
import { WebSocket } from 'ws';
import { Served, test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

const DRILLS = 200;
/** What a drill says in a rep: coming, cued, three events, done; and a clock question now and then. */
const EVERY_MS = 400;
const FOR_MS = 20_000;

const roomOf = (n: number): string =>
  Array.from(
    { length: ROOM_LENGTH },
    (_, place) =>
      ROOM_LETTERS[Math.floor(n / ROOM_LETTERS.length ** place) % ROOM_LETTERS.length] ?? '',
  ).join('');

const join = (address: string, query: string): Promise<WebSocket> =>
  new Promise((open, fail) => {
    const socket = new WebSocket(`${address.replace('http', 'ws')}/api/live?${query}`);
    socket.once('open', () => open(socket)).once('error', fail);
  });

test(`${DRILLS} live drills, from an event to the second screen`, async ({ served }) => {
  test.setTimeout(120_000);
  const other = await Served.start(served.databaseUrl);
  const waits = { same: [] as number[], other: [] as number[] };
  const drills = await Promise.all(
    Array.from({ length: DRILLS }, async (_, n) => {
      const room = roomOf(n);
      const where = n % 2 === 0 ? ('same' as const) : ('other' as const);
      const screen = await join(
        where === 'same' ? served.address : other.address,
        `room=${room}&screen=screen-${room}&role=cues`,
      );
      screen.on('message', (data: Buffer) => {
        const news = JSON.parse(data.toString()) as LiveNews;
        if (news.event === 'told')
          waits[where].push(performance.now() - (news.body as { sentAt: number }).sentAt);
      });
      return join(served.address, `room=${room}&screen=drill-${room}&role=drill`);
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
  console.log(figures(`${DRILLS} drills, screen at the same process`, waits.same));
  console.log(figures(`${DRILLS} drills, screen at another process`, waits.other));
  await other.stop();
});
