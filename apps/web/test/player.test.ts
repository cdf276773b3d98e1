import { blankPattern, layLeg, playSpan, usualPlan } from '@orthokin/core/footwork';
import { layoutTargets, type Leg } from '@orthokin/core/pattern';
import type { Beep } from '../src/sound/audio.js';
import { Player } from '../src/studio/score/player.js';

interface Planned {
  readonly beep: Beep;
  readonly atMs: number;
  cancelled: boolean;
}
const mockPlanned: Planned[] = [];
jest.mock('../src/sound/audio.js', () => ({
  allowSound: () => Promise.resolve(),
  planBeep: (beep: Beep, atMs: number) => {
    const planned = { beep, atMs, cancelled: false };
    mockPlanned.push(planned);
    return () => (planned.cancelled = true);
  },
}));

/** A page whose frames come when they are asked for, 10 ms apart. */
class Page {
  nowMs = 1000;
  private next: ((ms: number) => void) | null = null;

  constructor() {
    jest.spyOn(performance, 'now').mockImplementation(() => this.nowMs);
    globalThis.requestAnimationFrame = (callback) => {
      this.next = callback;
      return 1;
    };
    globalThis.cancelAnimationFrame = () => (this.next = null);
  }

  run(ms: number): void {
    for (const end = this.nowMs + ms; this.nowMs < end;) {
      this.nowMs += 10;
      const callback = this.next;
      this.next = null;
      callback?.(this.nowMs);
    }
  }
}

const pattern = { ...blankPattern('test'), targets: layoutTargets('line', 2.4) };
const [right, left] = pattern.targets;
if (!right || !left) throw new Error('no targets');
const leg: Leg = layLeg(pattern, right, usualPlan(right));
const { fromMs, toMs } = playSpan(leg);

let page: Page;
let player: Player;
let now: number;
beforeEach(() => {
  mockPlanned.length = 0;
  page = new Page();
  player = new Player();
  player.load(leg);
  player.watch((ms) => (now = ms));
});
afterEach(() => jest.restoreAllMocks());

test('plays from before the split to after home, at the speed asked for, and stops', async () => {
  expect(now).toBe(fromMs);
  player.set({ speed: 0.5 });
  await player.toggle();
  page.run(400);
  expect(now).toBeCloseTo(fromMs + 200, 6);
  page.run(2 * (toMs - fromMs));
  expect(now).toBe(toMs);
  expect(player.snapshot().playing).toBe(false);
});

test('every step sounds once, when it lands; feet differ, and the load is louder and longer', async () => {
  const startMs = page.nowMs;
  await player.toggle();
  page.run(toMs - fromMs + 20);
  expect(mockPlanned.map(({ atMs }) => Math.round(atMs))).toEqual(
    leg.placements.map(({ atMs }) => Math.round(startMs + atMs - fromMs)),
  );
  const of = (foot: string, phase: string) => {
    const index = leg.placements.findIndex((step) => step.foot === foot && step.phase === phase);
    return mockPlanned[index]?.beep;
  };
  expect(of('left', 'split')?.hz).not.toBe(of('right', 'split')?.hz);
  expect(of('right', 'load')?.level).toBeGreaterThan(of('right', 'split')?.level ?? 1);
  expect(of('right', 'load')?.lengthS).toBeGreaterThan(of('right', 'split')?.lengthS ?? 1);
});

test('slowed, the sounds are as far apart as the steps are then', async () => {
  player.set({ speed: 0.25 });
  await player.toggle();
  page.run(4 * (toMs - fromMs) + 20);
  const [, , third, fourth] = mockPlanned;
  const [, , a, b] = leg.placements;
  expect((fourth?.atMs ?? 0) - (third?.atMs ?? 0)).toBeCloseTo(
    4 * ((b?.atMs ?? 0) - (a?.atMs ?? 0)),
    6,
  );
});

test('looped, it begins again with all its sounds; counted in, it begins after four beats', async () => {
  player.set({ loop: true, countIn: true });
  await player.toggle();
  expect(mockPlanned).toHaveLength(4);
  page.run(1000);
  expect(now).toBe(fromMs);
  page.run(1060 + 2 * (toMs - fromMs));
  expect(player.snapshot().playing).toBe(true);
  expect(mockPlanned.length).toBeGreaterThanOrEqual(4 + 2 * leg.placements.length - 1);
});

test('paused it stands, with no sound to come; scrubbed it goes on from there', async () => {
  await player.toggle();
  page.run(300);
  await player.toggle();
  const stands = now;
  page.run(300);
  expect(now).toBe(stands);
  expect(
    mockPlanned.filter(({ atMs }) => atMs > page.nowMs).every(({ cancelled }) => cancelled),
  ).toBe(true);
  player.seek(500);
  await player.toggle();
  page.run(100);
  expect(now).toBeCloseTo(600, 6);
});

test('another leg begins at its beginning; the same leg changed goes on where it was', () => {
  player.seek(400);
  player.load({ ...leg, actionMs: leg.actionMs + 10 });
  expect(now).toBe(400);
  const other = layLeg(pattern, left, usualPlan(left));
  player.load(other);
  expect(now).toBe(playSpan(other).fromMs);
});
