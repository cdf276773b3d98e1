import {
  BODY_POINTS,
  type Body,
  type BodyCrop,
  type BodyPoint,
  type FoundBody,
} from '@orthokin/core/film';
import { followBody, type FoundByFrame } from '../src/film/body/follow.js';

const cropAt = (x: number): BodyCrop => ({ centre: { x, y: 0 }, sizePx: 100, turnRad: 0 });
const POINT: BodyPoint = { x: 0, y: 0, seen: 1 };
const BODY = Object.fromEntries(BODY_POINTS.map((name) => [name, POINT])) as Body;
const FIRST = 10;

/** Follows a body that is in the first frames of a film, and is told apart by where it was looked for. */
async function follow(last: number, thereUntil: number, stopAfter = Infinity) {
  const looked: number[] = [];
  const lent: number[] = [];
  const shares: number[] = [];
  let found: FoundByFrame = {};
  const isThere = await followBody(
    {
      lend: (frame) => {
        lent.push(frame);
        return Promise.resolve(null);
      },
      look: (_, { centre }): Promise<FoundBody | null> => {
        looked.push(centre.x);
        const next = cropAt(centre.x + 1);
        return Promise.resolve(centre.x <= thereUntil ? { body: BODY, next } : null);
      },
      isWanted: () => looked.length < stopAfter,
      onFound: (some, share) => {
        found = { ...found, ...some };
        shares.push(share);
      },
    },
    cropAt(FIRST),
    FIRST,
    last,
  );
  return { isThere, looked, lent, shares, frames: Object.keys(found).map(Number) };
}

const fromFirst = (count: number): number[] => Array.from({ length: count }, (_, i) => FIRST + i);

describe('a body that is followed', () => {
  it('is looked for where the frame before says, to the last frame', async () => {
    const { isThere, looked, frames, shares } = await follow(29, Infinity);
    expect(isThere).toBe(true);
    expect(looked).toEqual(fromFirst(20));
    expect(frames).toEqual(fromFirst(20));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBe(1);
  });

  it('is given up where it is not seen, and what was found until then is kept', async () => {
    const { isThere, looked, frames } = await follow(29, 14);
    expect(isThere).toBe(false);
    expect(looked).toEqual(fromFirst(6));
    expect(frames).toEqual(fromFirst(5));
  });

  it('is let go when somebody stops it; what was found stays', async () => {
    const { isThere, frames, lent } = await follow(29, Infinity, 3);
    expect(isThere).toBe(true);
    expect(frames).toEqual(fromFirst(3));
    expect(Math.max(...lent)).toBe(13);
  });

  it('keeps what was found where the model fails', async () => {
    let looks = 0;
    const found: FoundByFrame[] = [];
    await expect(
      followBody(
        {
          lend: () => Promise.resolve(null),
          look: () =>
            ++looks > 2
              ? Promise.reject(new Error('no model'))
              : Promise.resolve({ body: BODY, next: cropAt(0) }),
          isWanted: () => true,
          onFound: (some) => void found.push(some),
        },
        cropAt(0),
        0,
        20,
      ),
    ).rejects.toThrow('no model');
    expect(found.flatMap((some) => Object.keys(some)).map(Number)).toEqual([0, 1]);
  });
});
