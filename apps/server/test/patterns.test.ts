import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { MikroORM } from '@mikro-orm/postgresql';
import type {
  DrillSetupReply,
  PatternBody,
  PatternLineReply,
  PatternReply,
  SetReviewReply,
} from '@orthokin/contract';
import { patternOfFile, patternToFile } from '@orthokin/contract/pattern-file';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { blankPattern, checkFootwork } from '@orthokin/core/footwork';
import { draftLadder } from '@orthokin/core/progress';
import { checkPattern, layoutTargets, mirrorPattern } from '@orthokin/core/pattern';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { v7 } from 'uuid';
import { ormOptions } from '../src/platform/database/orm-options.js';
import { DEMO_PATTERNS } from '../src/demo/patterns.js';
import { TABLES } from '../src/tables.js';
import { patternSchema } from '../src/domains/patterns/pattern-schema.js';
import { onCluster, TestServer } from './support/server.js';
import { setOf } from './support/sets.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
}, 60_000);
afterAll(() => server.stop());

const body = (name: string): PatternBody => {
  const pattern = { ...blankPattern(name), targets: layoutTargets('line', 2) };
  return { ...pattern, rungs: draftLadder(pattern) } as PatternBody;
};
const version = (id: string, n: number) => server.club(`patterns/${id}/versions/${n}`);
const library = async () =>
  (await server.get(server.club('patterns')).expect(200)).body as PatternLineReply[];

async function saved(name: string): Promise<string> {
  const id = v7();
  await server.put(version(id, 1), body(name)).expect(200);
  return id;
}

describe('saving', () => {
  test('a pattern comes back as it was saved, and is in the library', async () => {
    const id = await saved('Mine');
    const reply = await server.get(server.club(`patterns/${id}`)).expect(200);
    expect(reply.body).toEqual({ ...body('Mine'), id, version: 1 });
    expect((await library()).find((line) => line.id === id)).toMatchObject({
      ...{ version: 1, archived: false, sets: 0 },
      pattern: body('Mine'),
    });
  });

  test('saved again it is a new version, and the old one stays', async () => {
    const id = await saved('Old name');
    await server.put(version(id, 2), body('New name')).expect(200);
    expect(((await server.get(version(id, 1)).expect(200)).body as PatternReply).name).toBe(
      'Old name',
    );
    const newest = (await server.get(server.club(`patterns/${id}`))).body as PatternReply;
    expect([newest.version, newest.name]).toEqual([2, 'New name']);
  });

  test('the same version sent twice changes nothing; another one in its place is refused', async () => {
    const id = await saved('Mine');
    await server.put(version(id, 1), body('Mine')).expect(200);
    const refused = await server.put(version(id, 1), body('Theirs')).expect(409);
    expect(refused.body).toMatchObject({ problems: [{ field: 'version', given: '1' }] });
    expect((refused.body as { message: string }).message).toContain('2');
    expect(((await server.get(version(id, 1))).body as PatternReply).name).toBe('Mine');
    await server.put(version(id, 3), body('Later')).expect(409);
  });

  test('two screens that save at once get one version each, never the same', async () => {
    const id = await saved('Mine');
    const replies = await Promise.all(
      ['A', 'B', 'C'].map((name) => server.put(version(id, 2), body(name))),
    );
    expect(replies.map(({ status }) => status).sort((a, b) => a - b)).toEqual([200, 409, 409]);
  });

  test.each<[string, object]>([
    ['targets[0].at.x', { targets: [{ ...body('x').targets[0], at: { x: 'far', y: 0 } }] }],
    ['sizeM', { court: 'squash' }],
    ['rungs[0].targets', { targets: [] }],
    ['mood', { mood: 'good' }],
  ])('a pattern that is wrong at %s is refused, and nothing is stored', async (field, change) => {
    const id = v7();
    const refused = await server.put(version(id, 1), { ...body('Bad'), ...change }).expect(400);
    expect((refused.body as { problems: { field: string }[] }).problems[0]?.field).toBe(field);
    await server.get(server.club(`patterns/${id}`)).expect(404);
  });

  test('archived patterns stay in the library, marked; unknown ones are refused', async () => {
    const id = await saved('Aside');
    await server.put(server.club(`patterns/${id}/archived`), { archived: true }).expect(200);
    expect((await library()).find((line) => line.id === id)?.archived).toBe(true);
    await server.put(server.club(`patterns/${id}/archived`), { archived: false }).expect(200);
    expect((await library()).find((line) => line.id === id)?.archived).toBe(false);
    await server.put(server.club(`patterns/${v7()}/archived`), { archived: true }).expect(404);
    const missing = await server.get(version(id, 9)).expect(404);
    expect((missing.body as { message: string }).message).toContain('1 to 1');
  });
});

