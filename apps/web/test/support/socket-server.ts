import { WebSocket, WebSocketServer } from 'ws';

/** A socket as a browser has it: it says of each message when it came, on the page's clock. */
class Stamped extends WebSocket {
  override addEventListener(type: never, listener: (event: object) => void): void {
    const stamped = (event: object) => {
      Object.defineProperty(event, 'timeStamp', { value: performance.now() });
      listener(event);
    };
    super.addEventListener(type, stamped);
  }
}

/** A server of sockets for one test: what was said to it, and a way to answer. */
export class SocketServer {
  readonly heard: Record<string, unknown>[] = [];
  readonly addresses: string[] = [];
  private constructor(private readonly server: WebSocketServer) {
    server.on('connection', (socket, { url }) => {
      this.addresses.push(url ?? '');
      socket.on('message', (data: Buffer) =>
        this.heard.push(JSON.parse(data.toString()) as Record<string, unknown>),
      );
    });
  }

  static async start(): Promise<SocketServer> {
    // Node has no socket of its own that a page's code could use.
    Object.assign(globalThis, { WebSocket: Stamped });
    const server = new WebSocketServer({ host: '127.0.0.1', port: 0 });
    await new Promise((done) => server.once('listening', done));
    return new SocketServer(server);
  }

  get address(): string {
    const address = this.server.address();
    return `ws://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`;
  }

  say(frame: object | string): void {
    const text = typeof frame === 'string' ? frame : JSON.stringify(frame);
    for (const socket of this.server.clients) socket.send(text);
  }

  cut(): void {
    for (const socket of this.server.clients) socket.terminate();
  }

  async stop(): Promise<void> {
    this.cut();
    await new Promise((done) => this.server.close(done));
  }
}

/** Waits until something holds; a test that waits in vain says what for. */
export async function until(holds: () => boolean, what: string): Promise<void> {
  const deadline = Date.now() + 10_000;
  while (!holds()) {
    if (Date.now() > deadline) throw new Error(`Waited in vain for ${what}.`);
    await new Promise((done) => setTimeout(done, 5));
  }
}
