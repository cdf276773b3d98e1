import { captureRate } from '@orthokin/core/film';
import { ALL_FORMATS, BlobSource, EncodedPacketSink, Input, type VideoSample } from 'mediabunny';
import { clipOf, type ClipOrder } from './clip.js';
import { Frames, keptRound } from './frames.js';
import { hear } from './hear.js';
import type { Answered, Asked, PicturesOf } from './messages.js';
import { FramePainter } from './painter.js';

type Listening = Extract<Asked, { ask: 'hear' }>;

/** The open film; a worker reads one. */
interface Open {
  readonly input: Input;
  readonly frames: Frames;
  readonly screen: OffscreenCanvas;
  readonly painter: FramePainter;
}

let open: Open | null = null;
/** The frame requested last; earlier requests are obsolete. */
let wanted = -1;
let showing: Promise<void> = Promise.resolve();
/** Whether the page was told that frames cannot be shown. */
let hasFailed = false;

const tell = (answer: Answered, transfer: Transferable[] = []): void =>
  self.postMessage(answer, { transfer });

async function openFilm(file: Blob, screen: OffscreenCanvas): Promise<void> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  if (!(await input.canRead())) {
    tell({ tell: 'unreadable', why: 'no film' });
    return;
  }
  const track = await input.getPrimaryVideoTrack();
  if (!track) {
    tell({ tell: 'unreadable', why: 'no picture' });
    return;
  }
  const codec = (await track.getCodec()) ?? '';
  if (!(await track.canDecode())) {
    tell({ tell: 'unreadable', why: 'codec', codec });
    return;
  }
  const framesS: number[] = [];
  const packets = new EncodedPacketSink(track).packets(undefined, undefined, {
    metadataOnly: true,
  });
  for await (const { timestamp } of packets) framesS.push(timestamp);
  // Packets come in decoding order.
  framesS.sort((a, b) => a - b);
  const [widthPx, heightPx] = [await track.getDisplayWidth(), await track.getDisplayHeight()];
  Object.assign(screen, { width: widthPx, height: heightPx });
  open = {
    ...{ input, screen, painter: new FramePainter() },
    frames: new Frames(track, framesS, keptRound(widthPx * heightPx)),
  };
  const hasSound = (await input.getPrimaryAudioTrack()) !== null;
  const framesMs = framesS.map((s) => 1000 * s);
  const capturedPerS = captureRate((await input.getMetadataTags()).raw ?? {});
  const info = { widthPx, heightPx, framesMs, hasSound, codec, capturedPerS };
  tell({ tell: 'opened', info });
}

async function show(index: number): Promise<void> {
  if (!open || index !== wanted) return;
  const { frames, painter, screen } = open;
  const isStillWanted = () => wanted === index;
  await frames.upTo(index, isStillWanted);
  const sample = frames.at(index);
  if (!sample || !isStillWanted()) return;
  await painter.paint(sample, screen);
  if (hasFailed) tell({ tell: 'readable' });
  hasFailed = false;
  tell({ tell: 'shown', index });
  await frames.onFrom(index, isStillWanted);
}

async function smallPicture(
  { screen, painter }: Open,
  sample: VideoSample | null,
  heightPx: number,
): Promise<ImageBitmap> {
  const widthPx = Math.max(1, Math.round((screen.width / screen.height) * heightPx));
  const small = new OffscreenCanvas(widthPx, heightPx);
  if (sample) await painter.paint(sample, small);
  // A canvas gives a picture only once it has a context.
  else small.getContext('2d');
  return small.transferToImageBitmap();
}

async function picture(
  of: PicturesOf,
  indices: readonly number[],
  heightPx: number,
): Promise<void> {
  if (!open) return;
  const pictures: ImageBitmap[] = [];
  for await (const sample of open.frames.each(indices)) {
    pictures.push(await smallPicture(open, sample, heightPx));
    sample?.close();
  }
  tell({ tell: 'pictures', of, pictures }, pictures);
}

async function lend(id: number, index: number, heightPx: number): Promise<void> {
  // Frames are requested in order, so decoding continues where it is.
  await open?.frames.upTo(index, () => true);
  const sample = open?.frames.at(index);
  const picture = open && sample ? await smallPicture(open, sample, heightPx) : null;
  tell({ tell: 'lent', id, picture }, picture ? [picture] : []);
}

async function clip(order: ClipOrder): Promise<void> {
  if (!open) return;
  const { frames, screen } = open;
  const to = order.from + order.frames.length - 1;
  const film = await clipOf(frames.between(order.from, to), screen, order, (share) =>
    tell({ tell: 'clipping', share }),
  );
  tell({ tell: 'clip', film });
}

async function listen({ plannedMs, tonesHz, factors }: Listening): Promise<void> {
  const track = await open?.input.getPrimaryAudioTrack();
  const heard = track
    ? await hear(track, plannedMs, tonesHz, factors, (share) => tell({ tell: 'hearing', share }))
    : { alignment: null, tones: 0 };
  tell({ tell: 'heard', ...heard });
}

self.onmessage = ({ data }: MessageEvent<Asked>): void => {
  switch (data.ask) {
    case 'open':
      void openFilm(data.file, data.screen).catch(() =>
        tell({ tell: 'unreadable', why: 'no film' }),
      );
      return;
    case 'show':
      if (!open || data.index === wanted) return;
      wanted = data.index;
      // One after another: two decoders would only slow each other down.
      showing = showing
        .then(() => show(data.index))
        .catch(() => {
          hasFailed = true;
          tell({ tell: 'unreadable', why: 'frames' });
        });
      return;
    case 'pictures':
      showing = showing
        .then(() => picture(data.of, data.indices, data.heightPx))
        .catch(() => undefined);
      return;
    case 'lend':
      showing = showing
        .then(() => lend(data.id, data.index, data.heightPx))
        .catch(() => tell({ tell: 'lent', id: data.id, picture: null }));
      return;
    case 'clip':
      showing = showing
        .then(() => clip(data.order))
        .catch(() => tell({ tell: 'clip', film: null }));
      return;
    case 'hear':
      void listen(data).catch(() => tell({ tell: 'heard', alignment: null, tones: 0 }));
  }
};
