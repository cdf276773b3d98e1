import type {
  AthleteBody,
  AthleteCareReply,
  AthleteCourseReply,
  AthleteLadderReply,
  PersonReply,
  PrivacyReply,
  RungMoveReply,
  SetReviewReply,
  TrailEntryReply,
} from '@orthokin/contract';
import { usualBlock } from '@orthokin/core/plan';
import { v7 } from 'uuid';
import { prepare } from '../src/prepare.js';
import { startHere } from './support/here.js';
import { invited } from './support/invited.js';
import { urlsOf, type TestServer } from './support/server.js';
import { record, setOf } from './support/sets.js';
import { OWNER, Somebody } from './support/somebody.js';

const MARK = 'zygomorphic';
let server: TestServer;
beforeAll(async () => {
  // Keys are given to it anew while it serves.
  ({ server } = await startHere());
}, 60_000);
afterAll(() => server.stop());

/** Tables of a database in which a text stands, as `table: rows`. */
async function tablesWith(text: string): Promise<string[]> {
  const lines = await server.read<{ text: string }>(
    `select table_name || ': ' || (xpath('/row/n/text()', query_to_xml(
         format('select count(*) as n from %I t where t::text like %L', table_name, '%${text}%'),
         false, true, '')))[1]::text as text
       from information_schema.tables where table_schema = 'public' order by table_name`,
  );
  return lines.map(({ text: line }) => line).filter((line) => !line.endsWith(': 0'));
}

const people = async () => (await server.get(server.club('athletes'))).body as PersonReply[];
const personNamed = async (name: string) => {
  const person = (await people()).find((each) => each.name === name);
  if (!person) throw new Error(`${name} is not there.`);
  return person;
};
const bodyOf = ({ id: _, archived: __, changes: ___, ...body }: PersonReply): AthleteBody => body;

async function sayPrivately(athleteId: string): Promise<void> {
  const now = new Date().toISOString();
  await server
    .put(server.club(`care/${v7()}`), {
      ...{ athleteId, kind: 'restriction', by: 'Mara', at: now },
      restriction: {
        ...{ kind: 'no jumping', leg: null, moves: [], most: null },
        ...{ from: '2026-03-01', until: '2099-01-01', clinician: true, note: `${MARK} ankle` },
      },
    })
    .expect(200);
}

describe('what is private', () => {
  test('is not told by the database, and reads as it was said', async () => {
    const person = await personNamed('Juno Marlock');
    const contact = { name: `Aunt ${MARK}`, who: 'aunt', phone: '0800 1234567' };
    const said = {
      ...{ note: `Wears ${MARK} insoles`, bornOn: '2009-08-07' },
      emergency: { contacts: [contact], note: `${MARK}, always` },
    };
    await server.put(server.club(`athletes/${person.id}`), { ...bodyOf(person), ...said });
    await sayPrivately(person.id);
    expect(await personNamed('Juno Marlock')).toMatchObject(said);
    const line = await server.lineOf('Juno Marlock');
    expect(line).toMatchObject({ restricted: true, athlete: { note: said.note } });
    const { body } = await server.get(server.club(`athletes/${person.id}/care`)).expect(200);
    expect((body as AthleteCareReply).said.at(-1)?.restriction?.note).toBe(`${MARK} ankle`);
    for (const text of [MARK, '2009-08-07', '0800 1234567'])
      expect(await tablesWith(text)).toEqual([]);
    // It is in the files that are for people, and comes back from one.
    const file = await server.get(server.club(`athletes/${person.id}/everything.json`));
    expect(file.text.match(new RegExp(MARK, 'g'))).toHaveLength(4);
  });

  test('is sealed anew with a new key when the server starts, also what was in the clear', async () => {
    const before = await personNamed('Juno Marlock');
    const keys = process.env['PRIVATE_KEYS'] ?? '';
    const newKey = `new:${'5a'.repeat(32)}`;
    const start = (given: string) => {
      process.env['PRIVATE_KEYS'] = given;
      return prepare({ ...urlsOf(server.databaseUrl), demo: 'none' });
    };
    const sealedBy = () =>
      server.read(
        `select distinct split_part(note, ':', 2) as key from athlete where note is not null`,
      );
    await server.run(
      `update athlete set note = '"In the clear."' where name = 'Wren Hallowby';
       update athlete set emergency = '{"contacts":[],"note":"clear"}' where name = 'Wren Hallowby'`,
    );
    expect((await personNamed('Wren Hallowby')).note).toBe('In the clear.');
    try {
      await start(`${newKey} ${keys}`);
      expect(await sealedBy()).toEqual([{ key: 'new' }]);
      expect(await personNamed('Juno Marlock')).toEqual(before);
      expect((await personNamed('Wren Hallowby')).emergency?.note).toBe('clear');
      // The older key is not needed any more; without the newer one nothing begins.
      await start(newKey);
      await expect(start(keys)).rejects.toThrow('sealed with the key new');
      expect(await personNamed('Juno Marlock')).toMatchObject({ note: null, bornOn: null });
    } finally {
      await start(`${keys} ${newKey}`);
    }
    expect(await personNamed('Juno Marlock')).toEqual(before);
    // What is damaged is said when the server starts, and costs no page.
    await server.run(`update athlete set note = 'sealed:new:AAAA' where name = 'Wren Hallowby'`);
    await expect(start(`${keys} ${newKey}`)).rejects.toThrow('athlete.note');
    expect((await personNamed('Wren Hallowby')).note).toBeNull();
    await server.run(`update athlete set note = null where name = 'Wren Hallowby'`);
    process.env['PRIVATE_KEYS'] = keys;
  });
});

