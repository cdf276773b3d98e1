import 'reflect-metadata';
import { createApp } from '../../../apps/server/dist/app.js';
import { UnderWay } from '../../../apps/server/dist/platform/http/under-way.js';
import { readSettings } from '../../../apps/server/dist/platform/settings.js';

// A process that serves the app as often as it is asked to, each time with settings of their own:
// what a story begins, stops and begins anew.

/** By port. */
const served = new Map();

async function act(question) {
  if ('begin' in question) {
    const settings = readSettings({ ...process.env, ...question.begin });
    const app = await createApp(settings);
    await app.listen(settings.port, settings.host);
    served.set(settings.port, app);
    return;
  }
  const app = served.get(question.end);
  if (!app) return;
  served.delete(question.end);
  await app.get(UnderWay).finish(0);
  await app.close();
}

process.on('message', (question) => {
  act(question)
    .then(() => process.send?.({ to: question.to }))
    .catch((error) => process.send?.({ to: question.to, error: String(error?.stack ?? error) }));
});
process.on('disconnect', () => process.exit(0));
