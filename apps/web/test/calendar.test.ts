import { spawnSync } from 'node:child_process';
import type { PlanReply } from '@orthokin/contract';
import { blocksFrom } from '@orthokin/core/plan';
import fc from 'fast-check';
import { movedIn, toCalendar } from '../src/planner/weeks/calendar.js';

let next = 0;
const session = (change: Partial<PlanReply> = {}): PlanReply => ({
  ...{
    id: `019ab000-0000-7000-8000-00000000000${next++}`,
    name: 'Test; with, signs\\ and ümlauts',
  },
  ...{ day: '2026-03-05', startsAt: '17:30', minutes: 45, athleteIds: [], revision: 3 },
  blocks: blocksFrom('squad', () => `block ${next++}`),
  ...change,
});
const NOW = new Date('2026-03-01T10:00:00Z');
const SESSIONS = [session(), session({ day: '2026-03-29', startsAt: '01:30' })];

test('a calendar reads back what it was given as nothing moved, and a moved session as moved', () => {
  const file = toCalendar(SESSIONS, NOW);
  expect(movedIn(file, SESSIONS)).toEqual({ ok: true, value: [] });
  const moved = file
    .replace('DTSTART:20260305T173000', 'DTSTART;TZID=Europe/Paris:20260307T180000')
    .replace('DURATION:PT45M', 'DURATION:PT1H');
  expect(movedIn(moved, SESSIONS)).toEqual({
    ok: true,
    value: [{ planId: SESSIONS[0]?.id, day: '2026-03-07', startsAt: '18:00', minutes: 60 }],
  });
  // What a calendar says in UTC means the hour here.
  const here = new Date(2026, 2, 5, 17, 30).toISOString().replace(/[-:]|\.000/g, '');
  const inUtc = file.replace('DTSTART:20260305T173000', `DTSTART:${here}`);
  expect(movedIn(inUtc, SESSIONS)).toEqual({ ok: true, value: [] });
  // An event for the whole day keeps the hour; one with an end in place of its length is as good.
  const whole = file.replace('DTSTART:20260305T173000', 'DTSTART;VALUE=DATE:20260306');
  expect(movedIn(whole, SESSIONS)).toMatchObject({
    value: [{ day: '2026-03-06', startsAt: '17:30' }],
  });
  const ended = file.replace('DURATION:PT45M', 'DTEND:20260305T190000');
  expect(movedIn(ended, SESSIONS)).toMatchObject({ value: [{ minutes: 90 }] });
});

test('whatever the sessions are called and whenever they are, they come back', () => {
  const any = fc.record({
    name: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }),
    day: fc
      .integer({ min: 0, max: 20_000 })
      .map((n) => new Date(946_684_800_000 + n * 86_400_000).toISOString().slice(0, 10)),
    startsAt: fc
      .tuple(fc.integer({ min: 10, max: 23 }), fc.integer({ min: 10, max: 59 }))
      .map(([hours, minutes]) => `${hours}:${minutes}`),
    minutes: fc.integer({ min: 5, max: 480 }),
  });
  fc.assert(
    fc.property(any, (change) => {
      const own = [session({ ...change, id: 'one' })];
      expect(movedIn(toCalendar(own, NOW), own)).toEqual({ ok: true, value: [] });
    }),
    { numRuns: 60 },
  );
});

test('what is no calendar is said; events of others are left alone', () => {
  expect(movedIn('', SESSIONS).ok).toBe(false);
  expect(movedIn('Thursday, 17:30', SESSIONS)).toMatchObject({
    problem: { field: 'file', given: 'Thursday, 17:30' },
  });
  const other = toCalendar([session({ id: 'another' })], NOW);
  expect(movedIn(other, SESSIONS)).toEqual({ ok: true, value: [] });
});

/** Debian's own Python, which has the package when it is installed. */
const PYTHON = '/usr/bin/python3';
const hasReader = spawnSync(PYTHON, ['-c', 'import icalendar']).status === 0;

(hasReader ? test : test.skip)('another program’s reader takes the file as it was meant', () => {
  const script = `
import sys, json, icalendar
calendar = icalendar.Calendar.from_ical(sys.stdin.buffer.read())
print(json.dumps([[str(e['SUMMARY']), e['DTSTART'].dt.isoformat(), int(e['DURATION'].dt.total_seconds()),
  int(e['SEQUENCE']), str(e['UID'])] for e in calendar.walk('VEVENT')]))`;
  const read = spawnSync(PYTHON, ['-c', script], { input: toCalendar(SESSIONS, NOW) });
  expect(read.stderr.toString()).toBe('');
  expect(JSON.parse(read.stdout.toString())).toEqual(
    SESSIONS.map(({ id, name, day, startsAt, minutes, revision }) => [
      ...[name, `${day}T${startsAt}:00`, 60 * minutes, revision, `${id}@orthokin.invalid`],
    ]),
  );
});
