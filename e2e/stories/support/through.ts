import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** A way to a server on which what it says of itself can be changed: as if a newer one stood there. */
export class Through {
  /** Behind the script that puts the app aside: another text is another version. */
  added = '';

  private constructor(
    private readonly server: Server,
    readonly address: string,
  ) {}

  static async to(address: string): Promise<Through> {
    const { hostname, port } = new URL(address);
    const server = createServer((asked, answer) => {
      const isScript = asked.url === '/sw.js';
      const {
        'if-none-match': _,
        'if-modified-since': __,
        'accept-encoding': ___,
        ...plain
      } = asked.headers;
      const headers = isScript ? plain : asked.headers;
      const passed = request(
        { hostname, port, path: asked.url, method: asked.method, headers },
        (reply) => {
          const { 'content-length': length, ...rest } = reply.headers;
          const more = isScript ? through.added : '';
          answer.writeHead(reply.statusCode ?? 502, {
            ...rest,
            ...(length && { 'content-length': Number(length) + Buffer.byteLength(more) }),
          });
          reply.on('data', (bytes) => answer.write(bytes));
          reply.on('end', () => answer.end(more));
        },
      );
      passed.on('error', () => answer.destroy());
      asked.pipe(passed);
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const through = new Through(
      server,
      `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    );
    return through;
  }

  stop(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}
