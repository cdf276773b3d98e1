/** @jest-environment jsdom */
import type { AthleteBody } from '@orthokin/contract';
import { usualBlock } from '@orthokin/core/plan';
import { KeptNews, newsFor } from '../src/device/kept-news.js';
import { isIn } from '../src/device/who.js';
import { otherwiseKnown } from '../src/words/people.js';
import { otherwisePlanned } from '../src/words/plan.js';

const PLAN = {
  ...{ name: 'Thursday', day: '2026-11-26', startsAt: '17:00', minutes: 60 },
  ...{ athleteIds: ['a', 'b'], blocks: [usualBlock('x', 'warm-up')] },
};
const nameOf = (id: string) => (id === 'a' ? 'Amara Quill' : 'Cass Ondry');

test('what two have planned otherwise is said thing by thing, and what is the same is not', () => {
  const rows = otherwisePlanned(
    { ...PLAN, name: 'Friday', athleteIds: ['a'] },
    { ...PLAN, minutes: 75 },
    nameOf,
  );
  expect(rows).toEqual([
    { what: 'Name', mine: 'Friday', theirs: 'Thursday' },
    { what: 'Time', mine: '60 min', theirs: '75 min' },
    { what: 'Who comes', mine: 'Amara Quill', theirs: 'Amara Quill and Cass Ondry' },
  ]);
});

test('what differs only inside a block is said too', () => {
  const [block] = PLAN.blocks;
  const inside = block ? [{ ...block, note: 'Cones out first.' }] : [];
  const rows = otherwisePlanned({ ...PLAN, blocks: inside }, PLAN, nameOf);
  expect(rows).toHaveLength(1);
  expect(rows[0]?.what).toBe('Blocks');
  expect(rows[0]?.mine).not.toBe(rows[0]?.theirs);
});

const BODY: AthleteBody = {
  ...{ name: 'Amara Quill', hand: 'right', ageBand: 'adult', colourVision: 'full' },
  ...{ patternId: 'p', heightM: 1.7, watched: ['lean'], note: null },
};
const words = {
  patterns: new Map([['p', 'Star from the T']]),
  unit: 'metres',
  faults: [],
} as const;

test('what is known of somebody is said in the words of their form', () => {
  expect(otherwiseKnown(BODY, { ...BODY }, words)).toEqual([]);
  const rows = otherwiseKnown(
    { ...BODY, hand: 'left', note: 'Ankle taped.' },
    { ...BODY, heightM: 1.72, watched: [], bornOn: '2009-05-04' },
    words,
  );
  expect(rows.map(({ what }) => what)).toEqual([
    ...['Playing hand', 'Date of birth', 'Height', 'Note for the coach', 'Watched faults'],
  ]);
  expect(rows[0]).toEqual({ what: 'Playing hand', mine: 'left', theirs: 'right' });
  expect(rows[3]).toMatchObject({ mine: 'Ankle taped.', theirs: 'not known' });
});

test('news is kept until it is seen, for whoever did what it is about and nobody else', () => {
  const kept = new KeptNews<AthleteBody>('overtaken');
  const told = jest.fn();
  const silent = kept.subscribe(told);
  isIn({ accountId: 'mara', name: 'Mara' }, true);
  kept.add('a', BODY);
  kept.add('b', { ...BODY, name: 'Cass Ondry' }, null);
  kept.add('a', { ...BODY, hand: 'left' });
  // As the device has it when it is opened anew.
  const anew = new KeptNews<AthleteBody>('overtaken').snapshot();
  expect(anew.map(({ id }) => id)).toEqual(['b', 'a']);
  const ids = (accountId: string | null) => newsFor(anew, accountId).map(({ id }) => id);
  expect(ids('mara')).toEqual(['b', 'a']);
  expect(ids('rowan')).toEqual(['b']);
  expect(ids(null)).toEqual(['b']);
  expect(anew[1]?.item.hand).toBe('left');
  kept.seen('b');
  expect(kept.snapshot().map(({ id }) => id)).toEqual(['a']);
  expect(told).toHaveBeenCalledTimes(4);
  silent();
});
