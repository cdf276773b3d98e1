/* oxlint-disable typescript/unbound-method -- methods are taken off their prototypes to be put back wrapped */
import { expect, type Page } from '@playwright/test';
import { PLAIN_CONDITIONS, type Conditions } from '@orthokin/core/drill';
import { StandIn } from '../stories/support/beacons.js';
import { Coach } from '../stories/support/coach.js';
import { test } from '../stories/support/served.js';
import { figures } from './support/figures.js';
import { watchMachine } from './support/machine.js';

// The recorder is a module of the bench's own, which the app's policy would not load.
test.use({ bypassCSP: true });
test.setTimeout(600_000);

/** Not a whole number of frames: a cue falls due between two, and the next one is on time. */
const EVERY_MS = 610;
const CUES = 160;
/** With a light that goes flat each takes some seconds. */
const BEACON_REPS = 18;
const DRAWN_REPS = 40;

const SELF_PACED: Partial<Conditions> = { pace: { kind: 'self', everyMs: null } };

/** Opens a set that is cued by the clock and timed by nobody; its choices are put in place. */
async function openSet(page: Page, reps: number, more: Partial<Conditions> = {}, source = 'none') {
  const choices = {
    source,
    reps,
    conditions: { ...PLAIN_CONDITIONS, pace: { kind: 'fixed', everyMs: EVERY_MS }, ...more },
  };
  await page.addInitScript(
    (kept) => localStorage.setItem('orthokin.drill-choices', kept),
    JSON.stringify(choices),
  );
  await page.goto('/');
  await page.getByRole('link', { name: 'Start a drill with Amara Quill' }).click();
  await expect(page.getByRole('button', { name: 'Start the set' })).toBeVisible();
  return new Coach(page);
}

const everyRep = (coach: Coach, reps: number) =>
  expect.poll(() => coach.done(), { timeout: 300_000 }).toBeGreaterThanOrEqual(reps);

interface Heard {
  readonly planned: readonly number[];
  readonly onsets: readonly number[];
}

/** Listens inside the app's own audio graph: when each tone was to begin, and when it began. */
function listen(): void {
  const heard = { planned: [] as number[], onsets: [] as number[] };
  Object.assign(window, { heard });
  const recorder = `registerProcessor('onsets', class extends AudioWorkletProcessor {
    quiet = 1e9;
    process([input]) {
      const samples = input[0] ?? [];
      for (let i = 0; i < samples.length; i++) {
        if (Math.abs(samples[i]) > 0.002) {
          if (this.quiet > 0.05 * sampleRate) this.port.postMessage((currentFrame + i) / sampleRate);
          this.quiet = 0;
        } else this.quiet++;
      }
      if (samples.length === 0) this.quiet += 128;
      return true;
    }
  });`;
  const url = URL.createObjectURL(new Blob([recorder], { type: 'text/javascript' }));
  const recorders = new WeakMap<BaseAudioContext, AudioNode>();
  const resume = AudioContext.prototype.resume;
  AudioContext.prototype.resume = async function () {
    if (!recorders.has(this)) {
      await this.audioWorklet.addModule(url);
      const node = new AudioWorkletNode(this, 'onsets');
      node.port.onmessage = ({ data }) => heard.onsets.push(data as number);
      recorders.set(this, node);
    }
    return resume.call(this);
  };
  const connect = AudioNode.prototype.connect as (to: AudioNode) => AudioNode;
  AudioNode.prototype.connect = function (this: AudioNode, to: AudioNode) {
    const recorder = to === this.context.destination ? recorders.get(this.context) : undefined;
    if (recorder) connect.call(this, recorder);
    return connect.call(this, to);
  } as typeof AudioNode.prototype.connect;
  const start = OscillatorNode.prototype.start;
  OscillatorNode.prototype.start = function (when = 0) {
    heard.planned.push(when);
    start.call(this, when);
  };
}

test('tones: onset in the audio graph against plan', async ({ page }) => {
  await page.addInitScript(listen);
  const coach = await openSet(page, CUES, { cueKinds: ['tone'] });
  await coach.start();
  await everyRep(coach, CUES);
  const { planned, onsets } = await page.evaluate(
    () => (window as unknown as { heard: Heard }).heard,
  );
  const off = onsets.map((at) => Math.min(...planned.map((plan) => Math.abs(at - plan))));
  console.log(
    figures(
      'tone onset',
      off.map((s) => 1000 * s),
    ),
  );
});

