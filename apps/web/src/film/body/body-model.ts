import { loadAndCompile, loadLiteRt, Tensor, type CompiledModel } from '@litertjs/core';
import runtimeUrl from '@litertjs/core/wasm/litert_wasm_compat_internal.js?url';
import wasmUrl from '@litertjs/core/wasm/litert_wasm_compat_internal.wasm?url';
import modelUrl from '@mediapipe/pose/pose_landmark_full.tflite?url';
import {
  foundBody,
  MODEL_PX,
  MODEL_VALUES,
  type BodyCrop,
  type FoundBody,
} from '@orthokin/core/film';

const CHANNELS = 3;
const RGBA = 4;
const BRIGHTEST = 255;
const SHAPE = [1, MODEL_PX, MODEL_PX, CHANNELS] as const;

/** A model that finds one body's landmarks in a square crop. */
export class BodyModel {
  private readonly canvas = new OffscreenCanvas(MODEL_PX, MODEL_PX);

  /** The indices of landmarks and confidence among the model's outputs. */
  private readonly points: number;
  private readonly isBody: number;

  private constructor(private readonly model: CompiledModel) {
    const sizes = model.getOutputDetails().map(({ shape }) => shape.reduce((all, n) => all * n, 1));
    [this.points, this.isBody] = [sizes.indexOf(MODEL_VALUES), sizes.indexOf(1)];
  }

  /** Loads about 15 MB from the app's own server; nothing comes from anywhere else. */
  static async load(): Promise<BodyModel> {
    // The runtime looks for its WebAssembly file under a name that the build has changed.
    Object.assign(self, { Module: { locateFile: () => wasmUrl } });
    await loadLiteRt(runtimeUrl);
    return new BodyModel(await loadAndCompile(modelUrl, { accelerator: 'wasm' }));
  }

  /**
   * Looks for a body.
   * @param scale film pixels per picture pixel
   * @param crop where to look, film pixels
   */
  async look(picture: ImageBitmap, scale: number, crop: BodyCrop): Promise<FoundBody | null> {
    const input = new Tensor(this.squareOf(picture, scale, crop), [...SHAPE]);
    const outputs = await this.model.run([input]);
    input.delete();
    // The output is a view of memory that is freed below.
    const valuesOf = (place: number) => Float32Array.from(outputs[place]?.toTypedArray() ?? []);
    const [points, [isBody = 0]] = [valuesOf(this.points), valuesOf(this.isBody)];
    for (const output of outputs) output.delete();
    return foundBody(points, isBody, crop);
  }

  private squareOf(picture: ImageBitmap, scale: number, crop: BodyCrop): Float32Array {
    const context = this.canvas.getContext('2d', { willReadFrequently: true });
    if (!context) throw new Error('no drawing');
    context.resetTransform();
    context.clearRect(0, 0, MODEL_PX, MODEL_PX);
    context.translate(MODEL_PX / 2, MODEL_PX / 2);
    context.scale(MODEL_PX / crop.sizePx, MODEL_PX / crop.sizePx);
    context.rotate(-crop.turnRad);
    context.translate(-crop.centre.x, -crop.centre.y);
    context.scale(scale, scale);
    context.drawImage(picture, 0, 0);
    const { data } = context.getImageData(0, 0, MODEL_PX, MODEL_PX);
    const square = new Float32Array(MODEL_PX * MODEL_PX * CHANNELS);
    for (let from = 0, to = 0; from < data.length; from += RGBA)
      for (let channel = 0; channel < CHANNELS; channel++)
        square[to++] = (data[from + channel] ?? 0) / BRIGHTEST;
    return square;
  }
}
