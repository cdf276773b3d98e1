import type { PlanBody, ProgrammeBody } from '@orthokin/contract';
import { sixWeeks, usualBlock } from '@orthokin/core/plan';
import { v7 } from 'uuid';
import { TestServer } from './support/server.js';

const NAME = 'Juno Marlock';
let server: TestServer;
let athleteId: string;
let others: readonly { readonly id: string; readonly name: string }[];
beforeAll(async () => {
  server = await TestServer.start();
  const squad = (await server.squad()).map(({ athlete }) => athlete);
  athleteId = squad.find(({ name }) => name === NAME)?.id ?? '';
  others = squad.filter(({ id }) => id !== athleteId);
  await concernEverybody();
}, 60_000);
afterAll(() => server.stop());

/** Something in every list that can name an athlete. */
async function concernEverybody(): Promise<void> {
  const athleteIds = [athleteId, ...others.map(({ id }) => id)];
  const now = new Date().toISOString();
  const [day = ''] = now.split('T');
  const plan: PlanBody = {
    ...{ name: 'Thursday', day, startsAt: '17:00', minutes: 60, athleteIds, revision: 1 },
    blocks: [
      {
        ...usualBlock(v7(), 'cued drill'),
        ...{ stations: 2, who: athleteIds },
        stays: athleteIds.map((id, i) => ({ athleteId: id, station: 1 + (i % 2) })),
      },
      usualBlock(v7(), 'play'),
    ],
  };
  const programme: ProgrammeBody = {
    ...{ name: 'Autumn', startsOn: '2026-03-02', athleteIds, weeks: sixWeeks(), revision: 1 },
  };
  const own = await server.lineOf(NAME);
  const puts: [string, object][] = [
    [`plans/${v7()}`, plan],
    [`programmes/${v7()}`, programme],
    [`groups/${v7()}`, { name: 'All of them', athleteIds }],
    [
      `held-sessions/${v7()}`,
      {
        ...{ planId: null, name: 'Thursday', day, startedAt: now, endedAt: now },
        blocks: [
          {
            ...{ blockId: v7(), kind: 'rehearse', title: `Flat feet: ${others[0]?.name}` },
            ...{ startedAt: now, endedAt: now },
          },
        ],
        attended: athleteIds.map((id) => ({ athleteId: id, minutes: 60, effort: null })),
      },
    ],
    [
      `notes/${v7()}`,
      {
        ...{ setId: own.lastSet?.id, text: 'Windy.', writtenBy: 'Mara' },
        ...{ writtenAt: now, removed: false },
      },
    ],
    [
      `home-practice/${v7()}`,
      {
        ...{ athleteId, day, minutes: 15, effort: 4, text: '' },
        ...{ writtenAt: now, removed: false },
      },
    ],
  ];
  for (const [path, body] of puts) await server.put(server.club(path), body).expect(200);
}

const fileOf = (id: string) => server.get(server.club(`athletes/${id}/everything.json`));

test('everything of one athlete is one file: what is theirs, and nothing of others', async () => {
  const { text, headers } = await fileOf(athleteId).expect(200);
  expect(headers['content-disposition']).toContain('orthokin-athlete.json');
  const file = JSON.parse(text) as Record<string, object[]>;
  expect(file).toMatchObject({ format: 'orthokin athlete', version: 1, name: NAME });
  const counts = Object.entries(file).flatMap(([list, rows]) =>
    Array.isArray(rows) ? [[list, rows.length] as const] : [],
  );
  const empty = counts.filter(([, count]) => count === 0).map(([list]) => list);
  // Nobody gave this athlete limits of their own.
  expect(empty).toEqual(['ownLadders']);
  expect(file['athletes']).toHaveLength(1);
  for (const { id, name } of others) {
    expect(text).not.toContain(id);
    expect(text).not.toContain(name);
  }
  const sets = new Set(file['sets']?.map((set) => (set as { id: string }).id));
  for (const rep of file['reps'] ?? []) expect(sets).toContain((rep as { setId: string }).setId);
  await fileOf(v7()).expect(404);
});

test('whoever is deleted is named nowhere after; the others are where they were', async () => {
  const rowsWith = async (id: string): Promise<string[]> => {
    const lines = await server.read<{ text: string }>(
      `select table_name || ': ' || (xpath('/row/n/text()', query_to_xml(
           format('select count(*) as n from %I t where t::text like %L', table_name, '%${id}%'),
           false, true, '')))[1]::text as text
         from information_schema.tables where table_schema = 'public' order by table_name`,
    );
    return lines.map(({ text }) => text).filter((line) => !line.endsWith(': 0'));
  };
  const [other] = others;
  const before = await rowsWith(other?.id ?? '');
  // Somebody may see them, somebody is invited to, and a phone does.
  const who = JSON.stringify([athleteId]);
  await server.run(
    `insert into account values ('${server.clubId}', '${v7()}', 'Parent', 'parent@example.org',
       'athlete', '${who}', 'x', now());
     insert into invitation values ('${server.clubId}', '${v7()}', 'Other parent', 'athlete',
       '${who}', null, 'x', now() + interval '1 day');
     insert into web_session values ('sid', '${JSON.stringify({
       signedIn: { clubId: server.clubId, role: 'athlete', athleteIds: [athleteId] },
     })}', now() + interval '1 day')`,
  );
  const named = await rowsWith(athleteId);
  expect(named).toEqual(
    expect.arrayContaining(['account: 1', 'athlete: 1', 'invitation: 1', 'web_session: 1']),
  );
  await server.delete(server.club(`athletes/${athleteId}`)).expect(200);
  // That it was done is kept.
  expect(await rowsWith(athleteId)).toEqual(['erasure: 1']);
  expect(await rowsWith(other?.id ?? '')).toEqual(before);
});
