import { createServer } from 'node:net';

/**
 * Listens for a moment on loopback: the port that was free, or null when it was not.
 * @param {number} port 0 for any
 * @returns {Promise<number | null>}
 */
const tryPort = (port) =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      const found = address && typeof address === 'object' ? address.port : null;
      server.close(() => resolve(found));
    });
  });

/** @param {number} port */
export const isFree = async (port) => (await tryPort(port)) !== null;

export async function freePort() {
  const port = await tryPort(0);
  if (port === null) throw new Error('No free port on 127.0.0.1.');
  return port;
}
