import type { SetToFilm } from '@orthokin/core/film';
import filmed from './demo-film.json' with { type: 'json' };

const URL_OF_FILM = new URL('./demo-film.webm', import.meta.url).href;

/**
 * Whether a film of a set by the usual camera ships with the app: of one set of the demo club it does, so that
 * film can be looked at without waiting for it. Made by `npm run demo-film`.
 */
export const hasShippedFilm = ({ seed, cues }: SetToFilm): boolean =>
  JSON.stringify({ seed, cues }) === JSON.stringify(filmed);

/** The film that ships; `null` where it cannot be had now. */
export async function shippedFilm(): Promise<Blob | null> {
  try {
    const answer = await fetch(URL_OF_FILM);
    return answer.ok ? await answer.blob() : null;
  } catch {
    return null;
  }
}
