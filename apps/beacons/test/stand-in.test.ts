import 'reflect-metadata';
import {
  readGatewayFrame,
  type EventFrame,
  type GatewayAsk,
  type GatewayFrame,
} from '@orthokin/contract/beacons';
import { seededRandom } from '@orthokin/core/cue';
import { mean } from '@orthokin/core/numeric';
import { WebSocket } from 'ws';
import { Device } from '../src/device.js';
import { Air, FAULT_NAMES, type FaultName } from '../src/faults.js';
import { Gateway } from '../src/gateway.js';
import { World, type Truth } from '../src/world.js';

const device = (seed = 1) => new Device('mat', 'mat', 'home', 3, seededRandom(seed));

describe('a device', () => {
  test('has a clock of its own that runs nearly as ours does', () => {
    const own = device();
    const [start, later] = [own.clock(0), own.clock(60_000)];
    expect(Math.abs(later - start - 60_000)).toBeLessThan(4);
    for (const ms of [0, 1234.5, 9e6]) expect(own.real(own.clock(ms))).toBeCloseTo(ms, 6);
    expect(device(2).clock(0)).not.toBe(start);
  });

  test('numbers what it notices from 1, and can say it again', () => {
    const own = device();
    for (const [i, signal] of (['off', 'on', 'off'] as const).entries())
      expect(own.notice(signal, i)).toMatchObject({ seq: i + 1, signal, device: 'mat' });
    expect(own.last).toBe(3);
    expect(own.again(2).map(({ seq }) => seq)).toEqual([2, 3]);
    expect(own.again(1, 2).map(({ seq }) => seq)).toEqual([1, 2]);
  });

  test('keeps its newest five hundred events, and notices nothing once it is flat', () => {
    const own = device();
    for (let i = 0; i < 600; i++) own.notice('off', i);
    expect(own.again(1)).toHaveLength(500);
    expect(own.again(1)[0]?.seq).toBe(101);
    own.alive = false;
    expect(own.notice('on', 700)).toBeNull();
    expect(own.last).toBe(600);
  });
});

describe('the air', () => {
  const arrivals = (faults: readonly FaultName[], n = 4000): number[][] => {
    const air = new Air(new Set(faults), seededRandom(7));
    return Array.from({ length: n }, () => air.arrivalsMs());
  };

  test('without faults brings everything once, in order', () => {
    expect(arrivals([], 10)).toEqual(Array.from({ length: 10 }, () => [3]));
  });

  test('loses, doubles, delays and overtakes as the faults ask', () => {
    const lost = arrivals(['loss']).filter(({ length }) => length === 0).length / 4000;
    expect(lost).toBeGreaterThan(0.09);
    expect(lost).toBeLessThan(0.15);
    const twice = arrivals(['duplicates']).filter(({ length }) => length === 2).length / 4000;
    expect(twice).toBeGreaterThan(0.12);
    expect(twice).toBeLessThan(0.18);
    const late = arrivals(['jitter']).flat();
    expect(Math.min(...late)).toBeGreaterThanOrEqual(3);
    expect(Math.max(...late)).toBeLessThanOrEqual(253);
    expect(mean(late)).toBeGreaterThan(15);
    expect(
      arrivals(['reorder'])
        .flat()
        .some((ms) => ms > 120),
    ).toBe(true);
  });
});

