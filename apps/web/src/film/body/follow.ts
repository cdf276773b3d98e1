import type { BodyCrop, FoundBody } from '@orthokin/core/film';

/** Frames between two updates of the page. */
const SHOWN_EVERY = 8;

/** Bodies found, by frame. */
export type FoundByFrame = Readonly<Record<number, FoundBody>>;

/** What following needs: frames, a finder, and somebody to tell. */
export interface Following {
  readonly lend: (frame: number) => Promise<ImageBitmap | null>;
  readonly look: (picture: ImageBitmap | null, crop: BodyCrop) => Promise<FoundBody | null>;
  readonly isWanted: () => boolean;
  /** Called with newly found bodies and the share of frames done. */
  readonly onFound: (some: FoundByFrame, share: number) => void;
}

/**
 * Follows a body from frame to frame, searching where it was last found.
 * @returns whether it was found up to the end, or up to where following was stopped
 */
export async function followBody(
  { lend, look, isWanted, onFound }: Following,
  from: BodyCrop,
  first: number,
  last: number,
): Promise<boolean> {
  let crop: BodyCrop | null = from;
  let some: Record<number, FoundBody> = {};
  // Decodes the next frame while the model looks at this one, and updates the page only now and then.
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