describe('sets and versions', () => {
  test('a set keeps the version it was timed on; what somebody works on is a choice, not what they ran last', async () => {
    const line = await server.lineOf('Juno Marlock');
    const id = await saved('First');
    const set = setOf({ ...line, patternId: id, rung: 1 }, { reactionMs: 250, recoveryMs: 800 });
    await server.put(server.club(`sets/${set.id}`), set.body).expect(200);
    await server.put(version(id, 2), body('Second')).expect(200);

    const review = (await server.get(server.club(`sets/${set.id}`))).body as SetReviewReply;
    expect([review.pattern.version, review.pattern.name]).toEqual([1, 'First']);
    const setup = server.club(`athletes/${line.athlete.id}/drill-setup`);
    const floor = async () => (await server.get(setup).expect(200)).body as DrillSetupReply;
    expect((await floor()).pattern.id).toBe(line.patternId);
    expect((await server.lineOf('Juno Marlock')).patternName).toBe(line.patternName);
    const worksOn = server.club(`athletes/${line.athlete.id}/works-on`);
    const unknown = await server.put(worksOn, { patternId: v7() }).expect(404);
    expect(unknown.body).toMatchObject({ problems: [{ field: 'patternId' }] });
    await server.put(worksOn, { patternId: id }).expect(200);
    const next = await floor();
    expect([next.pattern.id, next.pattern.version, next.pattern.name]).toEqual([id, 2, 'Second']);
    expect(next.worksOn).toEqual({ id, name: 'Second' });
    expect((await server.lineOf('Juno Marlock')).patternName).toBe('Second');
    expect((await library()).find((each) => each.id === id)?.sets).toBe(1);
  });

  test('a set on a version nobody saved is refused', async () => {
    const line = await server.lineOf('Wren Hallowby');
    const set = setOf(line, { reactionMs: 250, recoveryMs: 800 });
    const wrong = { ...set.body, patternVersion: 7 };
    const refused = await server.put(server.club(`sets/${set.id}`), wrong).expect(404);
    expect(refused.body).toMatchObject({ problems: [{ field: 'version', given: '7' }] });
  });

  test('the floor can be asked for another pattern, but not for one without targets', async () => {
    const { athlete } = await server.lineOf('Amara Quill');
    const setup = (id: string) =>
      server.get(server.club(`athletes/${athlete.id}/drill-setup?patternId=${id}`));
    const id = await saved('Other');
    expect(((await setup(id).expect(200)).body as DrillSetupReply).pattern.name).toBe('Other');
    const empty = v7();
    await server.put(version(empty, 1), blankPattern('Empty')).expect(200);
    await setup(empty).expect(409);
    await setup('none').expect(400);
  });
});

describe('the demo patterns', () => {
  const patterns = Object.values(DEMO_PATTERNS);

  test('are eight, for both hands, with feet, cues and check points, and nothing amiss', () => {
    expect(patterns).toHaveLength(8);
    expect(new Set(patterns.map(({ hand }) => hand))).toEqual(new Set(['left', 'right']));
    for (const pattern of patterns) {
      expect(checkPattern(pattern)).toEqual({ ok: true, value: pattern });
      expect(pattern.legs).toHaveLength(pattern.targets.length);
      expect(checkFootwork(pattern)).toEqual([]);
      for (const { notes } of pattern.legs) {
        expect(notes.load.cue).not.toBe('');
        expect(notes.load.checkPoints.length).toBeGreaterThan(1);
      }
    }
    const { star, starLeft } = DEMO_PATTERNS;
    expect(mirrorPattern(starLeft)).toEqual({ ...star, name: starLeft.name });
  });
});

