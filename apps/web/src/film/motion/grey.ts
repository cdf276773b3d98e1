import type { Grey } from '@orthokin/core/film';
import type { Film } from '../read/useFilm.js';

/** High enough to find a person, small enough to compare a hundred pictures. */
const GREY_HEIGHT = 90;

const RGBA = 4;
/** The luma of red, green and blue (ITU-R BT.601). */
const [RED, GREEN, BLUE] = [0.299, 0.587, 0.114];

/** Converts a picture to grey, and closes it. */
function greyOf(picture: ImageBitmap): Grey {
  const { width: widthPx, height: heightPx } = picture;
  const context = new OffscreenCanvas(widthPx, heightPx).getContext('2d');
  if (!context) throw new Error('no drawing');
  context.drawImage(picture, 0, 0);
  picture.close();
  const { data } = context.getImageData(0, 0, widthPx, heightPx);
  const values = new Uint8Array(widthPx * heightPx);
  for (let i = 0; i < values.length; i++) {
    const [red = 0, green = 0, blue = 0] = [data[RGBA * i], data[RGBA * i + 1], data[RGBA * i + 2]];
    values[i] = RED * red + GREEN * green + BLUE * blue;
  }
  return { widthPx, heightPx, values };
}

/** A frame in grey; `null` if it is not available. */
export async function greyAt(film: Pick<Film, 'frame'>, index: number): Promise<Grey | null> {
  const picture = await film.frame(index, GREY_HEIGHT);
  return picture && greyOf(picture);
}
