import { parseArgs } from 'node:util';
import type { ClubReply, SquadLineReply } from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';

const HELP = `How fast a running server answers for its pages.

  npm run bench:pages -- ADDRESS…      such as http://127.0.0.1:4310; several are measured in turn

  --seconds N   of each measurement (default 3)
  --clients N   asking at once, beside one alone (default 20)
  --people N    instead: people of all clubs there are, each with a page every 1 to 3 s
  --cookie C    of a session, to ask as whoever is signed in`;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    seconds: { type: 'string', default: '3' },
    clients: { type: 'string', default: '20' },
    people: { type: 'string' },
    cookie: { type: 'string' },
    help: { type: 'boolean', default: false },
  },
});

/** Every request, as somebody where there is somebody. */
const asked: RequestInit = values.cookie ? { headers: { Cookie: values.cookie } } : {};

async function json<Reply>(address: string, path: string): Promise<Reply> {
  const response = await fetch(`${address}/api/${path}`, asked);
  if (!response.ok) throw new Error(`${path}: ${response.status}`);
  return (await response.json()) as Reply;
}

interface Measured {
  readonly medianMs: number;
  readonly p95Ms: number;
  readonly perSecond: number;
}

/** Clients that each ask again as soon as they have been answered. */
async function measure(url: string, clients: number, seconds: number): Promise<Measured> {
  const taken: number[] = [];
  const until = performance.now() + 1000 * seconds;
  await Promise.all(
    Array.from({ length: clients }, async () => {
      while (performance.now() < until) {
        const began = performance.now();
        const response = await fetch(url, asked);
        await response.arrayBuffer();
        if (!response.ok) throw new Error(`${url}: ${response.status}`);
        taken.push(performance.now() - began);
      }
    }),
  );
  return summed(taken, seconds);
}

function summed(taken: number[], seconds: number): Measured {
  taken.sort((a, b) => a - b);
  const at = (share: number) => taken[Math.floor(share * (taken.length - 1))] ?? NaN;
  return { medianMs: at(0.5), p95Ms: at(0.95), perSecond: taken.length / seconds };
}

const REST_MS = [1000, 3000] as const;

/** People who look at a page, rest, and look at another, each of one of the clubs. */
async function measurePeople(
  address: string,
  pagesOfClubs: readonly Readonly<Record<string, string>>[],
  people: number,
  seconds: number,
): Promise<Map<string, Measured>> {
  const taken = new Map<string, number[]>();
  const until = performance.now() + 1000 * seconds;
  const [least, most] = REST_MS;
  const rest = () => new Promise((on) => setTimeout(on, least + Math.random() * (most - least)));
  await Promise.all(
    Array.from({ length: people }, async (_, person) => {
      const pages = Object.entries(pagesOfClubs[person % pagesOfClubs.length] ?? {});
      for (let look = person; ; look++) {
        await rest();
        if (performance.now() >= until) return;
        const [name, path] = pages[look % pages.length] ?? ['', ''];
        const began = performance.now();
        const response = await fetch(`${address}/api/${path}`, asked);
        await response.arrayBuffer();
        if (!response.ok) throw new Error(`${path}: ${response.status}`);
        taken.set(name, [...(taken.get(name) ?? []), performance.now() - began]);
      }
    }),
  );
  return new Map([...taken].map(([name, times]) => [name, summed(times, seconds)]));
}

async function pagesOf(address: string, clubId: string): Promise<Record<string, string>> {
  const squad = await json<SquadLineReply[]>(address, pathOf(ROUTES.squad, { clubId }));
  const [line] = squad;
  const athleteId = line?.athlete.id ?? '';
  const patternId = line?.patternId ?? '';
  return {
    health: 'health',
    squad: pathOf(ROUTES.squad, { clubId }),
    standings: pathOf(ROUTES.standings, { clubId }),
    course: pathOf(ROUTES.course, { clubId, athleteId }),
    'ladder of everyone': pathOf(ROUTES.ladder, { clubId, patternId }),
    'ladder of one': pathOf(ROUTES.athleteLadder, { clubId, patternId, athleteId }),
    review: pathOf(ROUTES.review, { clubId, setId: line?.lastSet?.id ?? '' }),
  };
}

if (values.help || positionals.length === 0) {
  console.log(HELP);
  process.exit(values.help ? 0 : 2);
}
const [seconds, clients] = [Number(values.seconds), Number(values.clients)];
for (const address of positionals) {
  console.log(`\n${address}`);
  const clubs = await json<ClubReply[]>(address, ROUTES.clubs.path);
  if (values.people !== undefined) {
    // Each club's first look of a day works everything out anew: nobody is told of that here.
    const pages: Record<string, string>[] = [];
    for (const { clubId } of clubs) pages.push(await pagesOf(address, clubId));
    for (const path of pages.flatMap((own) => Object.values(own))) await json(address, path);
    const measured = await measurePeople(address, pages, Number(values.people), seconds);
    for (const [name, { medianMs, p95Ms, perSecond }] of measured)
      console.log(
        `${name.padEnd(22)} median ${medianMs.toFixed(0)} ms, p95 ${p95Ms.toFixed(0)} ms, ${perSecond.toFixed(1)} a second`,
      );
    continue;
  }
  for (const [name, path] of Object.entries(await pagesOf(address, clubs[0]?.clubId ?? ''))) {
    const url = `${address}/api/${path}`;
    await measure(url, 1, 0.5);
    const alone = await measure(url, 1, seconds);
    const many = await measure(url, clients, seconds);
    console.log(
      `${name.padEnd(22)} alone ${alone.medianMs.toFixed(1)} ms (p95 ${alone.p95Ms.toFixed(1)}); ` +
        `${clients} at once ${many.perSecond.toFixed(0)} a second (median ${many.medianMs.toFixed(0)} ms, p95 ${many.p95Ms.toFixed(0)})`,
    );
  }
}
