/** @jest-environment jsdom */
import './support/text-encoder.js';
import type { SquadLineReply } from '@orthokin/contract';
import type { SquadNeed } from '@orthokin/core/progress';
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { SquadLine } from '../src/squad/SquadLine.js';
import { courseCaption, needSentence, squadSentence } from '../src/words/squad.js';
import { PLAN } from './plan.js';

const SILENT = { change: null, slowerSide: null, isNewLean: false, isStuck: false } as const;
const lastSet = {
  ...{ id: 's', startedAt: '2026-03-05T17:00:00.000Z', rung: 2, outcome: 'not passed' },
  decision: {
    ...{ answer: 'stay', because: 'a gate holds', sets: 1 },
    limiting: { gate: 'recovery', overMs: 60, verdict: 'fail' },
  },
} as unknown as NonNullable<SquadLineReply['lastSet']>;

const line = (
  name: string,
  need: SquadNeed = 'on their way',
  more: Partial<SquadLineReply> = {},
): SquadLineReply => ({
  athlete: { ...PLAN.athlete, id: name, name },
  ...{ patternId: 'p', patternName: 'Star', rung: 2, rungName: 'Mixed', rungs: 5 },
  ...{ restricted: false, lastSet, need, claims: SILENT },
  course: { duration: 'recovery', limitMs: 1340, daysMs: [1520, 1400, 1300] },
  ...more,
});

describe('the squad in a line', () => {
  test.each<[string, SquadLineReply[]]>([
    ['No athletes in this club yet.', []],
    [
      'Nobody has been timed yet: start a drill with the first.',
      [line('Ann', 'not timed yet', { lastSet: null, course: null })],
    ],
    ['Ann can move up.', [line('Ann', 'can move up'), line('Ben')]],
    [
      'Ann can move up. Ben and Cleo are held on one rung. Look at Dov: a real change.',
      [
        ...[line('Ann', 'can move up'), line('Ben', 'held'), line('Cleo', 'held')],
        line('Dov', 'changed'),
      ],
    ],
    [
      'Ann, Ben, and 3 others are held on one rung.',
      ['Ann', 'Ben', 'Cleo', 'Dov', 'Edda'].map((name) => line(name, 'held')),
    ],
    ['Nobody needs a decision: 2 athletes are on their way.', [line('Ann'), line('Ben')]],
  ])('%s', (said, lines) => {
    expect(squadSentence(lines)).toBe(said);
  });

  test('why somebody stands where they stand', () => {
    expect(needSentence(line('Ann', 'held'))).toBe(
      'Day after day on this rung: recovery is 0.06 s too slow.',
    );
    const slower = { claims: { ...SILENT, change: 'slower' as const } };
    expect(needSentence(line('Ann', 'changed', slower))).toBe('Clearly slower than weeks ago.');
    const leans = { claims: { ...SILENT, isNewLean: true, slowerSide: 'left' as const } };
    expect(needSentence(line('Ann', 'changed', leans))).toContain('the left takes longer');
    const faster = { claims: { ...SILENT, change: 'faster' as const } };
    expect(needSentence(line('Ann', 'on their way', faster))).toMatch(
      /Clearly faster over the weeks\.$/,
    );
    expect(needSentence(line('Ann', 'not timed yet', { lastSet: null }))).toBe('No set yet.');
  });

  test('the caption names the limit where there is one', () => {
    const course = { duration: 'recovery', limitMs: 1340, daysMs: [1400] } as const;
    expect(courseCaption(course)).toBe('recovery, limit 1.34 s');
    expect(courseCaption({ ...course, limitMs: null })).toBe('recovery');
  });
});

describe('a line of the squad', () => {
  const show = (one: SquadLineReply) =>
    render(
      <MemoryRouter>
        <SquadLine line={one} />
      </MemoryRouter>,
    );

  test('who can move up is led to the ladder, the others to the floor', () => {
    const { unmount } = show(line('Ann', 'can move up'));
    const up = screen.getByRole('link', { name: 'To the ladder of Ann, to move up' });
    expect(up.getAttribute('href')).toBe('/ladder/p/Ann');
    unmount();
    show(line('Ben', 'held', { restricted: true }));
    const start = screen.getByRole('link', { name: 'Start a drill with Ben' });
    expect(start.getAttribute('href')).toBe('/floor/Ben');
    expect(screen.getByText('May not do everything now')).toBeTruthy();
  });

  test('its days are told as they are drawn; without any nothing is drawn', () => {
    const { unmount } = show(line('Ann'));
    const days = screen.getByRole('img', {
      name: 'recovery over 3 days: 1.52 to 1.30 s, limit 1.34 s',
    });
    expect(days.querySelectorAll('circle')).toHaveLength(3);
    unmount();
    show(line('Ann', 'not timed yet', { course: null, lastSet: null }));
    expect(screen.queryByRole('img', { name: /over/ })).toBeNull();
  });
});