describe('a world', () => {
  const heard: GatewayFrame[] = [];
  const truths: Truth[] = [];
  let world: World;
  const made = (faults: readonly FaultName[] = []) => {
    world = new World(5, new Set(faults), (truth) => truths.push(truth));
    world.connect((frame) => heard.push(frame));
  };
  const events = () => heard.filter((frame): frame is EventFrame => frame.type === 'event');
  const cue = (ask: Partial<Extract<GatewayAsk, { type: 'cue' }>> = {}) =>
    world.hear({ type: 'cue', device: 'light-A', at: lightClock(performance.now() + 100), ...ask });
  /** The light’s own time, learnt as the app does: by asking it. */
  let lightAhead = 0;
  const lightClock = (ms: number) => ms + lightAhead;
  const learnClock = () => {
    world.hear({ type: 'clock', device: 'light-A', id: 1 });
    jest.advanceTimersByTime(10);
    const reading = heard.find((frame) => frame.type === 'clock');
    if (reading?.type !== 'clock') throw new Error('no answer');
    lightAhead = reading.replied - performance.now() + 3;
  };

  beforeEach(() => {
    jest.useFakeTimers();
    heard.length = 0;
    truths.length = 0;
  });
  afterEach(() => {
    world.stop();
    jest.useRealTimers();
  });

  test('greets with its devices, in frames the app can read', () => {
    made();
    expect(heard).toHaveLength(1);
    const read = readGatewayFrame(JSON.stringify(heard[0]));
    expect(read.ok && read.value.type === 'hello' && read.value.devices.length).toBe(13);
  });

  test('plays an athlete between its devices: lit, off, touched and on again', () => {
    made();
    learnClock();
    world.hear({ type: 'arm', standIn: { targets: { A: { x: 2, y: 2 } } } });
    cue();
    jest.advanceTimersByTime(6000);
    const noticed = events().map(({ signal }) => signal);
    expect(noticed[0]).toBe('shown');
    expect(noticed).toEqual(expect.arrayContaining(['off', 'touch', 'on']));
    expect(truths.map(({ signal }) => signal)).toEqual(noticed);
    const times = truths.map(({ epochMs }) => epochMs);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  test('with nobody armed only the light is noticed; a strange device is let be', () => {
    made();
    learnClock();
    cue();
    cue({ device: 'light-Z' });
    jest.advanceTimersByTime(3000);
    expect(events()).toMatchObject([{ signal: 'shown', device: 'light-A', seq: 1 }]);
    world.hear({ type: 'resend', device: 'light-A', from: 1, to: 1 });
    world.hear({ type: 'resume', heard: { 'light-A': 0 } });
    jest.advanceTimersByTime(10);
    expect(events().map(({ seq }) => seq)).toEqual([1, 1, 1]);
  });

  test('a device goes flat and is gone, if that is to be; the link is cut, if that is', () => {
    made(['flat', 'drop']);
    world.cut = jest.fn();
    world.hear({ type: 'arm' });
    jest.advanceTimersByTime(10_000);
    expect(world.cut).toHaveBeenCalledTimes(1);
    expect(heard.slice(-2)).toEqual(
      expect.arrayContaining([
        { type: 'battery', device: 'light-A', level: 0 },
        { type: 'gone', device: 'light-A' },
      ]),
    );
    world.disconnect();
    world.connect((frame) => heard.push(frame));
    const again = heard.at(-1);
    expect(again?.type === 'hello' && again.devices.map(({ device: id }) => id)).not.toContain(
      'light-A',
    );
  });
});

describe('the gateway', () => {
  let gateway: Gateway;
  let port = 0;
  const open: WebSocket[] = [];
  beforeEach(async () => {
    port = await new Promise((ready) => (gateway = new Gateway(0, ready)));
  });
  afterEach(() => {
    for (const socket of open.splice(0)) socket.terminate();
    gateway.close();
  });
  const join = (query = '') => {
    const socket = new WebSocket(`ws://127.0.0.1:${port}/?${query}`);
    open.push(socket);
    return socket;
  };
  const next = (socket: WebSocket) =>
    new Promise<GatewayFrame>((done) =>
      socket.once('message', (data: Buffer) => done(JSON.parse(data.toString()) as GatewayFrame)),
    );

  test('greets whoever joins, and knows a session again', async () => {
    const first = await next(join('session=one&seed=3'));
    const again = await next(join('session=one&seed=99'));
    const other = await next(join('session=two&seed=99'));
    expect(first).toMatchObject({ type: 'hello', gateway: 'stand-in' });
    expect(again).toEqual(first);
    expect(other).not.toEqual(first);
  });

  test('closes on what it cannot read, and says why', async () => {
    const socket = join(`faults=${FAULT_NAMES[0]}`);
    await next(socket);
    const closed = new Promise<[number, string]>((done) =>
      socket.once('close', (code, reason) => done([code, reason.toString()])),
    );
    socket.send('{"type":"cue","device":"light-A"}');
    const [code, reason] = await closed;
    expect(code).toBe(1008);
    expect(reason).toContain('at');
  });
});
