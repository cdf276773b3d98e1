import { parseArgs } from 'node:util';
import type { ClubReply, ImportBody, ImportReply, InList } from '@orthokin/contract';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { v7 } from 'uuid';

const HELP = `How long a running server with the demo club takes over files, and what others wait meanwhile.

  npm run bench:files -- ADDRESS      such as http://127.0.0.1:4310

  --reps N    of the club that is brought in, taken out and wiped (default 100000)`;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    reps: { type: 'string', default: '100000' },
    help: { type: 'boolean', default: false },
  },
});

type Files = Record<string, Uint8Array>;
const rowsOf = <Row>(files: Files, name: string): Row[] =>
  strFromU8(files[name] ?? new Uint8Array())
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as Row);
const linesOf = (rows: readonly object[]) =>
  strToU8(rows.map((row) => `${JSON.stringify(row)}\n`).join(''));

/** The demo club under other ids, its sets copied until there are so many reps. */
function grown(files: Files, reps: number): { file: Uint8Array; clubId: string; reps: number } {
  const clubId = v7();
  const ids = new Map<string, string>();
  const anew = (id: string) => ids.get(id) ?? ids.set(id, v7()).get(id) ?? '';
  const patterns = rowsOf<InList<'patterns'>>(files, 'patterns.jsonl');
  const athletes = rowsOf<InList<'athletes'>>(files, 'athletes.jsonl');
  const sets = rowsOf<InList<'sets'>>(files, 'sets.jsonl');
  const all = rowsOf<InList<'reps'>>(files, 'reps.jsonl').filter(({ replaces }) => !replaces);
  const of = new Map<string, InList<'reps'>[]>();
  for (const rep of all) of.set(rep.setId, [...(of.get(rep.setId) ?? []), rep]);
  const [manySets, manyReps]: [object[], object[]] = [[], []];
  for (let copy = 0; manyReps.length < reps; copy++)
    for (const set of sets) {
      const id = v7();
      manySets.push({
        ...{ ...set, id, athleteId: anew(set.athleteId), patternId: anew(set.patternId) },
      });
      for (const rep of of.get(set.id) ?? []) manyReps.push({ ...rep, id: v7(), setId: id });
    }
  const head = { format: 'orthokin club', version: 2, club: { clubId, name: 'Bench' } };
  return {
    ...{ clubId, reps: manyReps.length },
    file: zipSync({
      'club.json': strToU8(JSON.stringify(head)),
      'patterns.jsonl': linesOf(patterns.map((row) => ({ ...row, id: anew(row.id) }))),
      'athletes.jsonl': linesOf(
        athletes.map((row) => ({ ...row, id: anew(row.id), patternId: anew(row.patternId) })),
      ),
      'sets.jsonl': linesOf(manySets),
      'reps.jsonl': linesOf(manyReps),
    }),
  };
}

/** A table of so many reps by hand, as the page of files sends it. */
function tableOf(files: Files, reps: number): ImportBody {
  const sets = rowsOf<InList<'sets'>>(files, 'sets.jsonl').filter(({ cues }) => cues.length >= 10);
  return {
    sets: Array.from({ length: reps / 10 }, (_, i) => {
      const { id: _id, endedAt: _end, endReason: _why, ...body } = sets[i % sets.length] ?? {};
      const set = body as ImportBody['sets'][number]['body'];
      return {
        ...{ id: v7(), body: { ...set, source: 'hand' as const }, endedAt: set.startedAt },
        reps: set.cues.slice(0, 10).map(({ ordinal, target }) => ({
          id: v7(),
          body: {
            ...{ ordinal, target, seenFaults: [], struckOut: false, replaces: null },
            events: (['cue', 'firstMove', 'action', 'home'] as const).map((name, at) => ({
              ...{ name, atMs: 5000 * ordinal + 400 * at, sdMs: 45, source: 'hand' as const },
            })),
          },
        })),
      };
    }),
  };
}

