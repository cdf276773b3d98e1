import type { Alignment, SlowFactor } from '@orthokin/core/film';
import type { ClipOrder } from './clip.js';

/** What is known of a film once it is open. */
export interface FilmInfo {
  readonly widthPx: number;
  readonly heightPx: number;
  /** When each frame is shown, ms from the recording's zero, in order. */
  readonly framesMs: readonly number[];
  readonly hasSound: boolean;
  readonly codec: string;
  /** Frames a second it was captured at by its own tags; `null` where it does not say. */
  readonly capturedPerS: number | null;
}

/** Why a film cannot be read. */
export type Unreadable =
  | { readonly why: 'no film' }
  | { readonly why: 'no picture' }
  /** It opens, and its frames cannot be decoded. */
  | { readonly why: 'frames' }
  | { readonly why: 'codec'; readonly codec: string };

/** What pictures are for: the strip under the film, the positions of a rep, or an athlete's page. */
export type PicturesOf = 'strip' | 'positions' | 'page';

/** What the reader is asked. */
export type Asked =
  | { readonly ask: 'open'; readonly file: Blob; readonly screen: OffscreenCanvas }
  | { readonly ask: 'show'; readonly index: number }
  | {
      readonly ask: 'pictures';
      readonly of: PicturesOf;
      readonly indices: readonly number[];
      readonly heightPx: number;
    }
  | {
      readonly ask: 'lend';
      readonly id: number;
      readonly index: number;
      readonly heightPx: number;
    }
  | { readonly ask: 'clip'; readonly order: ClipOrder }
  | {
      readonly ask: 'hear';
      readonly plannedMs: readonly number[];
      readonly tonesHz: readonly number[];
      /** Slow motion that is listened for. */
      readonly factors: readonly SlowFactor[];
    };

/** What it answers. */
export type Answered =
  | { readonly tell: 'opened'; readonly info: FilmInfo }
  | ({ readonly tell: 'unreadable' } & Unreadable)
  /** A frame is shown after one that could not be. */
  | { readonly tell: 'readable' }
  | { readonly tell: 'shown'; readonly index: number }
  | {
      readonly tell: 'pictures';
      readonly of: PicturesOf;
      readonly pictures: readonly ImageBitmap[];
    }
  /** `null` where it could not be decoded. */
  | { readonly tell: 'lent'; readonly id: number; readonly picture: ImageBitmap | null }
  | { readonly tell: 'clipping'; readonly share: number }
  /** `null` where it could not be made. */
  | { readonly tell: 'clip'; readonly film: Blob | null }
  | { readonly tell: 'hearing'; readonly share: number }
  | { readonly tell: 'heard'; readonly alignment: Alignment | null; readonly tones: number };
