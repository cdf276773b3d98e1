import type { SetToFilm } from '@orthokin/core/film';
import filmed from './demo-film.json' with { type: 'json' };

const URL_OF_FILM = new URL('./demo-film.webm', import.meta.url).href;

/**
 * Whether the app ships with a film of this set by the default camera, so that nobody has to wait for one to be made.
 * It does for one set of the demo club; made by `npm run demo-film`.
 */
export const hasShippedFilm = ({ seed, cues }: SetToFilm): boolean =>
  JSON.stringify({ seed, cues }) === JSON.stringify(filmed);

/** The shipped film; `null` if it cannot be loaded now. */
export async function shippedFilm(): Promise<Blob | null> {
  try {
    const answer = await fetch(URL_OF_FILM);
    return answer.ok ? await answer.blob() : null;
  } catch {
    return null;
  }
}
