import type { BodyCrop, FoundBody } from '@orthokin/core/film';

/** Followed frames that are shown together. */
const SHOWN_EVERY = 8;

/** Bodies found, by frame. */
export type FoundByFrame = Readonly<Record<number, FoundBody>>;

/** How a body is followed: what lends frames and looks at them, and who is told. */
export interface Following {
  readonly lend: (frame: number) => Promise<ImageBitmap | null>;
  readonly look: (picture: ImageBitmap | null, crop: BodyCrop) => Promise<FoundBody | null>;
  readonly isWanted: () => boolean;
  /** Some more were found; the share of the frames that were looked at. */
  readonly onFound: (some: FoundByFrame, share: number) => void;
}

/**
 * Follows a body from frame to frame, first to last, looking where the frame before says that it is.
 * Answers whether it was there to the end, or to where it was no longer wanted.
 */
export async function followBody(
  { lend, look, isWanted, onFound }: Following,
  from: BodyCrop,
  first: number,
  last: number,
): Promise<boolean> {
  let crop: BodyCrop | null = from;
  let some: Record<number, FoundBody> = {};
  // While the model looks at one frame the next is decoded; drawing the page anew waits for a few.
  let next = lend(first);
  try {
    for (let at = first; at <= last; at++) {
      const picture = await next;
      if (!crop || !isWanted()) {
        picture?.close();
        break;
      }
      if (at < last) next = lend(at + 1);
      const one = await look(picture, crop);
      crop = one?.next ?? null;
      if (one) some[at] = one;
      if ((at - first) % SHOWN_EVERY === 0) {
        onFound(some, (at - first) / (last - first + 1));
        some = {};
      }
    }
  } finally {
    onFound(some, 1);
  }
  return crop !== null;
}