describe('the pattern schema', () => {
  const schema = patternSchema();
  // Dates and ids are not part of a pattern, so no formats are needed.
  const validate = new Ajv2020({ strict: false }).compile(schema);
  const file = (name: string): unknown => JSON.parse(patternToFile(body(name)));

  test('is published as it is', async () => {
    const published: unknown = JSON.parse(
      readFileSync(resolve(__dirname, '../../../docs/pattern.schema.json'), 'utf8'),
    );
    expect(published).toEqual(JSON.parse(JSON.stringify(schema)));
    expect((await server.get('/api/pattern.schema.json').expect(200)).body).toEqual(published);
  });

  test('takes every demo pattern as a file, and each makes the round trip exactly', async () => {
    for (const pattern of Object.values(DEMO_PATTERNS)) {
      const text = patternToFile(pattern as unknown as PatternBody);
      expect([validate(JSON.parse(text)), validate.errors]).toEqual([true, null]);
      const read = patternOfFile(text);
      if (!read.ok) throw new Error(read.problem.allowed);
      const id = v7();
      await server.put(version(id, 1), read.value).expect(200);
      const {
        id: _,
        version: __,
        ...back
      } = (await server.get(server.club(`patterns/${id}`))).body as PatternReply;
      expect(patternToFile(back).length).toBe(text.length);
      expect(back).toEqual(pattern);
    }
  });

  test.each<[string, object]>([
    ['a field nobody knows', { mood: 'good' }],
    ['no stance', { stance: undefined }],
    ['a court nobody knows', { court: 'moon' }],
    ['another format', { format: 'other/1' }],
    [
      'a heading that is no number',
      { stance: { ...body('x').stance, left: { at: { x: 0, y: 0 }, headingDeg: 'north' } } },
    ],
  ])('refuses a file with %s, as the server does', (_, change) => {
    const changed: unknown = JSON.parse(JSON.stringify({ ...(file('x') as object), ...change }));
    expect(validate(changed)).toBe(false);
  });
});

describe('a database from before versions', () => {
  test('keeps its patterns and its sets, each on version 1', async () => {
    const name = `migration_${process.pid}_${Date.now()}`;
    await onCluster(`create database ${name}`);
    const url = new URL(server.databaseUrl);
    url.pathname = name;
    const orm = await MikroORM.init(ormOptions(url.href, TABLES));
    try {
      await orm.migrator.up({ to: '20261124-ground-tables' });
      const [club, pattern, athlete, set] = [v7(), v7(), v7(), v7()];
      const old = {
        ...{ name: 'Old', court: 'squash', home: { onCourt: { x: 0, y: 4.26 }, radiusM: 0.45 } },
        ...{ targets: layoutTargets('line', 2), splitWindowMs: [-60, 120], rungs: body('x').rungs },
      };
      const run = (sql: string, values: unknown[]) => orm.em.getConnection().execute(sql, values);
      await run(`insert into club values (?, 'Club')`, [club]);
      await run(`insert into pattern values (?, ?, 'Old', ?)`, [
        club,
        pattern,
        JSON.stringify(old),
      ]);
      await run(
        `insert into athlete (club_id, id, name, hand, age_band, pattern_id) values (?, ?, 'A', 'left', 'adult', ?)`,
        [club, athlete, pattern],
      );
      await run(
        `insert into drill_set (club_id, id, athlete_id, pattern_id, rung, source, started_at, day, seed,
           false_start_ms, response_limit_ms, cues)
         values (?, ?, ?, ?, 1, 'hand', now(), current_date, 1, 100, 3000, '[]')`,
        [club, set, athlete, pattern],
      );
      await orm.migrator.up();
      const [row] = await run(`select body from pattern_version where version = 1`, []);
      expect(checkPattern((row as { body: PatternBody }).body).ok).toBe(true);
      expect((row as { body: PatternBody }).body).toMatchObject(
        JSON.parse(JSON.stringify(old)) as object,
      );
      const [kept] = await run(`select pattern_version, conditions from drill_set`, []);
      expect(kept).toMatchObject({ pattern_version: 1, conditions: PLAIN_CONDITIONS });
    } finally {
      await orm.close();
      await onCluster(`drop database ${name}`);
    }
  }, 30_000);
});
