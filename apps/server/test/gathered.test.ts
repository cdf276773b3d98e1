import fc from 'fast-check';
import { eventsIn } from '../src/domains/drills/gathered.js';
import { ColumnLines } from '../src/platform/storage/column-lines.js';

describe('rows gathered as lines of their columns', () => {
  const columns = () => new ColumnLines({ id: 'uuid', marks: 'jsonb' });

  test('are a parameter a column, missing values marked', () => {
    const lines = columns();
    lines.add({ id: 'a', marks: '{"held":1}' });
    lines.add({ id: 'b', marks: null });
    lines.add({ id: 'c', marks: undefined });
    expect(lines.values).toEqual(['a\nb\nc', '{"held":1}\n\\N\n\\N']);
    const sql = lines.insertInto('rep');
    expect(sql).toContain(
      'insert into rep (club_id, id, marks) select ?::uuid, id::uuid, marks::jsonb',
    );
    expect(sql.match(/\?/g)).toHaveLength(1 + lines.values.length);
    expect([columns().isEmpty, lines.isEmpty]).toEqual([true, false]);
  });

  test.each(['', 'one\nanother'])('never get out of step: %j is refused by its column', (marks) => {
    expect(() => columns().add({ id: 'a', marks })).toThrow('marks');
  });
});

describe('the JSON of a rep’s events, cut out of the rep’s', () => {
  const events = fc.array(
    fc.record({
      name: fc.constantFrom('cue', 'firstMove', 'home'),
      atMs: fc.double({ noNaN: true, min: -1e6, max: 1e6 }),
      sdMs: fc.integer({ min: 0, max: 1000 }),
      source: fc.constantFrom('hand', 'film'),
    }),
    { maxLength: 9 },
  );
  const text = fc.oneof(
    fc.string(),
    fc.constantFrom('"events":[', ']', '"events"', '{"events":[]}', '\\', '[1]'),
  );

  test('is that of the rep as it is read, or is not cut out', () => {
    const field = fc.oneof(
      events.map((value) => `"events":${JSON.stringify(value)}`),
      events.map((value) => `"events" : ${JSON.stringify(value, null, 1)}`),
      events.map((value) => `"ev\\u0065nts":${JSON.stringify(value)}`),
      text.map((by) => `"corrected":{"by":${JSON.stringify(by)}}`),
      text.map((target) => `"target":${JSON.stringify(target)}`),
      text.map((target) => `${JSON.stringify(target)}:1`),
    );
    fc.assert(
      fc.property(events, fc.array(field), fc.nat(), (first, others, at) => {
        const fields = others.toSpliced(at, 0, `"events":${JSON.stringify(first)}`);
        const json = `{${fields.join(',')}}`;
        const cut = eventsIn(json);
        const read = JSON.parse(json) as { events: unknown };
        if (cut !== null) expect(JSON.parse(cut)).toEqual(read.events);
      }),
      { numRuns: 2000 },
    );
  });

  test('is cut out of a rep as files have it', () => {
    const written = [{ name: 'cue', atMs: 1, sdMs: 45, source: 'hand' }];
    const json = JSON.stringify({ id: 'a', events: written, seenFaults: [], marks: null });
    expect(eventsIn(json)).toBe(JSON.stringify(written));
    expect(eventsIn(JSON.stringify({ events: Array(100).fill(written[0]) }))).toBeNull();
    expect(eventsIn('{"id":"a"}')).toBeNull();
  });
});