describe('whoever is erased', () => {
  /** Text that says what kind of thing a row is, or who coached: nothing that was written of them. */
  const KINDS = [
    'athlete.age_band',
    'rung_move.moved_by',
    'drill_set.source',
    'drill_set.end_reason',
    'rung_move.basis',
    'rep.target',
  ];

  /** Writes the marker into every text of every row that is of an athlete, whatever is added later. */
  async function plant(athleteId: string, kindsToo: boolean): Promise<string[]> {
    const columns = await server.read<{ table: string; column: string; type: string }>(
      `select c.table_name as table, c.column_name as column, c.data_type as type
       from information_schema.columns c
       where table_schema = 'public' and data_type in ('text', 'jsonb')
         and (table_name in ('athlete', 'set_note', 'rep') or exists (
           select from information_schema.columns o
           where o.table_name = c.table_name and o.column_name = 'athlete_id'))
         -- Where only some words may stand nobody writes of anybody.
         and not exists (select from pg_constraint k join pg_attribute a on a.attrelid = k.conrelid
           where k.contype = 'c' and k.conrelid = c.table_name::regclass
             and a.attname = c.column_name and a.attnum = any (k.conkey))`,
    );
    const planted = columns.filter(
      ({ table, column, type }) =>
        table !== 'erasure' &&
        (kindsToo || (type === 'text' && !KINDS.includes(`${table}.${column}`))),
    );
    const ofTheirs = (table: string) =>
      table === 'athlete'
        ? `id = '${athleteId}'`
        : table === 'rep' || table === 'set_note'
          ? `set_id in (select id from drill_set where athlete_id = '${athleteId}')`
          : `athlete_id = '${athleteId}'`;
    for (const { table, column, type } of planted)
      await server.run(
        `update ${table} set "${column}" = ${
          type === 'jsonb' ? `jsonb_build_object('planted', '${MARK}')` : `'${MARK}'`
        } where ${ofTheirs(table)}`,
      );
    return planted.map(({ table, column }) => `${table}.${column}`);
  }

  const something = async (name: string) => {
    const line = await server.lineOf(name);
    const { id: athleteId } = line.athlete;
    const now = new Date().toISOString();
    const day = now.slice(0, 10);
    const set = await record(server, setOf(line, { reactionMs: 200, recoveryMs: 700 }));
    const move = {
      ...{ athleteId, patternId: line.patternId, fromRung: line.rung, basis: 'hand', setId: null },
      ...{ toRung: line.rung === 1 ? 2 : 1, reason: 'By eye.', movedAt: now },
    };
    const when = { writtenAt: now, removed: false };
    const written = { writtenBy: 'Mara', ...when };
    // As a draft calls it, by what their name is until they are erased.
    const block = { ...usualBlock(v7(), 'rehearse'), title: `Slower side: ${MARK}, Ada` };
    const session = { name: 'Thursday', day };
    const held = {
      ...{ blockId: block.id, kind: block.kind, title: block.title },
      ...{ startedAt: now, endedAt: now },
    };
    const puts: [string, object][] = [
      [
        `plans/${v7()}`,
        {
          ...{ ...session, startsAt: '17:00', minutes: 60, revision: 1 },
          ...{ athleteIds: [athleteId], blocks: [usualBlock(v7(), 'warm-up'), block] },
        },
      ],
      [
        `held-sessions/${v7()}`,
        {
          ...{ ...session, planId: null, startedAt: now, endedAt: now },
          ...{ blocks: [held], attended: [] },
        },
      ],
      [`notes/${v7()}`, { setId: set.id, text: 'Windy.', ...written }],
      [`home-practice/${v7()}`, { athleteId, day, minutes: 9, effort: 4, text: 'x', ...when }],
      [`moves/${v7()}`, move],
    ];
    for (const [path, body] of puts) await server.put(server.club(path), body).expect(200);
    await sayPrivately(athleteId);
    return { athleteId, set };
  };
  const erase = (athleteId: string, how?: string) =>
    server.delete(server.club(`athletes/${athleteId}`)).send(how ? { how } : {});
  const privacy = async () =>
    (await server.get(server.club('privacy')).expect(200)).body as PrivacyReply;

  test('is nowhere in any column after, and that it was done is kept without a name', async () => {
    const { athleteId } = await something('Oskar Tvedmoor');
    const planted = await plant(athleteId, true);
    expect(planted.length).toBeGreaterThan(25);
    expect((await tablesWith(MARK)).length).toBeGreaterThan(5);
    await erase(athleteId).expect(200);
    expect(await tablesWith(MARK)).toEqual([]);
    expect(await tablesWith('Oskar')).toEqual([]);
    // Who is left is still named where they were.
    expect(await tablesWith('Slower side: …, Ada')).toEqual(['held_session: 1', 'plan: 1']);
    const [erased] = (await privacy()).erasures;
    expect(erased).toMatchObject({ how: 'removed', by: expect.stringContaining('machine') });
    expect(erased?.reps).toBeGreaterThan(erased?.sets ?? 0);
    await erase(athleteId).expect(404);
  });

  test('so that the reps stay, leaves them under no name, and nothing that was written', async () => {
    const { athleteId, set } = await something('Amara Quill');
    const repsBefore = await server.read(`select count(*) as n from rep`);
    await plant(athleteId, false);
    await erase(athleteId, 'secretly').expect(400);
    await erase(athleteId, 'nameless').expect(200);
    expect(await tablesWith(MARK)).toEqual([]);
    expect(await tablesWith('Amara')).toEqual([]);
    expect((await tablesWith(athleteId)).filter((line) => !line.startsWith('erasure'))).toEqual([]);
    expect(await server.read(`select count(*) as n from rep`)).toEqual(repsBefore);
    const heir = await personNamed('Former athlete');
    expect(heir).toMatchObject({ archived: true, note: null, bornOn: null, emergency: null });
    const { body } = await server.get(server.club(`sets/${set.id}`)).expect(200);
    expect((body as SetReviewReply).set.athleteId).toBe(heir.id);
    // They train no more, and what they did can be read.
    expect((await server.squad()).map(({ athlete }) => athlete.id)).not.toContain(heir.id);
    const course = await server.get(server.club(`athletes/${heir.id}/course`)).expect(200);
    expect((course.body as AthleteCourseReply).notes).toEqual([]);
    expect((await privacy()).erasures[0]).toMatchObject({ how: 'nameless' });
  });
});

