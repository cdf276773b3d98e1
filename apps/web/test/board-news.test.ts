import 'reflect-metadata';
import { MAX_LIVE_BYTES } from '@orthokin/contract';
import { LONGEST_ON_BOARD, readLiveMessage } from '@orthokin/contract/live-messages';
import {
  beginPlan,
  BLOCK_BOUNDS,
  HELPER_ROLES,
  LONGEST_TITLE,
  MOST_PLANNED,
  nowIn,
  toBlock,
  usualBlock,
  type Block,
} from '@orthokin/core/plan';
import { boardNews, toldOnce } from '../src/planner/run/board-news.js';

const CLUB = '019ab000-0000-7000-8000-000000000001';
const idOf = (n: number): string => `019ab000-0000-7000-8000-${String(n).padStart(12, '0')}`;

const newsOf = (blocks: readonly Block[], athletes: number, afterMs: number) => {
  const session = { blocks, athleteIds: Array.from({ length: athletes }, (_, i) => idOf(i)) };
  const run = toBlock(session, beginPlan(session, 0), 0, 0);
  return boardNews({
    ...{ clubId: CLUB, blocks, run, now: nowIn(session, run, afterMs), atMs: afterMs },
    nameOf: (id) => `Ünal-Åström ${id}`.padEnd(80, 'ø'),
    rooms: new Map([[1, 'ACDEFH']]),
  });
};

test('the fullest board there can be is read, and fits through the channel', () => {
  const most: Block = {
    ...usualBlock(idOf(99), 'cued drill'),
    ...{ stations: BLOCK_BOUNDS.stations[1], helpers: HELPER_ROLES, patternId: CLUB },
    ...{ title: 'ø'.repeat(LONGEST_TITLE), note: 'ø'.repeat(200), needs: 'ø'.repeat(200) },
  };
  const news = newsOf([most, most], MOST_PLANNED, 1000);
  expect(readLiveMessage('board', news).ok).toBe(true);
  expect(news.stations).toHaveLength(6);
  expect(news.stations[0]?.works).toHaveLength(LONGEST_ON_BOARD);
  expect(news.rests.length + news.restMore + 6 * (1 + HELPER_ROLES.length)).toBe(MOST_PLANNED);
  expect(news.stations.map(({ room }) => room)).toEqual(['ACDEFH', null, null, null, null, null]);
  const told = JSON.stringify({ event: 'tell', data: { type: 'board', body: news } });
  expect(Buffer.byteLength(told)).toBeLessThan(MAX_LIVE_BYTES);
});

test('a board is told anew when something changes, not with every second', () => {
  const drill = usualBlock(idOf(99), 'cued drill');
  const at = (s: number) => toldOnce(newsOf([drill], 4, 1000 * s));
  expect(at(3)).toBe(at(20));
  expect(at(3)).not.toBe(at(26));
  // Begun again within its first turn all but the clock is as it was.
  const again = newsOf([drill], 4, 3000);
  expect(toldOnce({ ...again, leftS: again.leftS + 3 })).not.toBe(at(3));
  const paused = { ...again, isPaused: true };
  expect(toldOnce({ ...paused, atMs: paused.atMs + 5000 })).toBe(toldOnce(paused));
  const warm = usualBlock(idOf(98), 'warm-up');
  expect(toldOnce(newsOf([warm], 4, 479_000))).not.toBe(toldOnce(newsOf([warm], 4, 481_000)));
});

test('what is timed is the drill of whoever works there; in other blocks nothing is', () => {
  const drill = { ...usualBlock(idOf(99), 'cued drill'), patternId: CLUB };
  expect(newsOf([drill], 3, 0).stations[0]?.timed).toEqual({
    ...{ athleteId: idOf(0), patternId: CLUB },
  });
  expect(newsOf([usualBlock(idOf(99), 'challenge')], 3, 0).stations[0]?.timed).toBeNull();
});

test('when it is over the board has no block', () => {
  const session = { blocks: [usualBlock(idOf(99), 'play')], athleteIds: [] };
  const run = toBlock(session, beginPlan(session, 0), 1, 1000);
  const news = boardNews({
    ...{ clubId: CLUB, blocks: session.blocks, run, now: nowIn(session, run, 2000), atMs: 2000 },
    ...{ nameOf: String, rooms: new Map() },
  });
  expect(news).toMatchObject({ block: '', place: 1, blocks: 1, stations: [] });
  expect(readLiveMessage('board', news).ok).toBe(true);
});
