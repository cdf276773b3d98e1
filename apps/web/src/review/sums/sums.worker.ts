import { workOut, type Sum } from './sums.js';

/** Progress is reported no more often than this. */
const TELL_EVERY_MS = 120;

self.onmessage = ({ data }: MessageEvent<Sum>) => {
  let toldMs = performance.now();
  const answer = workOut(data, (share) => {
    if (performance.now() - toldMs < TELL_EVERY_MS) return;
    toldMs = performance.now();
    self.postMessage({ share });
  });
  self.postMessage({ answer });
};
