import {
  durationSdMs,
  frameSdMs,
  probabilityUnder,
  verdictOf,
  type Verdict,
} from '@orthokin/core/timing';
import { expectClose, reference } from './reference.js';

interface Uncertainty {
  relativeTolerance: number;
  frames: { fps: number; eventSdMs: number }[];
  cases: {
    duration: number;
    startSd: number;
    endSd: number;
    threshold: number;
    durationSd: number;
    probabilityUnder: number;
    verdict: Verdict;
  }[];
}

const file = reference('uncertainty') as Uncertainty;

test.each(file.frames)('an event read off a frame at $fps frames a second', (frame) => {
  expectClose(frameSdMs(frame.fps), frame.eventSdMs, file.relativeTolerance);
});

test.each(file.cases)('$duration ms ± ($startSd, $endSd) against $threshold ms', (given) => {
  const sdMs = durationSdMs(given.startSd, given.endSd);
  expectClose(sdMs, given.durationSd, file.relativeTolerance);
  const probability = probabilityUnder({ ms: given.duration, sdMs }, given.threshold);
  expectClose(probability, given.probabilityUnder, file.relativeTolerance);
  expect(verdictOf(probability)).toBe(given.verdict);
});
