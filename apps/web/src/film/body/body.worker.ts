import { BodyModel } from './body-model.js';
import type { Answered, Asked } from './messages.js';
import type { FoundBody } from '@orthokin/core/film';

let model: Promise<BodyModel> | null = null;
/** Requests run one after another: the model has a single input buffer. */
let looking: Promise<void> = Promise.resolve();

async function find({ picture, scale, crop, looks }: Asked): Promise<FoundBody | null> {
  model ??= BodyModel.load();
  const loaded = await model.catch((error: unknown) => {
    // Try again next time: the network may have been away.
    model = null;
    throw error;
  });
  let found: FoundBody | null = null;
  for (let look = 0; look < looks; look++) {
    found = await loaded.look(picture, scale, found?.next ?? crop);
    if (!found) break;
  }
  return found;
}

self.onmessage = ({ data }: MessageEvent<Asked>): void => {
  const { id, picture } = data;
  looking = looking
    .then(() => find(data))
    .then(
      (found) => self.postMessage({ id, found } satisfies Answered),
      (error: unknown) => self.postMessage({ id, failed: String(error) } satisfies Answered),
    )
    .finally(() => picture.close());
};