async function main(address: string): Promise<void> {
  const ask = async (path: string, init?: RequestInit) => {
    const response = await fetch(`${address}/api/${path}`, init);
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
    return response;
  };
  const [demo] = (await (await ask('clubs')).json()) as ClubReply[];
  if (!demo) throw new Error('The server has no club.');
  const at = `clubs/${demo.clubId}`;

  const files = unzipSync(new Uint8Array(await (await ask(`${at}/club.zip`)).arrayBuffer()));
  const json = { 'Content-Type': 'application/json' };
  const send = (path: string, body: string) => ask(path, { method: 'PUT', body, headers: json });
  const put = (path: string, body: object) => send(path, JSON.stringify(body));

  /** Somebody reads the first page again and again. */
  const reading = async () => (await ask(`${at}/squad`)).arrayBuffer();
  /** Somebody times rep after rep. @returns what times one more */
  async function timing(): Promise<() => Promise<unknown>> {
    const [set] = tableOf(files, 10).sets;
    if (!set) throw new Error('The demo club has no set.');
    const live = `${at}/sets/${v7()}`;
    await put(live, set.body);
    let next = 0;
    return () => put(`${live}/reps/${v7()}`, set.reps[next++ % set.reps.length]?.body ?? {});
  }

  /** Does something while somebody does something else again and again. */
  const timed = async (
    what: string,
    work: () => Promise<unknown>,
    meanwhile: () => Promise<unknown> = reading,
    named = 'first page',
  ) => {
    const waits: number[] = [];
    const over = new AbortController();
    const others = (async () => {
      while (!over.signal.aborted) {
        const began = performance.now();
        await meanwhile();
        waits.push(performance.now() - began);
        await new Promise((done) => setTimeout(done, 20));
      }
    })();
    const began = performance.now();
    await work();
    const seconds = (performance.now() - began) / 1000;
    over.abort();
    await others;
    waits.sort((a, b) => a - b);
    const p95 = waits[Math.floor(0.95 * (waits.length - 1))] ?? NaN;
    console.log(
      `${what.padEnd(34)} ${seconds.toFixed(2).padStart(7)} s   ${named} meanwhile p95 ${p95.toFixed(0)} ms`,
    );
  };

  const importing = async (table: string) => {
    const path = `${at}/imports/${v7()}`;
    let reply = (await (await send(path, table)).json()) as ImportReply;
    while (reply.state === 'waiting' || reply.state === 'storing') {
      await new Promise((done) => setTimeout(done, 50));
      reply = (await (await ask(path)).json()) as ImportReply;
    }
    if (reply.state !== 'stored') throw new Error(JSON.stringify(reply.problems));
  };
  // Written before: whoever waits meanwhile waits for the server alone.
  const table = () => JSON.stringify(tableOf(files, 3000));
  const [first, second] = [table(), table()];
  await timed('import of 3,000 reps', () => importing(first));
  await timed('import of 3,000 reps', () => importing(second), await timing(), 'a rep');
  const { file, clubId, reps } = grown(files, Number(values.reps));
  // Packing held up this process: a connection the server let go meanwhile must be heard of.
  await new Promise((done) => setTimeout(done, 200));
  await timed(`club.zip of ${reps} reps in`, async () =>
    ask('clubs', {
      ...{ method: 'POST', headers: { 'Content-Type': 'application/zip' } },
      body: new Blob([new Uint8Array(file)]),
    }),
  );
  // Worked out once, as by whoever opens its pages first.
  await ask(`clubs/${clubId}/sets.csv`).then((response) => response.arrayBuffer());
  await timed(`club.zip of ${reps} reps out`, async () =>
    (await ask(`clubs/${clubId}/club.zip`)).arrayBuffer(),
  );
  await timed('wiping it', () =>
    ask(`clubs/${clubId}`, {
      method: 'DELETE',
      body: JSON.stringify({ name: 'Bench' }),
      headers: json,
    }),
  );
}

const [address] = positionals;
if (values.help || address === undefined) console.log(HELP);
else await main(address);
