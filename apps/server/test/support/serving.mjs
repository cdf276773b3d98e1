import 'reflect-metadata';
import { createServer } from 'node:http';
import { json } from 'node:stream/consumers';
import { createApp } from '../../dist/app.js';
import { UnderWay } from '../../dist/platform/http/under-way.js';
import { readSettings } from '../../dist/platform/settings.js';

// A process that serves the app as it was built, as often as it is asked to, each time with settings of
// their own: to load the app for every test that needs a server takes longer than most of them.

/** By port. */
const served = new Map();

/**
 * Begins to serve with these settings, or ends what is served at this port.
 * @returns the port that is served at, or was
 */
async function act(question) {
  if ('begin' in question) {
    // Most tests take no files out, and a thread that is ready for them costs as much as a server.
    const settings = readSettings({ ...process.env, READY_THREADS: '0', ...question.begin });
    const app = await createApp(settings);
    await app.listen(settings.port, settings.host);
    const { port } = app.getHttpServer().address();
    served.set(port, app);
    return port;
  }
  const app = served.get(question.end);
  served.delete(question.end);
  await app?.get(UnderWay).finish(0);
  await app?.close();
  return question.end;
}

const desk = createServer(async (request, response) => {
  try {
    response.end(JSON.stringify({ port: await act(await json(request)) }));
  } catch (error) {
    response.statusCode = 500;
    response.end(String(error?.stack ?? error));
  }
});
desk.listen(0, '127.0.0.1', () => process.send?.(`http://127.0.0.1:${desk.address().port}`));
process.on('disconnect', () => process.exit(0));
