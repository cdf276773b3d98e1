import { readGatewayAsk } from '@orthokin/contract/beacons';
import { problemSentence } from '@orthokin/core/result';
import { WebSocketServer, type WebSocket } from 'ws';
import { FAULT_NAMES, type FaultName } from './faults.js';
import { DROPPED_FOR_MS, World, type Truth } from './world.js';

/** Of RFC 6455: try again later. */
const TRY_AGAIN = 1013;
const POLICY = 1008;
const LONGEST_FRAME = 16_384;

const wanted = (given: string | null): ReadonlySet<FaultName> =>
  new Set(
    given === 'all' ? FAULT_NAMES : FAULT_NAMES.filter((name) => given?.split(',').includes(name)),
  );

/**
 * Serves the stand-in. The address says which world: `?session=…&seed=7&faults=jitter,loss`, or
 * `faults=all`. A session that lost its link finds its devices as they were.
 */
export class Gateway {
  private readonly worlds = new Map<string, World>();
  private readonly cutUntil = new Map<string, number>();
  private readonly server: WebSocketServer;

  constructor(
    port: number,
    ready: (port: number) => void,
    private readonly witness: (truth: Truth) => void = () => undefined,
  ) {
    this.server = new WebSocketServer({ host: '127.0.0.1', port, maxPayload: LONGEST_FRAME });
    this.server.on('listening', () => {
      const address = this.server.address();
      ready(typeof address === 'object' && address ? address.port : port);
    });
    this.server.on('connection', (socket, request) =>
      this.greet(socket, new URL(request.url ?? '', 'ws://localhost').searchParams),
    );
  }

  close(): void {
    for (const world of this.worlds.values()) world.stop();
    for (const socket of this.server.clients) socket.terminate();
    this.server.close();
  }

  private greet(socket: WebSocket, query: URLSearchParams): void {
    const session = query.get('session') ?? 'shared';
    if ((this.cutUntil.get(session) ?? 0) > Date.now()) {
      socket.close(TRY_AGAIN);
      return;
    }
    const world =
      this.worlds.get(session) ??
      new World(Number(query.get('seed') ?? 1), wanted(query.get('faults')), this.witness);
    this.worlds.set(session, world);
    world.cut = () => {
      this.cutUntil.set(session, Date.now() + DROPPED_FOR_MS);
      socket.terminate();
    };
    socket.on('message', (data: Buffer) => {
      const ask = readGatewayAsk(data.toString());
      if (ask.ok) world.hear(ask.value);
      else socket.close(POLICY, problemSentence(ask.problem).slice(0, 120));
    });
    socket.on('close', () => world.disconnect());
    world.connect((frame) => socket.send(JSON.stringify(frame)));
  }
}
