import type { Alignment, SlowFactor } from '@orthokin/core/film';
import type { ClipOrder } from './clip.js';

/** What is known about a film once it is open. */
export interface FilmInfo {
  readonly widthPx: number;
  readonly heightPx: number;
  /** When each frame is shown, ms from the recording's zero, in order. */
  readonly framesMs: readonly number[];
  readonly hasSound: boolean;
  readonly codec: string;
  /** The capture rate according to its metadata; `null` if absent. */
  readonly capturedPerS: number | null;
}

/** Why a film cannot be read. */
export type Unreadable =
  | { readonly why: 'no film' }
  | { readonly why: 'no picture' }
  /** It opens, but its frames cannot be decoded. */
  | { readonly why: 'frames' }
  | { readonly why: 'codec'; readonly codec: string };

/** What pictures are for: the strip, the rep's positions, or an athlete's page. */
export type PicturesOf = 'strip' | 'positions' | 'page';

/** Requests to the worker. */
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
      /** The slow-motion factors to try. */
      readonly factors: readonly SlowFactor[];
    };

/** Replies of the worker. */
export type Answered =
  | { readonly tell: 'opened'; readonly info: FilmInfo }
  | ({ readonly tell: 'unreadable' } & Unreadable)
  /** A frame could be shown after one that could not. */
  | { readonly tell: 'readable' }
  | { readonly tell: 'shown'; readonly index: number }
  | {
      readonly tell: 'pictures';
      readonly of: PicturesOf;
      readonly pictures: readonly ImageBitmap[];
    }
  /** `null` if it could not be decoded. */
  | { readonly tell: 'lent'; readonly id: number; readonly picture: ImageBitmap | null }
  | { readonly tell: 'clipping'; readonly share: number }
  /** `null` if it could not be made. */
  | { readonly tell: 'clip'; readonly film: Blob | null }
  | { readonly tell: 'hearing'; readonly share: number }
  | { readonly tell: 'heard'; readonly alignment: Alignment | null; readonly tones: number };