test('a club is reminded of those it keeps for longer than it means to', async () => {
  const keep = (keepYears: number | null) =>
    server.put(server.club('privacy'), { keepYears }) as Promise<{ body: PrivacyReply }>;
  const wren = await personNamed('Wren Hallowby');
  expect((await server.get(server.club('privacy'))).body).toMatchObject({ keepYears: null });
  for (const wrong of [0, 21, 1.5, '2', undefined])
    await server.put(server.club('privacy'), { keepYears: wrong }).expect(400);
  expect((await keep(2)).body).toMatchObject({ keepYears: 2, overdue: [] });
  await server.run(
    `update drill_set set day = current_date - 800 where athlete_id = '${wren.id}';
     delete from attendance where athlete_id = '${wren.id}';
     delete from home_practice where athlete_id = '${wren.id}'`,
  );
  // Their id was made when they were added, which is not long ago: what was timed then was brought in.
  expect((await keep(2)).body.overdue).toEqual([]);
  const old = '0180aaaa-0000-7000-8000-000000000001';
  await server.put(server.club(`athletes/${old}`), { ...bodyOf(wren), name: 'Long gone' });
  const { overdue } = (await keep(2)).body;
  expect(overdue).toEqual([{ athleteId: old, name: 'Long gone', lastDay: '2022-05-09' }]);
  expect((await keep(null)).body.overdue).toEqual([]);
});

