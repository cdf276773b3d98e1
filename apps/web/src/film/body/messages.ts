import type { BodyCrop, FoundBody } from '@orthokin/core/film';

/** A picture to look for a body in. */
export interface Asked {
  readonly id: number;
  readonly picture: ImageBitmap;
  /** Pixels of the film to one of the picture. */
  readonly scale: number;
  readonly crop: BodyCrop;
  /** Looks in one picture, each where the one before found the body. */
  readonly looks: number;
}

/** What was found, or that the model could not be used. */
export type Answered =
  | { readonly id: number; readonly found: FoundBody | null }
  | { readonly id: number; readonly failed: string };
