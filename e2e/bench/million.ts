import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { expect } from '@playwright/test';
import type { ClubReply, SquadLineReply } from '@orthokin/contract';
import { test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

test.setTimeout(900_000);

const CLIENTS = 50;
/** How long somebody looks at a page before opening the next one, ms: between these. */
const LOOKS_MS = [1000, 3000] as const;
const FOR_MS = 25_000;

const ask = async <T>(address: string): Promise<T> => {
  // The server closes a connection that was idle while the reps were made.
  const reply = await fetch(address).catch(() => fetch(address));
  if (!reply.ok) throw new Error(`${address}: ${reply.status}`);
  return (await reply.json()) as T;
};

test('pages of athletes, squads and ladders on a million reps, fifty people at once', async ({
  served,
}) => {
  const api = `${served.address}/api`;
  const [demo] = await ask<ClubReply[]>(`${api}/clubs`);
  // What follows from the demo's sets is worked out once, and copied with them.
  await ask(`${api}/clubs/${demo?.clubId ?? ''}/standings`);
  for (const { athlete } of await ask<SquadLineReply[]>(`${api}/clubs/${demo?.clubId ?? ''}/squad`))
    await ask(`${api}/clubs/${demo?.clubId ?? ''}/athletes/${athlete.id}/course`);
  const script = resolve(import.meta.dirname, '../../scripts/million-reps.mjs');
  const made = spawnSync(process.execPath, [script, served.databaseUrl], { encoding: 'utf8' });
  console.log(made.stdout.trim().replaceAll('\n', ', '));
  expect(made.status).toBe(0);

  const clubs = (await ask<ClubReply[]>(`${api}/clubs`)).filter(
    ({ clubId }) => clubId !== demo?.clubId,
  );
  const anew: number[] = [];
  const people = new Map<string, string[]>();
  const ladders = new Map<string, string[]>();
  for (const { clubId } of clubs) {
    const lines = await ask<{ athlete: { id: string }; patternId: string }[]>(
      `${api}/clubs/${clubId}/standings`,
    );
    await ask(`${api}/clubs/${clubId}/squad`);
    const patterns = [...new Set(lines.map(({ patternId }) => patternId))];
    ladders.set(clubId, patterns);
    const began = performance.now();
    for (const id of patterns) await ask(`${api}/clubs/${clubId}/patterns/${id}/ladder`);
    anew.push((performance.now() - began) / patterns.length);
    people.set(
      clubId,
      lines.map(({ athlete }) => athlete.id),
    );
  }
  const took: Record<'first' | 'athlete' | 'squad' | 'ladder', number[]> = {
    ...{ first: [], athlete: [], squad: [], ladder: [] },
  };
  const until = Date.now() + FOR_MS;
  const taken = watchMachine();
  const person = async (n: number) => {
    const { clubId } = clubs[n % clubs.length] ?? { clubId: '' };
    const ids = people.get(clubId) ?? [];
    for (let page = 0; Date.now() < until; page++) {
      const looks = LOOKS_MS[0] + Math.random() * (LOOKS_MS[1] - LOOKS_MS[0]);
      await new Promise((done) => setTimeout(done, looks));
      const kind = (['first', 'squad', 'athlete', 'ladder'] as const)[page % 4] ?? 'squad';
      const own = ladders.get(clubId) ?? [];
      const path = {
        first: 'squad',
        squad: 'standings',
        athlete: `athletes/${ids[page % ids.length] ?? ''}/course`,
        ladder: `patterns/${own[page % own.length] ?? ''}/ladder`,
      }[kind];
      const began = performance.now();
      // A person's own device reads the page; here only its bytes are waited for.
      await (await fetch(`${api}/clubs/${clubId}/${path}`)).arrayBuffer();
      took[kind].push(performance.now() - began);
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, (_, n) => person(n)));
  const machine = taken();
  console.log(figures('first page, 200 athletes', took.first), machine);
  console.log(figures('page of an athlete', took.athlete), machine);
  console.log(figures('page of a squad', took.squad), machine);
  console.log(figures('ladder of a squad', took.ladder), machine);
  console.log(figures('ladder of a squad, worked out anew', anew), machine);
});
