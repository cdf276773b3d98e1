import { answerWish, simulateRules, type RulesQuestion, type WishQuestion } from './simulate.js';

/** Progress is reported no more often than this. */
const TELL_EVERY_MS = 120;

function rules(question: RulesQuestion) {
  let toldMs = performance.now();
  return simulateRules(question, (share) => {
    if (performance.now() - toldMs < TELL_EVERY_MS) return;
    toldMs = performance.now();
    self.postMessage({ share });
  });
}

self.onmessage = ({ data }: MessageEvent<RulesQuestion | WishQuestion>) => {
  self.postMessage({ answer: data.kind === 'rules' ? rules(data) : answerWish(data) });
};