test('cues on the screen by themselves', async ({ page }) => {
  const coach = await openSet(page, CUES);
  const taken = watchMachine();
  await coach.start();
  await everyRep(coach, CUES);
  const machine = taken();
  const { reps } = await coach.seeReview();
  const cues = reps
    .sort((a, b) => a.ordinal - b.ordinal)
    .map(({ events }) => events.find(({ name }) => name === 'cue')?.atMs ?? NaN);
  const off = cues.slice(1).map((at, i) => at - (cues[i] ?? NaN) - EVERY_MS);
  console.log(figures('cue on the screen', off), machine);
});

/** Notes the frame that shows each cue, on the page's time of day. */
function witness(): void {
  const seen: number[] = [];
  Object.assign(window, { seen });
  let last = '';
  requestAnimationFrame(function look(at) {
    const cue = document.querySelector<HTMLElement>('[data-testid=cue]')?.dataset['cue'] ?? '';
    if (cue !== '' && last === '') seen.push(performance.timeOrigin + at);
    last = cue;
    requestAnimationFrame(look);
  });
}

test('cues on the screen while the athlete and the ribbon are drawn in every frame', async ({
  page,
}) => {
  await page.addInitScript(witness);
  const coach = await openSet(
    page,
    DRAWN_REPS,
    { pace: { kind: 'fixed', everyMs: 3510 } },
    'simulated',
  );
  const taken = watchMachine();
  await coach.start();
  await everyRep(coach, DRAWN_REPS);
  const machine = taken();
  const seen = await page.evaluate(() => (window as unknown as { seen: number[] }).seen);
  const { set, reps } = await coach.seeReview();
  const off = reps.map(({ events }) => {
    // The simulated athlete's cue is the plan itself.
    const due =
      Date.parse(set.startedAt) + (events.find(({ name }) => name === 'cue')?.atMs ?? NaN);
    return Math.min(...seen.map((at) => Math.abs(at - due)));
  });
  console.log(figures('cue on the screen, page drawing', off), machine);
});

test('from a press to the log on the disk', async ({ page }) => {
  await page.addInitScript(() => {
    const times = { pressed: [] as number[], written: [] as number[] };
    Object.assign(window, { times });
    addEventListener('keydown', ({ timeStamp }) => times.pressed.push(timeStamp), true);
    const transaction = IDBDatabase.prototype.transaction;
    IDBDatabase.prototype.transaction = function (...given) {
      const made = transaction.apply(this, given);
      if (made.mode === 'readwrite' && made.objectStoreNames.contains('entries'))
        made.addEventListener('complete', () => times.written.push(performance.now()));
      return made;
    };
  });
  const coach = await openSet(page, 30, SELF_PACED, 'hand');
  await coach.start();
  await coach.playRep(1);
  for (let n = 0; n < 300; n++) {
    await page.keyboard.press('Digit1');
    await page.waitForTimeout(60);
  }
  const { pressed, written } = await page.evaluate(
    () => (window as unknown as { times: Record<'pressed' | 'written', number[]> }).times,
  );
  const waits = pressed.flatMap((at) => {
    const done = written.find((each) => each >= at);
    return done === undefined ? [] : [done - at];
  });
  console.log(figures('press to log', waits));
});

test('clocks of beacons at the worst settings of the stand-in', async ({ page }) => {
  const standIn = await StandIn.start();
  const coach = await openSet(page, BEACON_REPS, SELF_PACED, 'sensor');
  const address = page.getByRole('textbox', { name: 'Address of the gateway' });
  await address.fill(standIn.address('seed=11&faults=all'));
  await address.press('Enter');
  await expect(page.getByText('Linked: 13 devices.')).toBeVisible();
  await coach.start();
  await everyRep(coach, BEACON_REPS);
  await page.waitForTimeout(2000);
  const kept = standIn
    .compare(await coach.seeReview())
    .filter(({ name, target }) => !(name === 'cue' && target === 'A'));
  const off = kept.map(({ offMs }) => Math.abs(offMs ?? NaN));
  console.log(figures('beacon events against the truth', off));
  const surely = kept.filter(({ offMs, sdMs }) => Math.abs(offMs ?? NaN) <= 2 * sdMs).length;
  console.log(`within twice their own sd: ${surely} of ${kept.length}`);
  standIn.stop();
});
