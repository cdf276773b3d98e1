import type { VideoSample } from 'mediabunny';

/**
 * Paints a film's frames one after another. `drawImage` with a frame keeps its whole picture in shared memory until
 * it is closed (half a gigabyte at 1080p); copying pixels into one reused buffer does not.
 */
export class FramePainter {
  private pixels: ImageData | null = null;
  /** The frame as it was coded, before rotation. */
  private readonly aside = new OffscreenCanvas(1, 1);

  /** Fills a canvas with a frame, rotated as the film says. */
  async paint(sample: VideoSample, canvas: OffscreenCanvas): Promise<void> {
    const context = canvas.getContext('2d');
    if (!context) return;
    const pixels = await this.pixelsOf(sample);
    if (!pixels) sample.draw(context, 0, 0, canvas.width, canvas.height);
    else if (isAsCoded(sample, canvas)) context.putImageData(pixels, 0, 0);
    else this.drawTurned(context, sample, pixels);
  }

  /** `null` if the browser cannot convert the frame to RGBA. */
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
