import type { VideoSample } from 'mediabunny';

/**
 * Draws frames of a film, one after the other. A frame that a canvas draws by itself leaves its whole picture in
 * shared memory until it is let go (half a gigabyte with 1080p); pixels copied into the same place again and
 * again do not.
 */
export class FramePainter {
  private pixels: ImageData | null = null;
  /** Where a frame lies as it was coded, before it is turned. */
  private readonly aside = new OffscreenCanvas(1, 1);

  /** Fills a canvas with a frame, turned as the film says. */
  async paint(sample: VideoSample, canvas: OffscreenCanvas): Promise<void> {
    const context = canvas.getContext('2d');
    if (!context) return;
    const pixels = await this.pixelsOf(sample);
    if (!pixels) sample.draw(context, 0, 0, canvas.width, canvas.height);
    else if (isAsCoded(sample, canvas)) context.putImageData(pixels, 0, 0);
    else this.drawTurned(context, sample, pixels);
  }

  /** `null` where the browser cannot turn its frames into plain pixels. */
  private async pixelsOf(sample: VideoSample): Promise<ImageData | null> {
    const { codedWidth, codedHeight } = sample;
    if (this.pixels?.width !== codedWidth || this.pixels.height !== codedHeight)
      this.pixels = new ImageData(codedWidth, codedHeight);
    const { pixels } = this;
    try {
      await sample.copyTo(pixels.data, { format: 'RGBA' });
      return pixels;
    } catch {
      return null;
    }
  }

  private drawTurned(
    context: OffscreenCanvasRenderingContext2D,
    { rotation, flip }: VideoSample,
    pixels: ImageData,
  ): void {
    const { aside } = this;
    if (aside.width !== pixels.width || aside.height !== pixels.height)
      Object.assign(aside, { width: pixels.width, height: pixels.height });
    aside.getContext('2d')?.putImageData(pixels, 0, 0);
    const { width, height } = context.canvas;
    const [across, down] = rotation % 180 === 0 ? [width, height] : [height, width];
    context.save();
    context.translate(width / 2, height / 2);
    if (flip) context.scale(-1, 1);
    context.rotate((rotation * Math.PI) / 180);
    context.drawImage(aside, -across / 2, -down / 2, across, down);
    context.restore();
  }
}

const isAsCoded = (
  { rotation, flip, codedWidth, codedHeight }: VideoSample,
  { width, height }: OffscreenCanvas,
): boolean => rotation === 0 && !flip && codedWidth === width && codedHeight === height;