describe('with accounts', () => {
  let owner: Somebody;
  let coach: Somebody;
  beforeAll(async () => {
    owner = new Somebody(server);
    await owner.put(server.club('owner'), OWNER).expect(200);
    coach = await invited(server, owner, 'coach');
  });

  test('who saw and changed what is private is told to the owner and to whom it concerns', async () => {
    const juno = ((await owner.get(server.club('athletes'))).body as PersonReply[]).find(
      ({ name }) => name === 'Juno Marlock',
    );
    const id = juno?.id ?? '';
    const guardian = await invited(server, owner, 'athlete', [id]);
    const care = server.club(`athletes/${id}/care`);
    for (const who of [coach, coach, guardian]) await who.get(care).expect(200);
    await coach.get(server.club(`athletes/${v7()}/care`)).expect(404);
    await coach
      .put(server.club(`care/${v7()}`), {
        ...{ athleteId: id, kind: 'check', by: 'typed', at: new Date().toISOString() },
        check: { check: 'hop and stick', leg: 'left', result: 'not yet', day: '2026-03-01' },
      })
      .expect(200);
    // Read once for all three, and seen three times.
    const course = server.club(`athletes/${id}/course`);
    await Promise.all([1, 2, 3].map(() => coach.get(course).expect(200)));
    const trail = (await guardian.get(server.club(`athletes/${id}/trail`)).expect(200))
      .body as TrailEntryReply[];
    const told = trail.map(({ name, matter, deed, times, ofEverybody }) => ({
      ...{ name, matter, deed, times, ofEverybody },
    }));
    const by = (name: string, matter: string, deed: string, times = 1, ofEverybody = false) => ({
      ...{ name, matter, deed, times, ofEverybody },
    });
    // The newest first; of everybody's list only that the owner read it.
    expect(told).toEqual([
      by('coach', 'times', 'saw', 3),
      by('coach', 'care', 'changed'),
      by('coach', 'care', 'saw', 2),
      by(OWNER.name, 'particulars', 'saw', 1, true),
    ]);
    expect((await owner.get(server.club(`athletes/${id}/trail`))).body).toEqual(trail);
    await coach.get(server.club(`athletes/${id}/trail`)).expect(403);
    await coach.get(server.club('privacy')).expect(403);
    const others = (await owner.get(server.club('squad'))).body as { athlete: { id: string } }[];
    const other = others.find(({ athlete }) => athlete.id !== id)?.athlete.id ?? '';
    await guardian.get(server.club(`athletes/${other}/trail`)).expect(404);
  });

  test('many looks at once are one entry, and none is lost', async () => {
    const [line] = (await owner.get(server.club('squad'))).body as { athlete: { id: string } }[];
    const id = line?.athlete.id ?? '';
    const care = server.club(`athletes/${id}/care`);
    await Promise.all(Array.from({ length: 20 }, () => coach.get(care).expect(200)));
    const { body } = await owner.get(server.club(`athletes/${id}/trail`));
    const seen = (body as TrailEntryReply[]).filter(({ matter }) => matter === 'care');
    expect(seen.reduce((sum, { times }) => sum + times, 0)).toBeGreaterThanOrEqual(20);
    expect(seen).toHaveLength(1);
  });

  test('a move names who made it, not who a device says', async () => {
    const lines = (await owner.get(server.club('squad'))).body as {
      athlete: { id: string };
      patternId: string;
      rung: number;
    }[];
    const [line] = lines;
    const move = {
      ...{ athleteId: line?.athlete.id, patternId: line?.patternId, fromRung: line?.rung },
      ...{ toRung: line?.rung === 1 ? 2 : 1, basis: 'hand', setId: null, reason: 'By eye.' },
      movedAt: new Date().toISOString(),
    };
    const moveId = v7();
    const made = await coach.put(server.club(`moves/${moveId}`), move).expect(200);
    expect((made.body as RungMoveReply).movedBy).toBe('coach');
    // Sent again by somebody else it is what it was.
    const again = await owner.put(server.club(`moves/${moveId}`), move).expect(200);
    expect((again.body as RungMoveReply).movedBy).toBe('coach');
    const { body } = await owner.get(
      server.club(`patterns/${line?.patternId}/ladder/${line?.athlete.id}`),
    );
    expect((body as AthleteLadderReply).moves.at(-1)?.movedBy).toBe('coach');
    const { movedAt, ...rest } = move;
    await coach
      .put(server.club(`moves/${v7()}`), { ...rest, movedAt, movedBy: 'somebody' })
      .expect(400);
  });
});
