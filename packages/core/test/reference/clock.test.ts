import { matchClock, toLocal, toRemote, type ClockExchange } from '@orthokin/core/timing';
import { reference } from './reference.js';

const file = reference('clock') as {
  cases: {
    exchanges: ClockExchange[];
    local: number;
    trueRemote: number;
    driftPpm: number;
    worstErrorMs: number;
  }[];
};

test.each(file.cases)('a clock that drifts by $driftPpm ppm is matched', (given) => {
  const match = matchClock(given.exchanges);
  if (!match) throw new Error('Exchanges make a match.');
  const error = toRemote(match, given.local) - given.trueRemote;
  expect(Math.abs(error)).toBeLessThanOrEqual(given.worstErrorMs);
  // What it says of its own error must cover the error it makes.
  expect(Math.abs(error)).toBeLessThan(3 * match.sdMs);
  expect(toLocal(match, toRemote(match, given.local))).toBeCloseTo(given.local, 6);
});
