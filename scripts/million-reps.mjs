import { parseArgs } from 'node:util';
import pg from 'pg';
import { Refusal, run, say } from './lib/say.mjs';

/**
 * Fills a database that holds the demo club with further clubs of two hundred athletes with a thousand reps each,
 * whose sets are copies of the demo's on other days. For measuring, on a database that may be thrown away:
 *   node scripts/million-reps.mjs postgresql://… [--clubs 5]
 */
const USUAL_CLUBS = 5;
const ATHLETES = 200;
const SETS = 84;
/** Each athlete's sets are spread over so many days up to today. */
const DAYS = 420;

const DEMO = '019ab000-0000-7000-8000-000000000001';

const STEPS = [
  [
    'clubs',
    `insert into club select gen_random_uuid(), 'Bench ' || n from generate_series(1, $1) n`,
  ],
  [
    'patterns',
    `insert into pattern select c.club_id, p.id, null from club c, pattern p
     where c.club_id <> '${DEMO}' and p.club_id = '${DEMO}'`,
  ],
  [
    'versions',
    `insert into pattern_version select c.club_id, v.pattern_id, v.version, v.body, v.saved_at
     from club c, pattern_version v where c.club_id <> '${DEMO}' and v.club_id = '${DEMO}'`,
  ],
  [
    'athletes',
    `insert into athlete (club_id, id, name, hand, age_band, note, pattern_id, simulated, colour_vision)
     select c.club_id, gen_random_uuid(), 'Athlete ' || n, 'right', 'adult', null, d.pattern_id, null, 'full'
     from club c, generate_series(1, $1) n,
       lateral (select pattern_id from athlete where club_id = '${DEMO}' order by name offset n % 8 limit 1) d
     where c.club_id <> '${DEMO}'`,
  ],
  [
    'templates',
    `create temp table template as
     select s.*, row_number() over (partition by s.pattern_id order by s.started_at) - 1 as nr,
       count(*) over (partition by s.pattern_id) as of
     from drill_set s where s.club_id = '${DEMO}' and s.source = 'simulated'`,
  ],
  [
    'chosen',
    `create temp table chosen as
     select a.club_id, gen_random_uuid() as id, t.id as from_id, a.id as athlete_id,
       now() - interval '1 day' * ($2::int * (1 - n::float / $1::int)) as at
     from athlete a, generate_series(1, $1) n,
       lateral (select id from template t where t.pattern_id = a.pattern_id and t.nr = n % t.of limit 1) t
     where a.club_id <> '${DEMO}'`,
  ],
  [
    'sets',
    `insert into drill_set (club_id, id, athlete_id, pattern_id, pattern_version, rung, source, started_at,
       day, seed, false_start_ms, response_limit_ms, conditions, cues, ended_at, end_reason)
     select c.club_id, c.id, c.athlete_id, t.pattern_id, 1, t.rung, t.source, c.at, c.at::date,
       t.seed, t.false_start_ms, t.response_limit_ms, t.conditions, t.cues, c.at, t.end_reason
     from chosen c join template t on t.id = c.from_id`,
  ],
  [
    'figures',
    `insert into set_figures (club_id, id, figures, judgement, staircase, outcome)
     select c.club_id, c.id, f.figures, f.judgement, f.staircase, f.outcome
     from chosen c join set_figures f on f.id = c.from_id and f.club_id = '${DEMO}'`,
  ],
  [
    'reps',
    `insert into rep (club_id, id, set_id, ordinal, target, events, seen_faults, struck_out)
     select c.club_id, gen_random_uuid(), c.id, r.ordinal, r.target, r.events, r.seen_faults, r.struck_out
     from chosen c join rep r on r.club_id = '${DEMO}' and r.set_id = c.from_id and r.replaces is null`,
  ],
];

await run(async () => {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { clubs: { type: 'string', default: String(USUAL_CLUBS) } },
  });
  const [address = ''] = positionals;
  const clubs = Number(values.clubs);
  if (!Number.isInteger(clubs) || clubs < 1)
    throw new Refusal(`--clubs: ${values.clubs} given, allowed 1 or more.`);
  if (!address.startsWith('postgres')) throw new Refusal('Say which database: postgresql://…');
  /** @type {Record<string, number[]>} */
  const given = { clubs: [clubs], athletes: [ATHLETES], chosen: [SETS, DAYS] };
  const client = new pg.Client(address);
  await client.connect();
  try {
    for (const [what = '', sql = ''] of STEPS) {
      const { rowCount } = await client.query(sql, given[what] ?? []);
      say(`${what}: ${rowCount}`);
    }
    // Otherwise autovacuum would start in the middle of a measurement.
    await client.query('vacuum analyze');
  } finally {
    await client.end();
  }
  return 0;
});
