import type { BodyCrop, FoundBody } from '@orthokin/core/film';

/** A picture to find a body in. */
export interface Asked {
  readonly id: number;
  readonly picture: ImageBitmap;
  /** Film pixels per picture pixel. */
  readonly scale: number;
  readonly crop: BodyCrop;
  /** Passes over the picture, each cropped to where the one before found the body. */
  readonly looks: number;
}

/** A found body, or that the model cannot be used. */
export type Answered =
  | { readonly id: number; readonly found: FoundBody | null }
  | { readonly id: number; readonly failed: string };
